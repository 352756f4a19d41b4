package org.zeststack.web.bar;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.app.bar.BarActs;
import org.zeststack.app.bar.BarFields;
import org.zeststack.app.bar.BarWorkings;
import org.zeststack.app.bar.BodyFields;
import org.zeststack.app.bar.NewBar;
import org.zeststack.app.design.MethodFields;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.Body;
import org.zeststack.core.bar.Build;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.judge.BarCalls;
import org.zeststack.core.method.Act;
import org.zeststack.core.method.MethodStep;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.stack.BarStack;
import org.zeststack.core.stack.BuildSteps;
import org.zeststack.core.stack.StackLayer;
import org.zeststack.core.typed.FormInput;
import org.zeststack.core.typed.Rows;
import org.zeststack.web.WithDemo;

/** A bar's form without a browser: what is typed, read, acted on and drawn. */
public class BarFormTest extends WithDemo {

    private BarFields fields;
    private BarPage page;
    private BarActs acts;

    @BeforeClass
    public void open() {
        fields = app.bean(BarFields.class);
        page = app.bean(BarPage.class);
        acts = app.bean(BarActs.class);
    }

    @DataProvider
    public Object[][] bars() {
        BarLayer.Insert free = new BarLayer.Insert(BarLayer.Shape.FREE, 40, 18, 3, 500, 0.5, 0.4, 44);
        BarLayer.Insert disc = new BarLayer.Insert(BarLayer.Shape.DISC, 30, 30, 2.4, 0, 0.6, 0, 0);
        BarLayer.Faces bottom = new BarLayer.Faces(true, false, false, false);
        BarLayer.Faces whole = new BarLayer.Faces(true, true, true, true);
        return new Object[][] {
            {
                Build.MOULDED,
                new Body.Moulded(1, false),
                List.of(
                        LayerKind.DECORATION.usual(),
                        BarLayer.grams(LayerKind.SHELL, "couverture-dark-66", 11.5),
                        BarLayer.mm(LayerKind.FILLING, "formula:1:2", 4).at(24.5),
                        BarLayer.mm(LayerKind.INSERT, "rye-wafer", 0).with(free),
                        BarLayer.mm(LayerKind.INSERT, "wafer-sheet", 0)
                                .with(disc)
                                .mixed(new BarLayer.Mix("cocoa-butter", 0.125, false)),
                        BarLayer.pieces("hazelnut-roasted", 3, 1.2, 0.75),
                        BarLayer.rest(LayerKind.FILLING, "gianduja"),
                        BarLayer.mm(LayerKind.BACK, "couverture-milk-38", 2).between(0.8, 2.6),
                        LayerKind.TOPPING.usual())
            },
            {
                Build.SLAB,
                new Body.Slab(360, 270, 60.5, 25, 1.2, 4, 2),
                List.of(
                        BarLayer.mm(LayerKind.FOOT, "couverture-dark-66", 0.8),
                        BarLayer.mm(LayerKind.FILLING, "marzipan", 9),
                        BarLayer.mm(LayerKind.COAT, "couverture-dark-66", 1).on(bottom),
                        BarLayer.grams(LayerKind.COAT, "couverture-dark-66", 6).on(whole))
            },
            {
                Build.TRAY,
                new Body.Tray(330.2, 228.6, 4, 10, 1, 3),
                List.of(
                        BarLayer.mm(LayerKind.BASE, "biscuit-shortbread", 7),
                        BarLayer.mm(LayerKind.SHEET, "couverture-dark-66", 0.6),
                        BarLayer.mm(LayerKind.FILLING, "caramel-bought", 6),
                        BarLayer.mm(LayerKind.VENEER, "couverture-milk-38", 2))
            },
            {
                Build.SHAPED,
                new Body.Shaped(Body.Form.LOG, 0, 18, 0, 25),
                List.of(BarLayer.mm(LayerKind.FILLING, "marzipan", 0), BarLayer.mm(LayerKind.COAT, "compound-dark", 1))
            },
            {
                Build.OPEN,
                new Body.Sheet(300, 200, false, List.of(50.0, 40.0), 2),
                List.of(BarLayer.mm(LayerKind.SHEET, "couverture-dark-66", 2)
                        .mixed(new BarLayer.Mix("couverture-white-34", 0.3, true)))
            },
        };
    }

    @Test(dataProvider = "bars")
    public void everythingABarSaysIsWrittenAndReadBack(Build build, Body body, List<BarLayer> layers) {
        Bar bar = new Bar(
                build,
                body,
                layers,
                Bar.Finish.KEPT_COLD,
                Bar.Storage.FRIDGE,
                Bar.SoldAs.OWN_NAME,
                45.5,
                19.0,
                220.0,
                List.of(
                        new MethodStep("Sing to the moulds", "they hum", ""),
                        new MethodStep("Pour", "", "")
                                .doing(Act.LAY, layers.get(0).kind().words() + "-1")));
        FormInput form = FormInput.of(fields.of(bar));
        Bar read = fields.read(form)
                .orElseThrow(() -> new AssertionError(form.faults()))
                .bar();
        assertEquals(read, bar);
    }

