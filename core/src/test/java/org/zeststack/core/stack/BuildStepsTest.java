package org.zeststack.core.stack;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.Body;
import org.zeststack.core.bar.Build;
import org.zeststack.core.bar.Handling;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.bar.Technique;
import org.zeststack.core.method.Act;
import org.zeststack.core.method.MethodStep;
import org.zeststack.core.quantity.Numbers;
import org.zeststack.core.rule.Bound;
import org.zeststack.core.rule.Bounds;

/** The order of the work of every build. Common practice, no source. */
public class BuildStepsTest {

    private static final Body CAVITY = new Body.Moulded(1, false);
    private static final Body HALVES = new Body.Moulded(1, true);
    private static final Body SLAB = new Body.Slab(300, 200, 30, 25, 1, 5, 0);
    private static final Body TRAY = new Body.Tray(300, 200, 4, 6, 1, 5);
    private static final Body LOG = new Body.Shaped(Body.Form.LOG, 60, 18, 18, 0);
    private static final BarLayer.Faces WHOLE = new BarLayer.Faces(true, false, true, true);

    private static BarLayer mm(LayerKind kind, String of, double mm) {
        return BarLayer.mm(kind, of, mm);
    }

    private static BarLayer coated(BarLayer.Faces faces) {
        BarLayer coat = mm(LayerKind.COAT, Bars.DARK, 1);
        return new BarLayer(coat.kind(), coat.of(), coat.by(), 1, 0, 0, 1, null, null, faces, null, null, null, null);
    }

    private static BarLayer strewn(LayerKind kind, String of) {
        return BarLayer.grams(kind, of, 0.5);
    }

    @DataProvider
    public Object[][] builds() {
        BarLayer caramel = mm(LayerKind.FILLING, Bars.CARAMEL, 5);
        BarLayer paste = mm(LayerKind.FILLING, Bars.PASTE, 3);
        BarLayer shell = mm(LayerKind.SHELL, Bars.DARK, 1.5);
        BarLayer back = mm(LayerKind.BACK, Bars.DARK, 2);
        BarLayer salt = strewn(LayerKind.TOPPING, "sea-salt-flakes");
        BarLayer foot = mm(LayerKind.FOOT, Bars.DARK, 0.8);
        return new Object[][] {
            {
                "shell and back each want their bowl in temper; a topping on the closed piece comes after the release",
                Build.MOULDED,
                CAVITY,
                List.of(strewn(LayerKind.DECORATION, "coloured-butter-white"), shell, caramel, paste, back, salt),
                "LAY decoration-1, TEMPER shell, LAY shell, LAY filling-1, Let it set, LAY filling-2, Let it set, "
                        + "TEMPER back, LAY back, Chill, Invert and release, LAY topping-1, COUNT"
            },
            {
                "another couverture closes it, and an open face is topped before the release",
                Build.MOULDED,
                CAVITY,
                List.of(shell, caramel, salt),
                "TEMPER shell, LAY shell, LAY filling-1, LAY topping-1, Chill, Invert and release, COUNT"
            },
            {
                "halves are joined when they are out",
                Build.OPEN,
                HALVES,
                List.of(shell),
                "TEMPER shell, LAY shell, Set in the room, then cold, Release it, "
                        + "Touch the rims to a warm plate and join the halves, COUNT"
            },
            {
                "rolled, a foot that is not tempered, turned, cut, then tempered and coated",
                Build.SLAB,
                SLAB,
                List.of(foot, caramel, paste, coated(null), salt),
                "LAY filling-1, LAY filling-2, MELT foot-1, LAY foot-1, Turn the slab over, foot down, CUT, "
                        + "TEMPER coat-1, LAY coat-1, LAY topping-1, Set at room temperature, COUNT"
            },
            {
                "coated whole before it is cut, its foot first",
                Build.SLAB,
                SLAB,
                List.of(foot, caramel, coated(WHOLE)),
                "LAY filling-1, MELT foot-1, LAY foot-1, Turn the slab over, foot down, "
                        + "TEMPER coat-1, LAY coat-1, Set at room temperature, CUT, COUNT"
            },
            {
                "the base before what is poured on it, a veneer before the saw",
                Build.TRAY,
                TRAY,
                List.of(mm(LayerKind.BASE, "biscuit-shortbread", 7), caramel, mm(LayerKind.VENEER, Bars.MILK, 2), salt),
                "LAY base-1, LAY filling-1, TEMPER veneer-1, LAY veneer-1, LAY topping-1, CUT, COUNT"
            },
            {
                "shaped, chilled, coated twice: the bowl is brought back for the second",
                Build.SHAPED,
                LOG,
                List.of(caramel, coated(null), coated(null)),
                "LAY filling-1, Chill until firm, TEMPER coat-1, LAY coat-1, Set at room temperature, "
                        + "TEMPER coat-2, LAY coat-2, Set at room temperature, COUNT"
            },
            {
                "sheets of one bowl are poured one after the other",
                Build.OPEN,
                TRAY,
                List.of(
                        mm(LayerKind.SHEET, Bars.DARK, 2),
                        strewn(LayerKind.INCLUSION, "cocoa-nibs"),
                        mm(LayerKind.SHEET, Bars.DARK, 1)),
                "TEMPER sheet-1, LAY sheet-1, LAY inclusion-1, LAY sheet-2, CUT, COUNT"
            },
            {
                "a band is bent when it has been spread; what lay on a textured sheet is peeled off",
                Build.OPEN,
                TRAY,
                List.of(
                        mm(LayerKind.SHEET, Bars.DARK, 1).handled(Handling.by(Technique.BAND, null, null)),
                        mm(LayerKind.SHEET, Bars.DARK, 2).handled(Handling.by(Technique.TEXTURED, null, null))),
                "TEMPER sheet-1, LAY sheet-1, Bend the strip round, film outside, and join the ends, "
                        + "LAY sheet-2, Turn it over and peel the sheet off, CUT, COUNT"
            },
        };
    }

