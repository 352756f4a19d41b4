/**
 * Water activity and boiling of solutions; grams, °C, kPa. May use air.
 */
package org.zeststack.core.water;
