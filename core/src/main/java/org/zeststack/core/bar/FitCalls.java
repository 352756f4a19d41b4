package org.zeststack.core.bar;

import static org.zeststack.core.bar.BarCalls.GEOMETRY;
import static org.zeststack.core.bar.BarCalls.PRACTICE;
import static org.zeststack.core.bar.BarCalls.grams;
import static org.zeststack.core.bar.BarCalls.mm;
import static org.zeststack.core.bar.BarCalls.round;
import static org.zeststack.core.bar.BarCalls.set;
import static org.zeststack.core.quantity.Numbers.fixed;

import java.util.List;
import java.util.Optional;
import org.zeststack.core.cavity.Hollow;
import org.zeststack.core.cavity.Outline;
import org.zeststack.core.explain.Call.Change;
import org.zeststack.core.explain.Call.Weight;

/** Whether everything has room in the cavity: fillings below the seal line, inserts inside the lined walls. */
final class FitCalls {

    /** Room that an insert needs on each side to be laid in (common practice, no source). */
    private static final double CLEAR_MM = 0.5;

    private static final double SMALL_ML = 1e-6;
    private static final double SMALL_MM = 0.05;

    /** Loose things fill about this share of the room that they lie in (common practice, no source). */
    private static final double LOOSE_PACKING = 0.6;

    private final BarCalls calls;
    private final BarStack stack;
    private final Frame.Moulded frame;

    private FitCalls(BarCalls calls, Frame.Moulded frame) {
        this.calls = calls;
        this.stack = calls.stack();
        this.frame = frame;
    }

    static void add(BarCalls calls) {
        if (calls.stack().frame() instanceof Frame.Moulded moulded) {
            FitCalls fit = new FitCalls(calls, moulded);
            fit.room();
            fit.back();
            fit.inserts();
            fit.loose();
        }
    }

    private Optional<StackLayer> lastFilling() {
        return stack.layers().stream()
                .filter(l -> l.kind() == LayerKind.FILLING || l.kind() == LayerKind.SHEET)
                .reduce((a, b) -> b);
    }

