package org.zeststack.core.sheet;

/**
 * How many.
 *
 * @param wanted good ones
 * @param toMake with the rejects expected
 */
public record Pieces(int wanted, int toMake, Allowances allowances, Carriers carriers) {}
