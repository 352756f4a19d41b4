package org.zeststack.core.plan;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;
import static org.zeststack.core.Near.near;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.testng.annotations.Test;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.Body;
import org.zeststack.core.bar.Build;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.cavity.Cavity;
import org.zeststack.core.cavity.Dome;
import org.zeststack.core.cavity.TaperedCavity;
import org.zeststack.core.formula.Family;
import org.zeststack.core.formula.Finish;
import org.zeststack.core.formula.Formula;
import org.zeststack.core.formula.FormulaBalance;
import org.zeststack.core.formula.FormulaBook;
import org.zeststack.core.formula.FormulaLine;
import org.zeststack.core.formula.FormulaLine.Role;
import org.zeststack.core.formula.NamedFormula;
import org.zeststack.core.formula.Scaling;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.quantity.Refusal;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.sheet.Allowances;
import org.zeststack.core.sheet.BenchStep;
import org.zeststack.core.sheet.CouvertureBatch;
import org.zeststack.core.sheet.Finished;
import org.zeststack.core.sheet.FormulaBatch;
import org.zeststack.core.sheet.LaidBatch;
import org.zeststack.core.sheet.LayerTarget;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.core.sheet.StepKind;
import org.zeststack.core.sheet.WeighingLine;
import org.zeststack.core.stack.BarStack;
import org.zeststack.core.stack.Material;
import org.zeststack.core.stack.Parts;
import org.zeststack.core.temper.Bowl;
import org.zeststack.core.temper.Method;
import org.zeststack.core.temper.TemperPlan;
import org.zeststack.core.temper.TemperWindow;
import org.zeststack.core.workshop.Place;
import org.zeststack.core.workshop.Thermometer;

/** What a run needs where formulas, carriers and cavities meet. Sums by hand; check values only. */
public class NeedsOfRunTest {

    private static final IngredientTable TABLE = IngredientTable.shipped();
    private static final String DARK = "couverture-dark-66";
    private static final TaperedCavity TAPERED = new TaperedCavity(118, 32, 112, 26, 14);

    private static final NamedFormula CARAMEL = new NamedFormula(
            1,
            "caramel",
            1,
            new Formula(
                    Family.CARAMEL,
                    List.of(line("sugar", 500), line("glucose-syrup-42", 300), line("cream-35", 400)),
                    115.0,
                    0.05,
                    List.of()));

    /** 500 of the caramel, 500 couverture, 300 cream. */
    private static final NamedFormula GANACHE = new NamedFormula(
            2,
            "ganache",
            1,
            new Formula(
                    Family.GANACHE_CARAMEL,
                    List.of(line("formula:1:1", 500), line(DARK, 500), line("cream-35", 300)),
                    null,
                    0.02,
                    List.of()));

    private static FormulaLine line(String of, double grams) {
        return new FormulaLine(of, grams, Role.POT);
    }

    private static FormulaBook.Needs gathered(NamedFormula named) {
        return FormulaBook.needs(named.id(), named.name(), named.formula(), TABLE, link -> Optional.of(CARAMEL));
    }

    private static RunSheet plan(Bar bar, Cavity cavity, int pieces, Set<String> fromStock, NamedFormula... layers) {
        return plan("probe", bar, cavity, pieces, fromStock, layers);
    }

    private static RunSheet plan(
            String thermometer, Bar bar, Cavity cavity, int pieces, Set<String> fromStock, NamedFormula... layers) {
        IngredientTable table = TABLE;
        Map<String, Material> materials = new HashMap<>();
        TABLE.all().forEach(i -> materials.put(i.slug(), Material.of(i, null)));
        Map<String, NamedFormula> formulas = new LinkedHashMap<>();
        for (NamedFormula f : layers) {
            FormulaBook.Needs needs = gathered(f);
            table = table.with(needs.table().all());
            formulas.put(f.link().text(), f);
            materials.put(
                    f.link().text(),
                    Material.of(
                            f,
                            FormulaBook.ingredient(f, needs.table()),
                            FormulaBalance.of(f.formula(), needs.table(), 101.325),
                            null));
        }
        RunOrder order = new RunOrder(
                "test",
                1,
                BarStack.of(bar, new Parts(cavity, 1, 0, 3, 8, materials)),
                formulas,
                formulas.containsKey("formula:2:1") ? List.of(CARAMEL) : List.of(),
                fromStock,
                f -> Scaling.Limits.NONE,
                "mould",
                2,
                new Place(Place.By.ALTITUDE, 0),
                thermometer,
                Thermometer.TRUE,
                pieces,
                new Allowances(0, 0.03, 300));
        return RunPlanner.plan(order, table);
    }

