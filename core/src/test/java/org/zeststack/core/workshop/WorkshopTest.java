package org.zeststack.core.workshop;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;
import static org.zeststack.core.Near.near;

import java.time.LocalDate;
import org.testng.annotations.Test;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.InvalidInput;

public class WorkshopTest {

    @Test
    public void threeWaysToTellAPlaceAgree() {
        Place byAltitude = new Place(Place.By.ALTITUDE, 1600);
        Place byPressure = new Place(Place.By.PRESSURE, byAltitude.pressureKpa());
        Place byBoiling = new Place(Place.By.BOILING_WATER, byAltitude.waterBoilsCelsius());
        near(byPressure.waterBoilsCelsius(), 94.65, 0.1, "ICAO standard atmosphere and IAPWS");
        near(byBoiling.pressureKpa(), byAltitude.pressureKpa(), 1e-6, "property: inversion");
    }

    @Test
    public void aPlaceOutsideItsRangeIsNamed() {
        // Room of 70 °C style slips: a boiling point of 70 °C is no kitchen on Earth.
        InvalidInput fault = expectThrows(InvalidInput.class, () -> new Place(Place.By.BOILING_WATER, 70));
        assertEquals(fault.faults().get(0).field(), "placeAmount");
        assertEquals(fault.faults().get(0).least(), 82.0);
        expectThrows(InvalidInput.class, () -> new Place(Place.By.ALTITUDE, Double.NaN));
    }

    @Test
    public void thermometerErrorIsALineThroughIceAndBoil() {
        Thermometer off = new Thermometer(Thermometer.Kind.PROBE, 0.4, 98.6, 97.8);
        near(off.offsetKelvin(0), 0.4, 1e-12, "at ice");
        near(off.offsetKelvin(97.8), 0.8, 1e-9, "at the boil");
        near(off.offsetKelvin(48.9), 0.6, 1e-9, "half way");
        near(off.trueCelsius(off.readingAt(118)), 118, 1e-9, "property: inversion");
        assertTrue(off.stretched(118));
        assertFalse(off.stretched(31));
    }

    @Test
    public void daysSinceACheckAreCounted() {
        LocalDate checked = LocalDate.of(2026, 11, 1);
        Thermometer probe = new Thermometer(Thermometer.Kind.PROBE, 0, 100, 100, checked);
        assertEquals(probe.checkedDays(checked.plusDays(94)).getAsLong(), 94);
        assertEquals(probe.checkedDays(checked.minusDays(1)).getAsLong(), 0, "a clock that is behind");
        assertTrue(Thermometer.TRUE.checkedDays(checked).isEmpty());
    }

    @Test
    public void allFaultsOfAThermometerAreTold() {
        InvalidInput fault =
                expectThrows(InvalidInput.class, () -> new Thermometer(Thermometer.Kind.PROBE, 40, 40, 100));
        assertEquals(
                fault.faults().stream().map(Fault::field).toList(), java.util.List.of("iceReading", "boilingReading"));
    }
}
