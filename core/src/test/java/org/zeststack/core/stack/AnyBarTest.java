package org.zeststack.core.stack;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.zeststack.core.Near.near;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.TreeMap;
import java.util.function.Supplier;
import org.testng.Reporter;
import org.testng.annotations.Test;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.Body;
import org.zeststack.core.bar.Build;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.cavity.Hollow;
import org.zeststack.core.explain.Call;
import org.zeststack.core.judge.BarCalls;
import org.zeststack.core.quantity.InvalidInput;

/** What must hold for any bar whatever is in it; {@link RandomBars} makes them. The seeds are fixed. */
public class AnyBarTest {

    private static final int BARS = 2000;

    private static BarStack stack(RandomBars.Made made) {
        return made.cavity() == null ? Bars.of(made.bar()) : Bars.of(made.bar(), made.cavity());
    }

    private static RandomBars bars(SplittableRandom random) {
        return new RandomBars(random, List.of(Bars.CARAMEL, Bars.PASTE, Bars.BY_EYE, "raspberry-jam"));
    }

    private static Supplier<RandomBars.Made> ways(long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        return new RandomWays(bars(random), random)::next;
    }

    /** The next bar that can be assembled. */
    private static BarStack next(Supplier<RandomBars.Made> bars) {
        while (true) {
            try {
                return stack(bars.get());
            } catch (InvalidInput refused) {
                // A shell as thick as its cavity, a cutter larger than its sheet: told to the person, nothing to add
                // up.
            }
        }
    }

    private static String told(BarStack stack) {
        return stack.bar().body() + "\n"
                + stack.bar().layers().stream().map(l -> l + "\n").toList() + stack.frame();
    }

    private static boolean fits(BarStack stack) {
        boolean high = stack.frame() instanceof Frame.Moulded m && m.lackingMm() > 1e-9;
        return stack.frame().lackingMl() <= 0 && !high;
    }

    @Test
    public void volumesAddUpToTheBodyAndMassesToThePiece() {
        Supplier<RandomBars.Made> bars = ways(7);
        Map<Build, Integer> checked = new EnumMap<>(Build.class);
        int crowded = 0;
        for (int n = 0; n < BARS; n++) {
            BarStack stack = next(bars);
            String where = "seed 7, bar " + n + " " + told(stack);
            double grams =
                    stack.layers().stream().mapToDouble(StackLayer::grams).sum();
            near(stack.pieceGrams(), grams, 1e-9, where);
            stack.layers().forEach(l -> weighs(l, where));
            if (unlike(stack)) {
                continue;
            }
            if (fits(stack)) {
                double body = bodyMl(stack);
                near(filledMl(stack), body, 1e-6 * Math.max(1, body), where);
                checked.merge(stack.bar().build(), 1, Integer::sum);
            } else {
                crowded++;
                assertTrue(Bars.codes(stack).contains("overfull"), where + " " + Bars.codes(stack));
            }
        }
        Reporter.log("volumes add up: " + checked + ", too full and told so: " + crowded, true);
        assertTrue(checked.values().stream().allMatch(c -> c > BARS / 20), checked.toString());
    }

    /** Mass is volume × density, unless a person weighed an insert. */
    private static void weighs(StackLayer layer, String where) {
        boolean weighed = layer.kind() == LayerKind.INSERT && layer.design().by() == BarLayer.By.GRAMS;
        if (!weighed) {
            double ml = layer.grams() / layer.material().densityGramsPerMl();
            near(ml, layer.volumeMl(), 1e-9 * Math.max(1, ml), where + " " + layer.key());
        }
        assertTrue(layer.laidGrams() >= layer.grams() - 1e-9, where + " " + layer.key());
    }

    /** Halves or levels that differ: what lies loose in one has room in it that no frame tells. */
    private static boolean unlike(BarStack stack) {
        boolean loose = stack.first(LayerKind.INCLUSION).isPresent();
        return stack.layers().stream()
                .map(l -> l.design().handling())
                .anyMatch(
                        h -> h.oneHalf() || loose && (h.level() > 0 || h.cover().share() < 1));
    }