    @Test(dataProvider = "builds")
    public void stepsStandInTheOrderOfTheWork(String why, Build build, Body body, List<BarLayer> layers, String steps) {
        assertEquals(words(BuildSteps.of(stack(Bar.of(build, body, layers)))), steps, why);
    }

    private static BarStack stack(Bar bar) {
        return bar.body() instanceof Body.Moulded ? Bars.of(bar, Bars.TAPERED) : Bars.of(bar);
    }

    private static String words(List<MethodStep> steps) {
        return steps.stream()
                .map(s -> s.acts() ? (s.does() + " " + s.part()).strip() : s.action())
                .collect(Collectors.joining(", "));
    }

    /** What can only be bent for a while says for how long, and a ring, an oven or a refrigerator is taken up. */
    @Test
    public void aStepHasAWindowAndTakesUpWhatItStandsIn() {
        BarLayer band = mm(LayerKind.SHEET, Bars.DARK, 1).handled(Handling.by(Technique.BAND, null, null));
        MethodStep laid = only(Bar.of(Build.OPEN, TRAY, List.of(band)), "Spread it thin on strips of film");
        assertEquals(laid.restLeastMinutes(), 1.0);
        assertEquals(laid.restGreatestMinutes(), 4.0);
        BarLayer caramel = mm(LayerKind.FILLING, Bars.CARAMEL, 5);
        Bar log = Bar.of(Build.SHAPED, LOG, List.of(caramel, coated(null)));
        assertEquals(only(log, "Chill until firm").takes(), List.of("refrigerator"));
        assertEquals(only(log, "Weigh out and shape").takes(), List.of());
        assertEquals(MethodStep.takes(" ring, ;mixer,ring "), List.of("ring", "mixer"));
    }

    private static MethodStep only(Bar bar, String beginning) {
        List<MethodStep> found = BuildSteps.of(stack(bar)).stream()
                .filter(s -> s.action().startsWith(beginning))
                .toList();
        assertEquals(found.size(), 1, beginning);
        return found.get(0);
    }

    /** Two couvertures in one shell, and what is not tempered at all. */
    @Test
    public void everyMeltedThingHasItsBowl() {
        BarLayer marbled = mm(LayerKind.SHELL, Bars.DARK, 1.5);
        marbled = new BarLayer(
                marbled.kind(),
                marbled.of(),
                marbled.by(),
                1.5,
                0,
                0,
                1,
                new BarLayer.Mix(Bars.MILK, 0.3, true),
                null,
                null,
                null,
                null,
                null,
                null);
        Bar bar = Bar.of(Build.OPEN, CAVITY, List.of(marbled));
        BarStack stack = stack(bar);
        List<MethodStep> bowls = BuildSteps.of(stack).stream()
                .filter(s -> s.does() == Act.TEMPER)
                .toList();
        assertEquals(bowls.stream().map(s -> BuildSteps.inTheBowl(stack, s)).toList(), List.of(Bars.DARK, Bars.MILK));
        assertEquals(bowls.stream().map(BuildSteps::layerKey).toList(), List.of("shell", "shell"));
        Bar cold = new Bar(
                bar.build(),
                bar.body(),
                List.of(mm(LayerKind.SHELL, Bars.DARK, 1.5)),
                Bar.Finish.KEPT_COLD,
                Bar.Storage.FRIDGE,
                Bar.SoldAs.OWN_NAME,
                null,
                null,
                null,
                List.of());
        assertTrue(words(BuildSteps.of(stack(cold))).startsWith("MELT shell, LAY shell"));
    }

