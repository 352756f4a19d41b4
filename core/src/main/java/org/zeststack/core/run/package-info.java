/**
 * A run: bars times pieces, scaled through losses, and the steps of the bench. May use bar, formula, sugar, temper, workshop, weighing.
 */
package org.zeststack.core.run;
