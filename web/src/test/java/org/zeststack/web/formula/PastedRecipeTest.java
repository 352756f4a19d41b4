package org.zeststack.web.formula;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Page;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import org.zeststack.app.formula.FormulaActs;
import org.zeststack.app.formula.FormulaFields;
import org.zeststack.app.formula.LineFields;
import org.zeststack.core.formula.Family;
import org.zeststack.core.formula.Formula;
import org.zeststack.core.formula.FormulaLine;
import org.zeststack.core.formula.FormulaLine.Role;
import org.zeststack.core.formula.FormulaPots;
import org.zeststack.core.method.Act;
import org.zeststack.core.typed.FormInput;
import org.zeststack.core.typed.Rows;
import org.zeststack.web.TestApp;
import org.zeststack.web.WithDemo;

/** What becomes of a recipe that is pasted into a formula's page. */
public class PastedRecipeTest extends WithDemo {

    private static final String BURNT = """
            Burnt caramel
            Ingredients
            300 g sugar
            60 g glucose syrup DE 42
            250 g cream 35 %
            50 g butter
            3 g salt
            Method
            Melt the sugar dry to 160 °C.
            Pour in the hot cream with the glucose.
            Bring back to 118 °C.
            Off the heat stir in butter and salt.
            """;

    private FormulaFields fields;
    private FormulaActs acts;

    @BeforeClass
    public void open() {
        fields = new FormulaFields(app.bean(LineFields.class));
        acts = app.bean(FormulaActs.class);
    }

    private FormInput fresh(Family family) {
        Map<String, String> typed = fields.of(new Formula(family, List.of(), null, 0.03, List.of()));
        typed.put("name", "");
        return FormInput.of(typed);
    }

    private FormInput pasted(FormInput form, String text) {
        return act(form, "paste", Map.of("paste", text));
    }

    private FormInput act(FormInput form, String act, Map<String, String> more) {
        Map<String, String> typed = new LinkedHashMap<>(form.typed());
        typed.putAll(more);
        FormInput next = FormInput.of(typed);
        acts.act(act, next, fields);
        return next;
    }

    private static List<String> all(FormInput form, String what, String field) {
        return Rows.used(form, what).stream()
                .filter(row -> form.has(what + "." + row + (what.equals("line") ? ".ingredient" : ".action")))
                .map(row -> form.text(what + "." + row + "." + field))
                .toList();
    }

    @Test
    public void severalReadingsAreTheProgramOfThePot() {
        FormInput form = pasted(fresh(Family.CARAMEL), BURNT);
        assertEquals(form.text("stopCelsius"), "118");
        assertEquals(all(form, "step", "does"), List.of("", Act.ADD.name(), Act.COOK.name(), ""));
        assertEquals(all(form, "line", "step"), List.of("", "2", "2", "4", "4"));
        assertEquals(
                all(form, "line", "role"),
                List.of(Role.POT.name(), Role.POT.name(), Role.POT.name(), Role.OFF_HEAT.name(), Role.OFF_HEAT.name()));
        assertEquals(String.join("", all(form, "line", "guesses")), "", "the text says so");
        Formula formula = fields.read(form).orElseThrow().formula();
        FormulaPots pots =
                app.bean(FormulaWorkings.class).work(0, "x", formula).balance().pots();
        assertEquals(pots.pours().size(), 1);
        assertEquals(pots.pours().get(0).atCelsius().orElseThrow(), 160, 1e-9);
        assertEquals(pots.pours().get(0).lines(), List.of(1, 2));
    }

    @Test
    public void whatAReadingIsForIsAsked() {
        FormInput form = pasted(
                fresh(Family.CARAMEL), "300 g sugar\n200 g cream\nBoil the sugar to 110 °C.\nBoil on to 118 °C.");
        assertTrue(form.text("left").contains("What happens at 110 °C?"), form.text("left"));
    }

    /** Whites and grain that a method boils are marked; so they are where a family is chosen afterwards by hand. */
    @Test
    public void whatDoesNotBearBoilingIsMarked() {
        String whites = "300 g sugar\n100 g water\n60 g egg whites\n80 g roasted almonds\n";
        FormInput boiled = pasted(fresh(Family.NOUGAT), whites + "Boil everything to 140 °C.");
        for (int row : List.of(2, 3)) {
            assertTrue(
                    boiled.text("line." + row + ".guesses").contains("boils with the others, as the method says"),
                    boiled.text("line." + row + ".guesses"));
        }
        FormInput other = pasted(fresh(Family.OTHER), whites);
        assertEquals(all(other, "line", "role").subList(2, 4), List.of(Role.POT.name(), Role.POT.name()));
        FormInput chosen = act(other, "family", Map.of("family", Family.NOUGAT.name()));
        assertEquals(all(chosen, "line", "role").subList(2, 4), List.of(Role.WARM.name(), Role.WARM.name()));
        List<FormulaLine> lines = fields.read(act(chosen, "", Map.of("name", "x", "stopCelsius", "140")))
                .orElseThrow()
                .formula()
                .lines();
        assertTrue(
                lines.get(2).guesses().get(0).startsWith("usually goes in"),
                lines.get(2).guesses().toString());
        FormInput byHand = act(chosen, "family", Map.of("line.2.role", "POT", "family", Family.CARAMEL.name()));
        assertEquals(byHand.text("line.2.role"), "POT", "what a hand has chosen stays");
    }

