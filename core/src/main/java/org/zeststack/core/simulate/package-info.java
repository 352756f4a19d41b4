/**
 * A simulated pot and bowl that stand in for instruments. May use water, air and heat, never sugar or temper.
 */
package org.zeststack.core.simulate;
