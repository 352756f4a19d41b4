package org.zeststack.core.judge;

import static org.zeststack.core.judge.BarCalls.grams;
import static org.zeststack.core.judge.BarCalls.mm;
import static org.zeststack.core.judge.BarCalls.set;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.Build;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.cavity.Hollow;
import org.zeststack.core.explain.Call.Change;
import org.zeststack.core.explain.Call.Weight;
import org.zeststack.core.quantity.Measure;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.stack.BarStack;
import org.zeststack.core.stack.Frame;
import org.zeststack.core.stack.StackLayer;

/** Whether everything has room in the cavity: fillings below the seal line, a back that closes. */
final class FitCalls {

    static final String BACK_THICKNESS = "back-thickness";

    private static final double SMALL_ML = 1e-6;

    private final BarCalls calls;
    private final BarStack stack;
    private final Frame.Moulded frame;

    private FitCalls(BarCalls calls, Frame.Moulded frame) {
        this.calls = calls;
        this.stack = calls.stack();
        this.frame = frame;
    }

    static void add(BarCalls calls) {
        Frame frame = calls.stack().frame();
        if (!(frame instanceof Frame.Moulded) && frame.lackingMl() > SMALL_ML) {
            calls.add(
                    Weight.WILL_FAIL,
                    "overfull",
                    "What is pressed in takes %s more than the layer that it should lie in holds."
                            .formatted(Say.of(frame.lackingMl(), 1, Measure.MILLILITRES)),
                    "%s of inclusions beyond the layer's own volume"
                            .formatted(Say.of(frame.lackingMl(), 2, Measure.MILLILITRES)));
        }
        if (frame instanceof Frame.Moulded moulded) {
            FitCalls fit = new FitCalls(calls, moulded);
            fit.room();
            fit.back();
        }
    }

    private Optional<StackLayer> lastFilling() {
        return stack.layers().stream()
                .filter(l -> l.kind() == LayerKind.FILLING || l.kind() == LayerKind.SHEET)
                .reduce((a, b) -> b);
    }

    private void room() {
        boolean closed = stack.first(LayerKind.BACK).isPresent();
        double inside = frame.inside().topMm() - frame.inside().floorMm();
        if (frame.lackingMl() > SMALL_ML) {
            doesNotFit(
                    "the layers want %s more than there is"
                            .formatted(Say.of(frame.lackingMl(), 2, Measure.MILLILITRES)),
                    "%s inside, of which they want %s more"
                            .formatted(
                                    Say.of(frame.inside().volumeMl(), 2, Measure.MILLILITRES),
                                    Say.of(frame.lackingMl(), 2, Measure.MILLILITRES)));
        } else if (frame.lackingMm() > BarCalls.SMALL_MM || nothingLeft(stack)) {
            doesNotFit(
                    "the layers are %s higher than the inside, and nothing is left for what takes the rest"
                            .formatted(mm(frame.lackingMm())),
                    "layers %s > inside %s".formatted(Say.mm(inside + frame.lackingMm(), 1), Say.mm(inside, 1)));
        } else if (frame.emptyMm() > allowedEmptyMm() && (closed || stack.bar().build() == Build.MOULDED)) {
            double ml = frame.inside()
                    .volumeMl(
                            frame.inside().topMm() - frame.emptyMm(),
                            frame.inside().topMm());
            calls.add(
                    Weight.TAKE_CARE,
                    "empty-room",
                    "%s stay empty below the rim: %s. Let one layer take the rest."
                            .formatted(mm(frame.emptyMm()), Say.of(ml, 1, Measure.MILLILITRES)),
                    "inside %s − layers %s".formatted(Say.mm(inside, 1), Say.mm(inside - frame.emptyMm(), 1)));
        }
    }

    /** Halves that are joined are filled a little below the rim, so that nothing is pressed out between them. */
    private double allowedEmptyMm() {
        return frame.halves() > 1 ? calls.bound("join-room").greatest() : BarCalls.SMALL_MM;
    }

