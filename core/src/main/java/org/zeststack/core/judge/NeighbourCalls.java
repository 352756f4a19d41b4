package org.zeststack.core.judge;

import static org.zeststack.core.judge.BarCalls.percent;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.explain.Call.Weight;
import org.zeststack.core.formula.Family;
import org.zeststack.core.ingredient.Nature;
import org.zeststack.core.keeping.Neighbours;
import org.zeststack.core.quantity.Measure;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.rule.Bound;
import org.zeststack.core.stack.BarStack;
import org.zeststack.core.stack.Material;
import org.zeststack.core.stack.StackLayer;

/** What moves between layers that touch: water into what is crisp or must stay dry, liquid oil into couverture. */
final class NeighbourCalls {

    private static final String OIL_CARE = "oil-care";
    private static final String OIL_TOLD = "oil-told";
    private static final String WET_NEIGHBOUR = "wet-neighbour";
    private static final String CRISP_COAT = "crisp-coat";

    /** Heights nearer than this are one. */
    private static final double CLOSE_MM = 0.01;

    private final BarCalls calls;
    private final BarStack stack;
    private final Neighbours neighbours;

    private NeighbourCalls(BarCalls calls) {
        this.calls = calls;
        this.stack = calls.stack();
        this.neighbours = new Neighbours(stack.bounds());
    }

    /** Two layers that touch. */
    record Pair(StackLayer one, StackLayer other) {}

    static void add(BarCalls calls) {
        NeighbourCalls own = new NeighbourCalls(calls);
        own.stack.layers().forEach(own::soft);
        Set<String> told = new HashSet<>();
        for (Pair pair : own.pairs()) {
            own.crisp(pair.one, pair.other, told);
            own.crisp(pair.other, pair.one, told);
            own.dry(pair.one, pair.other, told);
            own.dry(pair.other, pair.one, told);
            own.oil(pair.one, pair.other, told);
            own.oil(pair.other, pair.one, told);
        }
    }

    /**
     * Layers that touch, told by their heights: level layers that meet; inserts and inclusions with every layer that they stand
     * or lie in, and with those that they rest on or bear; shells and coats with what they enclose.
     */
    private List<Pair> pairs() {
        List<Pair> pairs = new ArrayList<>();
        List<StackLayer> pile = stack.layers().stream()
                .filter(l -> l.kind().level() || l.kind() == LayerKind.INSERT || l.kind() == LayerKind.INCLUSION)
                .toList();
        for (int i = 0; i < pile.size(); i++) {
            for (int j = i + 1; j < pile.size(); j++) {
                if (touch(pile.get(i), pile.get(j))) {
                    pairs.add(new Pair(pile.get(i), pile.get(j)));
                }
            }
        }
        for (StackLayer around : stack.layers()) {
            if (around.kind() == LayerKind.SHELL || around.kind() == LayerKind.COAT) {
                pile.stream().filter(inside -> !wrapped(inside)).forEach(inside -> pairs.add(new Pair(around, inside)));
            }
            if (around.kind() == LayerKind.TOPPING
                    && !pile.isEmpty()
                    && stack.all(LayerKind.COAT).isEmpty()) {
                pairs.add(new Pair(pile.get(pile.size() - 1), around));
            }
        }
        return pairs;
    }

    /** Whether a layer wraps all of a strewn one, so that nothing else touches it. */
    private boolean wrapped(StackLayer layer) {
        return layer.kind() == LayerKind.INCLUSION
                && layer.design().embedded() >= 1
                && stack.layers().stream().anyMatch(l -> l.kind().level() && touch(l, layer));
    }

    static boolean touch(StackLayer one, StackLayer other) {
        boolean lies = one.kind() == LayerKind.INCLUSION || other.kind() == LayerKind.INCLUSION;
        boolean levels = one.kind().level() || other.kind().level();
        double overlap = Math.min(one.toMm(), other.toMm()) - Math.max(one.fromMm(), other.fromMm());
        boolean empty = Math.min(one.toMm() - one.fromMm(), other.toMm() - other.fromMm()) < CLOSE_MM;
        return levels && !empty && overlap > (lies ? CLOSE_MM : -CLOSE_MM);
    }

