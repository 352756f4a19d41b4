package org.zeststack.core.formula;

import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.air.Atmosphere;
import org.zeststack.core.explain.Call;
import org.zeststack.core.formula.FormulaLine.Role;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.judge.FormulaCalls;
import org.zeststack.core.rule.Bounds;

/**
 * A sound formula of every family: nothing in it is said to fail, and what it comes to lies where the trade expects it. The
 * ranges are common practice, no source; the formulas are made up for this test.
 */
public class SoundFormulasTest {

    private static final IngredientTable TABLE = IngredientTable.shipped();

    /** Family, stop or null, lines as slug, grams and role, least and greatest moisture in percent, and density. */
    @DataProvider
    public Object[][] sound() {
        return new Object[][] {
            {Family.CARAMEL, 117.0, "sugar 400, glucose-syrup-42 300, cream-35 450, butter 40", 7.0, 10.0, 1.25, 1.40},
            {Family.CARAMEL, 110.0, "sugar 400, glucose-syrup-42 300, cream-35 450", 12.0, 18.0, 1.20, 1.35},
            {Family.CARAMEL_MELTED, null, "caramel-bought 300, cream-35 30", 8.0, 14.0, 1.20, 1.40},
            {
                Family.NOUGAT,
                143.0,
                "egg-white 66 W, honey 280, sugar 400, glucose-syrup-42 100, water 110, almond-roasted 250 W",
                2.0,
                11.5,
                1.20,
                1.45
            },
            {
                Family.NOUGAT_QUICK,
                null,
                "marshmallow-cream 150, peanut-butter 60, butter 50, icing-sugar 250",
                5.0,
                14.0,
                0.70,
                1.00
            },
            {
                Family.NOUGAT_SLAB,
                132.0,
                "sugar 400, glucose-syrup-42 350, water 120, milk-powder-whole 60 W, cocoa-butter 40 W",
                2.0,
                8.0,
                1.25,
                1.50
            },
            {
                Family.GANACHE,
                null,
                "couverture-dark-58 400, cream-35 220, invert-syrup 40, butter 40",
                15.0,
                25.0,
                1.05,
                1.25
            },
            {
                Family.GANACHE_FRUIT,
                null,
                "couverture-milk-38 450, raspberry-puree 200, butter 40",
                20.0,
                30.0,
                1.05,
                1.25
            },
            {Family.GANACHE_WATER, null, "couverture-dark-66 400, water 170, invert-syrup 60", 25.0, 35.0, 1.05, 1.25},
            {
                Family.GANACHE_SPIRIT,
                null,
                "couverture-dark-62 400, cream-35 160, rum-40 50, invert-syrup 40",
                17.0,
                27.0,
                1.05,
                1.25
            },
            {Family.GANACHE_CARAMEL, null, "sugar 150, cream-35 250, couverture-milk-38 350", 15.0, 25.0, 1.05, 1.25},
            {Family.GANACHE_WHIPPED, null, "couverture-white-30 200, cream-35 300", 30.0, 40.0, 1.00, 1.15},
            {Family.NUT_PASTE, null, "hazelnut-paste 300, icing-sugar 150, couverture-milk-38 100", 0.5, 3.0, 1.05, 1.30
            },
            {Family.NUT_TEMPERED, null, "praline-paste-50 300, couverture-milk-38 300", 0.5, 3.0, 1.05, 1.35},
            {Family.NUT_CREAM, null, "hazelnut-paste 300, cocoa-butter 80, icing-sugar 100", 0.3, 3.0, 0.95, 1.25},
            {
                Family.GEL,
                106.5,
                "raspberry-puree 500, sugar 480, glucose-syrup-60 120, pectin 12, citric-acid 6 O",
                20.0,
                30.0,
                1.25,
                1.45
            },
            {Family.CRUNCH, null, "wafer-flakes 150, couverture-milk-38 150, praline-paste-50 100", 0.5, 3.0, 0.65, 0.95
            },
            {Family.PRALINE_POWDER, null, "sugar 250, hazelnut-roasted 250", 0.2, 2.5, 1.10, 1.45},
            {Family.PRALINE_DISC, null, "sugar 300, almond-flaked 150", 0.5, 2.0, 1.10, 1.55},
            {Family.PUFFED, null, "marshmallow 300, butter 50, rice-crisped 180 W", 9.0, 14.0, 0.20, 0.60},
            {Family.CRUMBLE, null, "flour-wheat 200, butter 150, caster-sugar 120", 8.0, 14.0, 1.05, 1.40},
            {Family.BISCUIT_PRESSED, null, "flour-wheat 250, butter 170, caster-sugar 80, salt 2", 8.0, 14.0, 1.10, 1.40
            },
            {
                Family.BISCUIT_ROLLED,
                null,
                "flour-wheat 250, butter 120, icing-sugar 90, egg-whole 50",
                15.0,
                22.0,
                1.10,
                1.40
            },
            {Family.KNEADED, null, "coconut-desiccated 250, condensed-milk 200, icing-sugar 200", 5.0, 13.0, 1.10, 1.50
            },
            {Family.FONDANT, 117.0, "sugar 800, glucose-syrup-42 160, water 250", 7.0, 16.0, 1.30, 1.55},
            {Family.INCLUSION, null, "almond-roasted 100, cranberry-dried 60, pumpkin-seed 60", 2.0, 8.0, 1.05, 1.40},
            {Family.COATING_MIX, null, "couverture-milk-38 400, rice-crisped 60", 0.5, 2.0, 0.60, 0.90},
            {Family.COLOUR, null, "coloured-butter-red 30, coloured-butter-white 10", 0.0, 0.5, 0.85, 1.0},
            {Family.OTHER, null, "dulce-de-leche 200", 20.0, 32.0, 1.10, 1.40},
        };
    }

