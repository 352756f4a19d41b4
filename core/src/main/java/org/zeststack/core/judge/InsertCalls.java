package org.zeststack.core.judge;

import static org.zeststack.core.judge.BarCalls.mm;
import static org.zeststack.core.judge.BarCalls.set;

import java.util.List;
import java.util.Optional;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.cavity.Hollow;
import org.zeststack.core.cavity.Outline;
import org.zeststack.core.explain.Call.Change;
import org.zeststack.core.explain.Call.Weight;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.stack.BarStack;
import org.zeststack.core.stack.Frame;
import org.zeststack.core.stack.StackLayer;

/** Whether inserts go in between the lined walls and stay below what covers them. */
final class InsertCalls {

    private static final String INSERT_CLEARANCE = "insert-clearance";

    private final BarCalls calls;
    private final BarStack stack;
    private final Frame.Moulded frame;

    private InsertCalls(BarCalls calls, Frame.Moulded frame) {
        this.calls = calls;
        this.stack = calls.stack();
        this.frame = frame;
    }

    static void add(BarCalls calls) {
        if (calls.stack().frame() instanceof Frame.Moulded moulded) {
            new InsertCalls(calls, moulded).inserts();
        }
    }

    private void inserts() {
        for (StackLayer layer : stack.all(LayerKind.INSERT)) {
            BarLayer.Insert insert = layer.design().insert();
            double play = play(stack, insert);
            Outline room = roomFor(stack, layer);
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
            overlap(layer);
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
            advice = "Trim it to %s.".formatted(Say.mm(fits, 1));
            change = set(layer, length ? "lengthMm" : "widthMm", fits, "Trim to " + mm(fits));
        }
        calls.add(
                Weight.WILL_FAIL,
                code,
                "%s is %s too %s where it rests, %s up. %s"
                        .formatted(layer.name(), mm(over), how, Say.mm(layer.fromMm(), 1), advice),
                "%s + spread and %s clear on each side %s = %s; the lined cavity has %s there"
                        .formatted(
                                Say.mm(size, 1),
                                Say.mm(calls.bound(INSERT_CLEARANCE).least()),
                                Say.mm(play, 1),
                                Say.mm(size + play, 1),
                                Say.mm(room, 1)),
                change);
    }

    /** Room that an insert leaves on both sides together where it rests, along or across; below 0 where it does not go in. */
    private static double room(BarStack of, StackLayer layer, boolean along) {
        StackLayer now = of.layers().stream()
                .filter(l -> l.index() == layer.index())
                .findFirst()
                .orElseThrow();
        BarLayer.Insert insert = now.design().insert();
        Outline room = roomFor(of, now);
        double play = play(of, insert);
        double across = insert.acrossMm() + play;
        if (insert.shape() == BarLayer.Shape.DISC) {
            return room.widestDiscMm() - across;
        }
        return along
                ? room.longestMm(Math.min(across, room.widthMm())) - insert.lengthMm() - play
                : room.widthMm() - across;
    }

    private static double play(BarStack of, BarLayer.Insert insert) {
        return insert.spreadMm() + 2 * of.bounds().of(INSERT_CLEARANCE).least();
    }

    /** What it may lie in where it rests: of a row of segments one segment, or the corridor over the bridges where it goes in there. */
    private static Outline roomFor(BarStack of, StackLayer layer) {
        Hollow inside = ((Frame.Moulded) of.frame()).inside();
        BarLayer.Insert insert = layer.design().insert();
        double play = play(of, insert);
        List<Outline> rooms = inside.undivided(Math.max(inside.floorMm(), layer.fromMm()));
        return rooms.stream()
                .filter(r -> insert.shape() == BarLayer.Shape.DISC
                        ? insert.lengthMm() + play <= r.widestDiscMm()
                        : insert.lengthMm() + play <= r.longestMm(insert.acrossMm() + play))
                .findFirst()
                .orElse(rooms.get(0));
    }

    /** Those that lie on one level want room side by side or end to end; told of the last of them. */
    private void overlap(StackLayer layer) {
        double height = Math.max(frame.inside().floorMm(), layer.fromMm());
        List<StackLayer> level = stack.all(LayerKind.INSERT).stream()
                .filter(o -> o.fromMm() < layer.toMm() && o.toMm() > layer.fromMm())
                .toList();
        boolean last = level.stream().allMatch(o -> o.index() <= layer.index());
        if (level.size() < 2 || !last) {
            return;
        }
        Outline room = frame.inside().outline(height);
        double clear = calls.bound(INSERT_CLEARANCE).least();
        double across = clear;
        double along = clear;
        for (StackLayer one : level) {
            BarLayer.Insert insert = one.design().insert();
            across += insert.acrossMm() + insert.spreadMm() + clear;
            along += insert.lengthMm() + insert.spreadMm() + clear;
        }
        if (across > room.widthMm() && along > room.lengthMm()) {
            calls.add(
                    Weight.WILL_FAIL,
                    "overlap",
                    "%s on one level overlap: there is no room for them side by side nor end to end. Trim them, or lay a filling between."
                            .formatted(String.join(
                                    " and ",
                                    level.stream().map(StackLayer::name).toList())),
                    "side by side %s of %s, end to end %s of %s, %s clear on each side"
                            .formatted(
                                    Say.mm(across, 1),
                                    Say.mm(room.widthMm(), 1),
                                    Say.mm(along, 1),
                                    Say.mm(room.lengthMm(), 1),
                                    Say.mm(clear)));
        }
    }

    /** An insert must lie below the back, and never above the seal line. */
    private void proud(StackLayer layer) {
        Optional<StackLayer> back = stack.first(LayerKind.BACK);
        double top = frame.inside().topMm();
        double ceiling = back.map(StackLayer::fromMm).orElse(top);
        double over = layer.toMm() - ceiling;
        if (over <= BarCalls.SMALL_MM || !FitCalls.fits(stack, frame)) {
            return;
        }
        double seal = back.map(b -> top - b.design().least(() -> calls.bound(FitCalls.BACK_THICKNESS)))
                .orElse(top);
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
                "rests at %s + %s high = %s; the back begins at %s"
                        .formatted(
                                Say.mm(layer.fromMm(), 1),
                                Say.mm(layer.toMm() - layer.fromMm(), 1),
                                Say.mm(layer.toMm(), 1),
                                Say.mm(ceiling, 1)),
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
}
