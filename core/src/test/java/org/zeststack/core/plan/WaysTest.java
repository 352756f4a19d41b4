package org.zeststack.core.plan;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.zeststack.core.Near.near;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.BarLayer.Faces;
import org.zeststack.core.bar.Body;
import org.zeststack.core.bar.Build;
import org.zeststack.core.bar.CutFrom;
import org.zeststack.core.bar.Handling;
import org.zeststack.core.bar.Handling.Cover;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.bar.Technique;
import org.zeststack.core.cavity.Cavity;
import org.zeststack.core.formula.Scaling;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.quantity.Numbers;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.sheet.Allowances;
import org.zeststack.core.sheet.BenchStep;
import org.zeststack.core.sheet.CouvertureBatch;
import org.zeststack.core.sheet.Deposit;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.core.sheet.WeighingLine;
import org.zeststack.core.stack.BarStack;
import org.zeststack.core.stack.Bars;
import org.zeststack.core.stack.Parts;
import org.zeststack.core.stack.StackLayer;
import org.zeststack.core.workshop.Place;
import org.zeststack.core.workshop.Thermometer;

/**
 * Ways of working, each with its grams reckoned by hand and its steps in their order. Sizes and masses are check values; shares that a
 * tool keeps or misses are given, not the usual ones.
 */
public class WaysTest {

    private static final String WHITE = "couverture-white-30";
    private static final String RED = "coloured-butter-red";
    private static final String BISCUIT = "biscuit-shortbread";

    /** A plan without rejects, 3 % scraped off, 300 g left in a bowl. */
    private static RunSheet plan(Bar bar, Cavity cavity, int pieces) {
        RunOrder order = new RunOrder(
                "test",
                1,
                BarStack.of(bar, new Parts(cavity, 1, 0, 3, 8, Bars.MATERIALS)),
                Map.of(),
                List.of(),
                Set.of(),
                f -> Scaling.Limits.NONE,
                "carrier",
                2,
                new Place(Place.By.ALTITUDE, 0),
                "probe",
                Thermometer.TRUE,
                pieces,
                new Allowances(0, 0.03, 300));
        return RunPlanner.plan(order, IngredientTable.shipped());
    }

    private static Bar moulded(boolean halves, BarLayer... layers) {
        return Bar.of(Build.MOULDED, new Body.Moulded(1, halves), List.of(layers));
    }

    private static BarStack of(Build build, Body body, BarLayer... layers) {
        return Bars.of(Bar.of(build, body, List.of(layers)));
    }

    private static StackLayer layer(BarStack stack, String key) {
        return stack.layer(key).orElseThrow();
    }

    private static List<String> steps(RunSheet sheet) {
        return sheet.steps().stream()
                .map(s -> s.id().replaceAll(":.*couverture.*?(:|$)", "$1").replaceAll(":do.*", ""))
                .toList();
    }

    private static Deposit laid(RunSheet sheet, String slug) {
        return sheet.laid().stream()
                .filter(l -> l.key().equals("laid-" + slug))
                .findFirst()
                .orElseThrow()
                .deposit();
    }

    private static void deposit(Deposit of, double pieces, double offcuts, double spare, double kept) {
        near(of.pieces(), pieces, 1e-6, "in the pieces");
        near(of.offcuts(), offcuts, 1e-6, "cut off or beside them");
        near(of.spare(), spare, 1e-6, "spare");
        near(of.kept(), kept, 1e-9, "kept by the tool");
    }

    private static final BarLayer.Mix TINT = new BarLayer.Mix(RED, 0.03, false);

