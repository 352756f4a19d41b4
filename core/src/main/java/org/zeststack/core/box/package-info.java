/**
 * A box of several bars: what it weighs, declares and how long it keeps. May use stack, bar, judge, rule, keeping, weighing.
 */
package org.zeststack.core.box;
