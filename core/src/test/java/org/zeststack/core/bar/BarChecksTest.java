package org.zeststack.core.bar;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;
import static org.zeststack.core.Near.near;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.bar.Handling.Cover;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.InvalidInput;

/** What a design is refused for, each beside its field. */
public class BarChecksTest {

    private static final BarLayer SHELL = LayerKind.SHELL.usual();
    private static final BarLayer FILLING = LayerKind.FILLING.usual();
    private static final BarLayer REST = BarLayer.rest(LayerKind.FILLING, "gianduja");
    private static final Body MOULD = new Body.Moulded(1, false);
    private static final Body SLAB = new Body.Slab(300, 200, 60, 25, 1, 5, 2);
    private static final Body BALL = new Body.Shaped(Body.Form.BALL, 0, 24, 0, 0);
    private static final BarLayer CENTRE = BarLayer.grams(LayerKind.FILLING, "gianduja", 0);

    private static Bar bar(Build build, Body body, BarLayer... layers) {
        return Bar.of(build, body, List.of(layers));
    }

    private static final BarLayer FOOT = LayerKind.FOOT.usual();
    private static final BarLayer NIBS = LayerKind.TOPPING.usual();
    private static final BarLayer SHEET = LayerKind.SHEET.usual();
    private static final Body TRAY = new Body.Tray(300, 200, 4, 6, 1, 5);

    private static Body sliced(Body.Form form, int slices, double end) {
        return new Body.Shaped(form, 20, 30, 0, 0, slices, end);
    }

    private static Body wires(double length, double width) {
        return new Body.Slab(300, 210, length, width, 0.5, 0, 0, new Body.Cutting(Body.Tool.WIRES, 7.5, null));
    }

    private static Body lanes(int lanes) {
        return new Body.Slab(300, 200, 60, 25, 1, 5, 0, new Body.Cutting(Body.Tool.SLITTER, null, lanes));
    }

    private static BarLayer on(int level, Cover cover) {
        return FILLING.handled(Handling.on(level, cover));
    }

    private static BarLayer many(int times, double each, Double celsius, BarLayer.Mix mix) {
        return new BarLayer(
                LayerKind.FILLING,
                "gianduja",
                BarLayer.By.MM,
                4,
                each,
                1,
                times,
                mix,
                null,
                null,
                null,
                null,
                celsius,
                null);
    }

    private static Bar declared(Double grams, Double centre, Double bowl) {
        return new Bar(
                Build.MOULDED,
                MOULD,
                List.of(SHELL, FILLING),
                Bar.Finish.TEMPERED,
                Bar.Storage.COOL,
                Bar.SoldAs.OWN_NAME,
                grams,
                centre,
                bowl,
                null);
    }

