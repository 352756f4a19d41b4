package org.zeststack.core.judge;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.zeststack.core.Near.near;
import static org.zeststack.core.stack.Bars.TAPERED;
import static org.zeststack.core.stack.Bars.back;
import static org.zeststack.core.stack.Bars.call;
import static org.zeststack.core.stack.Bars.codes;
import static org.zeststack.core.stack.Bars.shell;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.air.Atmosphere;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.Body;
import org.zeststack.core.bar.Build;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.box.Box;
import org.zeststack.core.box.BoxContent;
import org.zeststack.core.explain.Call;
import org.zeststack.core.formula.Family;
import org.zeststack.core.formula.Finish;
import org.zeststack.core.formula.Formula;
import org.zeststack.core.formula.FormulaBalance;
import org.zeststack.core.formula.FormulaBook;
import org.zeststack.core.formula.FormulaLine;
import org.zeststack.core.formula.FormulaLine.Role;
import org.zeststack.core.formula.FormulaLink;
import org.zeststack.core.formula.Makeup;
import org.zeststack.core.formula.NamedFormula;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.keeping.ShelfLife;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.rule.Bounds;
import org.zeststack.core.stack.BarStack;
import org.zeststack.core.stack.Bars;
import org.zeststack.core.stack.Material;
import org.zeststack.core.stack.Parts;

/** How long something keeps is computed once, and nothing is dry by its name. */
public class KeepsTest {

    private static final IngredientTable TABLE = IngredientTable.shipped();
    private static final Set<String> KEEPING = Set.of("keeping", "keeps-days-only", "keeps-unknown");

    private static Formula formula(Family family, Finish finish, Double stop, String lines) {
        List<FormulaLine> all = new ArrayList<>();
        for (String line : lines.split(", ")) {
            String[] words = line.split(" ");
            all.add(new FormulaLine(words[0], Double.parseDouble(words[1]), stop == null ? Role.WARM : Role.POT));
        }
        return new Formula(family, all, stop, 0, List.of(), finish, Map.of());
    }

    private static Formula formula(Family family, String lines) {
        return formula(family, Finish.PLAIN, null, lines);
    }

    private static FormulaBalance balance(Formula formula) {
        return FormulaBalance.of(formula, TABLE, Atmosphere.SEA_LEVEL_KPA);
    }

    private static List<Call> calls(Formula formula, IngredientTable table) {
        FormulaBalance balance = FormulaBalance.of(formula, table, Atmosphere.SEA_LEVEL_KPA);
        return FormulaCalls.of(formula, balance, Makeup.of(formula, balance, table, Map.of()), Bounds.shipped());
    }

    private static Call keeping(List<Call> calls) {
        List<Call> all = calls.stream().filter(c -> KEEPING.contains(c.code())).toList();
        assertEquals(all.size(), 1, all.toString());
        return all.get(0);
    }

    private static Material material(Formula formula) {
        NamedFormula named = new NamedFormula(9, "Mass", 1, formula);
        return Material.of(named, FormulaBook.ingredient(named, TABLE), balance(formula), 10.0);
    }

    private static BarStack filled(Formula formula, Bar.Storage storage) {
        Map<String, Material> materials = new HashMap<>(Bars.MATERIALS);
        materials.put("formula:9:1", material(formula));
        Bar bar = new Bar(
                Build.MOULDED,
                new Body.Moulded(1, false),
                List.of(shell(1.5), BarLayer.rest(LayerKind.FILLING, "formula:9:1"), back(2)),
                Bar.Finish.TEMPERED,
                storage,
                Bar.SoldAs.OWN_NAME,
                null,
                null,
                null,
                List.of());
        return BarStack.of(bar, Parts.of(TAPERED, materials));
    }

    /** Fillings of cream, white, purée, coffee and cheese, and how many days food authorities would give them at most. */
    @DataProvider
    public Object[][] perishables() {
        return new Object[][] {
            {Family.OTHER, "cream-35 400, icing-sugar 30", 3},
            {Family.NOUGAT_QUICK, "egg-white 100, icing-sugar 60", 3},
            {Family.GEL, "raspberry-puree 300, sugar 60", 3},
            {Family.GANACHE_WATER, "coffee-brewed 200, couverture-dark-58 200", 3},
            {Family.OTHER, "cream-cheese 300, icing-sugar 190", 7},
            {Family.GANACHE_WHIPPED, "cream-35 300, couverture-white-30 150", 3},
        };
    }

