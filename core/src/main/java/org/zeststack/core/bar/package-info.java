/**
 * A bar as a stack of layers in one of five builds: heights, volumes, grams, windows, drawings and calls. Heights in mm, masses in
 * g of one piece, volumes in mL. May use formula, ingredient, cavity, slab, weighing, keeping, naming, temper, method, and what
 * formula is made of: water and heat.
 */
package org.zeststack.core.bar;