    private static Bar moulded(boolean halves, BarLayer... layers) {
        return Bar.of(Build.MOULDED, new Body.Moulded(1, halves), List.of(layers));
    }

    private static final Bar BOTH = moulded(
            false,
            BarLayer.mm(LayerKind.SHELL, DARK, 1.5),
            BarLayer.mm(LayerKind.FILLING, "formula:1:1", 5),
            BarLayer.rest(LayerKind.FILLING, "formula:2:1"),
            BarLayer.mm(LayerKind.BACK, DARK, 2));

    @Test
    public void aFormulaThatIsALayerAndInAnotherOneIsCookedOnceInTheSum() {
        RunSheet sheet = plan(BOTH, TAPERED, 100, Set.of(), CARAMEL, GANACHE);
        assertEquals(sheet.formulas().stream().map(FormulaBatch::name).toList(), List.of("caramel", "ganache"));
        FormulaBatch caramel = sheet.formulas().get(0);
        FormulaBatch ganache = sheet.formulas().get(1);
        double laid = 100 * sheet.layer("filling-1").orElseThrow().window().targetGrams();
        double into = ganache.lines().get(0).grams();
        near(into, 500.0 / 1300 * ganache.finishedGrams(), 1e-6, "500 of 1300 g");
        near(caramel.uses().usableGrams(), laid + into, 1e-6, "laid and into the ganache");
        near(caramel.finishedGrams(), (laid + into) / 0.95, 1e-6, "through its own loss");
        assertEquals(caramel.taken().keySet(), Set.of("ganache"));
        List<String> steps = sheet.steps().stream().map(BenchStep::id).toList();
        assertTrue(steps.indexOf("cook:" + caramel.key()) < steps.indexOf("weigh:" + ganache.key()), steps.toString());
    }

    /** Two caramels, the first made of the second: however they are named, what is needed first is cooked first. */
    @Test
    public void nothingIsCookedBeforeWhatItIsMadeOf() {
        NamedFormula deep = new NamedFormula(
                2,
                "deep caramel",
                1,
                new Formula(
                        Family.CARAMEL,
                        List.of(line("formula:1:1", 400), line("cream-35", 300), line("sugar", 200)),
                        113.0,
                        0.02,
                        List.of()));
        Bar bar = moulded(
                false,
                BarLayer.mm(LayerKind.SHELL, DARK, 1.5),
                BarLayer.mm(LayerKind.FILLING, "formula:2:1", 5),
                BarLayer.rest(LayerKind.FILLING, "formula:5:1"),
                BarLayer.mm(LayerKind.BACK, DARK, 2));
        NamedFormula paste = new NamedFormula(
                5, "paste", 1, new Formula(Family.NUT_PASTE, List.of(line("hazelnut-paste", 100)), null, 0, List.of()));
        RunSheet sheet = plan(bar, TAPERED, 40, Set.of(), deep, paste);
        List<String> ids = sheet.steps().stream().map(BenchStep::id).toList();
        assertTrue(ids.indexOf("cook:formula-1-v1") < ids.indexOf("weigh:formula-2-v1"), ids.toString());
        assertTrue(
                ids.indexOf("cook:formula-2-v1") < ids.indexOf("weigh:formula-5-v1"), "and what must cool comes first");
        NamedFormula milled = new NamedFormula(
                1,
                "milled",
                1,
                new Formula(Family.NUT_PASTE, List.of(line("hazelnut-paste", 100)), null, 0, List.of()));
        RunSheet other = plan(bar, TAPERED, 40, Set.of(), milled, deep, paste);
        List<String> steps = other.steps().stream().map(BenchStep::id).toList();
        assertTrue(steps.indexOf("mix:formula-1-v1") < steps.indexOf("weigh:formula-2-v1"), steps.toString());
    }

    @Test
    public void whatTheGanacheTakesFromAJarIsNotCookedForIt() {
        RunSheet sheet = plan(BOTH, TAPERED, 100, Set.of("formula:1:1"), CARAMEL, GANACHE);
        double laid = 100 * sheet.layer("filling-1").orElseThrow().window().targetGrams();
        near(sheet.formulas().get(0).uses().usableGrams(), laid, 1e-6, "only what is laid");
    }

    @Test
    public void whatIsInAFormulaAndLaidByItselfIsWeighedForBoth() {
        Bar bar = moulded(
                false,
                BarLayer.mm(LayerKind.SHELL, DARK, 1.5),
                BarLayer.rest(LayerKind.FILLING, "formula:1:1"),
                BarLayer.grams(LayerKind.INCLUSION, "sugar", 1.5),
                BarLayer.mm(LayerKind.BACK, DARK, 2));
        RunSheet sheet = plan(bar, TAPERED, 100, Set.of(), CARAMEL);
        double inFormula = sheet.formulas().get(0).lines().get(0).grams();
        double listed = sheet.weighing().stream()
                .filter(w -> w.ingredient().equals("sugar"))
                .mapToDouble(WeighingLine::grams)
                .sum();
        near(listed, inFormula + 150, 1e-6, "1.5 g on each of a hundred besides");
    }

