package org.zeststack.core.sheet;

/**
 * Where a pot is taken off, °C.
 *
 * @param seaLevel target, as at sea level
 * @param here true temperature at this place
 * @param reading what this thermometer shows then
 */
public record Stop(double seaLevel, double here, double reading) {}
