package org.zeststack.core.formula;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.formula.FormulaLine.Role;
import org.zeststack.core.method.Act;
import org.zeststack.core.method.MethodStep;

/** The steps of a formula as they are worked. Common practice, no source. */
public class DefaultMethodsTest {

    private static final Finish BY_EYE = new Finish(true, 0.08, 0.1, 0, 0);

    private static Formula formula(Family family, Double stop, Finish finish, MethodStep... steps) {
        return new Formula(
                family, List.of(new FormulaLine("sugar", 100, Role.POT)), stop, 0, List.of(steps), finish, Map.of());
    }

    private static MethodStep step(String action, String cue) {
        return new MethodStep(action, cue, "");
    }

    private static String words(Formula formula) {
        return DefaultMethods.of(formula).stream()
                .map(s -> s.acts() ? s.does().name() + (s.action().length() < 12 ? " " + s.action() : "") : s.action())
                .collect(Collectors.joining(", "));
    }

    @DataProvider
    public Object[][] methods() {
        MethodStep melt = step("Melt", "clear");
        MethodStep pour = step("Pour", "overnight");
        return new Object[][] {
            {
                "the step that ends at the stop cooks; degrees of either scale are read",
                formula(Family.CARAMEL, 118.0, Finish.PLAIN, melt, step("Boil", "244 °F"), pour),
                "WEIGH, Melt, COOK Boil, Pour, YIELD"
            },
            {
                "a reading that is not the stop is only a sign: the cook is put in behind the weighing",
                formula(Family.CARAMEL, 116.5, Finish.PLAIN, melt, step("Boil", "244 °F"), pour),
                "WEIGH, COOK, Melt, Boil, Pour, YIELD"
            },
            {
                "who says which step cooks is followed, wherever it ends",
                formula(Family.CARAMEL, 118.0, Finish.PLAIN, melt.doing(Act.COOK, ""), step("Boil", "118 °C")),
                "WEIGH, COOK Melt, Boil, YIELD"
            },
            {
                "without a thermometer it is cooked all the same, by look or feel",
                formula(
                        Family.CARAMEL,
                        null,
                        BY_EYE,
                        melt,
                        step("Boil", "firm in cold water").doing(Act.COOK, "")),
                "WEIGH, Melt, COOK Boil, YIELD"
            },
            {
                "what is not cooked has no cook, whatever its family usually has",
                formula(Family.NUT_PASTE, null, Finish.PLAIN),
                "WEIGH, Grind nuts and sugar, Stir in melted chocolate or cocoa butter, YIELD"
            },
            {
                "what is cooked has one, though its family usually has none",
                formula(Family.NUT_PASTE, 118.0, Finish.PLAIN),
                "WEIGH, COOK, Grind nuts and sugar, Stir in melted chocolate or cocoa butter, YIELD"
            },
        };
    }

    @Test(dataProvider = "methods")
    public void everyActIsThereOnce(String why, Formula formula, String steps) {
        assertEquals(words(formula), steps, why);
    }

    @Test
    public void whoeverCooksIsWarnedOfBurns() {
        for (Family family : Family.values()) {
            for (MethodStep step : DefaultMethods.of(formula(family, 118.0, Finish.PLAIN))) {
                assertTrue(step.does() != Act.COOK || step.caution().contains("burns"), family + ": " + step);
            }
        }
    }
}