    /** What a person wrote stands in its order; what is missing is put in where it belongs; what is gone is left out. */
    @Test
    public void ownStepsAreKeptAndCompleted() {
        MethodStep tint = new MethodStep("Tint the bowl", "", "Only food-grade colours");
        MethodStep early = new MethodStep("Lay the caramel warm", "30 °C", "").doing(Act.LAY, "filling-1");
        MethodStep gone = new MethodStep("Lay the wafer", "", "").doing(Act.LAY, "insert-1");
        MethodStep twice = new MethodStep("And once more", "", "").doing(Act.LAY, "filling-1");
        Bar bar = Bar.of(
                Build.MOULDED,
                CAVITY,
                List.of(
                        mm(LayerKind.SHELL, Bars.DARK, 1.5),
                        mm(LayerKind.FILLING, Bars.CARAMEL, 5),
                        mm(LayerKind.BACK, Bars.DARK, 2)));
        Bar own = bar.withMethod(List.of(tint, early, gone, twice));
        assertEquals(
                words(BuildSteps.of(stack(own))),
                "TEMPER shell, LAY shell, Tint the bowl, LAY filling-1, TEMPER back, LAY back, "
                        + "Chill, Invert and release, COUNT");
        MethodStep kept = BuildSteps.of(stack(own)).stream()
                .filter(s -> s.part().equals("filling-1"))
                .findFirst()
                .orElseThrow();
        assertEquals(kept.cue(), "30 °C");
        List<MethodStep> turned = new ArrayList<>(BuildSteps.usual(stack(bar)));
        java.util.Collections.swap(turned, 0, 1);
        Bar other = bar.withMethod(turned);
        assertEquals(BuildSteps.of(stack(other)), turned, "an order of one's own stands as it is");
    }

    /** Who takes out a step that the work cannot do without gets it back, and not what follows it twice. */
    @Test
    public void aStepTakenOutComesBackAlone() {
        Bar bar = Bar.of(
                Build.SLAB,
                SLAB,
                List.of(mm(LayerKind.FOOT, Bars.DARK, 0.8), mm(LayerKind.FILLING, Bars.CARAMEL, 5), coated(null)));
        List<MethodStep> usual = BuildSteps.usual(stack(bar));
        for (MethodStep out : usual) {
            List<MethodStep> fewer = new ArrayList<>(usual);
            fewer.remove(out);
            List<MethodStep> woven = BuildSteps.of(stack(bar.withMethod(fewer)));
            assertEquals(woven, out.acts() ? usual : fewer, out.toString());
        }
    }

    /** A kind of layer that somebody adds has a step before it has a wording of its own. */
    @Test
    public void everyKindIsLaidOnceHoweverNewItIs() {
        for (Build build : Build.values()) {
            for (LayerKind kind : build.kinds()) {
                List<MethodStep> rows = BuildSteps.laying(build, "", kind.name());
                assertEquals(rows.stream().filter(s -> s.does() == Act.LAY).count(), 1L, build + " " + kind);
            }
            assertEquals(BuildSteps.laying(build, "", "GLAZE").get(0).action(), "Lay it as drawn");
        }
    }

    /** Fingers are warned of at every blade, hands at every hot tray and plate. */
    @Test
    public void cautionsStandWhereTheHandIs() {
        for (Object[] row : builds()) {
            @SuppressWarnings("unchecked")
            Bar bar = Bar.of((Build) row[1], (Body) row[2], (List<BarLayer>) row[3]);
            for (MethodStep step : BuildSteps.of(stack(bar))) {
                boolean blade = step.does() == Act.CUT
                        || step.tool().toLowerCase(java.util.Locale.ROOT).contains("saw");
                boolean hot = step.tool().contains("Warm plate") || step.part().startsWith("base");
                assertTrue(!blade || step.caution().contains("fingers off"), step.toString());
                assertTrue(!hot || !step.caution().isEmpty(), step.toString());
            }
        }
    }

    /** A workshop's own bound stands in the step that speaks of it. */
    @Test
    public void howWarmCentresMayBeIsHeardInTheirStep() {
        Bar block = Bar.of(
                Build.SHAPED,
                new Body.Shaped(Body.Form.BLOCK, 40, 25, 15, 0),
                List.of(BarLayer.mm(LayerKind.FILLING, "marzipan", 0), BarLayer.mm(LayerKind.COAT, Bars.DARK, 1.5)));
        for (double least : new double[] {16, 17.5}) {
            Bars.judgedBy = Bounds.with(Map.of("centre-warmth", new Bound.Figures(least, 20.0, 24.0)));
            try {
                String cues = BuildSteps.of(Bars.of(block)).stream()
                        .map(MethodStep::cue)
                        .collect(Collectors.joining("; "));
                assertTrue(cues.contains("Firm, %s to 24 °C inside when dipped".formatted(Numbers.plain(least))), cues);
            } finally {
                Bars.judgedBy = Bounds.shipped();
            }
        }
    }
}
