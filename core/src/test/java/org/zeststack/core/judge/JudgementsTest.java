package org.zeststack.core.judge;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.zeststack.core.stack.Bars.CARAMEL;
import static org.zeststack.core.stack.Bars.DARK;
import static org.zeststack.core.stack.Bars.PASTE;
import static org.zeststack.core.stack.Bars.TAPERED;
import static org.zeststack.core.stack.Bars.back;
import static org.zeststack.core.stack.Bars.call;
import static org.zeststack.core.stack.Bars.codes;
import static org.zeststack.core.stack.Bars.faults;
import static org.zeststack.core.stack.Bars.moulded;
import static org.zeststack.core.stack.Bars.shell;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.Body;
import org.zeststack.core.bar.Build;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.box.Box;
import org.zeststack.core.box.BoxContent;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.explain.Call;
import org.zeststack.core.formula.Family;
import org.zeststack.core.ingredient.Bulk;
import org.zeststack.core.ingredient.Nature;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.stack.BarStack;
import org.zeststack.core.stack.Bars;
import org.zeststack.core.stack.Material;
import org.zeststack.core.stack.Parts;

/** What is judged by what a thing is; each bound from both sides. Facts of the trade are common practice, no source. */
public class JudgementsTest {

    private static final BarLayer CARAMEL_FILLS = BarLayer.rest(LayerKind.FILLING, CARAMEL);

    /** A filling of a water activity, not computed from its composition. */
    private static BarStack filledWith(Double activity, Bar.Finish finish) {
        Composition wet = Composition.of(Map.of(Part.SUCROSE, 60.0, Part.SYRUP_SOLIDS, 20.0, Part.WATER, 20.0), 42);
        Map<String, Material> materials = new HashMap<>(Bars.MATERIALS);
        materials.put("own", Bars.mass("own", "fruit", 1.3, wet, activity, Family.Kind.GEL));
        Bar bar = new Bar(
                Build.MOULDED,
                new Body.Moulded(1, false),
                List.of(shell(1.5), BarLayer.rest(LayerKind.FILLING, "own"), back(2)),
                finish,
                finish == Bar.Finish.KEPT_COLD ? Bar.Storage.FRIDGE : Bar.Storage.ROOM,
                Bar.SoldAs.OWN_NAME,
                null,
                null,
                null,
                List.of());
        return BarStack.of(bar, Parts.of(TAPERED, materials));
    }

    @DataProvider
    public Object[][] activities() {
        return new Object[][] {
            {0.56, "keeping", "16 to 26"},
            {0.58, "keeping", "12 to 20"},
            {0.81, "keeping", "3 to 6"},
            {0.83, "keeps-days-only", "1 to 3 weeks"},
            {0.93, "keeps-days-only", "3 to 7 days"},
            {0.95, "keeps-days-only", "1 to 3 days"},
        };
    }

    /** 21 CFR 114.3 sets 0.85; what may be above it by its uncertainty of 0.03 is taken to be. */
    @Test(dataProvider = "activities")
    public void theWorseSideOfTheUncertaintyDecides(double activity, String code, String weeks) {
        Call call = call(filledWith(activity, Bar.Finish.TEMPERED), code);
        assertTrue(Say.metric(call.message()).contains(weeks), Say.metric(call.message()));
    }

    @Test
    public void whatNobodyKnowsIsNotKnown() {
        BarStack unknown = filledWith(null, Bar.Finish.TEMPERED);
        assertEquals(faults(unknown), List.of("keeps-unknown"));
        assertFalse(codes(unknown).contains("keeping"));
        Box box = new Box(List.of(new Box.Item(1, 1, 2), new Box.Item(2, 1, 2)), 10, null);
        BoxContent content = new BoxContent(
                box,
                List.of(
                        new BoxContent.Part("Known", 2, filledWith(0.7, Bar.Finish.TEMPERED)),
                        new BoxContent.Part("Unknown", 2, unknown)));
        assertTrue(
                content.calls().stream().map(Call::code).toList().contains("keeps-unknown"),
                content.calls().toString());
        // Dried fruit is wet enough to decide, and a soaked one is no dry good.
        BarStack prunes =
                moulded(TAPERED, shell(1.5), CARAMEL_FILLS, BarLayer.grams(LayerKind.INCLUSION, "prune", 4), back(2));
        assertTrue(
                call(prunes, "keeping").arithmetic().contains("Prune"),
                call(prunes, "keeping").arithmetic());
    }