    private static FormulaLine line(String text) {
        String[] words = text.strip().split(" ");
        Role role = words.length < 3 ? Role.POT : words[2].equals("W") ? Role.WARM : Role.OFF_HEAT;
        return new FormulaLine(words[0], Double.parseDouble(words[1]), role);
    }

    private static Formula formula(Family family, Double stop, String lines) {
        List<FormulaLine> read = new ArrayList<>();
        for (String line : lines.split(",")) {
            read.add(line(line));
        }
        return new Formula(family, read, stop, 0.03, DefaultMethods.of(family));
    }

    @Test(dataProvider = "sound")
    public void nothingFailsAndFiguresAreWhereTheyShouldBe(
            Family family,
            Double stop,
            String lines,
            double leastMoisture,
            double greatestMoisture,
            double leastDensity,
            double greatestDensity) {
        Formula formula = formula(family, stop, lines);
        formula.check(TABLE);
        FormulaBalance balance = FormulaBalance.of(formula, TABLE, Atmosphere.SEA_LEVEL_KPA);
        Makeup makeup = Makeup.of(formula, balance, TABLE, Map.of());
        for (Call call : FormulaCalls.of(formula, balance, makeup, Bounds.shipped())) {
            assertTrue(call.weight() != Call.Weight.WILL_FAIL, family + ": " + call);
            assertTrue(!call.arithmetic().isEmpty() && !call.source().isEmpty(), "every call shows its arithmetic");
        }
        double moisture = 100 * balance.moistureFraction();
        assertTrue(moisture >= leastMoisture && moisture <= greatestMoisture, family + " moisture " + moisture);
        double density = balance.densityGramsPerMl();
        assertTrue(density >= leastDensity && density <= greatestDensity, family + " density " + density);
        assertTrue(makeup.per100Grams().kilocalories() > 100
                && makeup.per100Grams().kilocalories() < 900);
        balance.freeWater().ratio().ifPresent(a -> assertTrue(a > 0.1 && a < 1, family + " " + a));
    }

    @Test
    public void everyFamilyIsTried() {
        for (Family family : Family.values()) {
            boolean tried = java.util.Arrays.stream(sound()).anyMatch(row -> row[0] == family);
            assertTrue(tried, family.name());
        }
    }

    /** Water activities as they are usually printed for such masses; common practice, no source. */
    @Test
    public void activitiesAreInTheUsualOrder() {
        double caramel = activity(formula(Family.CARAMEL, 117.0, "sugar 400, glucose-syrup-42 300, cream-35 450"));
        double gel =
                activity(formula(Family.GEL, 106.5, "raspberry-puree 500, sugar 480, glucose-syrup-60 120, pectin 12"));
        double ganache =
                activity(formula(Family.GANACHE, null, "couverture-dark-58 400, cream-35 220, invert-syrup 40"));
        assertTrue(caramel < 0.62 && caramel > 0.35, "caramel about 0.5: " + caramel);
        assertTrue(gel > caramel && gel < 0.85, "gel about 0.75: " + gel);
        assertTrue(ganache > 0.75 && ganache < 0.95, "ganache about 0.80 to 0.90: " + ganache);
    }

    private static double activity(Formula formula) {
        return FormulaBalance.of(formula, TABLE, Atmosphere.SEA_LEVEL_KPA)
                .freeWater()
                .ratio()
                .orElseThrow();
    }
}