    @Test
    public void aTintIsForAllOfTheBowl() {
        Bar bar = moulded(
                false,
                BarLayer.grams(LayerKind.SHELL, WHITE, 10).mixed(TINT),
                BarLayer.rest(LayerKind.FILLING, Bars.CARAMEL),
                BarLayer.mm(LayerKind.BACK, WHITE, 2));
        RunSheet sheet = plan(bar, Bars.TAPERED, 20);
        CouvertureBatch tinted = sheet.couvertures().get(0);
        CouvertureBatch plain = sheet.couvertures().get(1);
        // 20 shells of 10 g are 200 g; of 200 / 0.97 the rest is 6.2 g, so 7 g; one mould poured out, 300 g stay in the
        // bowl.
        near(tinted.melt().staysGrams(), 200, 1e-6, "by hand");
        near(tinted.meltGrams(), 200 + 7 + tinted.melt().pouredGrams() + 300, 1e-6, "by hand");
        assertTrue(tinted.melt().pouredGrams() > 500, "a whole mould less its shells");
        near(
                tinted.tint().orElseThrow().grams(),
                0.03 * tinted.meltGrams(),
                1e-9,
                "3 % of all the bowl, not of the shells");
        near(plain.melt().pouredGrams(), 0, 1e-9, "the back has a bowl of its own");
        assertEquals(tinted.slug(), plain.slug());
        double white = tinted.meltGrams() * 0.97 + plain.meltGrams();
        near(list(sheet, WHITE), white, 1e-6, "both bowls less the red");
        near(list(sheet, RED), 0.03 * tinted.meltGrams(), 1e-9, "by hand");
        assertEquals(
                steps(sheet).stream().filter(s -> !s.startsWith("do")).toList(),
                List.of("tint", "temper", "line", "fill:filling-1", "temper", "close", "release:"));
    }

    private static double list(RunSheet sheet, String slug) {
        return sheet.weighing().stream()
                .filter(w -> w.ingredient().equals(slug))
                .mapToDouble(WeighingLine::grams)
                .sum();
    }

    @Test
    public void whatIsMarbledKeepsItsTwoBowls() {
        BarLayer.Mix marbled = new BarLayer.Mix(Bars.MILK, 0.2, true);
        RunSheet sheet = plan(
                moulded(
                        false,
                        BarLayer.grams(LayerKind.SHELL, WHITE, 10).mixed(marbled),
                        BarLayer.rest(LayerKind.FILLING, Bars.CARAMEL),
                        BarLayer.mm(LayerKind.BACK, WHITE, 2)),
                Bars.TAPERED,
                20);
        assertEquals(sheet.couvertures().size(), 2);
        near(sheet.couvertures().get(1).melt().staysGrams(), 40, 1e-6, "a fifth of 200 g");
        assertTrue(sheet.couvertures().get(1).tint().isEmpty());
    }

    @Test
    public void decorationTakesWhatMissesAndWhatTheBrushKeeps() {
        BarLayer speckle = LayerKind.DECORATION.usual().amount(60);
        Bar bar = moulded(
                false,
                speckle.handled(Handling.by(Technique.SPECKLE, 0.25, 5.0)),
                BarLayer.mm(LayerKind.SHELL, WHITE, 1.5),
                BarLayer.rest(LayerKind.FILLING, Bars.CARAMEL),
                BarLayer.mm(LayerKind.BACK, WHITE, 2));
        // 200 cavities of 60 mg are 12 g; a quarter of what is used misses: 16 g, of it 4 g beside; 5 g stay in the
        // brush.
        deposit(laid(plan(bar, Bars.TAPERED, 200), "coloured-butter-white"), 12, 4, 0, 5);
        // Its usual figures stand until somebody weighs their own: 30 % and 4 g.
        BarLayer usual = speckle.handled(Handling.by(Technique.SPECKLE, null, null));
        assertEquals(usual.handling().misses(), 0.30);
        assertEquals(usual.handling().keeps(), 4.0);
        assertEquals(speckle.handling().misses() + speckle.handling().keeps(), 0.0);
    }

    @Test
    public void oneOfTwoHalvesIsDecorated() {
        BarLayer spray = LayerKind.DECORATION.usual().amount(60);
        BarLayer nuts = BarLayer.pieces("hazelnut-roasted", 3, 1.3, 1);
        for (boolean one : new boolean[] {true, false}) {
            Handling where = one ? Handling.inOneHalf() : Handling.PLAIN;
            Bar bar = moulded(
                    true, spray.handled(where), BarLayer.mm(LayerKind.SHELL, Bars.DARK, 1.5), nuts.handled(where));
            BarStack stack = BarStack.of(bar, Parts.of(Bars.TAPERED, Bars.MATERIALS));
            int halves = one ? 1 : 2;
            near(layer(stack, "decoration-1").grams(), halves * 0.06, 1e-12, "by hand");
            near(layer(stack, "inclusion-1").grams(), halves * 3.9, 1e-12, "left loose inside");
            RunSheet sheet = plan(stack.bar(), Bars.TAPERED, 10);
            assertEquals(sheet.layers().get(0).perPiece(), Integer.valueOf(halves));
            near(laid(sheet, "hazelnut-roasted").pieces(), 10 * halves * 3.9, 1e-9, "by hand");
            assertTrue(
                    sheet.steps().stream().anyMatch(s -> s.how().action().contains("warm plate")), "joined by a step");
        }
    }

