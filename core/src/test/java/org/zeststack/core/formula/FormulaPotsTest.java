package org.zeststack.core.formula;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.formula.FormulaLine.Role;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.method.Act;
import org.zeststack.core.method.MethodStep;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.sugar.Cook;

/** Which line goes into which pot, and when. */
public class FormulaPotsTest {

    private static final IngredientTable TABLE = IngredientTable.shipped();
    private static final double KPA = 94.0;

    private static FormulaLine line(String what, double grams, Role role, Integer step) {
        return new FormulaLine(what, grams, role, null, false, step, "", List.of());
    }

    private static MethodStep step(Act act, String cue) {
        return new MethodStep(act.words(), cue, "").doing(act, "");
    }

    private static Formula caramel(Integer creamStep, Double stop, MethodStep... method) {
        return new Formula(
                Family.CARAMEL,
                List.of(
                        line("sugar", 400, Role.POT, null),
                        line("glucose-syrup-42", 200, Role.POT, 1),
                        line("water", 100, Role.POT, null),
                        line("cream-35", 300, Role.POT, creamStep),
                        line("butter", 40, Role.OFF_HEAT, creamStep)),
                stop,
                0,
                List.of(method),
                Finish.PLAIN,
                Map.of());
    }

    private static FormulaBalance balance(Formula formula) {
        return FormulaBalance.of(formula, TABLE, KPA);
    }

    private static double fat(Composition mass) {
        return mass.grams(Part.MILK_FAT);
    }

    @Test
    public void whatIsPouredInLaterIsNotInThePotAtFirst() {
        MethodStep[] method = {
            step(Act.HAND, "clear"), step(Act.ADD, "130 °C; light amber"), step(Act.COOK, "The stop reading")
        };
        FormulaBalance poured = balance(caramel(2, 118.0, method));
        assertEquals(fat(poured.pots().start()), 0, 1e-9);
        assertEquals(poured.pots().pours().size(), 1);
        assertEquals(poured.pots().pours().get(0).atCelsius(), OptionalDouble.of(130));
        assertEquals(poured.pots().pours().get(0).mass().totalGrams(), 300, 1e-9);
        assertEquals(
                poured.pots().start().totalGrams() + 300, poured.pots().main().totalGrams(), 1e-9);

        // At the stop only the sugars hold water: when the cream went in makes no difference to what comes of it.
        FormulaBalance atOnce = balance(caramel(null, 118.0, method));
        assertEquals(poured.after().byPart(), atOnce.after().byPart());
        assertEquals(poured.before().totalGrams(), atOnce.before().totalGrams(), 1e-9);
        assertTrue(atOnce.pots().pours().isEmpty());
    }

    @DataProvider
    public Object[][] atOnce() {
        MethodStep hand = step(Act.HAND, "");
        MethodStep add = step(Act.ADD, "130 °C");
        MethodStep cook = step(Act.COOK, "");
        MethodStep second = step(Act.SECOND_POT, "");
        return new Object[][] {
            {"a step by hand", caramel(1, 118.0, hand, cook)},
            {"a step that is not there", caramel(9, 118.0, hand, add, cook)},
            {"behind the cook", caramel(2, 118.0, cook, add)},
            {"nothing is cooked", caramel(1, null, add, hand)},
            {"a second pot without a reading", caramel(1, 118.0, second, cook)},
        };
    }

    @Test(dataProvider = "atOnce")
    public void elseItGoesInAtOnce(String why, Formula formula) {
        FormulaBalance balance = balance(formula);
        assertTrue(balance.pots().pours().isEmpty(), why);
        assertTrue(balance.pots().second().isEmpty(), why);
        assertTrue(fat(balance.pots().start()) > 100, why);
        boolean acts =
                DefaultMethods.of(formula).stream().anyMatch(s -> s.does() == Act.ADD || s.does() == Act.SECOND_POT);
        assertFalse(acts, "a step that nothing goes in at is by hand: " + why);
    }

    private static Formula nougat(String honeyUntil, Integer honeyStep) {
        return new Formula(
                Family.NOUGAT,
                List.of(
                        line("egg-white", 60, Role.WARM, 1),
                        line("honey", 300, Role.POT, honeyStep),
                        line("sugar", 400, Role.POT, null),
                        line("glucose-syrup-42", 100, Role.POT, null),
                        line("water", 120, Role.POT, null)),
                143.0,
                0,
                List.of(
                        step(Act.WHISK, "soft peaks; 8 min"),
                        step(Act.SECOND_POT, honeyUntil),
                        step(Act.COOK, "The stop reading"),
                        step(Act.DRY, "leaves the bowl")),
                Finish.PLAIN,
                Map.of());
    }

    @Test
    public void aSecondPotIsCookedToItsOwnReading() {
        FormulaBalance two = balance(nougat("121 °C", 2));
        Composition honey = TABLE.get("honey").grams(300);
        Cook own = Cook.to(honey, 121, KPA);
        Cook syrup = Cook.to(two.pots().start(), 143, KPA);
        double whites = TABLE.get("egg-white").grams(60).waterGrams();
        assertEquals(
                two.after().waterGrams(),
                own.after().waterGrams() + syrup.after().waterGrams() + whites,
                1e-6);
        assertEquals(two.pots().second().orElseThrow().cook().stopCelsiusHere(), own.stopCelsiusHere(), 1e-9);
        assertEquals(two.pot().totalGrams(), 920, 1e-9);
        assertTrue(
                two.moistureFraction() > balance(nougat("121 °C", null)).moistureFraction() + 0.01,
                "honey stopped early keeps more water than honey boiled with the syrup");
        assertEquals(
                DefaultMethods.of(nougat("121 °C", 2)).stream()
                        .map(MethodStep::does)
                        .filter(a -> a != Act.HAND)
                        .toList(),
                List.of(Act.WEIGH, Act.WHISK, Act.SECOND_POT, Act.COOK, Act.DRY, Act.YIELD));
    }

    @Test
    public void thereIsOneSecondPotWhereverItStands() {
        MethodStep second = step(Act.SECOND_POT, "121 °C");
        MethodStep cook = step(Act.COOK, "");
        FormulaPots twice = balance(caramel(2, 118.0, second, second, cook)).pots();
        assertEquals(twice.second().orElseThrow().lines(), List.of(1), "what the first of the two steps names");
        assertTrue(fat(twice.start()) > 100, "what the other names goes in at once");
        FormulaPots last = balance(caramel(null, 118.0, second)).pots();
        assertEquals(last.second().orElseThrow().lines(), List.of(1));
        FormulaPots behind =
                balance(caramel(3, 118.0, cook, step(Act.HAND, ""), second)).pots();
        assertEquals(behind.second().orElseThrow().lines(), List.of(3), "at the last step, behind the cook");
    }

    @Test
    public void theReadingOfTheSecondPotMustBeAStop() {
        InvalidInput refused = expectThrows(InvalidInput.class, () -> balance(nougat("90 °C", 2)));
        assertEquals(refused.faults().get(0).field(), "step.1.cue");
        assertTrue(refused.faults().get(0).message().contains("first boiling point"), refused.getMessage());
    }
}
