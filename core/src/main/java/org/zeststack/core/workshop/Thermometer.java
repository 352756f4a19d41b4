package org.zeststack.core.workshop;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.OptionalLong;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.quantity.Range;

/**
 * A thermometer and its error at two points. The error is a straight line through melting ice (0 °C) and boiling water;
 * beyond them it is extended and {@link #stretched} says so.
 *
 * @param kind probe or infrared; an infrared one sees the surface only
 * @param iceReading what it showed in melting ice, °C
 * @param boilingReading what it showed in boiling water, °C
 * @param boilingTrueCelsius where that water really boiled
 * @param checkedOn when that was; null where it is not known
 */
public record Thermometer(
        Kind kind, double iceReading, double boilingReading, double boilingTrueCelsius, LocalDate checkedOn) {

    /** What it measures with. */
    public enum Kind {
        PROBE,
        INFRARED
    }

    public static final Range ICE_READING = new Range(-10, 10, "°C");
    public static final Range BOILING_READING = new Range(70, 115, "°C");

    public static final Thermometer TRUE = new Thermometer(Kind.PROBE, 0, 100, 100);

    /**
     * @throws org.zeststack.core.quantity.InvalidInput if a reading is outside its range
     */
    public Thermometer {
        Faults faults = new Faults();
        faults.within("iceReading", iceReading, ICE_READING);
        faults.within("boilingReading", boilingReading, BOILING_READING);
        faults.throwIfAny();
    }

    /** A thermometer of which nobody wrote down when it was checked. */
    public Thermometer(Kind kind, double iceReading, double boilingReading, double boilingTrueCelsius) {
        this(kind, iceReading, boilingReading, boilingTrueCelsius, null);
    }

    /** Days since it was checked; empty where that is not known. */
    public OptionalLong checkedDays(LocalDate today) {
        return checkedOn == null
                ? OptionalLong.empty()
                : OptionalLong.of(Math.max(0, ChronoUnit.DAYS.between(checkedOn, today)));
    }

    /** What it shows at a true temperature: T + e₀ + (e₁ − e₀) T / T_boil. */
    public double readingAt(double trueCelsius) {
        return trueCelsius + iceReading + tilt() * trueCelsius;
    }

    /** The true temperature behind a reading. */
    public double trueCelsius(double reading) {
        return (reading - iceReading) / (1 + tilt());
    }

    /** Reading less truth at a true temperature, K. */
    public double offsetKelvin(double trueCelsius) {
        return readingAt(trueCelsius) - trueCelsius;
    }

    /** Whether the error at a temperature lies beyond the two points it was checked at. */
    public boolean stretched(double trueCelsius) {
        return trueCelsius < 0 || trueCelsius > boilingTrueCelsius;
    }

    private double tilt() {
        return (boilingReading - boilingTrueCelsius - iceReading) / boilingTrueCelsius;
    }
}
