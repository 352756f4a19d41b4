package org.zeststack.core.sugar;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.zeststack.core.Near.near;

import java.util.List;
import java.util.Map;
import org.testng.annotations.Test;
import org.zeststack.core.Masses;
import org.zeststack.core.air.Atmosphere;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.sugar.Remedies.Remedy;

public class RemediesTest {

    private final Cook caramel = Cook.to(Masses.checkCaramel(), 118, 93.7);
    private final Cook syrup =
            Cook.to(Composition.of(Map.of(Part.SUCROSE, 700.0, Part.WATER, 300.0), 42), 121, Atmosphere.SEA_LEVEL_KPA);

    private static List<String> titles(Cook cook, double celsius) {
        return Remedies.of(cook, celsius).stream().map(Remedy::when).toList();
    }

    private static String advice(Cook cook, double celsius, String when) {
        return Say.metric(Remedies.of(cook, celsius).stream()
                .filter(r -> r.when().equals(when))
                .findFirst()
                .orElseThrow()
                .advice());
    }

    @Test
    public void followWhatIsInThePotAndHowFarItWent() {
        assertEquals(
                titles(caramel, 121),
                List.of("It went too far", "Too soft when cold", "Fat stands on it", "It is grainy"));
        assertEquals(titles(caramel, 118), List.of("Too soft when cold", "Fat stands on it", "It is grainy"));
        assertEquals(titles(syrup, 118), List.of("Too soft when cold", "It is grainy"));
    }

    @Test
    public void sayTheirGrams() {
        double missing = caramel.after().waterGrams()
                - Cook.to(Masses.checkCaramel(), 121, 93.7).after().waterGrams();
        String far = advice(caramel, 121, "It went too far");
        assertTrue(far.startsWith("%.0f g of water are missing.".formatted(missing)), far);
        assertTrue(far.contains("Pour in %.0f g of hot water, or".formatted(1.75 * missing)), far);
        assertFalse(advice(syrup, 125, "It went too far").contains("cream"), "no cream in a syrup");
        // 1.5 % of 2263 g
        assertTrue(advice(caramel, 118, "Fat stands on it").contains("up to 34 g"));
        // 700 g dissolved at 75 % go with 233 g of water; at 121 °C 79 g are left.
        double left = syrup.after().waterGrams();
        assertTrue(advice(syrup, 118, "It is grainy").contains("with %.0f g of water".formatted(700 / 3.0 - left)));
        String soft = advice(caramel, 118, "Too soft when cold");
        assertTrue(soft.contains("with 113 g of water"), soft);
        double less = caramel.after().waterGrams()
                - Cook.to(Masses.checkCaramel(), 119.5, 93.7).after().waterGrams();
        assertTrue(soft.contains("%.0f g less water".formatted(less)), soft);
    }

    @Test
    public void everyHotOneHasItsCaution() {
        Remedies.of(caramel, 122).forEach(r -> assertFalse(r.caution().isBlank(), r.when()));
    }

    @Test
    public void theScaleIsASecondThermometer() {
        Cook cook = caramel;
        WeighedPot done = WeighedPot.of(cook, cook.cookedGrams());
        near(done.toBoilOffGrams(), 0, 1e-6, "at the stop");
        near(done.celsiusHere().getAsDouble(), cook.stopCelsiusHere(), 1e-4, "and so boils there");
        WeighedPot early = WeighedPot.of(cook, cook.cookedGrams() + 100);
        near(early.toBoilOffGrams(), 100, 1e-6, "all that is more is water");
        assertTrue(early.celsiusHere().getAsDouble() < cook.stopCelsiusHere());
        assertTrue(early.likely(cook));
        double dry = cook.before().totalGrams() - cook.before().waterGrams();
        assertTrue(WeighedPot.of(cook, dry + 0.1).likely(cook));
        WeighedPot lighter = WeighedPot.of(cook, dry - 0.1);
        assertFalse(lighter.likely(cook), "lighter than what cannot boil off");
        assertTrue(lighter.celsiusHere().isEmpty());
        assertTrue(WeighedPot.of(cook, 1.019 * cook.before().totalGrams()).likely(cook));
        assertFalse(WeighedPot.of(cook, 1.021 * cook.before().totalGrams()).likely(cook), "more than went in");
    }
}
