/**
 * Ranges, faults and typed amounts: how a number comes in and how a bad one is told. Uses nothing.
 */
package org.zeststack.core.quantity;
