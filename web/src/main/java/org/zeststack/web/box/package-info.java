/** Boxes: assortments of bars sold together. */
package org.zeststack.web.box;
