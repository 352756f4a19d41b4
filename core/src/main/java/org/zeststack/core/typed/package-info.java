/** What a person typed into a form: read into numbers, degrees, days and choices, with every fault beside its field and nothing lost. */
package org.zeststack.core.typed;
