/**
 * What is said of a bar and of a formula: calls, each with its arithmetic and what would mend it. May use stack, bar, formula and what
 * it judges by: rule, keeping, naming, temper, weighing, water.
 */
package org.zeststack.core.judge;