    @Test
    public void whoseCupItIsIsAskedAndReadAgain() {
        FormInput form = pasted(fresh(Family.CARAMEL), "2 cups sugar\n1 tbsp honey\n100 g butter\n1 cup cream");
        assertTrue(FormulaActs.asksWhichCup(form));
        assertTrue(
                all(form, "line", "guesses").get(0).contains("whose cups and spoons"),
                all(form, "line", "guesses").toString());
        assertEquals(all(form, "line", "guesses").get(2), "");
        double metric = Double.parseDouble(form.text("line.0.grams"));
        FormInput us = act(form, "measures:US", Map.of("measuresWas", form.text("measures"), "line.3.grams", "240"));
        assertFalse(FormulaActs.asksWhichCup(us));
        assertEquals(us.text("measures"), "US");
        assertEquals(Double.parseDouble(us.text("line.0.grams")) / metric, 236.588 / 250, 1e-3);
        assertEquals(us.text("line.3.grams"), "240", "what was changed by hand stays");
        assertFalse(String.join("", all(us, "line", "guesses")).contains("whose cups"));
        FormInput more = act(us, "add", Map.of("quick", "1 cup honey"));
        assertFalse(FormulaActs.asksWhichCup(more), "chosen once is chosen");
    }

    @Test
    public void pastingAgainAsksAndReplacesOrAdds() {
        FormInput once = pasted(fresh(Family.CARAMEL), BURNT);
        FormInput typed = act(once, "add", Map.of("quick", "10 g lecithin"));
        String other = "Other caramel\n100 g sugar\n50 g cream\nBoil sugar and cream to 112 °C.";
        FormInput asked = pasted(typed, other);
        assertEquals(asked.text("again"), "yes");
        assertEquals(asked.text("paste"), other, "nothing is lost while it is asked");
        assertEquals(all(asked, "line", "grams"), all(typed, "line", "grams"));
        FormInput replaced = act(asked, "paste:replace", Map.of());
        assertEquals(all(replaced, "line", "grams"), List.of("10", "100", "50"), "what was typed stays");
        assertEquals(all(replaced, "step", "action"), List.of("Boil sugar and cream to 112 °C"));
        assertEquals(replaced.text("stopCelsius"), "112");
        assertEquals(replaced.text("name"), "Other caramel");
        FormInput added = act(asked, "paste:more", Map.of());
        assertEquals(all(added, "line", "grams").size(), 8);
    }

    @Test
    public void aRefusedVersionKeepsEveryMarkOnItsLine() {
        Page page = app.signedIn("runa");
        page.navigate("/formulas/new");
        page.selectOption("#family", Family.CARAMEL.name());
        page.click("text=paste a whole recipe");
        page.fill("#paste", "300 g sugar\n1 cup cream\n50 g butter\n2 vanilla pods");
        page.click("button[value=paste]");
        page.waitForSelector(".guess-mark");
        page.fill("#stopCelsius", "116");
        page.fill("#name", "Refused");
        page.click("#name");
        List<String> before = page.locator(".guess-note:has(.guess-mark)").allInnerTexts();
        assertEquals(before.size(), 3, before.toString());
        TestApp.sent(page, "button[name=keep][value=yes]");
        assertTrue(page.url().contains("/formulas/"), page.url());
        assertEquals(page.locator(".guess-note:has(.guess-mark)").allInnerTexts(), before);
        page.fill("[name=why]", "as pasted");
        TestApp.sent(page, "button[name=keep][value=yes]");
        assertTrue(page.content().contains("confirm or correct what is marked"));
        assertEquals(page.locator(".guess-note:has(.guess-mark)").allInnerTexts(), before);
        page.context().close();
    }

    @Test
    public void aStopMayBeTypedInFahrenheitAndAsARange() {
        Map<String, Optional<Double>> stops = Map.of(
                "245 F", Optional.of(118.3),
                "236\u2013239 °F", Optional.of(114.2),
                "113.3-115 °C", Optional.of(114.2),
                "112 to 114", Optional.of(113.0),
                "239-236 F", Optional.empty(),
                "hot", Optional.empty());
        stops.forEach((typed, stop) -> {
            FormInput form = act(pasted(fresh(Family.CARAMEL), BURNT), "", Map.of("name", "x", "stopCelsius", typed));
            assertEquals(fields.read(form).map(read -> read.formula().stopCelsius()), stop, typed + form.faults());
        });
    }
}