    @Test
    public void insertsAreCutFromWholeSheetsWithSpareOnes() {
        // 300 × 200 baked less 5 mm a side: 17 × 3 of 60 × 15 turned, 2 mm apart, are 51; straight only 4 × 11.
        BarLayer insert =
                LayerKind.INSERT.usual().with(new BarLayer.Insert(BarLayer.Shape.BAR, 60, 15, 4, 0, 0, 0, 66));
        BarLayer cut = insert(insert, new CutFrom(300, 200, 2, 5), 0.1);
        RunSheet sheet = plan(
                moulded(
                        false,
                        BarLayer.mm(LayerKind.SHELL, Bars.DARK, 1.5),
                        BarLayer.mm(LayerKind.FILLING, Bars.CARAMEL, 3),
                        cut,
                        BarLayer.rest(LayerKind.FILLING, Bars.CARAMEL),
                        BarLayer.mm(LayerKind.BACK, Bars.DARK, 2)),
                Bars.TAPERED,
                100);
        // 100 are needed, 112 made for a tenth that breaks: three sheets of 240 mL × 0.75 g/mL. One weighs 2.7 g.
        deposit(laid(sheet, BISCUIT), 270, 540 - 153 * 2.7, 53 * 2.7, 0);
        String step = sheet.steps().stream()
                .filter(s -> s.layer().equals("insert-1"))
                .findFirst()
                .map(BenchStep::detail)
                .map(Say::metric)
                .orElseThrow();
        assertTrue(step.contains("3 sheets of 300 × 200 mm") && step.contains("51 of one"), step);
        assertTrue(step.contains("330 × 220 mm raw"), step);
        // Of 200 × 100 mm come ten rounds of 40 mm, side by side or staggered.
        BarLayer disc = LayerKind.INSERT.usual().with(new BarLayer.Insert(BarLayer.Shape.DISC, 40, 0, 4, 0, 0, 0, 0));
        Bar tablet = moulded(
                false, BarLayer.mm(LayerKind.FILLING, Bars.DARK, 3), insert(disc, new CutFrom(200, 100, 0, 0), 0));
        BarStack round = BarStack.of(tablet, Parts.of(Bars.TAPERED, Bars.MATERIALS));
        assertEquals(layer(round, "insert-1").perSheet(), 10);
        // Less 20 mm on every side of 135 × 120 mm there are 95 × 80 mm: two by two.
        Bar trimmed = moulded(
                false, BarLayer.mm(LayerKind.FILLING, Bars.DARK, 3), insert(disc, new CutFrom(135, 120, 0, 20), 0));
        assertEquals(
                layer(BarStack.of(trimmed, Parts.of(Bars.TAPERED, Bars.MATERIALS)), "insert-1")
                        .perSheet(),
                4);
        near(layer(round, "insert-1").laidGrams(), 200 * 100 * 4 / 1000.0 * 0.75 / 10, 1e-9, "a tenth of a sheet");
    }

    private static BarLayer insert(BarLayer shape, CutFrom sheet, double spare) {
        return new BarLayer(
                shape.kind(),
                BISCUIT,
                shape.by(),
                0,
                0,
                1,
                1,
                null,
                shape.insert(),
                null,
                null,
                null,
                null,
                Handling.cut(sheet, spare));
    }