    private static double bodyMl(BarStack stack) {
        if (stack.frame() instanceof Frame.Moulded m) {
            return m.halves() * m.outer().volumeMl();
        }
        if (stack.frame() instanceof Frame.Cut c) {
            double corners = (4 - Math.PI) * c.cornerMm() * c.cornerMm();
            return (c.cut().alongMm() * c.cut().acrossMm() - corners) * c.stackMm() / 1000;
        }
        if (stack.frame() instanceof Frame.Discs d) {
            double sum = 0;
            for (int k = 0; k < d.sizesMm().size(); k++) {
                sum += d.areaMm2(d.sizesMm().get(k)) * d.stacksMm().get(k) / 1000;
            }
            return sum;
        }
        if (stack.frame() instanceof Frame.Spread s) {
            return s.lengthMm() * s.widthMm() * s.stackMm() * (1 - s.offcutFraction()) / s.pieces() / 1000;
        }
        Frame.Hand hand = (Frame.Hand) stack.frame();
        double w = hand.widthMm();
        return switch (hand.form()) {
            case BALL -> Math.PI / 6 * w * w * w / 1000;
            case LOG -> Math.PI / 4 * w * w * hand.lengthMm() / 1000;
            case BLOCK -> hand.lengthMm() * w * hand.heightMm() / 1000;
        };
    }

    /** Everything inside the body: layers, shell, inserts up to the rim, inclusions as far as something holds them, empty room. */
    private static double filledMl(BarStack stack) {
        int halves = stack.frame() instanceof Frame.Moulded m ? m.halves() : 1;
        double sum = 0;
        for (StackLayer layer : stack.layers()) {
            switch (layer.kind()) {
                case DECORATION, TOPPING, COAT -> {}
                case INSERT -> sum += halves * insertedMl(stack, layer);
                case INCLUSION -> sum += held(stack, layer) * layer.volumeMl();
                default ->
                    sum += layer.volumeMl() / layer.design().handling().cover().share();
            }
        }
        return sum + halves * emptyMl(stack);
    }

    private static double insertedMl(BarStack stack, StackLayer insert) {
        Hollow inside = ((Frame.Moulded) stack.frame()).inside();
        double level = inside.topMm() - ((Frame.Moulded) stack.frame()).emptyMm();
        double height = Math.max(0, Math.min(level, insert.toMm()) - insert.fromMm());
        return insert.design().insert().outlineMm2() * height / 1000;
    }

    private static double emptyMl(BarStack stack) {
        if (!(stack.frame() instanceof Frame.Moulded m)) {
            return 0;
        }
        Hollow inside = m.inside();
        return m.emptyMm() > 0 ? inside.volumeMl(inside.topMm() - m.emptyMm(), inside.topMm()) : 0;
    }

    /** Share of an inclusion that lies in a layer: inside the one below, the rest in the one above if there is one. */
    private static double held(BarStack stack, StackLayer inclusion) {
        boolean hand = stack.frame() instanceof Frame.Hand;
        boolean below = stack.layers().stream().anyMatch(l -> l.kind().level() && l.index() < inclusion.index());
        boolean above = stack.layers().stream().anyMatch(l -> l.kind().level() && l.index() > inclusion.index());
        double embedded = inclusion.design().embedded();
        return hand || below ? embedded + (above ? 1 - embedded : 0) : above ? 1 : 0;
    }

    @Test
    public void aButtonPressedClearsItsCallAndRaisesNone() {
        Supplier<RandomBars.Made> bars = ways(8);
        Map<String, Integer> pressed = new TreeMap<>();
        for (int n = 0; n < BARS; n++) {
            BarStack stack = next(bars);
            List<Call> told = BarCalls.of(stack);
            for (Call call : told) {
                if (call.change() != null) {
                    BarStack mended = BarStack.of(apply(stack.bar(), call.change()), stack.parts());
                    List<Call> after = BarCalls.of(mended);
                    String where = "seed 8, bar " + n + ": " + call + "\n" + told(stack) + "\n" + after;
                    assertTrue(count(after, call) < count(told, call), where);
                    after.stream()
                            .filter(c -> c.weight().compareTo(call.weight()) <= 0)
                            .forEach(c -> assertTrue(count(after, c) <= count(told, c), "raises " + c + "\n" + where));
                    pressed.merge(call.code(), 1, Integer::sum);
                }
            }
        }
        Reporter.log("buttons pressed: " + pressed, true);
        assertTrue(pressed.size() >= Math.min(12, BARS / 20), pressed.toString());
    }