    @Test(dataProvider = "perishables")
    public void whatSpoilsKeepsDaysOnItsPageInABarAndInABox(Family family, String lines, int days) {
        Formula formula = formula(family, lines);
        Call own = keeping(calls(formula, TABLE));
        BarStack bar = filled(formula, Bar.Storage.FRIDGE);
        Call ofBar = call(bar, "keeps-days-only");
        assertEquals(own.code(), "keeps-days-only", own.toString());
        assertEquals(Say.metric(ofBar.message()), Say.metric(own.message()));
        assertTrue(Say.metric(own.message()).contains("only in the cold"), Say.metric(own.message()));
        assertEquals(own.weight(), Call.Weight.TAKE_CARE);
        assertEquals(Keeping.of(bar).life().greatestDays(), days, Say.metric(own.arithmetic()));
        assertTrue(Say.metric(own.message()).contains("to " + days + " days"), Say.metric(own.message()));
        Box box = new Box(List.of(new Box.Item(1, 1, 2), new Box.Item(2, 1, 2)), 10, null);
        List<Call> ofBox = new BoxContent(
                        box,
                        List.of(
                                new BoxContent.Part("Plain", 2, Bars.plain(1.5, 2)),
                                new BoxContent.Part("Fresh", 2, bar)))
                .calls();
        assertEquals(Say.metric(keeping(ofBox).message()), "Fresh decides: " + Say.metric(own.message()));
    }

    /** What a design keeps too warm is told. */
    @Test
    public void whereItIsKeptIsHeldAgainstIt() {
        Formula formula = formula(Family.OTHER, "cream-35 400, icing-sugar 30");
        assertTrue(Say.metric(call(filled(formula, Bar.Storage.ROOM), "keeps-days-only")
                        .message())
                .contains("in the room, 18 to 23 °C is too warm for it"));
        assertTrue(Say.metric(call(filled(formula, Bar.Storage.COOL), "keeps-days-only")
                        .message())
                .contains("is too warm for it"));
        assertFalse(Say.metric(call(filled(formula, Bar.Storage.FRIDGE), "keeps-days-only")
                        .message())
                .contains("too warm"));
    }

    /** The limits of the law: 21 CFR 114.3 (0.85), Regulation (EC) 2073/2005 (0.92), ICMSF 1996 (0.97); values from memory. */
    @DataProvider
    public Object[][] limits() {
        return new Object[][] {
            {0.849, 21, 42, false},
            {0.851, 7, 21, true},
            {0.919, 7, 21, true},
            {0.921, 3, 7, true},
            {0.969, 3, 7, true},
            {0.971, 1, 3, true},
            {1.0, 1, 3, true},
        };
    }

    @Test(dataProvider = "limits")
    public void theWorseSideOfAnActivityIsHeldAgainstTheLimits(double worst, int least, int greatest, boolean cold) {
        ShelfLife life = ShelfLife.of(worst - 0.03, Bounds.shipped());
        assertEquals(life.leastDays(), least);
        assertEquals(life.greatestDays(), greatest);
        assertEquals(life.cold(), cold);
    }

    @Test
    public void untemperedAndPerishableTheShorterOneHolds() {
        ShelfLife caramel = ShelfLife.of(0.5, Bounds.shipped()).notTempered(Bounds.shipped());
        assertEquals(Say.metric(caramel.words()), "about 1 to 2 weeks");
        ShelfLife cream = ShelfLife.of(0.98, Bounds.shipped());
        assertEquals(cream.notTempered(Bounds.shipped()), cream);
        assertEquals(Say.metric(cream.words()), "about 1 to 3 days");
    }

    /** 200 g of puffed rice, 400 g of cream and 100 g of sugar hold 37 % of water, whatever they are called. */
    @DataProvider
    public Object[][] families() {
        return Arrays.stream(Family.values())
                .filter(f -> f.baked().isEmpty())
                .map(f -> new Object[] {f})
                .toArray(Object[][]::new);
    }