    @Test
    public void oneRolledSheetGivesTwoLayers() {
        BarLayer half =
                BarLayer.mm(LayerKind.FILLING, Bars.CARAMEL, 4).handled(Handling.cut(new CutFrom(620, 210, 0, 5), 0));
        BarLayer coat = BarLayer.mm(LayerKind.COAT, Bars.DARK, 1).on(new Faces(true, true, true, true, true));
        Bar bar = Bar.of(Build.SLAB, new Body.Slab(300, 200, 60, 25, 0, 0, 0), List.of(half, half, coat));
        RunSheet sheet = plan(bar, null, 40);
        // Both halves are one sheet of 620 × 210 × 4 mm × 1.3 g/mL; the slab keeps 300 × 200 × 8 mm of it.
        deposit(laid(sheet, Bars.CARAMEL), 624, 677.04 - 624, 0, 0);
        // Coated before the cut on all but its ends: two flats, two sides of 300 × 8, four long edges rounded with 1
        // mm.
        double ml = (2 * 60_000 + 600 * 8 + Math.PI / 4 * 2 * 600) / 1000;
        near(sheet.couvertures().get(0).deposit().total(), ml * 1.27, 1e-6, "by hand");
        List<String> order = steps(sheet);
        assertTrue(order.indexOf("lay:coat-1") < order.indexOf("cut:"), order.toString());
    }

    @Test
    public void aFrameOfWiresAndASlitterHaveTheirMeasure() {
        Body.Cutting lanes = new Body.Cutting(Body.Tool.SLITTER, null, 8);
        assertEquals(lanes.passes(8), 1);
        assertEquals(lanes.passes(9), 2);
        Bar bar = Bar.of(
                Build.SLAB,
                new Body.Slab(300, 210, 37, 22, 0.5, 0, 0, new Body.Cutting(Body.Tool.WIRES, 7.5, null)),
                List.of(BarLayer.mm(LayerKind.FILLING, Bars.CARAMEL, 10), BarLayer.mm(LayerKind.FOOT, Bars.DARK, 0.8)));
        RunSheet sheet = plan(bar, null, 50);
        // 8 along and 9 across: 72 of one, and a foot of 300 × 210 × 0.8 mm, melted by itself and not tempered.
        assertEquals(sheet.carriers().cavities(), 72);
        near(sheet.couvertures().get(0).deposit().total(), 300 * 210 * 0.8 / 1000 * 1.27, 1e-6, "by hand");
        assertEquals(
                steps(sheet).stream().filter(s -> !s.startsWith("do")).toList(),
                List.of("fill:filling-1", "melt:foot-1", "lay:foot-1", "cut:", "release:"));
        String cut = Say.metric(sheet.step("cut:").orElseThrow().detail());
        assertTrue(cut.contains("wires 7.5 mm apart"), cut);
    }

    @Test
    public void aPressedBlockIsScoredSetChilledCutAndRounded() {
        Bar bar = Bar.of(
                Build.SLAB,
                new Body.Slab(200, 100, 50, 25, 0, 0, 4),
                List.of(
                        BarLayer.mm(LayerKind.FILLING, Bars.PASTE, 10),
                        BarLayer.pieces("almond-roasted", 2, 1.2, 0.25),
                        BarLayer.mm(LayerKind.COAT, Bars.DARK, 1)));
        RunSheet sheet = plan(bar, null, 16);
        // 2.4 g of almonds on each of the 16 pieces, none on what the corners lose.
        deposit(laid(sheet, "almond-roasted"), 16 * 2.4, 0, 0, 0);
        // 50 × 25 mm less (4 − π) 4² mm² of corners, 10 mm high, less a quarter of the almonds pressed in.
        double almonds = 2.4 / Bars.MATERIALS.get("almond-roasted").densityGramsPerMl();
        double paste = ((50 * 25 - (4 - Math.PI) * 16) * 10 / 1000 - 0.25 * almonds) * 1.10;
        near(layer(Bars.of(bar), "filling-1").grams(), paste, 1e-9, "by hand");
        List<String> titles = sheet.steps().stream().map(s -> s.how().action()).toList();
        int at = -1;
        for (String wanted :
                List.of("Score", "Set ", "Chill", "Trim and cut", "Round the corners", "Bring it into temper")) {
            int found = at + 1;
            while (found < titles.size() && !titles.get(found).startsWith(wanted)) {
                found++;
            }
            assertTrue(found < titles.size(), wanted + " after step " + at + " of " + titles);
            at = found;
        }
    }