    private void room() {
        boolean closed = stack.first(LayerKind.BACK).isPresent();
        if (frame.lackingMl() > SMALL_ML) {
            String what = lastFilling().map(StackLayer::name).orElse("What is laid in");
            double density =
                    lastFilling().map(l -> l.material().densityGramsPerMl()).orElse(1.0);
            calls.add(
                    Weight.WILL_FAIL,
                    "does-not-fit",
                    "It does not fit: %s less %s leaves the room that the others want."
                            .formatted(grams(frame.lackingMl() * density), what),
                    "the layers want %s mL more than the %s mL inside"
                            .formatted(
                                    fixed(frame.lackingMl(), 2),
                                    fixed(frame.inside().volumeMl(), 2)),
                    GEOMETRY);
        } else if (frame.lackingMm() > SMALL_MM || nothingLeft()) {
            double inside = frame.inside().topMm() - frame.inside().floorMm();
            calls.add(
                    Weight.WILL_FAIL,
                    "does-not-fit",
                    "It does not fit: the layers are %s higher than the inside, and nothing is left for what takes the rest."
                            .formatted(mm(frame.lackingMm())),
                    "layers %s mm > inside %s mm".formatted(fixed(inside + frame.lackingMm(), 1), fixed(inside, 1)),
                    GEOMETRY);
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
                    "inside %s mm − layers %s mm"
                            .formatted(
                                    fixed(
                                            frame.inside().topMm()
                                                    - frame.inside().floorMm(),
                                            1),
                                    fixed(
                                            frame.inside().topMm()
                                                    - frame.inside().floorMm()
                                                    - frame.emptyMm(),
                                            1)),
                    GEOMETRY);
        }
    }

    /** Whether the layer that takes the rest was left without room. */
    private boolean nothingLeft() {
        return stack.layers().stream().anyMatch(l -> l.design().by() == BarLayer.By.REST && l.thicknessMm() < SMALL_ML);
    }

    private void back() {
        Optional<StackLayer> closing = stack.first(LayerKind.BACK);
        if (closing.isEmpty()) {
            return;
        }
        StackLayer back = closing.get();
        double least = MouldedBuild.leastMm(back.design());
        double greatest = MouldedBuild.greatestMm(back.design());
        double thick = back.thicknessMm();
        if (thick < least - 1e-9) {
            change(back, (least + greatest) / 2)
                    .ifPresent(c -> calls.add(
                            Weight.WILL_FAIL,
                            "back-thin",
                            "Back will be %s: above the seal line, it will leak. %s".formatted(mm(thick), c.words),
                            c.arithmetic,
                            PRACTICE,
                            c.change));
        } else if (thick > greatest + 1e-9) {
            change(back, (least + greatest) / 2)
                    .ifPresent(c -> calls.add(
                            Weight.TAKE_CARE,
                            "back-thick",
                            "Back will be %s: a slab to bite through. %s".formatted(mm(thick), c.words),
                            c.arithmetic,
                            PRACTICE,
                            c.change));
        }
    }

    private record Advice(String words, String arithmetic, Change change) {}

    /** How much more or less of the last filling gives a back of {@code wantedMm}, and the field to set. */
    private Optional<Advice> change(StackLayer back, double wantedMm) {
        Hollow inside = frame.inside();
        double wanted = inside.topMm() - wantedMm;
        double now = back.fromMm();
        double ml = wanted >= now ? inside.volumeMl(now, wanted) : -inside.volumeMl(wanted, now);
        Optional<StackLayer> last = lastFilling();
        if (last.isEmpty()) {
            return Optional.of(new Advice("Lay %s.".formatted(mm(wantedMm)), "", null));
        }
        StackLayer filling = last.get();
        double density = filling.material().densityGramsPerMl();
        double each = ml * density;
        String words = "%s %s %s gives %s."
                .formatted(grams(Math.abs(each)), each < 0 ? "less" : "more", filling.name(), mm(wantedMm));
        String arithmetic = "%s mL between %s and %s mm × %s g/mL = %s g"
                .formatted(
                        fixed(Math.abs(ml), 2),
                        fixed(back.thicknessMm(), 1),
                        fixed(wantedMm, 1),
                        fixed(density, 3),
                        fixed(Math.abs(each), 1));
        Change change = null;
        if (back.design().by() == BarLayer.By.MM) {
            change = set(back, "amount", wantedMm, "Back of " + mm(wantedMm));
        } else if (filling.design().by() == BarLayer.By.GRAMS) {
            double amount = round(filling.grams() / frame.halves() + each, 1);
            change = set(filling, "amount", amount, "Fill " + grams(amount));
        } else if (filling.design().by() == BarLayer.By.MM) {
            double amount = filling.thicknessMm() + (back.thicknessMm() - wantedMm);
            change = set(filling, "amount", amount, "Fill " + mm(amount));
        }
        return Optional.of(new Advice(words, arithmetic, change));
    }

    private void inserts() {
        for (StackLayer layer : stack.all(LayerKind.INSERT)) {
            BarLayer.Insert insert = layer.design().insert();
            Outline room = frame.inside().outline(Math.max(frame.inside().floorMm(), layer.fromMm()));
            double play = insert.spreadMm() + 2 * CLEAR_MM;
            double across = insert.acrossMm() + play;
            double widest = insert.shape() == BarLayer.Shape.DISC ? room.widestDiscMm() : room.widthMm();
            if (across > widest) {
                misfit(layer, "insert-wide", "wide", across - widest, insert.acrossMm(), play, widest);
            }
            if (insert.shape() != BarLayer.Shape.DISC) {
                double longest = room.longestMm(Math.min(across, room.widthMm()));
                if (insert.lengthMm() + play > longest) {
                    misfit(
                            layer,
                            "insert-long",
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
        boolean disc = layer.design().insert().shape() == BarLayer.Shape.DISC;
        double fits = Math.floor((room - play) * 10) / 10;
        String field = how.equals("long") || disc ? "lengthMm" : "widthMm";
        calls.add(
                Weight.WILL_FAIL,
                code,
                "%s is %s too %s where it rests, %s mm up. Trim it to %s mm."
                        .formatted(layer.name(), mm(over), how, fixed(layer.fromMm(), 1), fixed(fits, 1)),
                "%s mm + spread and 0.5 mm clear on each side %s mm = %s mm; the lined cavity has %s mm there"
                        .formatted(fixed(size, 1), fixed(play, 1), fixed(size + play, 1), fixed(room, 1)),
                GEOMETRY,
                fits > 0 ? set(layer, field, fits, "Trim to " + mm(fits)) : null);
    }

    /** An insert must lie below the back, and never above the seal line. */
    private void proud(StackLayer layer) {
        Optional<StackLayer> back = stack.first(LayerKind.BACK);
        double top = frame.inside().topMm();
        double ceiling = back.map(StackLayer::fromMm).orElse(top);
        double over = layer.toMm() - ceiling;
        if (over <= SMALL_MM) {
            return;
        }
        double seal = back.map(b -> top - MouldedBuild.leastMm(b.design())).orElse(top);
        double height = layer.design().insert().heightMm() - over;
        calls.add(
                layer.toMm() > seal ? Weight.WILL_FAIL : Weight.TAKE_CARE,
                "insert-proud",
                "%s stands %s up into the back%s. %s"
                        .formatted(
                                layer.name(),
                                mm(over),
                                layer.toMm() > seal ? ", above the seal line" : "",
                                height > 0.3
                                        ? "One %s high fits, or press it deeper.".formatted(mm(height))
                                        : "There is no room for it on that level."),
                "rests at %s mm + %s mm high = %s mm; the back begins at %s mm"
                        .formatted(
                                fixed(layer.fromMm(), 1),
                                fixed(layer.design().insert().heightMm(), 1),
                                fixed(layer.toMm(), 1),
                                fixed(ceiling, 1)),
                GEOMETRY,
                height > 0.3
                        ? set(
                                layer,
                                "heightMm",
                                Math.floor(height * 10) / 10,
                                "Height " + mm(Math.floor(height * 10) / 10))
                        : null);
    }

    /** Loose content of hollow pieces. */
    private void loose() {
        List<StackLayer> content = stack.all(LayerKind.INCLUSION);
        boolean filled = stack.layers().stream().anyMatch(l -> l.kind().level() && l.kind() != LayerKind.BACK);
        if (content.isEmpty() || filled) {
            return;
        }
        double bulk = content.stream().mapToDouble(StackLayer::volumeMl).sum() / LOOSE_PACKING;
        double room = frame.inside().volumeMl() * frame.halves();
        if (bulk > room) {
            calls.add(
                    Weight.WILL_FAIL,
                    "does-not-fit",
                    "The loose content takes %s mL lying loose; the hollow has %s mL."
                            .formatted(fixed(bulk, 1), fixed(room, 1)),
                    "%s mL / 0.6 = %s mL".formatted(fixed(bulk * LOOSE_PACKING, 1), fixed(bulk, 1)),
                    PRACTICE);
        }
    }
}
