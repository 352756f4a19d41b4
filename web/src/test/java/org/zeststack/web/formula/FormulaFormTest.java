package org.zeststack.web.formula;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.app.formula.FormulaActs;
import org.zeststack.app.formula.FormulaFields;
import org.zeststack.app.formula.LineFields;
import org.zeststack.app.formula.ScaleForm;
import org.zeststack.app.shelf.Shelf;
import org.zeststack.core.formula.DefaultMethods;
import org.zeststack.core.formula.Family;
import org.zeststack.core.formula.Finish;
import org.zeststack.core.formula.Formula;
import org.zeststack.core.formula.FormulaLine;
import org.zeststack.core.formula.FormulaLine.Role;
import org.zeststack.core.formula.NamedFormula;
import org.zeststack.core.formula.Scaling;
import org.zeststack.core.ingredient.Ingredient;
import org.zeststack.core.typed.FormInput;
import org.zeststack.core.typed.Rows;
import org.zeststack.web.WithDemo;

/** A formula's form without a browser: to text and back, the acts of its buttons, and scaling. */
public class FormulaFormTest extends WithDemo {

    private FormulaFields fields;
    private FormulaActs acts;
    private FormulaWorkings workings;
    private ScaleForm scaling;
    private Shelf shelf;

    @BeforeClass
    public void open() {
        fields = new FormulaFields(app.bean(LineFields.class));
        acts = app.bean(FormulaActs.class);
        workings = app.bean(FormulaWorkings.class);
        scaling = app.bean(ScaleForm.class);
        shelf = app.bean(Shelf.class);
    }

    private static Formula caramel() {
        return new Formula(
                Family.CARAMEL,
                List.of(
                        new FormulaLine("sugar", 400, Role.POT),
                        new FormulaLine("glucose-syrup-42", 250, Role.POT),
                        new FormulaLine("cream-35", 400, Role.POT)),
                118.0,
                0.03,
                DefaultMethods.of(Family.CARAMEL));
    }

    private FormInput form(Formula formula) {
        Map<String, String> typed = fields.of(formula);
        typed.put("name", "Any");
        return FormInput.of(typed);
    }

    @Test
    public void everyFormulaComesBackFromItsFields() {
        SplittableRandom random = new SplittableRandom(8);
        List<Ingredient> all = List.copyOf(shelf.table().all());
        for (int i = 0; i < 60; i++) {
            Family family = Family.values()[random.nextInt(Family.values().length)];
            List<FormulaLine> lines = new ArrayList<>();
            for (int n = 0; n <= random.nextInt(8); n++) {
                lines.add(new FormulaLine(
                        all.get(random.nextInt(all.size())).slug(),
                        (1 + random.nextInt(99_999)) / 100.0,
                        Role.values()[random.nextInt(4)],
                        random.nextInt(3) == 0 ? Double.valueOf(1 + random.nextInt(6)) : null,
                        random.nextBoolean(),
                        random.nextBoolean() ? Integer.valueOf(1 + random.nextInt(9)) : null,
                        random.nextBoolean() ? "2 eggs" : "",
                        random.nextBoolean() ? List.of("one guess", "another") : List.of()));
            }
            lines.add(new FormulaLine("cream-35", 20, Role.OFF_HEAT, null, true, null, "", List.of(), 45.0));
            lines.add(new FormulaLine("formula:2:1", 100, Role.POT));
            Finish finish = random.nextBoolean()
                    ? new Finish(true, 0.05, 0.09, 0.04, 0.25)
                    : new Finish(true, 0.05, 0.09, 0.04, 0, 250.0, 200.0);
            Formula formula = new Formula(family, lines, null, 0.03, DefaultMethods.of(family), finish, Map.of());
            FormInput form = form(formula);
            Optional<FormulaFields.Read> read = fields.read(form);
            assertTrue(read.isPresent(), form.faults().toString());
            assertEquals(read.get().formula(), formula, "seed 8, round " + i);
        }
    }

    @Test
    public void whatOnePieceWeighsAndTheGramsFollowEachOther() {
        FormulaLine bought = new FormulaLine("caramel-bought", 240, Role.POT, 30.0, false, null, "", List.of());
        FormInput form = form(caramel().withLines(List.of(bought)));
        assertEquals(form.text("line.0.each"), "8", "240 g of 30 pieces");
        form.typed().put("line.0.each", "9.5");
        assertEquals(fields.read(form).orElseThrow().formula().lines().get(0).grams(), 285.0, "30 of 9.5 g");
        assertEquals(form.text("line.0.grams"), "285");
        form.typed().put("line.0.grams", "300");
        assertEquals(fields.read(form).orElseThrow().formula().lines().get(0).grams(), 300.0);
        assertEquals(form.text("line.0.each"), "10");
        form.typed().put("line.0.each", "none");
        fields.read(form);
        assertTrue(form.fault("line.0.each").contains("not a number"), form.fault("line.0.each"));
    }

