/**
 * Formulas as lines of ingredient and grams, before and after cooking. May use ingredient, household, sugar, water, heat and method.
 */
package org.zeststack.core.formula;
