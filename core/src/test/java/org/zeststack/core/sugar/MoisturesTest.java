package org.zeststack.core.sugar;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.quantity.Range;

/** The scale in place of a thermometer. Figures by hand; Student's t of a printed table (values from memory). */
public class MoisturesTest {

    @Test
    public void theScaleSaysWhatIsLeft() {
        Composition pot = Composition.of(Map.of(Part.SUCROSE, 450.0, Part.WATER, 150.0), 0);
        assertEquals(Moistures.of(pot, 500).orElseThrow(), 0.1, 1e-12);
        assertEquals(Moistures.of(pot, 450).orElseThrow(), 0, 1e-12);
        assertEquals(Moistures.of(pot, 600).orElseThrow(), 0.25, 1e-12);
        assertTrue(Moistures.of(pot, 449.9).isEmpty(), "lighter than what cannot boil off");
        assertTrue(Moistures.of(pot, 600.1).isEmpty(), "heavier than what went in");
    }

    @DataProvider
    public Object[][] series() {
        Optional<Range> none = Optional.empty();
        Optional<Range> wide = Optional.of(new Range(0.06, 0.12, ""));
        return new Object[][] {
            {"one alone", List.of(0.09), none, 0.07, 0.11},
            {"one alone within a narrow claim", List.of(0.09), Optional.of(new Range(0.08, 0.1, "")), 0.08, 0.1},
            // s = 0.00707, t(1, 97.5 %) = 12.706, √1.5 = 1.2247: ± 0.110
            {"two apart know next to nothing", List.of(0.085, 0.095), wide, 0.06, 0.12},
            // s = 0.01, t(2) = 4.303, √(4/3) = 1.1547: ± 0.0497
            {"three", List.of(0.08, 0.09, 0.1), none, 0.0403, 0.1397},
            // s = 0.001, t(4) = 2.776, √1.2 = 1.0954: ± 0.0030, so half a point
            {"five alike", List.of(0.089, 0.089, 0.0905, 0.0905, 0.091), none, 0.085, 0.095},
            {"elsewhere than claimed: the scale is right", List.of(0.2), wide, 0.18, 0.22},
            {"never below nothing", List.of(0.01), none, 0, 0.03},
        };
    }

    @Test(dataProvider = "series")
    public void whatCameTellsTheNext(
            String why, List<Double> weighed, Optional<Range> claimed, double least, double greatest) {
        Range next = Moistures.next(weighed, claimed);
        assertEquals(next.least(), least, 1e-4, why);
        assertEquals(next.greatest(), greatest, 1e-4, why);
    }
}