    /** What may stand in the name of a line, and what it must be taken for. */
    @DataProvider
    public Object[][] names() {
        return new Object[][] {
            {"Sugar (white)", "sugar"},
            {"sugar", "sugar"},
            {"heavy cream", "cream-35"},
            {"Roasted-sunflower paste", "formula:2:1"},
            {"Burnt-honey and bay caramel, version 2", "formula:1:2"},
            {"formula:1:1", "formula:1:1"},
            {"cream", null},
            {"unobtainium", null},
            {"formula:77:1", null},
        };
    }

    @Test(dataProvider = "names")
    public void namesAreResolvedOrTold(String typed, String slug) {
        FormInput form = form(caramel());
        form.typed().put("line.0.ingredient", typed);
        Optional<FormulaFields.Read> read = fields.read(form);
        if (slug == null) {
            assertTrue(read.isEmpty());
            assertTrue(
                    form.fault("line.0.ingredient").contains("store room"),
                    form.faults().toString());
        } else {
            assertEquals(read.orElseThrow().formula().lines().get(0).ingredient(), slug);
        }
    }

    /** What may stand in an amount, in metric measures, for sugar. */
    @DataProvider
    public Object[][] amounts() {
        return new Object[][] {
            {"250", 250.0},
            {"250 g", 250.0},
            {"0,5 kg", 500.0},
            {"1 lb", 453.59},
            {"\u00bd", 0.5},
            {"2 cubes", 8.0},
            {"1 cup", 211.3},
            {"a pinch", null},
            {"some", null},
            {"0", null},
            {"-4", null},
            {"1,250", null},
            {"", null},
        };
    }

    @Test(dataProvider = "amounts")
    public void amountsAreReadInAnyMeasure(String typed, Double grams) {
        FormInput form = form(caramel());
        form.typed().put("line.0.grams", typed);
        Optional<FormulaFields.Read> read = fields.read(form);
        if (grams == null && !typed.equals("a pinch")) {
            assertTrue(read.isEmpty(), typed);
            assertFalse(form.fault("line.0.grams").isEmpty(), typed);
        } else if (grams != null) {
            assertEquals(read.orElseThrow().formula().lines().get(0).grams(), grams, 0.1, typed);
        } else {
            assertFalse(read.orElseThrow().formula().lines().get(0).guesses().isEmpty(), "a pinch is a guess");
        }
    }

    private FormInput acted(FormInput form, String act) {
        acts.act(act, form, fields);
        return form;
    }

    private List<String> column(FormInput form, String what, String field) {
        return Rows.used(form, what).stream()
                .map(n -> form.text(what + "." + n + "." + field))
                .toList();
    }

    @Test
    public void rowsAreMovedDroppedAndAdded() {
        FormInput form = form(caramel());
        assertEquals(
                column(acted(form, "up:2:line"), "line", "slug"), List.of("sugar", "cream-35", "glucose-syrup-42"));
        assertEquals(column(acted(form, "up:0:line"), "line", "slug").get(0), "sugar", "the first stays");
        assertEquals(column(acted(form, "drop:1:line"), "line", "slug"), List.of("sugar", "glucose-syrup-42"));
        form.typed().put("quick", "50 g butter\n2 egg whites\nsalt to taste");
        assertEquals(
                column(acted(form, "add"), "line", "slug"),
                List.of("sugar", "glucose-syrup-42", "butter", "egg-white", "salt"));
        assertEquals(form.text("quick"), "");
        assertEquals(column(form, "line", "pieces").get(3), "2");
        assertEquals(column(form, "line", "effect").get(4), "yes");
        Map<String, String> before = new LinkedHashMap<>(form.typed());
        assertEquals(acted(form, "nonsense:9:x").typed(), before, "an unknown act changes nothing");
    }

    @Test
    public void guessesAreTakenOrCorrectedFromWhatWasWritten() {
        FormInput form = form(caramel());
        form.typed().put("measures", "US");
        form.typed().put("quick", "1 cup cream");
        acted(form, "add");
        assertFalse(form.text("line.3.guesses").isEmpty());
        assertTrue(form.text("line.3.others").contains("cream-48"));
        acted(form, "take:3:cream-48");
        assertEquals(form.text("line.3.slug"), "cream-48");
        assertEquals(form.text("line.3.grams"), "236");
        assertEquals(form.text("line.3.guesses"), "");
        acted(form, "take:3:no-such-thing");
        assertEquals(form.text("line.3.slug"), "cream-48");
    }