    /** One call says what is too much and how much less of the last filling makes everything fit, a good back with it. */
    private void doesNotFit(String why, String arithmetic) {
        Optional<Advice> advice = lastFilling().flatMap(f -> fitting(f, wantedBackMm()));
        calls.add(
                Weight.WILL_FAIL,
                "overfull",
                "It does not fit: %s.%s"
                        .formatted(why, advice.map(a -> " " + a.words).orElse("")),
                advice.map(a -> arithmetic + "; " + a.arithmetic).orElse(arithmetic),
                advice.map(a -> a.change).orElse(null));
    }

    /** Whether all layers have room, the one that takes the rest too. */
    static boolean fits(BarStack stack, Frame.Moulded frame) {
        return frame.lackingMl() <= SMALL_ML && frame.lackingMm() <= BarCalls.SMALL_MM && !nothingLeft(stack);
    }

    /** The middle of what the back may be; 0 without a back. */
    private double wantedBackMm() {
        return stack.first(LayerKind.BACK)
                .map(b -> (b.design().least(() -> calls.bound(BACK_THICKNESS))
                                + b.design().greatest(() -> calls.bound(BACK_THICKNESS)))
                        / 2)
                .orElse(0.0);
    }

    /** Whether the layer that takes the rest was left without room. */
    private static boolean nothingLeft(BarStack stack) {
        return stack.layers().stream().anyMatch(l -> l.design().by() == BarLayer.By.REST && l.thicknessMm() < SMALL_ML);
    }

    private void back() {
        Optional<StackLayer> closing = stack.first(LayerKind.BACK);
        if (closing.isEmpty() || !fits(stack, frame)) {
            return;
        }
        StackLayer back = closing.get();
        double least = back.design().least(() -> calls.bound(BACK_THICKNESS));
        double greatest = back.design().greatest(() -> calls.bound(BACK_THICKNESS));
        double thick = back.thicknessMm();
        boolean thin = thick < least - 1e-9;
        if (!thin && thick <= greatest + 1e-9) {
            return;
        }
        double wanted = wantedBackMm();
        Optional<Advice> advice = back.design().by() == BarLayer.By.REST
                ? lastFilling().flatMap(f -> fitting(f, wanted))
                : back.design().by() == BarLayer.By.MM ? Optional.of(laid(back, wanted)) : weighed(back, wanted);
        String words = thin ? "above the seal line, it will leak" : "a slab to bite through";
        calls.add(
                thin ? Weight.WILL_FAIL : Weight.TAKE_CARE,
                thin ? "back-too-thin" : "back-too-thick",
                "Back will be %s: %s.%s"
                        .formatted(
                                mm(thick), words, advice.map(a -> " " + a.words).orElse("")),
                advice.map(a -> a.arithmetic)
                        .orElse("%s; %s to %s"
                                .formatted(Say.mm(thick, 2), Say.bare(Say.mm(least, 1)), Say.mm(greatest, 1))),
                advice.map(a -> a.change).orElse(null));
    }

    private record Advice(String words, String arithmetic, Change change) {}

    private static double thickness(BarStack of, LayerKind kind) {
        return of.first(kind).map(StackLayer::thicknessMm).orElse(0.0);
    }

    /** A back laid as thick as wanted, and what the last filling gives up or gains by it. */
    private Advice laid(StackLayer back, double wanted) {
        double amount = wanted / back.design().repeat();
        List<BarLayer> layers = new ArrayList<>(stack.bar().layers());
        layers.set(back.index(), back.design().amount(amount));
        BarStack mended = BarStack.of(stack.bar().with(layers), stack.parts());
        String words = lastFilling()
                .filter(f -> f.design().by() == BarLayer.By.REST)
                .map(f -> {
                    double less = f.grams() - mended.layers().get(f.index()).grams();
                    return "%s %s %s gives %s."
                            .formatted(grams(Math.abs(less)), less < 0 ? "more" : "less", f.name(), mm(wanted));
                })
                .orElse("Lay %s.".formatted(mm(wanted)));
        return new Advice(
                words,
                "%s as designed, %s wanted".formatted(Say.mm(back.thicknessMm(), 1), Say.mm(wanted, 1)),
                set(back, "amount", amount, "Back of " + mm(wanted)));
    }

