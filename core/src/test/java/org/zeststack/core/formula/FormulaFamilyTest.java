package org.zeststack.core.formula;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;
import static org.zeststack.core.Near.near;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.air.Atmosphere;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.explain.Call;
import org.zeststack.core.formula.FormulaLine.Role;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.ingredient.Nature;
import org.zeststack.core.judge.FormulaCalls;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.rule.Bounds;

public class FormulaFamilyTest {

    private static final IngredientTable TABLE = IngredientTable.shipped();

    private static Formula formula(Family family, Double stop, Object... slugsAndGrams) {
        List<FormulaLine> lines = new ArrayList<>();
        for (int i = 0; i < slugsAndGrams.length; i += 2) {
            lines.add(new FormulaLine(
                    (String) slugsAndGrams[i], ((Number) slugsAndGrams[i + 1]).doubleValue(), Role.POT));
        }
        return new Formula(family, lines, stop, 0, List.of());
    }

    private static Optional<Call> call(Formula formula, String code) {
        FormulaBalance balance = FormulaBalance.of(formula, TABLE, Atmosphere.SEA_LEVEL_KPA);
        Makeup makeup = Makeup.of(formula, balance, TABLE, Map.of());
        return FormulaCalls.of(formula, balance, makeup, Bounds.shipped()).stream()
                .filter(c -> c.code().equals(code))
                .findFirst();
    }

    private static Call.Weight weight(Formula formula, String code) {
        return call(formula, code).map(Call::weight).orElse(null);
    }

    /** Proportions of chocolate to cream by mass and what they are used for; common practice, no source. */
    @DataProvider
    public Object[][] ganaches() {
        return new Object[][] {
            {"couverture-dark-58", 1.0, "fills a shell"},
            {"couverture-dark-58", 2.0, "rolls"},
            {"couverture-dark-58", 2.6, "cuts"},
            {"couverture-milk-38", 1.7, "fills a shell"},
            {"couverture-milk-38", 2.5, "rolls"},
            {"couverture-white-30", 2.2, "fills a shell"},
            {"couverture-white-30", 3.0, "rolls"},
        };
    }

    @Test(dataProvider = "ganaches")
    public void aGanacheIsWhatItsProportionSays(String chocolate, double toOneOfCream, String use) {
        Composition mass = TABLE.get(chocolate)
                .grams(100 * toOneOfCream)
                .plus(TABLE.get("cream-35").grams(100));
        assertEquals(
                Proportions.use(Proportions.firmness(mass), Bounds.shipped()),
                use,
                "firmness " + Proportions.firmness(mass));
    }

    @Test
    public void sugarWithoutSyrupGrains() {
        Formula plain = formula(Family.CARAMEL, 118.0, "sugar", 500, "cream-35", 400, "butter", 50);
        assertEquals(weight(plain, "graining"), Call.Weight.WILL_FAIL);
        Formula doctored = formula(Family.CARAMEL, 118.0, "sugar", 350, "glucose-syrup-42", 250, "cream-35", 400);
        assertTrue(call(doctored, "graining").isEmpty());
        Formula sticky = formula(Family.CARAMEL, 118.0, "sugar", 100, "glucose-syrup-42", 400, "cream-35", 300);
        assertEquals(weight(sticky, "cold-flow"), Call.Weight.TAKE_CARE);
    }

    /** A nougat whipped of sugar that is not boiled, and a fondant, are grain: common practice, no source. */
    @Test
    public void whatIsGrainByNatureIsNotWarnedOf() {
        Formula whipped = formula(Family.NOUGAT_QUICK, null, "icing-sugar", 500, "egg-white", 80, "butter", 100);
        assertTrue(call(whipped, "graining").isEmpty());
        Formula fondant = formula(Family.FONDANT, 115.0, "sugar", 500, "water", 150);
        assertTrue(call(fondant, "graining").isEmpty());
        Formula boiled = formula(Family.NOUGAT_SLAB, 130.0, "sugar", 500, "water", 150, "egg-white", 80);
        assertEquals(weight(boiled, "graining"), Call.Weight.WILL_FAIL);
    }

    @Test
    public void fatWithoutMilkSplits() {
        Formula fat =
                formula(Family.CARAMEL, 116.0, "sugar", 300, "glucose-syrup-42", 250, "butter", 350, "water", 100);
        assertEquals(weight(fat, "fat-split"), Call.Weight.TAKE_CARE);
    }

