package org.zeststack.core.judge;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.zeststack.core.Near.near;
import static org.zeststack.core.stack.Bars.CARAMEL;
import static org.zeststack.core.stack.Bars.DARK;
import static org.zeststack.core.stack.Bars.TAPERED;
import static org.zeststack.core.stack.Bars.back;
import static org.zeststack.core.stack.Bars.call;
import static org.zeststack.core.stack.Bars.codes;
import static org.zeststack.core.stack.Bars.moulded;
import static org.zeststack.core.stack.Bars.shell;

import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.Body;
import org.zeststack.core.bar.Build;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.explain.Call;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.stack.BarStack;
import org.zeststack.core.stack.Bars;

/** What a call proposes is the figure that mends it, by geometry: a back of 2 mm is the middle of 1 to 3 mm. */
public class RepairsTest {

    private static final BarLayer REST = BarLayer.rest(LayerKind.FILLING, CARAMEL);

    private static double figure(Call call, String field) {
        return Double.parseDouble(call.change().fields().get(field));
    }

    private static double backMm(BarStack stack) {
        return stack.first(LayerKind.BACK).orElseThrow().thicknessMm();
    }

    /** Grams of a weighed back: too few or too many are mended to 2 mm. */
    @DataProvider
    public Object[][] weighed() {
        return new Object[][] {{2.0, "back-too-thin"}, {18.0, "back-too-thick"}};
    }

    @Test(dataProvider = "weighed")
    public void aWeighedBackIsMendedInGrams(double grams, String code) {
        BarStack bad = moulded(TAPERED, shell(1.5), REST, BarLayer.grams(LayerKind.BACK, DARK, grams));
        Call told = call(bad, code);
        double mended = figure(told, "layer.2.amount");
        near(
                backMm(moulded(TAPERED, shell(1.5), REST, BarLayer.grams(LayerKind.BACK, DARK, mended))),
                2,
                0.01,
                "grams of 2 mm");
        assertEquals(Say.metric(told.change().words()), Say.metric("Back of " + BarCalls.grams(mended)));
        assertTrue(
                Say.metric(told.message()).contains(Say.metric(BarCalls.grams(mended)) + " a piece give 2.0 mm."),
                Say.metric(told.message()));
    }

    @Test
    public void aLaidBackIsMendedInMillimetres() {
        Call thin = call(moulded(TAPERED, shell(1.5), REST, BarLayer.mm(LayerKind.BACK, DARK, 0.5)), "back-too-thin");
        assertEquals(figure(thin, "layer.2.amount"), 2.0);
        assertEquals(Say.metric(thin.arithmetic()), "0.5 mm as designed, 2.0 mm wanted");
        assertTrue(
                Say.metric(thin.message()).contains("above the seal line, it will leak. 6."),
                Say.metric(thin.message()));
        assertTrue(Say.metric(thin.message()).contains(" g less caramel gives 2.0 mm."), Say.metric(thin.message()));
        Call thick = call(moulded(TAPERED, shell(1.5), REST, BarLayer.mm(LayerKind.BACK, DARK, 4)), "back-too-thick");
        assertTrue(
                Say.metric(thick.message()).startsWith("Back will be 4.0 mm: a slab to bite through. "),
                Say.metric(thick.message()));
        assertTrue(Say.metric(thick.message()).contains(" g more caramel gives 2.0 mm."), Say.metric(thick.message()));
        BarStack fixed = moulded(
                TAPERED,
                shell(1.5),
                BarLayer.mm(LayerKind.FILLING, CARAMEL, 10.2),
                BarLayer.mm(LayerKind.BACK, DARK, 0.5));
        assertTrue(
                Say.metric(call(fixed, "back-too-thin").message()).contains("Lay 2.0 mm."),
                codes(fixed).toString());
    }