    private static NamedFormula byEye(Double least, Double greatest) {
        Formula formula = new Formula(
                Family.CARAMEL_MELTED,
                List.of(line("sugar", 500), line("cream-35", 300)),
                null,
                0.05,
                List.of(),
                new Finish(true, least, greatest, 0, 0),
                Map.of());
        return new NamedFormula(5, "pan caramel", 1, formula);
    }

    @Test
    public void aCookByEyeIsWeighedOutForTheLeastItMayLeave() {
        Bar bar = moulded(
                false,
                BarLayer.mm(LayerKind.SHELL, DARK, 1.5),
                BarLayer.rest(LayerKind.FILLING, "formula:5:1"),
                BarLayer.mm(LayerKind.BACK, DARK, 2));
        RunSheet sheet = plan(bar, TAPERED, 50, Set.of(), byEye(0.08, 0.12));
        FormulaBatch batch = sheet.formulas().get(0);
        // 500 g sugar of 0.1 % water and 300 g cream of 58.8 %: 623.1 g dry; at 8 % moisture 677.3 g are left, at 12 %
        // 708.1 g.
        double dry = 500 * 0.999 + 300 * (1 - 58.8 / 99.6);
        double wanted = batch.deposit().total() / 0.95;
        near(batch.finishedGrams(), wanted, 1e-6, "the least that may be left is enough");
        near(batch.rawGrams(), 800 * wanted / (dry / 0.92), 0.5, "800 g weighed out for every 677 g");
        near(batch.finished().mostGrams() / batch.finishedGrams(), 0.92 / 0.88, 1e-6, "the spread is shown");
        BenchStep step = sheet.step("cook:" + batch.key()).orElseThrow();
        assertTrue(step.caution().contains("burns"), "boiling sugar by eye burns like any other");
        assertEquals(batch.finished().by(), Finished.By.EYE);
    }

    @Test
    public void aCookByEyeWithoutAMoistureIsRefusedWithItsName() {
        Bar bar = moulded(
                false,
                BarLayer.mm(LayerKind.SHELL, DARK, 1.5),
                BarLayer.rest(LayerKind.FILLING, "formula:5:1"),
                BarLayer.mm(LayerKind.BACK, DARK, 2));
        Refusal refusal = expectThrows(Refusal.class, () -> plan(bar, TAPERED, 50, Set.of(), byEye(null, null)));
        assertTrue(refusal.getMessage().startsWith("pan caramel: It ends by eye"), refusal.getMessage());
    }

    @Test
    public void halvesAreWeighedOneCavityAtATimeAndPouredOutOfAllOfThem() {
        Dome dome = new Dome(15, 12);
        Bar bar = moulded(
                true,
                BarLayer.mm(LayerKind.SHELL, DARK, 1.5),
                BarLayer.rest(LayerKind.FILLING, "formula:1:1"),
                BarLayer.mm(LayerKind.BACK, DARK, 1.5));
        RunSheet sheet = plan(bar, dome, 30, Set.of(), CARAMEL);
        double density = Material.of(TABLE.get(DARK), null).densityGramsPerMl();
        double shell = dome.lined(1.5).shellMl() * density;
        LayerTarget target = sheet.layer("shell").orElseThrow();
        near(target.window().targetGrams(), shell, 1e-9, "one cavity's shell");
        assertEquals(target.perPiece(), Integer.valueOf(2));
        near(
                sheet.couvertures().get(0).deposit().pieces(),
                30 * (2 * shell + 2 * sheet.layer("back").orElseThrow().window().targetGrams()),
                1e-6,
                "both halves of thirty pieces");
        double rim = 24 * dome.lined(1.5).volumeMl() * density;
        near(
                sheet.couvertures().get(0).melt().pouredGrams(),
                Math.ceil(rim),
                1e-9,
                "out of all 24 cavities of a mould");
        assertEquals(sheet.carriers().fills(), 3, "12 pieces of a mould of 24 halves");
    }