    @Test
    public void aLogCarriesItsCaramel() {
        BarStack stack = of(
                Build.SHAPED,
                new Body.Shaped(Body.Form.LOG, 80, 20, 0, 0),
                BarLayer.grams(LayerKind.FILLING, Bars.PASTE, 0),
                BarLayer.grams(LayerKind.FILLING, Bars.CARAMEL, 6),
                BarLayer.mm(LayerKind.COAT, Bars.DARK, 1));
        near(layer(stack, "filling-1").grams(), 27.646, 1e-3, "π/4 × 20² × 80 mm³ × 1.1 g/mL");
        near(layer(stack, "filling-2").grams(), 6, 1e-9, "as weighed");
        near(layer(stack, "filling-2").thicknessMm(), (21.759 - 20) / 2, 1e-3, "all round");
        // 25 132.7 and 4 615.4 mm³ are as much as a log of 21.759 mm, which takes 6 575.2 mm³ of coat.
        near(layer(stack, "coat-1").grams(), 8.3505, 1e-3, "by hand");
        BarStack ball = of(
                Build.SHAPED,
                new Body.Shaped(Body.Form.BALL, 0, 20, 0, 0),
                BarLayer.grams(LayerKind.FILLING, Bars.PASTE, 0),
                BarLayer.mm(LayerKind.FILLING, Bars.CARAMEL, 2));
        double round = Math.PI / 6 * (24 * 24 * 24 - 20 * 20 * 20) / 1000;
        near(layer(ball, "filling-2").grams(), round * 1.3, 1e-9, "2 mm all round a ball");
        BarStack block = of(
                Build.SHAPED,
                new Body.Shaped(Body.Form.BLOCK, 60, 20, 10, 0),
                BarLayer.grams(LayerKind.FILLING, Bars.PASTE, 0),
                BarLayer.mm(LayerKind.FILLING, Bars.CARAMEL, 4));
        near(layer(block, "filling-2").grams(), 60 * 20 * 4 / 1000.0 * 1.3, 1e-9, "on top");
        near(block.pieceHeightMm(), 14, 1e-9, "by hand");
    }

    @Test
    public void aLogIsCoatedAndSliced() {
        Body.Shaped log = new Body.Shaped(Body.Form.LOG, 20, 30, 0, 0, 10, 10.0);
        BarLayer coat = BarLayer.mm(LayerKind.COAT, Bars.DARK, 1).on(new Faces(true, true, true, true));
        RunSheet sheet = plan(
                Bar.of(Build.SHAPED, log, List.of(BarLayer.grams(LayerKind.FILLING, Bars.PASTE, 0), coat)), null, 25);
        // 30 slices of three logs of 220 mm; a slice is π/4 × 30² × 20 mm × 1.1 g/mL = 15.551 g.
        assertEquals(sheet.carriers().fills(), 3);
        assertEquals(sheet.carriers().spare(), Integer.valueOf(5));
        double slice = Math.PI / 4 * 900 * 20 / 1000 * 1.1;
        deposit(laid(sheet, Bars.PASTE), 25 * slice, 0.1 * 30 * slice, 5 * slice, 0);
        // A slice keeps its rim: π (16² − 15²) × 20 mm.
        near(sheet.couvertures().get(0).deposit().pieces(), 25 * Math.PI * 31 * 20 / 1000 * 1.27, 1e-6, "by hand");
        double whole =
                2 * Math.PI * 225 + (30 * Math.PI + Math.PI) * 220 + 2 * (Math.PI / 4 * 30 * Math.PI + 2 * Math.PI / 3);
        near(sheet.couvertures().get(0).deposit().total(), 3 * whole / 1000 * 1.27, 1e-6, "three whole logs, ends too");
        List<String> order = steps(sheet);
        assertTrue(order.indexOf("lay:coat-1") < order.indexOf("cut:"), order.toString());
    }

    @Test
    public void powderIsPickedUpAndTheRestStaysInTheTray() {
        BarLayer powder = LayerKind.TOPPING.usual().given(BarLayer.By.MILLIGRAMS, 400);
        Bar bar = Bar.of(
                Build.SHAPED,
                new Body.Shaped(Body.Form.BALL, 0, 0, 0, 12),
                List.of(
                        BarLayer.grams(LayerKind.FILLING, Bars.PASTE, 0),
                        powder.handled(Handling.by(Technique.ROLL, null, 120.0))));
        deposit(laid(plan(bar, null, 30), powder.of()), 12, 0, 0, 120);
    }

