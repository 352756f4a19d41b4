/** What is said of a bar: calls, each with its arithmetic and what would mend it. May use stack, bar, and what it judges by: rule,
 * keeping, naming, temper, weighing. */
package org.zeststack.core.judge;
