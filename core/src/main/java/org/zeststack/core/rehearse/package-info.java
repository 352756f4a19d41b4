/**
 * Practice at simulated pots that hide a fault, and what is said of it afterwards. May use simulate, sugar, water and air.
 */
package org.zeststack.core.rehearse;