    /** Bars and the field that is at fault; none where the bar is right. */
    @DataProvider
    public Object[][] bars() {
        BarLayer[] most = Collections.nCopies(24, FILLING).toArray(BarLayer[]::new);
        BarLayer[] tooMany = Collections.nCopies(25, FILLING).toArray(BarLayer[]::new);
        return new Object[][] {
            {bar(Build.MOULDED, MOULD, SHELL, REST), ""},
            {bar(Build.MOULDED, MOULD), "layers"},
            {bar(Build.MOULDED, MOULD, most), ""},
            {bar(Build.MOULDED, MOULD, tooMany), "layers"},
            {bar(Build.MOULDED, SLAB, FILLING), "build"},
            {bar(Build.SLAB, SLAB, FILLING), ""},
            {bar(Build.SLAB, SLAB, SHELL, FILLING), "layer.0.kind"},
            {bar(Build.SLAB, SLAB, REST), "layer.0.by"},
            {bar(Build.MOULDED, MOULD, SHELL, REST, REST), "layer.2.by"},
            {bar(Build.SHAPED, BALL, CENTRE), ""},
            {bar(Build.SHAPED, BALL, CENTRE, CENTRE), ""},
            {bar(Build.SHAPED, sliced(Body.Form.LOG, 100, 50.0), CENTRE), ""},
            {bar(Build.SHAPED, sliced(Body.Form.LOG, 101, 0.0), CENTRE), "body.slices"},
            {bar(Build.SHAPED, sliced(Body.Form.LOG, 0, 0.0), CENTRE), "body.slices"},
            {bar(Build.SHAPED, sliced(Body.Form.LOG, 2, 50.1), CENTRE), "body.endMm"},
            {bar(Build.SHAPED, sliced(Body.Form.BALL, 2, 0.0), CENTRE), "body.slices"},
            {bar(Build.SLAB, wires(22, 37), FILLING), ""},
            {bar(Build.SLAB, wires(22, 36), FILLING), "body.pieceWidthMm"},
            {bar(Build.SLAB, wires(22.06, 37), FILLING), "body.pieceLengthMm"},
            {bar(Build.SLAB, wires(22.04, 37), FILLING), ""},
            {bar(Build.SLAB, lanes(100), FILLING), ""},
            {bar(Build.SLAB, lanes(101), FILLING), "body.lanes"},
            {bar(Build.OPEN, new Body.Plate(true, List.of(60.0, 40.0)), on(2, Cover.DOTS)), ""},
            {bar(Build.OPEN, new Body.Plate(true, List.of(60.0, 40.0)), on(3, Cover.WHOLE)), "layer.0.level"},
            {bar(Build.OPEN, new Body.Plate(true, List.of()), FILLING), "body.cuttersMm"},
            {bar(Build.SLAB, SLAB, on(1, Cover.WHOLE)), "layer.0.level"},
            {bar(Build.SLAB, SLAB, on(0, Cover.RINGS)), "layer.0.cover"},
            {bar(Build.OPEN, new Body.Spread(400, 300, 30, 30, 0.5), FILLING), ""},
            {bar(Build.OPEN, new Body.Spread(400, 300, 31, 30, 0), FILLING), "body.leastGrams"},
            {bar(Build.OPEN, new Body.Spread(400, 300, 20, 30, 0.51), FILLING), "body.crumbs"},
            {bar(Build.MOULDED, new Body.Moulded(1, true), SHELL, FILLING.handled(Handling.inOneHalf())), ""},
            {bar(Build.MOULDED, MOULD, SHELL, FILLING.handled(Handling.inOneHalf())), "layer.1.oneHalf"},
            {bar(Build.SLAB, SLAB, FILLING.handled(Handling.cut(new CutFrom(300, 200, 0, 0), 0.5))), ""},
            {bar(Build.SLAB, SLAB, FILLING.handled(Handling.cut(new CutFrom(300, 200, 0, 0), 0.51))), "layer.0.spare"},
            {bar(Build.SLAB, SLAB, FILLING.handled(Handling.cut(new CutFrom(9, 200, 0, 0), 0))), "layer.0.sheetLengthMm"
            },
            {
                bar(Build.MOULDED, MOULD, SHELL, FILLING.handled(Handling.cut(new CutFrom(300, 200, 0, 0), 0))),
                "layer.1.sheetLengthMm"
            },
            {bar(Build.SLAB, SLAB, FOOT.handled(Handling.cut(new CutFrom(300, 200, 0, 0), 0))), "layer.0.sheetLengthMm"
            },
            {bar(Build.SLAB, SLAB, FILLING.handled(Handling.by(Technique.SPRAY, null, null))), "layer.0.technique"},
            {bar(Build.OPEN, TRAY, SHEET.handled(Handling.by(Technique.BAND, null, null))), ""},
            {bar(Build.OPEN, TRAY, SHEET.handled(Handling.by(Technique.SPRAY, null, null))), "layer.0.technique"},
            {bar(Build.SLAB, SLAB, FILLING, NIBS.handled(Handling.by(Technique.BAND, null, null))), "layer.1.technique"
            },
            {bar(Build.SLAB, SLAB, FILLING, NIBS.handled(Handling.by(Technique.STREW, 0.9, 2000.0))), ""},
            {bar(Build.SLAB, SLAB, FILLING, NIBS.handled(Handling.by(Technique.STREW, 0.91, 0.0))), "layer.1.misses"},
            {
                bar(Build.SLAB, SLAB, FILLING, NIBS.handled(Handling.by(Technique.STREW, 0.0, 2001.0))),
                "layer.1.keepsGrams"
            },
            {bar(Build.SLAB, SLAB, FILLING, NIBS.given(BarLayer.By.SHARE, 300)), ""},
            {bar(Build.SLAB, SLAB, FILLING, NIBS.given(BarLayer.By.SHARE, 301)), "layer.1.amount"},
            {bar(Build.SHAPED, BALL, LayerKind.COAT.usual()), "layers"},
            {bar(Build.SLAB, new Body.Slab(300, 200, 60, 25, 1, 5, 12.5), FILLING), ""},
            {bar(Build.SLAB, new Body.Slab(300, 200, 60, 25, 1, 5, 12.6), FILLING), "body.cornerMm"},
            {bar(Build.SLAB, new Body.Slab(5, 200, 60, 25, 1, 5, 0), FILLING), "body.lengthMm"},
            {bar(Build.OPEN, new Body.Sheet(300, 200, true, List.of(60.0), 2), FILLING), ""},
            {bar(Build.OPEN, new Body.Sheet(300, 200, true, List.of(), 2), FILLING), "body.cuttersMm"},
            {bar(Build.OPEN, new Body.Sheet(300, 200, true, Collections.nCopies(8, 30.0), 2), FILLING), ""},
            {bar(Build.OPEN, new Body.Sheet(300, 200, true, Collections.nCopies(9, 30.0), 2), FILLING), "body.cuttersMm"
            },
            {bar(Build.OPEN, new Body.Sheet(300, 200, true, List.of(1e6), 2), FILLING), "body.cuttersMm"},
            {bar(Build.MOULDED, MOULD, BarLayer.mm(LayerKind.FILLING, "gianduja", 100)), ""},
            {bar(Build.MOULDED, MOULD, BarLayer.mm(LayerKind.FILLING, "gianduja", 100.1)), "layer.0.amount"},
            {bar(Build.MOULDED, MOULD, BarLayer.grams(LayerKind.FILLING, "gianduja", 2000.1)), "layer.0.amount"},
            {bar(Build.MOULDED, MOULD, BarLayer.pieces("hazelnut-roasted", 201, 1, 1)), "layer.0.amount"},
            {bar(Build.MOULDED, MOULD, BarLayer.pieces("hazelnut-roasted", 3, 0, 1)), "layer.0.eachGrams"},
            {bar(Build.MOULDED, MOULD, BarLayer.pieces("hazelnut-roasted", 3, 1, 1.1)), "layer.0.embedded"},
            {bar(Build.MOULDED, MOULD, many(20, 0, null, null)), ""},
            {bar(Build.MOULDED, MOULD, many(21, 0, null, null)), "layer.0.repeat"},
            {bar(Build.MOULDED, MOULD, many(1, 0, 130.0, null)), ""},
            {bar(Build.MOULDED, MOULD, many(1, 0, 130.1, null)), "layer.0.celsius"},
            {bar(Build.MOULDED, MOULD, many(1, 0, null, new BarLayer.Mix("sugar", 1.01, false))), "layer.0.mixFraction"
            },
            {bar(Build.MOULDED, MOULD, FILLING.between(1, 1)), ""},
            {bar(Build.MOULDED, MOULD, FILLING.between(1.1, 1)), "layer.0.leastMm"},
            {bar(Build.MOULDED, MOULD, insert(BarLayer.Shape.BAR, 60, 1, 0)), "layer.0.widthMm"},
            {bar(Build.MOULDED, MOULD, insert(BarLayer.Shape.DISC, 60, 1, 0)), ""},
            {bar(Build.MOULDED, MOULD, insert(BarLayer.Shape.FREE, 60, 15, 3)), "layer.0.areaMm2"},
            {declared(40.0, 20.0, 180.0), ""},
            {declared(-1.0, null, null), "declaredGrams"},
            {declared(null, 131.0, null), "centreCelsius"},
            {declared(null, null, 1.0), "bowlMm"},
        };
    }