    /** A back that takes the rest is mended by its filling, in the unit of that. */
    @Test
    public void aRestingBackIsMendedByItsFilling() {
        BarLayer resting = BarLayer.rest(LayerKind.BACK, DARK);
        BarStack thin = moulded(TAPERED, shell(1.5), BarLayer.mm(LayerKind.FILLING, CARAMEL, 12), resting);
        Call told = call(thin, "back-too-thin");
        assertEquals(figure(told, "layer.1.amount"), 10.5, 1e-9);
        assertEquals(Say.metric(told.change().words()), "Fill 10.5 mm");
        assertTrue(
                Say.metric(told.message()).contains("1.5 mm less caramel gives a back of 2.0 mm."),
                Say.metric(told.message()));
        assertTrue(Say.metric(told.arithmetic()).contains("10.50 instead of 12.00 mm"), Say.metric(told.arithmetic()));
        BarStack light = moulded(TAPERED, shell(1.5), BarLayer.grams(LayerKind.FILLING, CARAMEL, 20), resting);
        Call more = call(light, "back-too-thick");
        double grams = figure(more, "layer.1.amount");
        near(
                backMm(moulded(TAPERED, shell(1.5), BarLayer.grams(LayerKind.FILLING, CARAMEL, grams), resting)),
                2,
                0.01,
                "grams that leave 2 mm");
        assertEquals(Say.metric(more.change().words()), Say.metric("Fill " + BarCalls.grams(grams)));
        assertTrue(
                Say.metric(more.message()).contains(" more caramel gives a back of 2.0 mm."),
                Say.metric(more.message()));
        BarStack twice = moulded(
                TAPERED,
                shell(1.5),
                new BarLayer(
                        LayerKind.FILLING,
                        CARAMEL,
                        BarLayer.By.MM,
                        6,
                        0,
                        1,
                        2,
                        null,
                        null,
                        null,
                        null,
                        null,
                        null,
                        null),
                resting);
        assertEquals(figure(call(twice, "back-too-thin"), "layer.1.amount"), 5.25, 1e-9, "each of two");
        assertTrue(Say.metric(call(twice, "back-too-thin").message()).contains("1.5 mm less"), "both together");
    }

    @Test
    public void whatDoesNotFitIsMendedByItsLastFilling() {
        BarStack high = moulded(TAPERED, shell(1.5), BarLayer.mm(LayerKind.FILLING, CARAMEL, 14), back(2));
        Call told = call(high, "overfull");
        assertTrue(
                Say.metric(told.message()).startsWith("It does not fit: the layers are 3.5 mm higher than the inside"),
                Say.metric(told.message()));
        assertTrue(Say.metric(told.message()).contains("3.5 mm less caramel makes room."), Say.metric(told.message()));
        assertEquals(figure(told, "layer.1.amount"), 10.5, 1e-9);
        assertTrue(
                Say.metric(told.arithmetic()).startsWith("layers 16.0 mm > inside 12.5 mm; "),
                Say.metric(told.arithmetic()));
        BarStack heavy = moulded(TAPERED, shell(1.5), BarLayer.grams(LayerKind.FILLING, CARAMEL, 60), back(2));
        Call much = call(heavy, "overfull");
        double grams = figure(much, "layer.1.amount");
        assertTrue(Say.metric(much.message()).contains("mL more than there is"), Say.metric(much.message()));
        assertTrue(!codes(moulded(TAPERED, shell(1.5), BarLayer.grams(LayerKind.FILLING, CARAMEL, grams), back(2)))
                .contains("overfull"));
        assertTrue(
                codes(moulded(TAPERED, shell(1.5), BarLayer.grams(LayerKind.FILLING, CARAMEL, grams + 0.5), back(2)))
                        .contains("overfull"),
                "not a hair more");
        BarStack none = moulded(TAPERED, shell(1.5), REST, BarLayer.mm(LayerKind.BACK, DARK, 13));
        assertTrue(Say.metric(call(none, "overfull").message()).contains("nothing is left for what takes the rest"));
    }

    @Test
    public void roomThatNobodyFillsIsTold() {
        Call empty =
                call(moulded(TAPERED, shell(1.5), BarLayer.mm(LayerKind.FILLING, CARAMEL, 8), back(2)), "empty-room");
        assertTrue(
                Say.metric(empty.message()).startsWith("2.5 mm stay empty below the rim: 8.1 mL."),
                Say.metric(empty.message()));
        assertEquals(Say.metric(empty.arithmetic()), "inside 12.5 mm − layers 10.0 mm");
        assertTrue(!codes(moulded(TAPERED, shell(1.5), BarLayer.mm(LayerKind.FILLING, CARAMEL, 10.5), back(2)))
                .contains("empty-room"));
        BarStack open = Bars.of(
                Bar.of(Build.OPEN, new Body.Moulded(1, false), List.of(BarLayer.mm(LayerKind.FILLING, DARK, 8))),
                TAPERED);
        assertTrue(!codes(open).contains("empty-room"), "a tablet ends where it ends");
    }

