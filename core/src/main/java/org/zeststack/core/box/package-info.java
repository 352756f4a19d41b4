/** A box of several bars: what it weighs, declares and how long it keeps. May use stack, bar and judge. */
package org.zeststack.core.box;