    private static BarLayer insert(BarLayer.Shape shape, double length, double width, double area) {
        return BarLayer.mm(LayerKind.INSERT, "wafer-sheet", 0)
                .with(new BarLayer.Insert(shape, length, width, 3, area, 0, 0, 0));
    }

    @Test(dataProvider = "bars")
    public void isRefusedBesideItsField(Bar bar, String field) {
        if (field.isEmpty()) {
            bar.check();
            return;
        }
        List<String> told = new ArrayList<>();
        expectThrows(InvalidInput.class, bar::check).faults().forEach(f -> told.add(f.field()));
        assertEquals(told, List.of(field));
    }

    @Test
    public void faultsAreToldTogether() {
        Bar bad = bar(Build.SLAB, new Body.Slab(5, 5, 60, 25, 1, 5, 0), SHELL, REST);
        List<String> fields = expectThrows(InvalidInput.class, bad::check).faults().stream()
                .map(Fault::field)
                .toList();
        assertTrue(
                fields.containsAll(List.of("body.lengthMm", "body.widthMm", "layer.0.kind", "layer.1.by")),
                fields.toString());
    }

    @Test
    public void anInsertIsChangedOneMeasureAtATime() {
        BarLayer.Insert insert = new BarLayer.Insert(BarLayer.Shape.DISC, 20, 15, 3, 0, 1, 2, 30);
        assertEquals(insert.ofLength(22), new BarLayer.Insert(BarLayer.Shape.DISC, 22, 15, 3, 0, 1, 2, 30));
        assertEquals(insert.ofWidth(16), new BarLayer.Insert(BarLayer.Shape.DISC, 20, 16, 3, 0, 1, 2, 30));
        assertEquals(insert.ofHeight(4), new BarLayer.Insert(BarLayer.Shape.DISC, 20, 15, 4, 0, 1, 2, 30));
        near(insert.outlineMm2(), Math.PI * 100, 1e-9, "a disc of 20 mm");
        assertEquals(insert.acrossMm(), 20.0, "across its diameter");
        assertEquals(insert(BarLayer.Shape.BAR, 60, 15, 0).insert().outlineMm2(), 900.0);
        assertEquals(insert(BarLayer.Shape.BAR, 60, 15, 0).insert().acrossMm(), 15.0);
        assertEquals(insert(BarLayer.Shape.FREE, 60, 15, 700).insert().outlineMm2(), 700.0);
    }