    /** A shell of its own bounds is mended to the middle of them where the usual figure lies outside. */
    @Test
    public void shellsAndCoatsAreMendedToWhatIsUsual() {
        Call thin = call(moulded(TAPERED, shell(0.5), REST, back(2)), "shell-too-thin");
        assertEquals(figure(thin, "layer.0.amount"), 1.5);
        assertEquals(Say.metric(thin.change().words()), "Shell of 1.5 mm");
        Call own = call(moulded(TAPERED, shell(1.5).between(2, 3), REST, back(2)), "shell-too-thin");
        assertEquals(figure(own, "layer.0.amount"), 2.5);
        Call thick = call(moulded(TAPERED, shell(3.5), REST, back(2)), "shell-too-thick");
        assertEquals(figure(thick, "layer.0.amount"), 3.0);
        Call coat = call(slab(BarLayer.mm(LayerKind.COAT, DARK, 0.2)), "coat-too-thin");
        assertTrue(
                Say.metric(coat.message()).startsWith("Coat of 0.2 mm: the centre shows through"),
                Say.metric(coat.message()));
        assertEquals(figure(coat, "layer.1.amount"), 1.0);
        BarStack bottoms = slab(
                BarLayer.mm(LayerKind.COAT, DARK, 1),
                BarLayer.mm(LayerKind.COAT, DARK, 2).on(new BarLayer.Faces(true, false, false, false)));
        Call bottom = call(bottoms, "coat-too-thick");
        assertTrue(
                Say.metric(bottom.message()).startsWith("Coat on the bottom of 3.0 mm"), Say.metric(bottom.message()));
        assertEquals(figure(bottom, "layer.2.amount"), 1.5);
        BarStack sides = slab(
                BarLayer.mm(LayerKind.COAT, DARK, 0.3).on(new BarLayer.Faces(false, true, false, false)),
                BarLayer.mm(LayerKind.COAT, DARK, 1).on(new BarLayer.Faces(true, false, true, false)));
        assertTrue(Say.metric(call(sides, "coat-too-thin").message()).startsWith("Coat on the sides of 0.3 mm"));
        BarStack tops = slab(
                BarLayer.mm(LayerKind.COAT, DARK, 1),
                BarLayer.mm(LayerKind.COAT, DARK, 2).on(new BarLayer.Faces(false, false, true, false)));
        assertTrue(Say.metric(call(tops, "coat-too-thick").message()).startsWith("Coat on top of 3.0 mm"));
    }

    private static BarStack slab(BarLayer... coats) {
        List<BarLayer> layers = new java.util.ArrayList<>(List.of(BarLayer.mm(LayerKind.FILLING, CARAMEL, 12)));
        layers.addAll(List.of(coats));
        return Bars.of(Bar.of(Build.SLAB, new Body.Slab(300, 200, 60, 25, 0, 0, 0), layers));
    }

    /** 100 × 100 mm, pieces of 60 × 30 mm: three of one, 46 % lost; 50 × 33.3 mm leave nothing. */
    @Test
    public void offcutsAreMendedByPiecesThatDivideTheSlab() {
        BarStack bad = Bars.of(Bar.of(
                Build.SLAB,
                new Body.Slab(100, 100, 60, 30, 0, 0, 0),
                List.of(BarLayer.mm(LayerKind.FILLING, CARAMEL, 12))));
        Call told = call(bad, "offcuts-high");
        assertTrue(
                Say.metric(told.message()).startsWith("46.0 % of the slab is off-cuts: "), Say.metric(told.message()));
        assertTrue(
                Say.metric(told.message()).contains("3 pieces. Pieces that divide the slab leave less."),
                Say.metric(told.message()));
        assertEquals(figure(told, "body.pieceLengthMm"), 50.0);
        assertEquals(figure(told, "body.pieceWidthMm"), 33.3);
        BarStack one = Bars.of(Bar.of(
                Build.SLAB,
                new Body.Slab(100, 100, 95, 95, 0, 0, 0),
                List.of(BarLayer.mm(LayerKind.FILLING, CARAMEL, 12))));
        assertTrue(
                Say.metric(call(one, "offcuts").message()).contains("of one piece."),
                Say.metric(call(one, "offcuts").message()));
        BarStack trimmed = Bars.of(Bar.of(
                Build.SLAB,
                new Body.Slab(102, 102, 60, 30, 1, 1, 0),
                List.of(BarLayer.mm(LayerKind.FILLING, CARAMEL, 12))));
        Call kerfs = call(trimmed, "offcuts-high");
        assertEquals(figure(kerfs, "body.pieceLengthMm"), 49.5, 1e-9, "two and one cut in 100 mm");
        assertEquals(figure(kerfs, "body.pieceWidthMm"), 32.6, 1e-9, "three and two cuts");
    }
}