    @Test
    public void withoutTemperItKeepsTwoWeeksAtMost() {
        Call call = call(filledWith(0.5, Bar.Finish.KEPT_COLD), "keeping");
        assertTrue(
                Say.metric(call.message()).contains("1 to 2 weeks, since it is not tempered"),
                Say.metric(call.message()));
    }

    @Test
    public void aMouldedBarIsLinedAndClosed() {
        assertEquals(
                faults(moulded(
                        TAPERED, BarLayer.mm(LayerKind.FILLING, CARAMEL, 11), BarLayer.rest(LayerKind.BACK, DARK))),
                List.of("no-shell"));
        assertTrue(faults(moulded(TAPERED, shell(1.5), CARAMEL_FILLS)).contains("no-back"));
        assertFalse(
                codes(moulded(TAPERED, BarLayer.rest(LayerKind.FILLING, DARK))).contains("no-shell"));
        assertFalse(
                codes(moulded(TAPERED, BarLayer.rest(LayerKind.FILLING, DARK))).contains("no-back"));
    }

    /** Random close packing of equal spheres is 0.64 (Scott and Kilgour 1969, value from memory). */
    @Test
    public void piecesLeaveRoomBetweenThem() {
        double cavity = Bars.moulded(TAPERED, BarLayer.rest(LayerKind.FILLING, DARK))
                .layers()
                .get(0)
                .volumeMl();
        double density = Bars.MATERIALS.get("almond-slivered").densityGramsPerMl();
        BarLayer chocolate = BarLayer.rest(LayerKind.FILLING, DARK);
        BarLayer under = BarLayer.grams(LayerKind.INCLUSION, "almond-slivered", 0.62 * cavity * density);
        BarLayer over = BarLayer.grams(LayerKind.INCLUSION, "almond-slivered", 0.66 * cavity * density);
        assertFalse(codes(moulded(TAPERED, chocolate, under)).contains("inclusions-too-many"));
        BarLayer standing = BarLayer.pieces("almond-slivered", 1, 1.2 * cavity * density, 0.5);
        assertFalse(
                codes(moulded(TAPERED, chocolate, standing)).contains("inclusions-too-many"), "half of them lie in it");
        assertTrue(codes(moulded(TAPERED, chocolate, over)).contains("inclusions-too-many"));
    }

    @Test
    public void anySetCouvertureMeltsUnderWhatIsTooWarm() {
        BarLayer base = BarLayer.mm(LayerKind.BASE, "biscuit-shortbread", 8);
        BarLayer seal = BarLayer.mm(LayerKind.SHEET, DARK, 1);
        BarLayer compound = BarLayer.mm(LayerKind.SHEET, "compound-dark", 1);
        BarLayer caramel = BarLayer.mm(LayerKind.FILLING, CARAMEL, 8);
        BarLayer veneer = BarLayer.mm(LayerKind.VENEER, DARK, 2);
        Body tray = new Body.Tray(330, 230, 4, 10, 0, 2);
        assertTrue(codes(Bars.of(Bar.of(Build.TRAY, tray, List.of(base, seal, caramel.at(105), veneer))))
                .contains("poured-too-warm"));
        assertFalse(codes(Bars.of(Bar.of(Build.TRAY, tray, List.of(base, seal, caramel.at(28), veneer))))
                .contains("poured-too-warm"));
        assertTrue(codes(Bars.of(Bar.of(Build.TRAY, tray, List.of(base, compound, caramel.at(33), veneer))))
                .contains("poured-too-warm"));
        assertFalse(codes(Bars.of(Bar.of(Build.TRAY, tray, List.of(base, compound, caramel.at(32), veneer))))
                .contains("poured-too-warm"));
        // The couverture that is laid on it later meets it cool.
        assertFalse(codes(Bars.of(Bar.of(Build.TRAY, tray, List.of(base, caramel.at(105), veneer))))
                .contains("poured-too-warm"));
    }

    @Test
    public void honeyIsNotForInfantsHoweverItGetsIn() {
        BarLayer honeyed = BarLayer.rest(LayerKind.FILLING, "marzipan").mixed(new BarLayer.Mix("honey", 0.1, false));
        assertEquals(faults(moulded(TAPERED, shell(1.5), honeyed, back(2))), List.of("honey-infants"));
        assertFalse(codes(moulded(TAPERED, shell(1.5), BarLayer.rest(LayerKind.FILLING, "marzipan"), back(2)))
                .contains("honey-infants"));
    }