    /** How many calls of the same kind and weight there are: one of several inserts may be too long beside the one that is mended. */
    private static long count(List<Call> calls, Call call) {
        return calls.stream()
                .filter(c -> c.code().equals(call.code()) && c.weight() == call.weight())
                .count();
    }

    @Test
    public void nothingIsSaidTwiceNorOfWhatNobodyKnows() {
        Supplier<RandomBars.Made> bars = ways(9);
        int unknown = 0;
        for (int n = 0; n < BARS; n++) {
            BarStack stack = next(bars);
            List<Call> told = BarCalls.of(stack);
            String where = "seed 9, bar " + n + " " + told(stack) + "\n" + told;
            assertEquals(told.stream().map(Call::message).distinct().count(), told.size(), where);
            boolean known = stack.layers().stream()
                    .allMatch(l -> l.material().waterActivity() != null
                            || !l.material().holdsWater());
            List<String> codes = told.stream().map(Call::code).toList();
            assertEquals(codes.contains("keeps-unknown"), !known, where);
            assertEquals(codes.contains("keeping") || codes.contains("keeps-days-only"), known, where);
            told.forEach(c -> assertFalse((c.message() + c.arithmetic()).matches(".*(NaN|Infinity|null).*"), where));
            unknown += known ? 0 : 1;
        }
        Reporter.log("of " + BARS + " bars it is not known how long " + unknown + " keep", true);
        assertTrue(unknown > BARS / 40, "the generator makes what nobody knows: " + unknown);
    }

    private static Bar apply(Bar bar, Call.Change change) {
        Bar now = bar;
        for (Map.Entry<String, String> field : change.fields().entrySet()) {
            now = apply(now, field.getKey(), field.getValue());
        }
        return now;
    }

    private static Bar apply(Bar b, String field, String value) {
        String[] path = field.split("\\.");
        if (path[0].equals("layer")) {
            List<BarLayer> layers = new ArrayList<>(b.layers());
            int i = Integer.parseInt(path[1]);
            layers.set(i, apply(layers.get(i), path[2], Double.parseDouble(value)));
            return b.with(layers);
        }
        Body body = b.body();
        if (path[0].equals("body")) {
            Body.Slab s = (Body.Slab) body;
            double mm = Double.parseDouble(value);
            boolean length = path[1].equals("pieceLengthMm");
            body = new Body.Slab(
                    s.lengthMm(),
                    s.widthMm(),
                    length ? mm : s.pieceLengthMm(),
                    length ? s.pieceWidthMm() : mm,
                    s.kerfMm(),
                    s.trimMm(),
                    Math.min(s.cornerMm(), mm / 2));
        }
        return new Bar(
                b.build(),
                body,
                b.layers(),
                field.equals("finish") ? Bar.Finish.valueOf(value) : b.finish(),
                field.equals("storage") ? Bar.Storage.valueOf(value) : b.storage(),
                field.equals("soldAs") ? Bar.SoldAs.valueOf(value) : b.soldAs(),
                field.equals("declaredGrams") ? Double.valueOf(value) : b.declaredGrams(),
                field.equals("centreCelsius") ? Double.valueOf(value) : b.centreCelsius(),
                b.bowlMm(),
                b.method());
    }

    private static BarLayer apply(BarLayer layer, String field, double value) {
        return switch (field) {
            case "amount" -> layer.amount(value);
            case "celsius" -> layer.at(value);
            case "lengthMm" -> layer.with(layer.insert().ofLength(value));
            case "widthMm" -> layer.with(layer.insert().ofWidth(value));
            case "heightMm" -> layer.with(layer.insert().ofHeight(value));
            default -> throw new AssertionError("no field " + field);
        };
    }
}