    @Test
    public void familiesKnowTheirOwnFaults() {
        assertEquals(
                weight(formula(Family.NOUGAT, 140.0, "sugar", 300, "honey", 200, "water", 90), "no-whites"),
                Call.Weight.WILL_FAIL);
        assertEquals(
                weight(formula(Family.COATING_MIX, null, "couverture-dark-58", 300, "milk-whole", 30), "seizes"),
                Call.Weight.WILL_FAIL);
        assertEquals(
                weight(formula(Family.CRUNCH, null, "wafer-flakes", 100, "cream-35", 60), "crunch-wet"),
                Call.Weight.TAKE_CARE);
        assertEquals(
                weight(formula(Family.GEL, null, "raspberry-puree", 300, "sugar", 100), "brix"), Call.Weight.TAKE_CARE);
        assertEquals(
                weight(formula(Family.GEL, null, "raspberry-puree", 300, "sugar", 600), "gelling"),
                Call.Weight.TAKE_CARE);
        assertEquals(
                weight(
                        formula(Family.NUT_TEMPERED, null, "hazelnut-paste", 500, "couverture-dark-58", 50),
                        "solid-fat"),
                Call.Weight.TAKE_CARE);
        assertEquals(
                weight(
                        formula(Family.NUT_TEMPERED, null, "hazelnut-paste", 300, "couverture-milk-38", 300),
                        "solid-fat"),
                Call.Weight.GOOD_TO_KNOW);
        assertEquals(
                weight(
                        formula(Family.GANACHE, null, "couverture-dark-58", 300, "butter", 250, "cream-35", 60),
                        "emulsion"),
                Call.Weight.WILL_FAIL);
    }

    @Test
    public void everyFamilyHasAMethodToStartFrom() {
        for (Family family : Family.values()) {
            assertFalse(DefaultMethods.of(family).isEmpty(), family.name());
            DefaultMethods.of(family).forEach(step -> assertFalse(step.action().isBlank()));
        }
        // Burns are the trade's first danger: whoever boils sugar is told so.
        assertTrue(DefaultMethods.of(Family.CARAMEL).stream()
                .anyMatch(s -> s.caution().contains("burns")));
    }

    @Test
    public void aSliderKeepsTheMassAndReachesItsValue() {
        Formula caramel = formula(Family.CARAMEL, 118.0, "sugar", 500, "glucose-syrup-42", 100, "cream-35", 400);
        List<FormulaLine> moved = Adjustment.to(0.4, caramel, TABLE).orElseThrow();
        near(moved.stream().mapToDouble(FormulaLine::grams).sum(), 1000, 0.2, "the same mass");
        near(Adjustment.of(caramel.withLines(moved), TABLE).orElseThrow().value(), 0.4, 0.002, "reached");
        near(moved.get(2).grams(), 400, 1e-9, "cream is left alone");
        Formula ganache = formula(Family.GANACHE, null, "couverture-dark-58", 200, "cream-35", 200);
        Formula firmer = ganache.withLines(Adjustment.to(1.6, ganache, TABLE).orElseThrow());
        near(Adjustment.of(firmer, TABLE).orElseThrow().value(), 1.6, 0.01, "reached");
        assertTrue(Adjustment.of(formula(Family.BISCUIT_PRESSED, null, "flour-wheat", 100), TABLE)
                .isEmpty());
    }

    @Test
    public void formulasContainOthersButNeverThemselves() {
        Map<FormulaLink, NamedFormula> kept = new HashMap<>();
        Formula inner =
                formula(Family.CARAMEL, 118.0, "sugar", 330, "honey", 20, "glucose-syrup-42", 250, "cream-35", 400);
        kept.put(new FormulaLink(1, 2), new NamedFormula(1, "Harbour caramel", 2, inner));
        Formula mix = formula(Family.CRUNCH, null, "formula:1:2", 300, "rice-crisped", 100);
        kept.put(new FormulaLink(2, 1), new NamedFormula(2, "Caramel crunch", 1, mix));
        FormulaBook.Needs needs = FormulaBook.needs(
                3,
                "Box",
                formula(Family.OTHER, null, "formula:2:1", 100),
                TABLE,
                l -> Optional.ofNullable(kept.get(l)));
        assertEquals(needs.used().stream().map(NamedFormula::id).toList(), List.of(1L, 2L), "made first stands first");
        Composition caramel =
                FormulaBalance.of(inner, TABLE, Atmosphere.SEA_LEVEL_KPA).after();
        near(
                needs.table().get("formula:1:2").per100Grams().waterGrams(),
                100 * caramel.waterGrams() / caramel.totalGrams(),
                1e-9,
                "the finished composition counts");
        assertTrue(needs.table().get("formula:2:1").allergens().contains("milk"));
        assertTrue(needs.table().get("formula:2:1").nature().is(Nature.Risk.INFANTS), "honey is in it, however deep");
        InvalidInput circle = expectThrows(
                InvalidInput.class,
                () -> FormulaBook.needs(
                        1,
                        "Harbour caramel",
                        formula(Family.OTHER, null, "formula:2:1", 100),
                        TABLE,
                        l -> Optional.ofNullable(kept.get(l))));
        assertTrue(
                circle.getMessage().contains("Harbour caramel uses Caramel crunch, which uses Harbour caramel"),
                circle.getMessage());
        expectThrows(
                InvalidInput.class,
                () -> FormulaBook.needs(
                        9, "x", formula(Family.OTHER, null, "formula:7:1", 1), TABLE, l -> Optional.empty()));
    }

