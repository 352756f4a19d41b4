/**
 * What a bar comes to: heights in mm, volumes in mL, grams and windows of every layer of one piece, and what each layer is made
 * of. May use bar and what a layer is made of.
 */
package org.zeststack.core.stack;