    @Test
    public void everyLevelOfAPlateHasItsOwn() {
        BarStack stack = of(
                Build.OPEN,
                new Body.Plate(true, List.of(60.0, 40.0)),
                BarLayer.mm(LayerKind.SHEET, Bars.DARK, 3).handled(Handling.on(1, Cover.WHOLE)),
                BarLayer.mm(LayerKind.FILLING, Bars.CARAMEL, 5).handled(Handling.on(1, Cover.RINGS)),
                BarLayer.mm(LayerKind.SHEET, Bars.MILK, 2).handled(Handling.on(2, Cover.WHOLE)),
                BarLayer.grams(LayerKind.FILLING, Bars.CARAMEL, 4).handled(Handling.on(2, Cover.DOTS)));
        double large = Math.PI / 4 * 3600;
        double small = Math.PI / 4 * 1600;
        near(layer(stack, "sheet-1").grams(), large * 3 / 1000 * 1.27, 1e-9, "by hand");
        near(layer(stack, "filling-1").grams(), 0.6 * large * 5 / 1000 * 1.3, 1e-9, "rings fill 0.6 of it");
        near(layer(stack, "sheet-2").volumeMl(), small * 2 / 1000, 1e-9, "by hand");
        near(layer(stack, "filling-2").grams(), 4, 1e-9, "as weighed");
        double dots = 4 / 1.3 * 1000 / (0.5 * small);
        near(layer(stack, "filling-2").thicknessMm(), dots, 1e-9, "4 g on half of the outline");
        near(stack.pieceHeightMm(), 3 + 5 + 2 + dots, 1e-9, "one upon the other");
        stack.layers().forEach(l -> near(l.laidGrams(), l.grams(), 1e-12, "nothing is cut, nothing cut off"));
        RunSheet sheet = plan(stack.bar(), null, 7);
        assertEquals(sheet.carriers().carrier(), "plate");
        assertEquals(sheet.carriers().fills(), 7);
        assertTrue(sheet.steps().stream().noneMatch(s -> s.id().equals("cut:")), "nothing is cut");
    }

    @Test
    public void discsOfASheetAreCutBeforeTheyArePipedAndStacked() {
        Bar bar = Bar.of(
                Build.OPEN,
                new Body.Sheet(200, 100, false, List.of(50.0, 25.0), 0),
                List.of(
                        BarLayer.mm(LayerKind.SHEET, Bars.DARK, 2).handled(Handling.on(1, Cover.WHOLE)),
                        BarLayer.grams(LayerKind.FILLING, Bars.CARAMEL, 3).handled(Handling.on(1, Cover.DOTS)),
                        BarLayer.mm(LayerKind.SHEET, Bars.MILK, 2).handled(Handling.on(2, Cover.WHOLE))));
        BarStack stack = Bars.of(bar);
        // Eight large ones of one sheet, 32 small ones of another: eight pieces, and each takes an eighth of both
        // sheets.
        assertEquals(stack.frame().piecesOfOne(), 8);
        near(layer(stack, "sheet-1").laidGrams(), 200 * 100 * 2 / 1000.0 * 1.27 / 8, 1e-9, "by hand");
        near(layer(stack, "sheet-2").laidGrams() / layer(stack, "sheet-2").grams(), 4, 1e-9, "eight used of 32");
        near(layer(stack, "filling-1").laidGrams(), 3, 1e-9, "piped: no off-cuts");
        List<String> order = steps(plan(bar, null, 8));
        assertTrue(order.indexOf("fill:sheet-2") < order.indexOf("cut:"), order.toString());
        assertTrue(order.indexOf("cut:") < order.indexOf("fill:filling-1"), order.toString());
    }

