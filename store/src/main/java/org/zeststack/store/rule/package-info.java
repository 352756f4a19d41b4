/** What a workshop judges by instead of the shipped bounds. */
package org.zeststack.store.rule;