    @Test
    public void theCupboardEndsAtTheShortestIngredient() {
        Formula caramel =
                formula(Family.CARAMEL, 118.0, "sugar", 400, "glucose-syrup-42", 250, "cream-35", 400, "water", 50);
        NamedFormula named = new NamedFormula(1, "Caramel", 1, caramel);
        FormulaBalance balance = FormulaBalance.of(caramel, TABLE, Atmosphere.SEA_LEVEL_KPA);
        Cupboard can = Cupboard.of(
                        List.of(new Cupboard.Candidate(named, TABLE, balance)),
                        Map.of("sugar", 2000.0, "glucose-syrup-42", 500.0, "cream-35", 5000.0))
                .get(0);
        near(can.factor(), 2, 1e-12, "500 g of syrup are two batches");
        assertEquals(can.shortest(), "Glucose syrup DE 42");
        near(can.usableGrams(), 2 * balance.after().totalGrams(), 1e-9, "no loss");
        assertTrue(can.missing().isEmpty(), "water comes from the tap");
    }

    @Test
    public void theDifferenceOfTwoVersionsIsLinesMethodAndFacts() {
        Formula one = formula(Family.CARAMEL, 118.0, "sugar", 400, "cream-35", 400);
        Formula two = formula(Family.CARAMEL, 116.0, "sugar", 300, "honey", 100, "cream-35", 400);
        FormulaDiff diff = FormulaDiff.between(one, two);
        assertEquals(
                diff.lines().stream().map(FormulaDiff.LineChange::change).toList(), List.of("changed", "new", "same"));
        near(diff.lines().get(0).fromPercent(), 50, 1e-9, "400 of 800");
        assertEquals(Say.metric(diff.facts().get(0).to()), "116 °C");
        assertTrue(FormulaDiff.between(two, two).facts().isEmpty());
    }

    @Test
    public void bakingAndAirAreTakenIntoAccount() {
        Formula base = new Formula(
                Family.BISCUIT_PRESSED,
                List.of(new FormulaLine("flour-wheat", 225, Role.POT), new FormulaLine("butter", 175, Role.POT)),
                null,
                0,
                List.of(),
                new Finish(false, null, null, 0.1, 0),
                Map.of());
        FormulaBalance baked = FormulaBalance.of(base, TABLE, Atmosphere.SEA_LEVEL_KPA);
        near(baked.after().totalGrams(), 360, 1e-9, "a tenth leaves");
        near(baked.before().waterGrams() - baked.after().waterGrams(), 40, 1e-9, "as water");
        near(baked.density().least(), 0.75, 1e-9, "a pressed base, common practice, no source");
        near(baked.density().greatest(), 1.15, 1e-9, "common practice, no source");
        InvalidInput dry = expectThrows(
                InvalidInput.class,
                () -> FormulaBalance.of(
                        new Formula(
                                base.family(),
                                base.lines(),
                                null,
                                0,
                                List.of(),
                                new Finish(false, null, null, 0.4, 0),
                                Map.of()),
                        TABLE,
                        101));
        assertEquals(dry.faults().get(0).field(), "bakedLossFraction");
        Formula whipped = new Formula(
                base.family(), base.lines(), null, 0, List.of(), new Finish(false, null, null, 0, 1), Map.of());
        Formula flat = new Formula(
                base.family(), base.lines(), null, 0, List.of(), new Finish(false, null, null, 0, 0), Map.of());
        FormulaBalance still = FormulaBalance.of(flat, TABLE, 101);
        assertTrue(FormulaBalance.of(whipped, TABLE, 101).densityGramsPerMl() < 0.6 * still.densityGramsPerMl());
        near(Makeup.of(base, baked, TABLE, Map.of("butter", 8.0)).cost(), 1.4, 1e-9, "175 g at 8 per kg");
        assertEquals(baked.after().grams(Part.MILK_FAT), baked.before().grams(Part.MILK_FAT), 1e-9);
    }
}