    @Test(dataProvider = "families")
    public void noFamilyIsDryByName(Family family) {
        Formula formula = formula(family, "rice-puffed 200, cream-35 400, sugar 100");
        double activity = balance(formula).freeWater().ratio().orElseThrow();
        assertTrue(activity > 0.95, family + " " + activity);
        assertEquals(keeping(calls(formula, TABLE)).code(), "keeps-days-only");
        assertFalse(material(formula).dry());
        assertTrue(codes(filled(formula, Bar.Storage.FRIDGE)).contains("keeps-days-only"));
    }

    /** Goods that bring their own little water are as free as they are themselves, whatever they are called. */
    @Test(dataProvider = "families")
    public void dryGoodsAreDryInEveryFamily(Family family) {
        Formula formula = formula(family, "rice-crisped 100, couverture-milk-38 300");
        near(balance(formula).freeWater().ratio().orElseThrow(), 0.2, 1e-12, family + ": as crisped rice");
        assertEquals(keeping(calls(formula, TABLE)).code(), "keeping");
    }

    /** The wettest of the dry goods decides: dried cranberries of 0.55 beside almonds of 0.25. */
    @Test
    public void theWettestOfTheDryGoodsDecides() {
        Formula mix = formula(Family.INCLUSION, "almond-roasted 100, cranberry-dried 60");
        near(balance(mix).freeWater().ratio().orElseThrow(), 0.55, 1e-12, "cranberries");
    }

    /** Wafers of 2.5 % water and a_w 0.15 that take up as much again have 0.30; with four times as much there is a solution. */
    @Test
    public void waterBeyondTheirOwnMakesThemFreer() {
        near(
                balance(formula(Family.CRUNCH, "wafer-flakes 400, water 10"))
                        .freeWater()
                        .typical()
                        .orElseThrow(),
                0.30,
                1e-9,
                "twice the water");
        assertTrue(balance(formula(Family.CRUNCH, "wafer-flakes 400, water 29"))
                .freeWater()
                .typical()
                .isPresent());
        assertTrue(balance(formula(Family.CRUNCH, "wafer-flakes 400, water 31"))
                .freeWater()
                .solution()
                .isPresent());
    }

    @Test
    public void whatTheOvenTakesIsUnknownUntilSomebodySaysIt() {
        String dough = "flour-wheat 300, butter 170, caster-sugar 90";
        Formula raw = formula(Family.BISCUIT_ROLLED, dough);
        assertEquals(keeping(calls(raw, TABLE)).code(), "keeps-unknown");
        Formula baked = formula(Family.BISCUIT_ROLLED, new Finish(false, null, null, 0.09, 0), null, dough);
        near(balance(baked).freeWater().ratio().orElseThrow(), 0.25, 0.1, "a biscuit (common practice, no source)");
        assertTrue(material(baked).dry());
        Formula soft = formula(Family.BISCUIT_ROLLED, new Finish(false, null, null, 0.05, 0), null, dough);
        double own = balance(soft).freeWater().ratio().orElseThrow();
        assertTrue(own > 0.4 && own <= 0.6, "no drier than its flour, and not crisp: " + own);
        Formula cake =
                formula(Family.BISCUIT_ROLLED, new Finish(false, null, null, 0.05, 0), null, dough + ", egg-whole 200");
        assertTrue(balance(cake).freeWater().solution().isPresent(), "moist from the egg");
    }

    /** A caramel cooked by eye that is stirred into something leaves that unknown too, up to the piece and its box. */
    @Test
    public void whatIsUnknownInAFormulaStaysSoInEveryOther() {
        Finish byEye = new Finish(true, null, null, 0, 0);
        NamedFormula inner =
                new NamedFormula(3, "Old caramel", 2, formula(Family.CARAMEL, byEye, null, "sugar 300, cream-35 300"));
        Formula outer = formula(Family.CRUNCH, "formula:3:2 300, rice-crisped 100");
        NamedFormula middle = new NamedFormula(4, "Crunch", 1, outer);
        Formula outmost = formula(Family.OTHER, "formula:4:1 300, couverture-dark-58 100");
        Map<FormulaLink, NamedFormula> versions = Map.of(inner.link(), inner, middle.link(), middle);
        IngredientTable table = FormulaBook.needs(
                        0, "Outmost", outmost, TABLE, l -> Optional.ofNullable(versions.get(l)))
                .table();
        assertTrue(table.get("formula:3:2").moistureUnknown());
        assertTrue(table.get("formula:4:1").moistureUnknown());
        Call call = keeping(calls(outmost, table));
        assertEquals(call.code(), "keeps-unknown");
        assertTrue(Say.metric(call.arithmetic()).contains("how moist Crunch"), Say.metric(call.arithmetic()));
        NamedFormula named = new NamedFormula(5, "Outmost", 1, outmost);
        Material material = Material.of(
                named,
                FormulaBook.ingredient(named, table),
                FormulaBalance.of(outmost, table, Atmosphere.SEA_LEVEL_KPA),
                1.0);
        assertTrue(material.activityUnknown());
    }