    private static Map<String, String> tray() {
        Map<String, String> fields = new LinkedHashMap<>();
        BodyFields.put(fields, new Body.Tray(300, 200, 4, 10, 1, 0));
        return fields;
    }

    @DataProvider
    public Object[][] lengths() {
        // as typed, mm: one inch is 25.4 mm by definition
        return new Object[][] {
            {"330", 330.0},
            {"33 cm", 330.0},
            {"13 in", 330.2},
            {"13\"", 330.2},
            {"13 ½ inches", 342.9},
            {"330,5", 330.5},
            {"330 mm", 330.0},
        };
    }

    @Test(dataProvider = "lengths")
    public void lengthsAreReadInMillimetresCentimetresAndInches(String typed, double mm) {
        Map<String, String> fields = tray();
        fields.put("body.lengthMm", typed);
        FormInput form = FormInput.of(fields);
        Body.Tray tray = (Body.Tray) BodyFields.read(form);
        assertFalse(form.faulty(), form.faults().toString());
        assertEquals(tray.lengthMm(), mm, 1e-9);
        assertEquals(form.text("body.lengthMm"), typed, "what was typed stays");
    }

    @Test
    public void lengthsOutOfRangeAreRefusedInTheirOwnUnit() {
        for (String typed : List.of("300 cm", "0.1 in", "long", "-3 cm")) {
            Map<String, String> fields = tray();
            fields.put("body.lengthMm", typed);
            FormInput form = FormInput.of(fields);
            BodyFields.read(form);
            assertEquals(form.faults().stream().map(Fault::field).toList(), List.of("body.lengthMm"), typed);
        }
    }

    private FormInput lantern() {
        return page.saved(4);
    }

    private static List<String> kinds(FormInput form) {
        List<String> kinds = new ArrayList<>();
        Rows.used(form, "layer").forEach(n -> kinds.add(form.text("layer." + n + ".kind")));
        return kinds;
    }

    private void act(String act, FormInput form) {
        BarPage.Computed before = page.compute(FormInput.of(form.typed()));
        acts.act(act, form, before.stack(), before.rows());
    }

    @DataProvider
    public Object[][] additions() {
        return new Object[][] {
            {"FILLING", List.of("SHELL", "FILLING", "FILLING", "FILLING", "BACK")},
            {"INSERT", List.of("SHELL", "FILLING", "FILLING", "INSERT", "BACK")},
            {"DECORATION", List.of("DECORATION", "SHELL", "FILLING", "FILLING", "BACK")},
            {"TOPPING", List.of("SHELL", "FILLING", "FILLING", "BACK", "TOPPING")},
        };
    }

    @Test(dataProvider = "additions")
    public void aLayerIsAddedWhereItBelongs(String kind, List<String> kinds) {
        FormInput form = lantern();
        form.typed().put("newKind", kind);
        act("add", form);
        assertEquals(kinds(form), kinds);
        assertTrue(page.compute(form).read().isPresent(), form.faults().toString());
    }

    @Test
    public void aProposedChangeIsPutIntoTheRowThatWasTyped() {
        FormInput form = lantern();
        // Rows need not be numbered without gaps.
        form.typed().keySet().removeIf(f -> f.startsWith("layer.1."));
        form.typed().put("layer.3.amount", "0.5");
        BarStack stack = page.compute(FormInput.of(form.typed())).stack().orElseThrow();
        int number = 0;
        while (!BarCalls.of(stack).get(number).code().equals("back-too-thin")) {
            number++;
        }
        act("apply:" + number, form);
        assertEquals(form.text("layer.3.amount"), "1.9", "the middle of 1 to 2.8 mm");
        act("apply:99", form);
        act("no such act", form);
        assertEquals(form.text("layer.3.amount"), "1.9");
    }

    /** A bar whose steps nobody touched stores none, so that they follow its layers. */
    @Test
    public void usualStepsComeBackFromTheFormAsTheyWentIn() {
        FormInput form = lantern();
        BarStack stack = page.compute(FormInput.of(form.typed())).stack().orElseThrow();
        List<MethodStep> usual = BuildSteps.usual(stack);
        MethodFields.replace(form, usual);
        assertEquals(MethodFields.read(form), usual);
    }

