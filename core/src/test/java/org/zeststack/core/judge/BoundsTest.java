package org.zeststack.core.judge;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import java.util.function.DoublePredicate;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.rule.Bound;
import org.zeststack.core.rule.Bounds;
import org.zeststack.core.stack.Bars;

/** Goes to each side of every bound of the table: what is judged must change there and nowhere else. */
public class BoundsTest {

    /** How far beside a bound a figure lies, as a share of it. */
    private static final double BESIDE = 0.01;

    /** Bounds that no single figure of a bar reaches; tested where they act. */
    private static final Set<String> ELSEWHERE = Set.of(
            "kept-cold",
            "keeps-dry",
            "keeps-nearly-dry",
            "keeps-between",
            "keeps-moist",
            "keeps-wet",
            "keeps-growing-in-cold",
            "keeps-as-cream",
            "softens-in-a-week",
            "proof-lasts");

    /** By code: whether a bar whose figure is so lies beyond the bound. */
    private static final Map<String, DoublePredicate> BEYOND = beyond();

    private static Map<String, DoublePredicate> beyond() {
        Map<String, DoublePredicate> all = BarProbes.all();
        all.putAll(FormulaProbes.all());
        all.putAll(BenchProbes.all());
        return all;
    }

    @DataProvider
    public Object[][] bounds() {
        return Bounds.shipped().all().stream()
                .filter(b -> !ELSEWHERE.contains(b.code()))
                .map(b -> new Object[] {b.code(), b})
                .toArray(Object[][]::new);
    }

    @Test(dataProvider = "bounds")
    public void isJudgedDifferentlyOnEachSide(String code, Bound bound) {
        sides(bound);
    }

    /** Bounds that a figure reaches only through arithmetic, or below which something is: there is no figure exactly as great. */
    private static final Set<String> NOT_EXACT = Set.of(
            "caramel-rolled",
            "caramel-cavity",
            "caramel-sawn",
            "caramel-shaped",
            "draft",
            "few-moulds",
            "few-yeasts",
            "filled-chocolate",
            "grows-as-in-cream",
            "grows-in-cold",
            "nothing-grows",
            "nut-solid",
            "offcuts",
            "pathogens");

    /** The figure itself is not beyond: a bound belongs to what it permits. */
    @Test(dataProvider = "bounds")
    public void aBoundBelongsToWhatItPermits(String code, Bound bound) {
        if (NOT_EXACT.contains(code)) {
            return;
        }
        if (bound.figures().least() != null) {
            assertFalse(BEYOND.get(code).test(bound.least()), code + " at " + bound.least());
        }
        if (bound.figures().greatest() != null) {
            assertFalse(BEYOND.get(code).test(bound.greatest()), code + " at " + bound.greatest());
        }
    }

    private static void sides(Bound bound) {
        String code = bound.code();
        DoublePredicate beyond = BEYOND.get(code);
        // Names are rounded to a tenth of a per cent.
        double share = code.startsWith("name-") ? 3 * BESIDE : BESIDE;
        if (bound.figures().least() != null) {
            double beside = beside(bound, bound.least(), share);
            assertTrue(beyond.test(bound.least() - beside), code + " below " + bound.least());
            assertFalse(beyond.test(bound.least() + beside), code + " above " + bound.least());
        }
        if (bound.figures().greatest() != null) {
            double beside = beside(bound, bound.greatest(), share);
            assertFalse(beyond.test(bound.greatest() - beside), code + " below " + bound.greatest());
            assertTrue(beyond.test(bound.greatest() + beside), code + " above " + bound.greatest());
        }
        if (bound.figures().usual() != null) {
            assertFalse(beyond.test(bound.usual()), code + " at what is usual, " + bound.usual());
        }
    }

    /** How far beside a figure the probe goes: a share of it, a third of a degree, or a day where days are counted. */
    private static double beside(Bound bound, double figure, double share) {
        return switch (bound.unit()) {
            case "°C" -> 0.3;
            case "days" -> 1;
            default -> share * figure;
        };
    }

    private static Double moved(Bound bound, Double figure, double times) {
        return figure == null
                ? null
                : Double.valueOf(bound.unit().equals("°C") ? figure + Math.signum(times - 1) / 2 : times * figure);
    }

    @DataProvider
    public Object[][] settable() {
        return Bounds.shipped().all().stream()
                .filter(b -> b.ownAllowed() && !ELSEWHERE.contains(b.code()))
                .map(b -> new Object[] {b.code(), b})
                .toArray(Object[][]::new);
    }

    /** A workshop's own figures, a little beyond or within the shipped ones, are judged by in their place. */
    @Test(dataProvider = "settable")
    public void aWorkshopsOwnFiguresAreJudgedByInstead(String code, Bound bound) {
        for (double times : new double[] {0.97, 1.03}) {
            Bound.Figures shipped = bound.figures();
            Bound.Figures own = new Bound.Figures(
                    moved(bound, shipped.least(), times),
                    moved(bound, shipped.usual(), times),
                    moved(bound, shipped.greatest(), times));
            Bars.judgedBy = Bounds.with(Map.of(code, own));
            try {
                assertEquals(Bars.judgedBy.own().size(), 1);
                sides(Bars.judgedBy.of(code));
            } finally {
                Bars.judgedBy = Bounds.shipped();
            }
        }
    }

    @Test
    public void everyBoundHasItsTest() {
        Set<String> tested = new HashSet<>(BEYOND.keySet());
        tested.addAll(ELSEWHERE);
        assertEquals(
                tested,
                new HashSet<>(Bounds.shipped().all().stream().map(Bound::code).toList()));
    }
}
