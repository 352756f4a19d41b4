package org.zeststack.app.bench;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.testng.annotations.Test;
import org.zeststack.core.air.Atmosphere;
import org.zeststack.core.bench.ReadingRules;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.rule.Bound;
import org.zeststack.core.rule.Bounds;
import org.zeststack.core.sugar.Cook;
import org.zeststack.core.sugar.CookLesson;
import org.zeststack.core.sugar.Learned;
import org.zeststack.core.sugar.Stages;
import org.zeststack.core.workshop.Thermometer;

public class CookDeskTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 11, 27);
    private static final Composition SYRUP = Composition.of(Map.of(Part.SUCROSE, 700.0, Part.WATER, 300.0), 42);

    private static CookDesk desk(Learned learned) {
        return desk(learned, Optional.empty(), Bounds.shipped());
    }

    private static CookDesk desk(double apartKelvin, Bounds bounds) {
        return desk(Learned.NOTHING, Optional.of(new CookDesk.Second("Short probe", 112, apartKelvin)), bounds);
    }

    private static Bounds own(double kelvin) {
        return Bounds.with(Map.of("thermometers-agree", new Bound.Figures(null, null, kelvin)));
    }

    private static CookDesk desk(Learned learned, Optional<CookDesk.Second> second, Bounds bounds) {
        Cook cook = Cook.to(SYRUP, 121, Atmosphere.pressureKpa(650));
        return new CookDesk(
                cook,
                cook,
                0,
                false,
                false,
                null,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                List.of(),
                Stages.Naming.PRINTED,
                learned,
                second,
                List.of(),
                List.of(),
                new ReadingRules(bounds));
    }

    private static Thermometer checked(LocalDate on) {
        return new Thermometer(Thermometer.Kind.PROBE, 0.5, 98.3, 97.8, on);
    }

    @Test
    public void anOldCheckOfTheThermometerIsTold() {
        CookDesk desk = desk(Learned.NOTHING);
        assertEquals(desk.checked(checked(TODAY.minusDays(30)), TODAY), "");
        assertTrue(desk.checked(checked(TODAY.minusDays(31)), TODAY).contains("31 days ago"));
        assertTrue(desk.checked(checked(null), TODAY).startsWith("Nobody wrote down"));
    }

    @Test
    public void aPotThatClimbsIsTakenOffSoMuchEarlierByTheThermometer() {
        Thermometer probe = checked(TODAY);
        CookDesk level = desk(Learned.NOTHING);
        double stop = level.cook().stopCelsiusHere();
        assertEquals(level.takeOffReading(probe), probe.readingAt(stop), 1e-9);
        Learned climbs = Learned.of(List.of(new CookLesson(1, 0.5, 9, OptionalDouble.of(0.7))));
        assertEquals(desk(climbs).takeOffReading(probe), probe.readingAt(stop - 0.7), 1e-9);
    }

    /** Two good probes in one stirred pot agree within a kelvin (common practice, no source), or within what this workshop says. */
    @Test
    public void twoThermometersAgreeWithinAKelvin() {
        for (double apart : new double[] {1, -1}) {
            assertTrue(desk(apart, Bounds.shipped()).agrees());
            assertFalse(desk(1.01 * apart, Bounds.shipped()).agrees());
            assertTrue(desk(1.01 * apart, own(2)).agrees());
        }
        assertFalse(desk(Learned.NOTHING).agrees(), "none was held beside it");
    }

    @Test
    public void bandsAreWhatTheThermometerShows() {
        Thermometer probe = checked(TODAY);
        String[] first = desk(Learned.NOTHING).bands(probe).split("\\|")[1].split(";");
        assertEquals(first[0], "soft ball");
        double here = Stages.here(desk(Learned.NOTHING).cook(), Stages.Naming.PRINTED)
                .get(1)
                .least();
        assertEquals(Double.parseDouble(first[1]), probe.readingAt(here), 0.01);
    }
}