    @Test
    public void theUsualStepsTakeThePlaceOfUntouchedOnesOnly() {
        FormInput form = lantern();
        act("method", form);
        int usual = Rows.used(form, "step").size();
        assertTrue(usual >= 8, usual + " steps");
        act("method", form);
        assertEquals(Rows.used(form, "step").size(), usual, "steps that nobody has touched are replaced");
        MethodFields.put(form.typed(), usual, new MethodStep("Sing to the moulds", "", ""));
        form.typed().put("step.0.action", "Temper it my way");
        act("method", form);
        assertEquals(Rows.used(form, "step").size(), usual + 1, "what somebody wrote beside them stays");
        assertEquals(form.text("step." + usual + ".action"), "Sing to the moulds");
        assertEquals(form.text("step.0.action"), "Temper it my way");
    }

    @Test
    public void snappingMovesTheLayerToAWholeGram() {
        FormInput form = lantern();
        form.typed().putAll(Map.of("snap", "yes", "moved", "layer.1.amount"));
        BarPage.Computed before = page.compute(form);
        Map<String, String> set = page.snap(form, before);
        assertEquals(set.keySet(), java.util.Set.of("layer.1.amount"));
        StackLayer snapped = page.compute(form).stack().orElseThrow().layers().get(1);
        assertEquals(
                snapped.grams(),
                Math.rint(before.stack().orElseThrow().layers().get(1).grams()),
                0.01);
        form.typed().put("moved", "name");
        assertTrue(page.snap(form, before).isEmpty(), "only a boundary snaps");
    }

    @Test
    public void handlesMoveWhatTheySay() {
        for (long id : List.of(4L, 5L, 15L, 16L, 17L, 18L, 19L)) {
            FormInput form = page.saved(id);
            BarPage.Computed computed = page.compute(form);
            List<Handle> handles = Handle.of(computed.stack().orElseThrow(), computed.rows());
            assertFalse(handles.isEmpty());
            for (Handle handle : handles) {
                if (handle.label().startsWith("Coat")) {
                    // The outermost boundary stays at the edge of the drawing, whatever the coat.
                    continue;
                }
                double step = 0.2;
                form.typed().put(handle.field(), FormInput.shown(handle.amount() + handle.perMm() * step));
                BarPage.Computed moved = page.compute(FormInput.of(form.typed()));
                double there = Handle.of(moved.stack().orElseThrow(), moved.rows()).stream()
                        .filter(h -> h.field().equals(handle.field()))
                        .findFirst()
                        .orElseThrow()
                        .yMm();
                double high = org.zeststack.core.picture.CrossSection.across(
                                        moved.stack().orElseThrow())
                                .depthMm()
                        - org.zeststack.core.picture.CrossSection.across(
                                        computed.stack().orElseThrow())
                                .depthMm();
                // Pieces that stand grow upwards: the top of the drawing moves with them.
                double expected = handle.yMm() + step + (high == 0 ? 0 : high);
                assertEquals(there, expected, 0.02, "bar " + id + ", " + handle.label());
                form.typed().put(handle.field(), FormInput.shown(handle.amount()));
            }
        }
    }

    @Test
    public void labelsStandInOrderAndApart() {
        List<Double> placed = BarDrawing.spread(List.of(0.0, 0.1, 0.2, 5.0, 5.05), 1.5);
        for (int i = 0; i + 1 < placed.size(); i++) {
            assertTrue(placed.get(i + 1) - placed.get(i) >= 1.5 - 1e-3, placed.toString());
        }
        assertEquals(BarDrawing.spread(List.of(1.0, 9.0), 1.5), List.of(1.0, 9.0), "what is apart stays");
    }

    @Test
    public void everyDemoBarHasEveryLayerInItsLegendAndItsTable() {
        for (long id : List.of(4L, 5L, 15L, 16L, 17L, 18L, 19L)) {
            BarPage.Computed computed = page.compute(page.saved(id));
            BarStack stack = computed.stack().orElseThrow();
            BarDrawing drawing = BarDrawing.of(stack, Handle.of(stack, computed.rows()), Optional.empty(), false);
            assertEquals(
                    drawing.labels().stream()
                            .map(BarDrawing.Label::layer)
                            .sorted()
                            .toList(),
                    stack.layers().stream().map(StackLayer::key).sorted().toList(),
                    "bar " + id);
        }
    }

    @Test
    public void aNewBarNeedsWhatGoesWithItsBuild() {
        NewBar newBar = app.bean(NewBar.class);
        FormInput wrong = FormInput.of(
                Map.of("build", "MOULDED", "madeIn", "hand", "material.ingredient", "moon dust", "material.slug", ""));
        assertTrue(newBar.read(wrong).isEmpty());
        assertEquals(wrong.faults().stream().map(Fault::field).toList(), List.of("madeIn", "material.ingredient"));
        for (Build build : Build.values()) {
            FormInput form =
                    FormInput.of(Map.of("build", build.name(), "madeIn", build == Build.MOULDED ? "mould-1" : "free"));
            Bar bar = newBar.read(form).orElseThrow(() -> new AssertionError(build + " " + form.faults()));
            assertEquals(bar.build(), build);
            app.bean(BarWorkings.class).work(bar);
        }
    }
}
