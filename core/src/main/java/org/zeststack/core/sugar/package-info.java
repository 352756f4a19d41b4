/**
 * Cooking sugar masses: water left at a stop, stages, minutes left; grams, °C, kPa. May use rule, water, air and heat.
 */
package org.zeststack.core.sugar;
