/**
 * Household measures: a line or a whole recipe as people write it, to grams with every guess marked. May use ingredient
 * and heat.
 */
package org.zeststack.core.household;