    /** The mass of a weighed back that is as thick as wanted. */
    private Optional<Advice> weighed(StackLayer back, double wanted) {
        boolean more = back.thicknessMm() < wanted;
        double now = back.design().amount();
        var amount = new Repair(
                        stack,
                        back.index(),
                        BarLayer::amount,
                        s -> more ? thickness(s, LayerKind.BACK) - wanted : wanted - thickness(s, LayerKind.BACK))
                .figure(now, more ? most(back) : 0);
        return amount.isEmpty()
                ? Optional.empty()
                : Optional.of(new Advice(
                        "%s a piece give %s.".formatted(grams(amount.getAsDouble()), mm(wanted)),
                        "%s give %s".formatted(Say.grams(now, 1), Say.mm(back.thicknessMm(), 1)),
                        set(back, "amount", amount.getAsDouble(), "Back of " + grams(amount.getAsDouble()))));
    }

    /** How much more or less of a filling leaves a back as thick as wanted, or without one makes the layers fit; empty where none does. */
    private Optional<Advice> fitting(StackLayer filling, double wanted) {
        boolean rest = filling.design().by() == BarLayer.By.REST;
        boolean closes = stack.first(LayerKind.BACK)
                .filter(b -> b.design().by() == BarLayer.By.REST)
                .isPresent();
        if (rest) {
            return Optional.empty();
        }
        double now = filling.design().amount();
        boolean less = !fits(stack, frame) || closes && thickness(stack, LayerKind.BACK) < wanted;
        var found = new Repair(stack, filling.index(), BarLayer::amount, s -> {
                    double left = room(s) - (closes ? wanted : 0);
                    return less ? left : -left;
                })
                .figure(now, less ? 0 : most(filling));
        if (found.isEmpty()) {
            return Optional.empty();
        }
        double amount = less ? BarCalls.floor(found.getAsDouble()) : found.getAsDouble();
        boolean byMm = filling.design().by() == BarLayer.By.MM;
        double off = Math.abs(amount - now) * filling.design().repeat();
        String gives = closes ? "gives a back of " + mm(wanted) : "makes room";
        return Optional.of(new Advice(
                "%s %s %s %s.".formatted(byMm ? mm(off) : grams(off), less ? "less" : "more", filling.name(), gives),
                "%s instead of %s"
                        .formatted(
                                byMm ? Say.bare(Say.mm(amount, 2)) : Say.bare(Say.grams(amount, 2)),
                                byMm ? Say.mm(now, 2) : Say.grams(now, 2)),
                set(filling, "amount", amount, "Fill " + (byMm ? mm(amount) : grams(amount)))));
    }

    /** More of a layer than the inside holds, in the unit of its amount. */
    private double most(StackLayer layer) {
        Hollow inside = frame.inside();
        boolean byMm = layer.design().by() == BarLayer.By.MM;
        double all = byMm
                ? inside.topMm() - inside.floorMm()
                : 1.01 * inside.volumeMl() * layer.material().densityGramsPerMl();
        return Math.min(
                byMm ? BarLayer.MM.greatest() : BarLayer.GRAMS.greatest(),
                all / layer.design().repeat());
    }

    /** Height left for the back or what takes the rest, below 0 where the layers want more than there is. */
    private static double room(BarStack of) {
        Frame.Moulded frame = (Frame.Moulded) of.frame();
        double area = frame.inside().areaMm2(frame.inside().topMm());
        double lacking = frame.lackingMm() + 1000 * frame.lackingMl() / area;
        double rest = of.layers().stream()
                .filter(l -> l.design().by() == BarLayer.By.REST)
                .mapToDouble(StackLayer::thicknessMm)
                .sum();
        return rest + frame.emptyMm() - lacking;
    }
}
