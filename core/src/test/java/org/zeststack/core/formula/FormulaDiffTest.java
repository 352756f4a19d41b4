package org.zeststack.core.formula;

import static org.testng.Assert.assertEquals;
import static org.zeststack.core.quantity.Numbers.plain;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.formula.FormulaLine.Role;
import org.zeststack.core.method.MethodStep;
import org.zeststack.core.quantity.Say;

/** What is told of two versions. Sums by hand. */
public class FormulaDiffTest {

    private static Formula of(FormulaLine... lines) {
        return new Formula(Family.CARAMEL, List.of(lines), null, 0, List.of());
    }

    private static FormulaLine line(String slug, double grams, Role role) {
        return new FormulaLine(slug, grams, role);
    }

    @Test
    public void everyLineOfBothVersionsIsToldOnceWithItsShare() {
        Formula from = of(
                line("sugar", 30, Role.POT),
                line("sugar", 20, Role.POT),
                line("honey", 50, Role.POT),
                line("salt", 7, Role.OPTIONAL));
        Formula to = of(
                line("butter", 120, Role.OFF_HEAT),
                line("sugar", 50, Role.POT),
                line("salt", 9, Role.OPTIONAL),
                line("sugar", 30, Role.WARM));
        assertEquals(
                FormulaDiff.between(from, to).lines().stream()
                        .map(l -> "%s %s %s: %s → %s g, %s → %s %%"
                                .formatted(
                                        l.change(),
                                        l.ingredient(),
                                        l.role(),
                                        plain(l.fromGrams()),
                                        plain(l.toGrams()),
                                        plain(l.fromPercent()),
                                        plain(l.toPercent())))
                        .toList(),
                List.of(
                        "new butter OFF_HEAT: 0 → 120 g, 0 → 60 %",
                        "same sugar POT: 50 → 50 g, 50 → 25 %",
                        "changed salt OPTIONAL: 7 → 9 g, 7 → 4.5 %",
                        "new sugar WARM: 0 → 30 g, 0 → 15 %",
                        "dropped honey POT: 50 → 0 g, 50 → 0 %"));
    }

    @Test
    public void whatElseChangedIsTold() {
        FormulaLine sugar = line("sugar", 100, Role.POT);
        Formula from = new Formula(
                Family.GANACHE,
                List.of(sugar),
                118.5,
                0.03,
                List.of(),
                Finish.PLAIN,
                Map.of("butter", "cool", "cream", "start"));
        Formula to = new Formula(
                Family.CARAMEL,
                List.of(sugar),
                null,
                0.05,
                List.of(),
                new Finish(true, null, null, 0.1, 0.25),
                Map.of("cream", "start"));
        assertEquals(
                FormulaDiff.between(from, to).facts().stream()
                        .map(f -> Say.metric(f.what() + ": " + f.from() + " → " + f.to()))
                        .toList(),
                List.of(
                        "Family: Ganache on cream → Caramel, cooked",
                        "Stop: 118.5 °C → by eye",
                        "Left in pot and bag: 3 % → 5 %",
                        "Loss in the oven: 0 % → 10 %",
                        "Air: 0 % → 25 %",
                        "Butter goes in: cool → "));
        assertEquals(FormulaDiff.between(from, from).facts(), List.of());
        assertEquals(
                FormulaDiff.between(from, of(sugar)).facts().get(1),
                new FormulaDiff.Fact("Stop", Say.celsius(118.5), "not cooked"));
    }

    @DataProvider
    public Object[][] methods() {
        return new Object[][] {
            {"Mix,Rest:1 h,Cut", "Mix,Rest:2 h,Cut", "=Mix -Rest — until 1 h +Rest — until 2 h =Cut"},
            {"", "Mix,Cut", "+Mix +Cut"},
            {"Mix,Cut", "", "-Mix -Cut"},
            {"A,B,C,D", "C,D,A", "-A -B =C =D +A"},
            {"A,B", "B,A", "-A =B +A"},
            {"C,A", "A,B,C", "-C =A +B +C"},
            {"A,B,C", "B,C", "-A =B =C"},
            {"B,C", "A,B,C", "+A =B =C"},
            {"X,A,B", "A,Y,B,Z", "-X =A +Y =B +Z"},
        };
    }

    @Test(dataProvider = "methods")
    public void methodsAreWovenTogetherStepByStep(String from, String to, String woven) {
        String told = FormulaDiff.between(method(from), method(to)).steps().stream()
                .map(s -> Map.of("same", "=", "dropped", "-", "new", "+").get(s.change()) + s.words())
                .reduce("", (a, b) -> a.isEmpty() ? b : a + " " + b);
        assertEquals(told, woven);
    }

    private static Formula method(String steps) {
        List<MethodStep> method = Arrays.stream(steps.split(","))
                .filter(s -> !s.isEmpty())
                .map(s -> new MethodStep(s.split(":")[0], s.contains(":") ? s.split(":")[1] : "", ""))
                .toList();
        return new Formula(Family.OTHER, List.of(line("sugar", 100, Role.POT)), null, 0, method);
    }
}