    @Test
    public void twoSlabsAreTwoSlabsAndOffcutsCarryWhatIsStrewn() {
        Bar bar = Bar.of(
                Build.SLAB,
                new Body.Slab(300, 200, 60, 25, 15, 0, 0),
                List.of(
                        BarLayer.mm(LayerKind.FILLING, "formula:1:1", 10),
                        BarLayer.grams(LayerKind.INCLUSION, "hazelnut-roasted", 4),
                        BarLayer.pieces("almond-roasted", 2, 1.2, 0.5),
                        BarLayer.mm(LayerKind.COAT, DARK, 1)));
        RunSheet sheet = plan(bar, null, 30, Set.of(), CARAMEL);
        int of = sheet.carriers().cavities();
        assertEquals(sheet.carriers().fills(), 2);
        assertEquals(sheet.carriers().spare(), Integer.valueOf(2 * of - 30));
        double used = of * 60 * 25.0 / (300 * 200);
        LaidBatch nuts = sheet.laid().get(0);
        near(nuts.deposit().total(), 2 * of * 4 / used, 1e-6, "nuts on two whole slabs, off-cuts too");
        near(nuts.deposit().pieces(), 30 * 4, 1e-9, "of them in the pieces");
        near(sheet.laid().get(1).deposit().total(), 2 * of * 2.4, 1e-9, "set one by one, also on the spare pieces");
        near(
                sheet.couvertures().get(0).deposit().total(),
                sheet.couvertures().get(0).deposit().pieces(),
                1e-9,
                "only the pieces are dipped");
    }

    @Test
    public void withoutAThermometerPotsAreWeighedAndBowlsAreFelt() {
        RunSheet sheet = plan("", BOTH, TAPERED, 48, Set.of(), CARAMEL, GANACHE);
        FormulaBatch caramel = sheet.formula("formula-1-v1").orElseThrow();
        // What boils off is what the balance of the formula itself loses, in the same proportion.
        FormulaBalance own = FormulaBalance.of(CARAMEL.formula(), TABLE, 101.325);
        near(
                caramel.cooking().cookedGrams().orElseThrow() / caramel.rawGrams(),
                own.leastGrams() / 1200,
                1e-9,
                "of 1200 g");
        near(
                caramel.cooking().cookedGrams().orElseThrow(),
                caramel.finishedGrams(),
                1e-9,
                "nothing goes in after the stop");
        String cook = Say.metric(sheet.step("cook:formula-1-v1").orElseThrow().detail());
        assertTrue(
                cook.contains(Math.round(caramel.cooking().cookedGrams().orElseThrow()) + " g when it is done"), cook);
        assertTrue(cook.contains("cold water: soft ball"), cook + " at 115 °C, 239 °F");
        BenchStep temper = sheet.steps().stream()
                .filter(s -> s.kind() == StepKind.TEMPER)
                .findFirst()
                .orElseThrow();
        double melt = sheet.couvertures().get(0).meltGrams();
        CouvertureBatch couverture = sheet.couvertures().get(0);
        TemperPlan plan = TemperPlan.of(
                Method.SEED,
                new TemperPlan.Of(
                        TemperWindow.of(couverture.kind()),
                        melt,
                        couverture.of().cocoaButterFraction().orElseThrow(),
                        Bowl.NONE,
                        20,
                        false));
        assertTrue(
                Say.metric(temper.detail())
                        .matches("Melt %.0f g .* stir in about %.0f g grated,.*"
                                .formatted(plan.meltGrams(), plan.seedGrams())),
                temper.detail() + ": as the plan of a light bowl has it");
        sheet.steps().forEach(s -> assertTrue(!s.detail().contains("°C"), s.title() + ": " + s.detail()));
        assertTrue(!sheet.gauge().measured()
                && plan(BOTH, TAPERED, 48, Set.of(), CARAMEL, GANACHE).gauge().measured());
    }

    @Test
    public void theDippingBowlHoldsWhatTheBarSays() {
        Bar plain = Bar.of(
                Build.SLAB,
                new Body.Slab(300, 200, 60, 25, 0, 0, 0),
                List.of(BarLayer.mm(LayerKind.FILLING, "formula:1:1", 10), BarLayer.mm(LayerKind.COAT, DARK, 1)));
        Bar bar = new Bar(
                plain.build(),
                plain.body(),
                plain.layers(),
                plain.finish(),
                plain.storage(),
                plain.soldAs(),
                null,
                null,
                220.0,
                List.of());
        RunSheet sheet = plan(bar, null, 40, Set.of(), CARAMEL);
        double density = Material.of(TABLE.get(DARK), null).densityGramsPerMl();
        // A bowl of 220 mm, the coated piece of 12 mm and 10 mm over it.
        double grams = Math.PI / 4 * 220 * 220 * 22 / 1000 * density;
        near(sheet.couvertures().get(0).melt().bowlGrams(), Math.ceil(grams), 1e-9, "π/4 d² × depth × density");
        assertTrue(sheet.calls().stream()
                .anyMatch(c -> Say.metric(c.message()).contains("%.0f g beyond".formatted(grams))));
    }
}
