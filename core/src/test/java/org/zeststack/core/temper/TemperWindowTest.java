package org.zeststack.core.temper;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.zeststack.core.Near.near;

import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.temper.TemperWindow.Limits;

/** Windows of a couverture's own sheet, and of fillings by their fat. */
public class TemperWindowTest {

    private static final Limits OWN = new Limits(48, 50, 28, 29, 31, 32.2);

    private static List<String> faults(Limits limits) {
        Faults faults = new Faults();
        limits.check(faults);
        return faults.list().stream().map(Fault::field).toList();
    }

    @Test
    public void theOwnSheetWins() {
        assertEquals(TemperWindow.of("dark", OWN).work().greatest(), 32.2);
        assertEquals(TemperWindow.of("dark", OWN).kind(), "dark");
        assertEquals(TemperWindow.of("dark", null), TemperWindow.of("dark"));
        assertEquals(Limits.of(OWN.all()), OWN);
    }

    @DataProvider
    public Object[][] wrong() {
        return new Object[][] {
            {OWN, List.of()},
            {new Limits(14.9, 50, 28, 29, 31, 32.2), List.of("meltLeast")},
            {new Limits(48, 65.1, 28, 29, 31, 32.2), List.of("meltGreatest")},
            {new Limits(48, 47.9, 28, 29, 31, 32.2), List.of("meltLeast")},
            {new Limits(48, 50, 28, 31, 31, 32.2), List.of()},
            {new Limits(48, 50, 28, 31.1, 31, 32.2), List.of("coolGreatest")},
            {new Limits(48, 50, 28, 29, 31, 47.9), List.of()},
            {new Limits(48, 50, 28, 29, 31, 48), List.of("workGreatest")},
        };
    }

    @Test(dataProvider = "wrong")
    public void limitsAreInTheirOrder(Limits limits, List<String> told) {
        assertEquals(faults(limits), told);
    }

    /** 24 to 26 °C for a nut filling whose fat is six tenths of nut oil (common practice, no source). */
    @Test
    public void aFillingIsTemperedByItsFat() {
        TemperWindow nut = TemperWindow.byFat(40, 60).orElseThrow();
        near(nut.work().least(), 24, 1e-9, "least");
        near(nut.work().greatest(), 26, 1e-9, "greatest");
        near(nut.coolTo().greatest(), 22, 1e-9, "cool");
        near(nut.meltOut().least(), 45, 1e-9, "all crystals are melted as in couverture");
        TemperWindow plain = TemperWindow.byFat(35, 0).orElseThrow();
        assertEquals(plain.work(), TemperWindow.of("dark").work());
        // milk couverture: an eighth of its fat is milk fat
        TemperWindow milk = TemperWindow.byFat(87.5, 12.5).orElseThrow();
        near(milk.work().least(), TemperWindow.of("milk").work().least(), 0.5, "milk, least");
        near(milk.work().greatest(), TemperWindow.of("milk").work().greatest(), 0.5, "milk, greatest");
    }

    @Test
    public void whatNeverSetsHasNoWindow() {
        assertTrue(TemperWindow.byFat(25, 75).isPresent());
        assertTrue(TemperWindow.byFat(24.9, 75.1).isEmpty());
        assertTrue(TemperWindow.byFat(0, 30).isEmpty(), "nut oil alone");
        assertTrue(TemperWindow.byFat(0, 0).isEmpty(), "no fat at all");
    }
}