    @Test
    public void barkIsBrokenByWeight() {
        BarLayer nuts = LayerKind.TOPPING.usual().given(BarLayer.By.SHARE, 20);
        Bar bar = Bar.of(
                Build.OPEN,
                new Body.Spread(400, 300, 25, 45, 0.03),
                List.of(BarLayer.mm(LayerKind.SHEET, Bars.DARK, 5), nuts));
        BarStack stack = Bars.of(bar);
        // 600 mL × 1.27 g/mL are 762 g, a fifth of it on top: 914.4 g, less 3 % crumbs 886.968 g, in pieces of 35 g
        // about 25.
        assertEquals(stack.frame().piecesOfOne(), 25);
        near(stack.pieceGrams(), 886.968 / 25, 1e-6, "by hand");
        near(layer(stack, "topping-1").grams(), 0.2 * layer(stack, "sheet-1").grams(), 1e-8, "strewn by share");
        StackLayer sheet = layer(stack, "sheet-1");
        near(sheet.window().leastGrams() / sheet.grams(), 25 / 35.0, 1e-9, "the lightest piece");
        near(sheet.window().greatestGrams() / sheet.grams(), 45 / 35.0, 1e-9, "the heaviest");
        RunSheet plan = plan(bar, null, 50);
        assertEquals(plan.carriers().fills(), 2);
        Deposit dark = plan.couvertures().get(0).deposit();
        near(dark.total(), 2 * 762, 1e-6, "two sheets");
        near(dark.offcuts(), 0.03 * 2 * 762, 1e-6, "crumbs, and no off-cuts");
    }

    @Test
    public void aShareInTwoHalvesIsOfBoth() {
        BarLayer nibs = LayerKind.INCLUSION.usual().given(BarLayer.By.SHARE, 15);
        BarStack stack = BarStack.of(
                moulded(true, BarLayer.mm(LayerKind.SHELL, Bars.DARK, 1.5), nibs),
                Parts.of(Bars.TAPERED, Bars.MATERIALS));
        near(layer(stack, "inclusion-1").grams(), 0.15 * layer(stack, "shell").grams(), 1e-8, "of both shells");
    }

    @Test
    public void aTintedFootHasItsOwnShareOfTheColour() {
        Bar bar = Bar.of(
                Build.SLAB,
                new Body.Slab(300, 200, 60, 25, 0, 0, 0),
                List.of(
                        BarLayer.mm(LayerKind.FOOT, WHITE, 1).mixed(TINT),
                        BarLayer.mm(LayerKind.FILLING, Bars.CARAMEL, 10),
                        BarLayer.mm(LayerKind.COAT, WHITE, 1).mixed(TINT)));
        RunSheet sheet = plan(bar, null, 40);
        double foot =
                300 * 200 * 1 / 1000.0 * Bars.of(bar).layers().get(0).material().densityGramsPerMl();
        List<String> tints = sheet.steps().stream()
                .filter(s -> s.id().startsWith("tint:"))
                .map(BenchStep::detail)
                .map(Say::metric)
                .toList();
        assertEquals(tints.size(), 2, "one for the foot, one for the coat");
        String words = "Stir %s g".formatted(Numbers.fixed(0.03 * foot, 1));
        assertTrue(tints.get(0).startsWith(words), tints + " wants " + words + ", 3 % of the foot alone");
        double rest = sheet.couvertures().get(0).meltGrams() - foot;
        assertTrue(
                tints.get(1).startsWith("Stir %s g".formatted(Numbers.fixed(0.03 * rest, 1))),
                tints + " and of the rest");
    }

    @DataProvider
    public Object[][] shares() {
        // What lies inside displaces: host and share fill the room together.
        return new Object[][] {{0.0}, {0.5}, {1.0}};
    }

    @Test(dataProvider = "shares")
    public void aShareIsOfWhatItLiesIn(double embedded) {
        BarLayer rice = LayerKind.INCLUSION.usual().given(BarLayer.By.SHARE, 10);
        BarLayer inside = new BarLayer(
                rice.kind(), rice.of(), rice.by(), 10, 0, embedded, 1, null, null, null, null, null, null, null);
        BarStack stack = of(
                Build.TRAY,
                new Body.Tray(200, 100, 2, 2, 0, 0),
                BarLayer.mm(LayerKind.FILLING, Bars.CARAMEL, 10),
                inside);
        StackLayer host = layer(stack, "filling-1");
        StackLayer in = layer(stack, "inclusion-1");
        near(in.grams(), 0.1 * host.grams(), 1e-8, "a tenth");
        near(host.volumeMl() + embedded * in.volumeMl(), 100 * 50 * 10 / 1000.0, 1e-7, "they fill it together");
    }
}
