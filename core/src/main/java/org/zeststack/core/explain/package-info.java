/**
 * Workings: the arithmetic behind a number, written by the code that computed it. Uses nothing.
 */
package org.zeststack.core.explain;
