package org.zeststack.core.bar;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.InvalidInput;

/** A layer kind knows how it is given, what it has and where it belongs; the core holds everybody to it. */
public class LayerKindTest {

    private static final Body.Moulded MOULD = new Body.Moulded(1, false);

    private static Bar bar(BarLayer... layers) {
        return Bar.of(Build.MOULDED, MOULD, List.of(layers));
    }

    private static List<Fault> faults(Bar bar) {
        return expectThrows(InvalidInput.class, bar::check).faults();
    }

    @DataProvider
    public Object[][] ways() {
        List<Object[]> all = new ArrayList<>();
        for (LayerKind kind : LayerKind.values()) {
            for (BarLayer.By by : BarLayer.By.values()) {
                all.add(new Object[] {kind, by});
            }
        }
        return all.toArray(Object[][]::new);
    }

    /** Each kind in each way: it is taken as it may be given, and refused beside its own field otherwise. */
    @Test(dataProvider = "ways")
    public void isGivenAsItMayBe(LayerKind kind, BarLayer.By by) {
        BarLayer usual = kind.usual();
        BarLayer given = new BarLayer(
                kind,
                usual.of(),
                by,
                kind.amountAsked(by) ? 1 : 0,
                by == BarLayer.By.PIECES ? 1 : 0,
                1,
                1,
                null,
                usual.insert(),
                usual.faces(),
                null,
                null,
                null,
                null);
        Build build = Arrays.stream(Build.values())
                .filter(b -> b.kinds().contains(kind))
                .findFirst()
                .orElseThrow();
        Body body = build == Build.MOULDED
                ? MOULD
                : build == Build.SLAB ? new Body.Slab(300, 200, 60, 25, 0, 0, 0) : new Body.Tray(300, 200, 8, 5, 0, 0);
        Bar bar = Bar.of(build, body, List.of(given));
        boolean rest = by == BarLayer.By.REST && build != Build.MOULDED;
        if (kind.ways().contains(by) && !rest) {
            bar.check();
        } else {
            assertTrue(
                    faults(bar).stream().anyMatch(f -> f.field().equals("layer.0.by")),
                    faults(bar).toString());
        }
    }

    @Test
    public void millimetresOfNutsAreRefusedInWords() {
        BarLayer nuts = BarLayer.mm(LayerKind.INCLUSION, "almond-slivered", 1.5);
        List<Fault> faults = faults(bar(BarLayer.mm(LayerKind.SHELL, "couverture-dark-62", 1.5), nuts));
        assertEquals(faults.size(), 1);
        assertEquals(faults.get(0).field(), "layer.1.by");
        assertEquals(
                faults.get(0).message(), "The inclusion cannot be given in mm; permitted: g, pieces, mg, % of base.");
    }

    @Test
    public void whatAKindDoesNotHaveIsRefused() {
        BarLayer sized = BarLayer.mm(LayerKind.FILLING, "gianduja", 4)
                .with(LayerKind.INSERT.usual().insert());
        assertEquals(faults(bar(sized)).get(0).field(), "layer.0.lengthMm");
        BarLayer covering = BarLayer.mm(LayerKind.FILLING, "gianduja", 4).on(BarLayer.Faces.ALL);
        assertEquals(faults(bar(covering)).get(0).field(), "layer.0.faces");
        BarLayer bare = BarLayer.mm(LayerKind.INSERT, "wafer-sheet", 0);
        assertEquals(faults(bar(bare)).get(0).field(), "layer.0.lengthMm");
    }

    @Test
    public void aBarHasOneShellAndOneBack() {
        for (LayerKind kind : List.of(LayerKind.SHELL, LayerKind.BACK)) {
            assertEquals(
                    faults(bar(kind.usual(), kind.usual())).get(0).message(), "A bar has one " + kind.words() + ".");
        }
        bar(LayerKind.FILLING.usual(), LayerKind.FILLING.usual()).check();
    }

    /** The order of the work, as it is done everywhere; common practice, no source. */
    @Test
    public void belongsWhereTheWorkLaysIt() {
        List<List<LayerKind>> work = List.of(
                List.of(LayerKind.DECORATION),
                List.of(LayerKind.SHELL),
                List.of(LayerKind.FOOT, LayerKind.BASE),
                List.of(LayerKind.SHEET, LayerKind.FILLING, LayerKind.INSERT, LayerKind.INCLUSION),
                List.of(LayerKind.VENEER),
                List.of(LayerKind.BACK, LayerKind.COAT),
                List.of(LayerKind.TOPPING));
        for (int i = 0; i < work.size(); i++) {
            for (int j = 0; j < work.size(); j++) {
                for (LayerKind one : work.get(i)) {
                    for (LayerKind other : work.get(j)) {
                        assertEquals(one.before(other), i < j, one + " before " + other);
                    }
                }
            }
        }
    }

    @Test
    public void aSizeOrTheRestNeedsNoAmount() {
        assertFalse(LayerKind.INSERT.amountAsked(BarLayer.By.MM), "it is as high as it is");
        assertTrue(LayerKind.INSERT.amountAsked(BarLayer.By.GRAMS), "a weighed one is not");
        assertFalse(LayerKind.BACK.amountAsked(BarLayer.By.REST));
        assertTrue(LayerKind.BACK.amountAsked(BarLayer.By.MM));
    }

    @Test
    public void isAddedWithUsualAmounts() {
        for (LayerKind kind : LayerKind.values()) {
            BarLayer usual = kind.usual();
            assertEquals(usual.kind(), kind);
            assertTrue(kind.ways().contains(usual.by()), kind.words());
            assertEquals(usual.amount() > 0, kind.amountAsked(usual.by()), kind.words());
            assertEquals(usual.insert() != null, kind.has(LayerKind.Field.SIZE), kind.words());
            assertEquals(usual.faces() != null, kind.has(LayerKind.Field.FACES), kind.words());
        }
        assertEquals(LayerKind.SHELL.usual().amount(), 1.5);
        assertEquals(LayerKind.COAT.usual().faces(), BarLayer.Faces.ALL);
    }
}