    /** A formula of dry goods is dry goods in the next one. */
    @Test
    public void aDryFormulaIsDryGoodsInAnother() {
        NamedFormula inner =
                new NamedFormula(3, "Crumb", 1, formula(Family.CRUNCH, "wafer-flakes 100, couverture-milk-38 100"));
        Formula outer = formula(Family.COATING_MIX, "formula:3:1 200, couverture-dark-58 200");
        IngredientTable table = FormulaBook.needs(0, "Outer", outer, TABLE, l -> Optional.of(inner))
                .table();
        near(table.get("formula:3:1").dryActivity(), 0.15, 1e-12, "wafer flakes");
        near(
                FormulaBalance.of(outer, table, Atmosphere.SEA_LEVEL_KPA)
                        .freeWater()
                        .ratio()
                        .orElseThrow(),
                0.15,
                1e-12,
                "still");
    }

    /** Cream mixed into a crisp layer makes it wet; what nobody knows makes it unknown. */
    @Test
    public void whatIsMixedIntoDryGoodsIsCounted() {
        Material rice = Material.of(TABLE.get("rice-crisped"), 1.0);
        Material cream = Material.of(TABLE.get("cream-35"), 1.0);
        Material wet = rice.with(cream, new BarLayer.Mix("cream-35", 0.5, false));
        assertFalse(wet.dry());
        assertTrue(wet.waterActivity() > 0.9, "" + wet.waterActivity());
        Material unknown = rice.with(Bars.MATERIALS.get(Bars.BY_EYE), new BarLayer.Mix(Bars.BY_EYE, 0.5, false));
        assertTrue(unknown.activityUnknown());
        Material coated =
                rice.with(Material.of(TABLE.get("cocoa-butter"), 1.0), new BarLayer.Mix("cocoa-butter", 0.3, false));
        assertTrue(coated.dry());
        near(coated.waterActivity(), 0.2, 1e-12, "fat brings no water");
        Material nuts =
                rice.with(Material.of(TABLE.get("almond-raw"), 1.0), new BarLayer.Mix("almond-raw", 0.3, false));
        near(nuts.waterActivity(), 0.45, 1e-12, "the wetter one decides");
    }

    /** A crunch that is no longer crisp is told in the bar, too. */
    @Test
    public void aSoftCrunchIsToldInTheBar() {
        Call soft = call(
                filled(formula(Family.CRUNCH, "rice-puffed 200, cream-35 400, sugar 100"), Bar.Storage.FRIDGE),
                "crunch-wet");
        assertEquals(soft.weight(), Call.Weight.TAKE_CARE);
        assertTrue(Say.metric(soft.message()).contains("Mass"), Say.metric(soft.message()));
        assertFalse(codes(filled(formula(Family.CRUNCH, "rice-crisped 100, couverture-milk-38 300"), Bar.Storage.ROOM))
                .contains("crunch-wet"));
    }

    /** One bound for the crunch on its page and in the bar: 5 % is crisp, more is not. */
    @Test
    public void theCrunchOnItsPageAndInTheBarAreOne() {
        Set<String> told = new HashSet<>();
        for (int water : new int[] {42, 52}) {
            Formula formula =
                    formula(Family.CRUNCH, "sugar 400, couverture-milk-38 " + (600 - water) + ", water " + water);
            boolean page = calls(formula, TABLE).stream().anyMatch(c -> c.code().equals("crunch-wet"));
            assertEquals(codes(filled(formula, Bar.Storage.FRIDGE)).contains("crunch-wet"), page, water + " g");
            told.add(String.valueOf(page));
        }
        assertEquals(told.size(), 2, "both sides");
    }
}