    private boolean barrier(Material material) {
        return neighbours.isBarrier(material.fatFraction(), material.waterFraction());
    }

    /** Whether it is dry goods that are eaten for their crunch. */
    private boolean isCrisp(Material material) {
        Nature.Kind kind = material.nature().kind();
        boolean takesUpWater = kind != Nature.Kind.NUT && kind != Nature.Kind.POWDER;
        return material.dry()
                && takesUpWater
                && material.waterActivity() != null
                && neighbours.isCrisp(material.waterActivity())
                && material.sugarFraction() < calls.bound("melts-in-water").least();
    }

    /** Whether water would dissolve it or set it off, not merely soften it: boiled or foamed sugar, popping candy, tablets. */
    private boolean mustStayDry(Material material) {
        return material.nature().is(Nature.Risk.STAY_DRY) && !isCrisp(material);
    }

    /** Whether a crisp part carries its own coat of fat or couverture, or lies in its own chocolate or a binder of fat. */
    private boolean coated(StackLayer layer) {
        if (layer.material().family() == Family.Kind.BINDER && barrier(layer.material())) {
            return true;
        }
        Composition own = layer.material().per100Grams();
        if (own.grams(Part.COCOA_BUTTER) / own.totalGrams()
                >= calls.bound("crisp-in-chocolate").least()) {
            return true;
        }
        BarLayer.Mix mix = layer.design().mix();
        if (mix == null
                || mix.marbled()
                || mix.fraction() < calls.bound(CRISP_COAT).least()) {
            return false;
        }
        Material coat = stack.parts().materials().get(mix.of());
        return coat != null && barrier(coat);
    }

    private void crisp(StackLayer dry, StackLayer wet, Set<String> told) {
        Material crisp = dry.material();
        Double there = wet.material().waterActivity();
        if (!isCrisp(crisp) || coated(dry) || wet.material().dry() || there == null || barrier(wet.material())) {
            return;
        }
        if (!neighbours.softens(crisp.waterActivity(), there) || !told.add("crisp" + dry.key())) {
            return;
        }
        boolean soon = neighbours.softensSoon(there);
        Keeping keeping = !soon && isShortBase(dry) ? Keeping.of(stack) : null;
        if (keeping != null && keeping.known()) {
            shortBase(dry, wet, keeping.life().greatestDays() / 7.0);
            return;
        }
        calls.add(
                soon ? Weight.WILL_FAIL : Weight.TAKE_CARE,
                "crisp-beside-wet",
                "%s will turn soft: water moves into it from %s. Coat it in cocoa butter or couverture, or lay one of them between."
                        .formatted(dry.name(), wet.name()),
                "a_w %s in %s, %s in %s; crisp up to about %s"
                        .formatted(
                                Say.number(there, 2),
                                wet.name(),
                                Say.number(crisp.waterActivity(), 2),
                                dry.name(),
                                Say.number(neighbours.crispUpTo(), 2)));
    }

    /** Whether it is a baked layer so rich in fat that water goes into it slowly: a short dough, not a wafer. */
    private boolean isShortBase(StackLayer dry) {
        return dry.kind() == LayerKind.BASE
                && dry.material().fatFraction()
                        >= calls.bound("short-dough-fat").least();
    }

