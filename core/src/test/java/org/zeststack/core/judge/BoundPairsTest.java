package org.zeststack.core.judge;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import java.util.function.DoublePredicate;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.quantity.CsvTable;
import org.zeststack.core.rule.Bound;
import org.zeststack.core.rule.Bounds;

/** Holds the table of bounds to figures that were written down apart from it, each with its source: a bound that moves is seen. */
public class BoundPairsTest {

    private static final Map<String, DoublePredicate> BEYOND = probes();

    private static Map<String, DoublePredicate> probes() {
        Map<String, DoublePredicate> all = new HashMap<>(BarProbes.all());
        all.putAll(FormulaProbes.all());
        all.putAll(BenchProbes.all());
        return all;
    }

    @DataProvider
    public Object[][] pairs() {
        return CsvTable.load(BoundPairsTest.class, "bound-pairs.csv").rows().stream()
                .map(r -> new Object[] {r.text("code"), r})
                .toArray(Object[][]::new);
    }

    @Test(dataProvider = "pairs")
    public void whatIsRightIsRightAndWhatIsNotIsNot(String code, CsvTable.Row row) {
        boolean least = row.text("side").equals("least");
        Bound bound = Bounds.shipped().of(code);
        assertEquals(row.text("source"), bound.source(), code);
        if (row.text("beyond").isEmpty()) {
            assertEquals(least ? bound.least() : bound.greatest(), row.number("holds"), code);
            return;
        }
        assertFalse(BEYOND.get(code).test(row.number("holds")), code + " at " + row.number("holds"));
        assertTrue(BEYOND.get(code).test(row.number("beyond")), code + " at " + row.number("beyond"));
    }

    @Test
    public void eachSideOfEachBoundHasItsPair() {
        Set<String> held = new HashSet<>();
        for (Object[] pair : pairs()) {
            assertTrue(held.add(pair[0] + " " + ((CsvTable.Row) pair[1]).text("side")), pair[0] + " twice");
        }
        Set<String> sides = new HashSet<>();
        for (Bound bound : Bounds.shipped().all()) {
            if (bound.figures().least() != null) {
                sides.add(bound.code() + " least");
            }
            if (bound.figures().greatest() != null) {
                sides.add(bound.code() + " greatest");
            }
        }
        assertEquals(held, sides);
    }
}