    @Test
    public void wholeNutsAreToldHoweverTheyAreMeasured() {
        BarLayer pieces = BarLayer.pieces("hazelnut-roasted", 4, 1.1, 0.5);
        BarLayer small = BarLayer.pieces("hazelnut-roasted", 4, 0.4, 0.5);
        BarLayer grams = BarLayer.grams(LayerKind.INCLUSION, "hazelnut-roasted", 4);
        BarLayer slivers = BarLayer.grams(LayerKind.INCLUSION, "almond-slivered", 4);
        assertTrue(codes(moulded(TAPERED, shell(1.5), CARAMEL_FILLS, pieces, back(2)))
                .contains("whole-nuts-choking"));
        assertFalse(codes(moulded(TAPERED, shell(1.5), CARAMEL_FILLS, small, back(2)))
                .contains("whole-nuts-choking"));
        assertTrue(codes(moulded(TAPERED, shell(1.5), CARAMEL_FILLS, grams, back(2)))
                .contains("whole-nuts-choking"));
        assertFalse(codes(moulded(TAPERED, shell(1.5), CARAMEL_FILLS, slivers, back(2)))
                .contains("whole-nuts-choking"));
    }

    @Test
    public void compoundIsDrawnByItsCocoa() {
        assertEquals(Bars.MATERIALS.get("compound-dark").pattern(), "dark");
        assertEquals(Bars.MATERIALS.get("compound-milk").pattern(), "milk");
        assertEquals(Bars.MATERIALS.get("compound-white").pattern(), "white");
    }

    @DataProvider
    public Object[][] natures() {
        return new Object[][] {
            {"rice-crisped", Nature.Kind.PLAIN, true},
            {"wafer-sheet", Nature.Kind.BAKERY, true},
            {"almond-slivered", Nature.Kind.NUT, false},
            {"cocoa-powder", Nature.Kind.POWDER, false},
            {"raisin", Nature.Kind.PLAIN, false},
            {"oats-rolled", Nature.Kind.PLAIN, false},
        };
    }

    /** Nuts in caramel and powder on a truffle are what they should be; what is crisp turns soft. */
    @Test(dataProvider = "natures")
    public void onlyWhatIsCrispTurnsSoft(String slug, Nature.Kind kind, boolean soft) {
        assertEquals(Bars.MATERIALS.get(slug).nature().kind(), kind);
        BarLayer in = BarLayer.grams(LayerKind.INCLUSION, slug, 0.8);
        assertEquals(
                codes(moulded(TAPERED, shell(1.5), CARAMEL_FILLS, in, back(2))).contains("crisp-beside-wet"),
                soft,
                slug);
    }

    /** A workshop's own oat cake and compound, under names of their own, are judged as the shipped ones. */
    @Test
    public void aWorkshopsOwnIsJudgedByItsNature() {
        Map<String, Material> materials = new HashMap<>(Bars.MATERIALS);
        materials.put(
                "our-oat-cake",
                Bars.own("biscuit-shortbread", new Nature(Nature.Kind.BAKERY, Set.of()), Bulk.MASSIVE, Map.of()));
        materials.put(
                "our-coating",
                Bars.own("compound-dark", new Nature(Nature.Kind.COMPOUND, Set.of()), Bulk.MASSIVE, Map.of()));
        Bar bar = new Bar(
                Build.SLAB,
                new Body.Slab(300, 200, 60, 25, 0, 0, 0),
                List.of(
                        BarLayer.mm(LayerKind.FILLING, "our-oat-cake", 6),
                        BarLayer.mm(LayerKind.FILLING, PASTE, 4),
                        BarLayer.mm(LayerKind.COAT, "our-coating", 1)),
                Bar.Finish.COMPOUND,
                Bar.Storage.ROOM,
                Bar.SoldAs.FILLED_CHOCOLATE,
                null,
                null,
                null,
                List.of());
        List<String> told = BarCalls.of(BarStack.of(bar, Parts.of(materials))).stream()
                .filter(c -> c.code().equals("name-not-met"))
                .map(Call::message)
                .toList();
        assertTrue(told.stream().anyMatch(m -> m.contains("compound")), told.toString());
        assertTrue(told.stream().anyMatch(m -> m.contains("bakery ware")), told.toString());
    }
}
