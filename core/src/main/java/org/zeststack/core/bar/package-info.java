/**
 * A bar as a stack of layers: volumes, grams, windows and calls. May use formula, cavity and weighing.
 */
package org.zeststack.core.bar;
