package org.zeststack.core.bar;

import static org.zeststack.core.bar.BarCalls.GEOMETRY;
import static org.zeststack.core.bar.BarCalls.PRACTICE;
import static org.zeststack.core.bar.BarCalls.grams;
import static org.zeststack.core.bar.BarCalls.mm;
import static org.zeststack.core.bar.BarCalls.set;
import static org.zeststack.core.quantity.Numbers.fixed;
import static org.zeststack.core.quantity.Numbers.plain;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.zeststack.core.cavity.Hollow;
import org.zeststack.core.cavity.Outline;
import org.zeststack.core.explain.Call.Change;
import org.zeststack.core.explain.Call.Weight;
import org.zeststack.core.judge.Bound;

/** Whether everything has room in the cavity: fillings below the seal line, inserts inside the lined walls. */
final class FitCalls {

    private static final Bound INSERT_CLEARANCE = Bound.of("insert-clearance");
    private static final Bound PACKED_PIECES = Bound.of("packed-pieces");
    private static final Bound LOOSE_PIECES = Bound.of("loose-pieces");

    private static final double SMALL_ML = 1e-6;
    private static final double SMALL_MM = 0.05;

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
                    "What is pressed in takes %s mL more than the layer that it should lie in holds."
                            .formatted(fixed(frame.lackingMl(), 1)),
                    "%s mL of inclusions beyond the layer's own volume".formatted(fixed(frame.lackingMl(), 2)),
                    GEOMETRY);
        }
        crowded(calls);
        if (frame instanceof Frame.Moulded moulded) {
            FitCalls fit = new FitCalls(calls, moulded);
            fit.enclosed();
            fit.room();
            fit.back();
            fit.inserts();
            fit.loose();
        }
    }

    /** Pieces that lie in a layer leave room between them that the layer must fill. */
    private static void crowded(BarCalls calls) {
        List<StackLayer> layers = calls.stack().layers();
        for (StackLayer level : layers) {
            if (!level.kind().level()) {
                continue;
            }
            List<StackLayer> in = layers.stream()
                    .filter(l -> l.kind() == LayerKind.INCLUSION && NeighbourCalls.touch(level, l))
                    .filter(l -> l.design().embedded() > 0)
                    .toList();
            double ml = in.stream()
                    .mapToDouble(l -> l.volumeMl() * l.design().embedded())
                    .sum();
            double share = ml / (ml + level.volumeMl());
            if (share > PACKED_PIECES.greatest()) {
                calls.add(
                        Weight.WILL_FAIL,
                        "inclusions-too-many",
                        "%s is too little to wrap what lies in it: loose pieces fill no more than %s of a room."
                                .formatted(level.name(), BarCalls.percent(PACKED_PIECES.greatest())),
                        "%s mL of pieces in %s mL: %s"
                                .formatted(fixed(ml, 1), fixed(ml + level.volumeMl(), 1), BarCalls.percent(share)),
                        "Random close packing of spheres, Scott and Kilgour 1969 (value from memory).");
            }
        }
    }

    /** A moulded bar is lined, and closed, wherever it is not couverture or compound all through. */
    private void enclosed() {
        if (stack.bar().build() != Build.MOULDED) {
            return;
        }
        List<StackLayer> soft = stack.layers().stream()
                .filter(l -> l.kind().level() || l.kind() == LayerKind.INSERT)
                .filter(l -> !l.material().isCoating())
                .toList();
        if (soft.isEmpty()) {
            return;
        }
        if (stack.first(LayerKind.SHELL).isEmpty()) {
            calls.add(
                    Weight.WILL_FAIL,
                    "no-shell",
                    "Nothing lines the cavity: %s holds on to the mould. Line it with couverture first."
                            .formatted(soft.get(0).name()),
                    "a moulded bar without a shell",
                    PRACTICE);
        }
        StackLayer last = soft.get(soft.size() - 1);
        boolean covered = stack.layers().stream()
                .anyMatch(l -> l.index() > last.index()
                        && l.kind().level()
                        && l.material().isCoating());
        if (!covered) {
            calls.add(
                    Weight.WILL_FAIL,
                    "no-back",
                    "Nothing closes the back: %s dries out and leaks. Close it with couverture.".formatted(last.name()),
                    "a moulded bar without a back",
                    PRACTICE);
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
                    "the layers want %s mL more than there is".formatted(fixed(frame.lackingMl(), 2)),
                    "%s mL inside, of which they want %s mL more"
                            .formatted(fixed(frame.inside().volumeMl(), 2), fixed(frame.lackingMl(), 2)));
        } else if (frame.lackingMm() > SMALL_MM || nothingLeft()) {
            doesNotFit(
                    "the layers are %s higher than the inside, and nothing is left for what takes the rest"
                            .formatted(mm(frame.lackingMm())),
                    "layers %s mm > inside %s mm".formatted(fixed(inside + frame.lackingMm(), 1), fixed(inside, 1)));
        } else if (frame.emptyMm() > SMALL_MM && (closed || stack.bar().build() == Build.MOULDED)) {
            double ml = frame.inside()
                    .volumeMl(
                            frame.inside().topMm() - frame.emptyMm(),
                            frame.inside().topMm());
            calls.add(
                    Weight.TAKE_CARE,
                    "empty-room",
                    "%s stay empty below the rim: %s mL. Let one layer take the rest."
                            .formatted(mm(frame.emptyMm()), fixed(ml, 1)),
                    "inside %s mm − layers %s mm".formatted(fixed(inside, 1), fixed(inside - frame.emptyMm(), 1)),
                    GEOMETRY);
        }
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
                GEOMETRY,
                advice.map(a -> a.change).orElse(null));
    }

    private boolean fits() {
        return frame.lackingMl() <= SMALL_ML && frame.lackingMm() <= SMALL_MM && !nothingLeft();
    }

    /** The middle of what the back may be; 0 without a back. */
    private double wantedBackMm() {
        return stack.first(LayerKind.BACK)
                .map(b -> (MouldedBuild.leastMm(b.design()) + MouldedBuild.greatestMm(b.design())) / 2)
                .orElse(0.0);
    }

    /** Whether the layer that takes the rest was left without room. */
    private boolean nothingLeft() {
        return stack.layers().stream().anyMatch(l -> l.design().by() == BarLayer.By.REST && l.thicknessMm() < SMALL_ML);
    }

    private void back() {
        Optional<StackLayer> closing = stack.first(LayerKind.BACK);
        if (closing.isEmpty() || !fits()) {
            return;
        }
        StackLayer back = closing.get();
        double least = MouldedBuild.leastMm(back.design());
        double greatest = MouldedBuild.greatestMm(back.design());
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
                        .orElse("%s mm; %s to %s mm".formatted(fixed(thick, 2), fixed(least, 1), fixed(greatest, 1))),
                PRACTICE,
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
                "%s mm as designed, %s mm wanted".formatted(fixed(back.thicknessMm(), 1), fixed(wanted, 1)),
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
                        "%s g give %s mm".formatted(fixed(now, 1), fixed(back.thicknessMm(), 1)),
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
        boolean less = !fits() || closes && thickness(stack, LayerKind.BACK) < wanted;
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
                "%s instead of %s %s".formatted(fixed(amount, 2), fixed(now, 2), byMm ? "mm" : "g"),
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

    private void inserts() {
        for (StackLayer layer : stack.all(LayerKind.INSERT)) {
            BarLayer.Insert insert = layer.design().insert();
            Outline room = frame.inside().outline(Math.max(frame.inside().floorMm(), layer.fromMm()));
            double play = insert.spreadMm() + 2 * INSERT_CLEARANCE.least();
            double across = insert.acrossMm() + play;
            double widest = insert.shape() == BarLayer.Shape.DISC ? room.widestDiscMm() : room.widthMm();
            if (across > widest) {
                misfit(layer, "insert-too-wide", "wide", across - widest, insert.acrossMm(), play, widest);
            }
            if (insert.shape() != BarLayer.Shape.DISC) {
                double longest = room.longestMm(Math.min(across, room.widthMm()));
                if (insert.lengthMm() + play > longest) {
                    misfit(
                            layer,
                            "insert-too-long",
                            "long",
                            insert.lengthMm() + play - longest,
                            insert.lengthMm(),
                            play,
                            longest);
                }
            }
            proud(layer);
        }
    }

    private void misfit(StackLayer layer, String code, String how, double over, double size, double play, double room) {
        BarLayer.Shape shape = layer.design().insert().shape();
        boolean length = how.equals("long") || shape == BarLayer.Shape.DISC;
        var trimmed = new Repair(
                        stack,
                        layer.index(),
                        (l, mm) -> l.with(
                                length ? l.insert().ofLength(mm) : l.insert().ofWidth(mm)),
                        s -> length ? room(s, layer, true) : room(s, layer, false))
                .figure(size, BarLayer.Insert.SIDE_MM.least());
        Change change = null;
        String advice = "There is no room for it there.";
        if (trimmed.isPresent()) {
            double fits = Math.floor(trimmed.getAsDouble() * 10) / 10;
            advice = "Trim it to %s mm.".formatted(fixed(fits, 1));
            change = set(layer, length ? "lengthMm" : "widthMm", fits, "Trim to " + mm(fits));
        }
        calls.add(
                Weight.WILL_FAIL,
                code,
                "%s is %s too %s where it rests, %s mm up. %s"
                        .formatted(layer.name(), mm(over), how, fixed(layer.fromMm(), 1), advice),
                "%s mm + spread and %s mm clear on each side %s mm = %s mm; the lined cavity has %s mm there"
                        .formatted(
                                fixed(size, 1),
                                plain(INSERT_CLEARANCE.least()),
                                fixed(play, 1),
                                fixed(size + play, 1),
                                fixed(room, 1)),
                GEOMETRY,
                change);
    }

    /** Room that an insert leaves on both sides together where it rests, along or across; below 0 where it does not go in. */
    private static double room(BarStack of, StackLayer layer, boolean along) {
        Frame.Moulded frame = (Frame.Moulded) of.frame();
        StackLayer now = of.layers().stream()
                .filter(l -> l.index() == layer.index())
                .findFirst()
                .orElseThrow();
        BarLayer.Insert insert = now.design().insert();
        Outline room = frame.inside().outline(Math.max(frame.inside().floorMm(), now.fromMm()));
        double play = insert.spreadMm() + 2 * INSERT_CLEARANCE.least();
        double across = insert.acrossMm() + play;
        if (insert.shape() == BarLayer.Shape.DISC) {
            return room.widestDiscMm() - across;
        }
        return along
                ? room.longestMm(Math.min(across, room.widthMm())) - insert.lengthMm() - play
                : room.widthMm() - across;
    }

    /** An insert must lie below the back, and never above the seal line. */
    private void proud(StackLayer layer) {
        Optional<StackLayer> back = stack.first(LayerKind.BACK);
        double top = frame.inside().topMm();
        double ceiling = back.map(StackLayer::fromMm).orElse(top);
        double over = layer.toMm() - ceiling;
        if (over <= SMALL_MM || !fits()) {
            return;
        }
        double seal = back.map(b -> top - MouldedBuild.leastMm(b.design())).orElse(top);
        var lower = new Repair(
                        stack, layer.index(), (l, mm) -> l.with(l.insert().ofHeight(mm)), s -> below(s, layer))
                .figure(layer.design().insert().heightMm(), BarLayer.Insert.HEIGHT_MM.least());
        Change change = null;
        String advice = "There is no room for it on that level.";
        if (lower.isPresent()) {
            double height = Math.floor(lower.getAsDouble() * 10) / 10;
            if (height >= BarLayer.Insert.HEIGHT_MM.least()) {
                advice = "One %s high fits, or press it deeper.".formatted(mm(height));
                change = set(layer, "heightMm", height, "Height " + mm(height));
            }
        }
        calls.add(
                layer.toMm() > seal ? Weight.WILL_FAIL : Weight.TAKE_CARE,
                "insert-proud",
                "%s stands %s up into the back%s. %s"
                        .formatted(layer.name(), mm(over), layer.toMm() > seal ? ", above the seal line" : "", advice),
                "rests at %s mm + %s mm high = %s mm; the back begins at %s mm"
                        .formatted(
                                fixed(layer.fromMm(), 1),
                                fixed(layer.toMm() - layer.fromMm(), 1),
                                fixed(layer.toMm(), 1),
                                fixed(ceiling, 1)),
                GEOMETRY,
                change);
    }

    private static double below(BarStack of, StackLayer layer) {
        double ceiling = of.first(LayerKind.BACK)
                .map(StackLayer::fromMm)
                .orElse(((Frame.Moulded) of.frame()).inside().topMm());
        return of.layers().stream()
                .filter(l -> l.index() == layer.index())
                .mapToDouble(l -> ceiling - l.toMm())
                .sum();
    }

    /** Loose content of hollow pieces. */
    private void loose() {
        List<StackLayer> content = stack.all(LayerKind.INCLUSION);
        boolean filled = stack.layers().stream().anyMatch(l -> l.kind().level() && l.kind() != LayerKind.BACK);
        if (content.isEmpty() || filled) {
            return;
        }
        double bulk = content.stream().mapToDouble(StackLayer::volumeMl).sum() / LOOSE_PIECES.greatest();
        double room = frame.inside().volumeMl() * frame.halves();
        if (bulk > room) {
            calls.add(
                    Weight.WILL_FAIL,
                    "overfull",
                    "The loose content takes %s mL lying loose; the hollow has %s mL."
                            .formatted(fixed(bulk, 1), fixed(room, 1)),
                    "%s mL / %s = %s mL"
                            .formatted(
                                    fixed(bulk * LOOSE_PIECES.greatest(), 1),
                                    plain(LOOSE_PIECES.greatest()),
                                    fixed(bulk, 1)),
                    PRACTICE);
        }
    }
}