    @Test
    public void theMethodFollowsTheFamilyUntilSomebodyWrites() {
        FormInput form = form(caramel());
        form.typed().put("family", "GEL");
        acted(form, "family");
        assertEquals(
                column(form, "step", "action").get(0),
                DefaultMethods.of(Family.GEL).get(0).action());
        form.typed().put("step.0.action", "My own way");
        form.typed().put("family", "CRUNCH");
        acted(form, "family");
        assertEquals(column(form, "step", "action").get(0), "My own way");
        int before = column(form, "step", "action").size();
        acted(form, "method");
        assertEquals(
                column(form, "step", "action").size(),
                before + DefaultMethods.of(Family.CRUNCH).size());
    }

    /** By what, with what, and the factor for 1050 g of lines; or the field that is at fault. */
    @DataProvider
    public Object[][] scalings() {
        return new Object[][] {
            {"FACTOR", "2", "", "", 2.0, null},
            {"FACTOR", "zero", "", "", null, "scale.amount"},
            {"LINE", "800", "line", "0", 2.0, null},
            {"LINE", "800", "line", "9", null, "scale.line"},
            {"TRAYS", "", "tray", "9 x 13 in", null, null},
            {"TRAY", "10", "tray", "round", null, "scale.tray"},
            {"TRAY", "10", "tray", "5 x 5 mm", null, "scale.tray"},
            {"PIECES", "100", "bar", "", null, "scale.bar"},
            {"USABLE", "-1", "", "", null, "scale.amount"},
        };
    }

    @Test(dataProvider = "scalings")
    public void scalesByAnythingAndSaysWhatIsWrong(
            String by, String amount, String field, String value, Double factor, String fault) {
        FormInput form = form(caramel());
        form.typed().put("scale.by", by);
        form.typed().put("scale.amount", amount);
        form.typed().put("scale." + (field.isEmpty() ? "none" : field), value);
        FormulaFields.Read read = fields.read(form).orElseThrow();
        var worked = workings.work(0, "Any", read.formula());
        Optional<Scaling> scaled = scale(form, 0, read, worked);
        if (fault != null) {
            assertTrue(scaled.isEmpty());
            assertFalse(form.fault(fault).isEmpty(), form.faults().toString());
        } else if (factor == null) {
            assertTrue(scaled.isEmpty() && !form.faulty(), "not yet asked for: the other tray is missing");
        } else {
            assertEquals(scaled.orElseThrow().factor(), factor, 1e-9);
        }
    }

    private Optional<Scaling> scale(FormInput form, long id, FormulaFields.Read read, FormulaWorkings.Worked worked) {
        var of = new ScaleForm.Scaled(
                new NamedFormula(id, "Any", 1, read.formula()), worked.balance(), worked.used(), worked.table(), 94);
        return scaling.scale(form, read, of).map(ScaleForm.Result::scaling);
    }

    @Test
    public void piecesAndMouldsOfABarAskForItsFilling() {
        FormInput form = FormInput.of(new LinkedHashMap<>(fields.of(caramel())));
        form.typed().put("name", "Any");
        form.typed().put("scale.bar", "4");
        form.typed().put("scale.by", "PIECES");
        form.typed().put("scale.amount", "100");
        FormulaFields.Read read = fields.read(form).orElseThrow();
        var worked = workings.work(1, "Any", read.formula());
        double hundred = scale(form, 1, read, worked).orElseThrow().usableGrams();
        form.typed().put("scale.by", "MOULDS");
        form.typed().put("scale.amount", "10");
        double tenMoulds = scale(form, 1, read, worked).orElseThrow().usableGrams();
        assertEquals(tenMoulds, hundred, 1e-6, "ten moulds of ten cavities");
        form.typed().put("scale.by", "TRAYS");
        form.typed().put("scale.from", "9 x 9 in");
        form.typed().put("scale.tray", "9 \u00d7 13 in");
        // F01: by area, 1.444 ± 0.001.
        assertEquals(scale(form, 1, read, worked).orElseThrow().factor(), 1.444, 0.001);
        form.typed().put("scale.from", "6 x 6 in");
        // F02: by area, 3.25.
        assertEquals(scale(form, 1, read, worked).orElseThrow().factor(), 3.25, 1e-9);
    }
}
