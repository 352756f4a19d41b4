package org.zeststack.core.sheet;

import org.zeststack.core.workshop.Thermometer;

/**
 * By what the run is measured, and where.
 *
 * @param pressureKpa of the air there
 * @param name of the thermometer; empty where there is none
 */
public record Gauge(double pressureKpa, String name, Thermometer thermometer) {

    /** Whether it is worked with a thermometer. */
    public boolean measured() {
        return !name.isEmpty();
    }
}