    @Test
    public void carriersAreCalledByName() {
        assertEquals(MOULD.carrier(), "mould");
        assertEquals(SLAB.carrier(), "slab");
        assertEquals(new Body.Tray(300, 200, 8, 5, 0, 0).carrier(), "tray");
        assertEquals(BALL.carrier(), "piece");
        assertEquals(new Body.Sheet(300, 200, true, List.of(60.0), 2).carrier(), "sheet");
        assertTrue(Body.Form.BALL.roundAcross() && Body.Form.LOG.roundAcross() && !Body.Form.BLOCK.roundAcross());
        assertTrue(SLAB.cutToPieces() && !MOULD.cutToPieces() && !BALL.cutToPieces());
    }

    @Test
    public void wordsAreThere() {
        for (Build build : Build.values()) {
            assertTrue(!build.title().isEmpty() && !build.about().isEmpty());
        }
        for (Bar.Finish finish : Bar.Finish.values()) {
            assertTrue(!finish.words().isEmpty());
        }
        for (Bar.Storage storage : Bar.Storage.values()) {
            assertTrue(!storage.words().isEmpty());
        }
        for (Bar.SoldAs sold : Bar.SoldAs.values()) {
            assertTrue(!sold.words().isEmpty());
        }
        for (BarLayer.By by : BarLayer.By.values()) {
            assertTrue(!by.words().isEmpty());
        }
        for (BarLayer.Shape shape : BarLayer.Shape.values()) {
            assertTrue(!shape.words().isEmpty());
        }
        for (Body.Form form : Body.Form.values()) {
            assertTrue(!form.words().isEmpty());
        }
    }
}