    /**
     * Water from a neighbour that softens in weeks goes into a short dough with the root of time: depth, mm = depth of a week ×
     * √weeks, over the time that the piece keeps. It is soft where that is more than a share of its thickness.
     */
    private void shortBase(StackLayer dry, StackLayer wet, double weeks) {
        double depth = calls.bound("softens-in-a-week").greatest() * Math.sqrt(weeks);
        double share = depth / dry.thicknessMm();
        boolean soft = share > calls.bound("softened-share").greatest();
        calls.add(
                soft ? Weight.TAKE_CARE : Weight.GOOD_TO_KNOW,
                "crisp-beside-wet",
                soft
                        ? "%s will turn soft from %s while it keeps. Coat it in cocoa butter or couverture, or lay one of them between."
                                .formatted(dry.name(), wet.name())
                        : "%s softens where it touches %s and stays crisp below.".formatted(dry.name(), wet.name()),
                "%s × √(%s) = %s of %s; up to %s of it is no fault"
                        .formatted(
                                Say.mm(calls.bound("softens-in-a-week").greatest()),
                                Say.of(weeks, 0, Measure.WEEKS),
                                Say.mm(depth, 1),
                                Say.mm(dry.thicknessMm(), 1),
                                percent(calls.bound("softened-share").greatest())));
    }

    /** What is made to be crisp and holds more water than lets it be: a crunch, a coating with grain, grain in a binder. */
    private void soft(StackLayer layer) {
        Family.Kind kind = layer.material().family();
        boolean bound = kind == Family.Kind.BINDER;
        if (!bound && kind != Family.Kind.DRY && kind != Family.Kind.COATING) {
            return;
        }
        Bound crisp = calls.bound(bound ? "binder-water" : "crunch-water");
        double water = layer.material().waterFraction();
        if (water > crisp.greatest()) {
            calls.add(
                    Weight.TAKE_CARE,
                    bound ? "grain-soft" : "crunch-wet",
                    "%s will not be crisp: %s of it is water.".formatted(layer.name(), percent(water)),
                    "%s stays crisp".formatted(crisp.words()));
        }
    }

    private void dry(StackLayer dry, StackLayer wet, Set<String> told) {
        if (!mustStayDry(dry.material())
                || coated(dry)
                || wet.material().waterFraction() < calls.bound(WET_NEIGHBOUR).least()
                || !told.add("dry" + dry.key())) {
            return;
        }
        calls.add(
                Weight.WILL_FAIL,
                "dry-beside-wet",
                "%s must stay dry and lies against %s. Keep couverture or fat between them."
                        .formatted(dry.name(), wet.name()),
                "%s holds %s water".formatted(wet.name(), percent(wet.material().waterFraction())));
    }

    /** Whether cocoa butter in a paste holds its oil, as in hazelnut chocolate. */
    private boolean held(Material paste) {
        Composition own = paste.per100Grams();
        return own.grams(Part.COCOA_BUTTER) / own.totalGrams()
                >= calls.bound("oil-held").least();
    }

    private void oil(StackLayer nut, StackLayer chocolate, Set<String> told) {
        double liquid = nut.material().isChocolate() ? 0 : nut.material().liquidFatFraction();
        // Fat that is emulsified with water stays where it is, and so does that of nuts that nobody ground.
        boolean wet =
                nut.material().waterFraction() > calls.bound(WET_NEIGHBOUR).least();
        boolean whole = nut.kind() == LayerKind.INCLUSION
                && (nut.design().by() == BarLayer.By.PIECES
                        || nut.material().nature().kind() == Nature.Kind.NUT);
        if (!chocolate.material().isChocolate()
                || liquid < calls.bound(OIL_TOLD).least()
                || wet
                || whole
                || held(nut.material())
                || !told.add("oil" + nut.key())) {
            return;
        }
        boolean care = liquid >= calls.bound(OIL_CARE).least();
        calls.add(
                care ? Weight.TAKE_CARE : Weight.GOOD_TO_KNOW,
                "oil-into-chocolate",
                "Liquid oil of %s moves into %s: it softens and blooms in weeks.%s"
                        .formatted(
                                nut.name(),
                                chocolate.name(),
                                care
                                        ? " Temper couverture or cocoa butter into the paste, and keep it cool."
                                        : " Keep it cool."),
                "%s of %s is fat that is liquid at %s; from %s it is a fault"
                        .formatted(
                                percent(liquid),
                                nut.name(),
                                Say.celsius(20),
                                percent(calls.bound(OIL_CARE).least())));
    }
}
