package org.zeststack.core.judge;

import static org.zeststack.core.judge.BarCalls.set;
import static org.zeststack.core.quantity.Numbers.plain;

import java.util.Comparator;
import java.util.Map;
import java.util.Optional;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.explain.Call.Change;
import org.zeststack.core.explain.Call.Weight;
import org.zeststack.core.formula.Family;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.stack.BarStack;
import org.zeststack.core.stack.Frame;
import org.zeststack.core.stack.StackLayer;
import org.zeststack.core.temper.TemperWindow;

/** Temperatures at which layers meet, and what the finish of the couverture means. */
final class WarmthCalls {

    private static final String SET_COUVERTURE = "set-couverture";
    private static final String SET_COMPOUND = "set-compound";
    private static final String SET_UNTEMPERED = "set-untempered";
    private static final String CENTRE_WARMTH = "centre-warmth";
    private static final String COMPOUND_BOWL = "compound-bowl";
    private static final String CARAMEL_BOWL = "caramel-bowl";

    private final BarCalls calls;
    private final BarStack stack;

    private WarmthCalls(BarCalls calls) {
        this.calls = calls;
        this.stack = calls.stack();
    }

    static void add(BarCalls calls) {
        WarmthCalls own = new WarmthCalls(calls);
        own.poured();
        own.centre();
        own.bowl();
        own.finish();
    }

    private boolean tempered() {
        return stack.bar().finish() == Bar.Finish.TEMPERED;
    }

    /** Every filling against the couverture or compound that lies there before it is poured: shell, foot, sheet, the layer below. */
    private void poured() {
        for (StackLayer filling : stack.all(LayerKind.FILLING)) {
            Double celsius = filling.design().celsius();
            if (celsius == null) {
                continue;
            }
            stack.layers().stream()
                    .filter(l -> l.material().isChocolate() || l.material().compound())
                    .filter(l -> l.kind() == LayerKind.SHELL
                            || l.index() < filling.index() && NeighbourCalls.touch(l, filling))
                    .filter(l -> celsius > bears(l))
                    .min(Comparator.comparingDouble(this::bears))
                    .ifPresent(l -> {
                        String set = l.kind() == LayerKind.SHELL ? "the shell" : "the " + l.name() + " under it";
                        double bears = bears(l);
                        calls.add(
                                Weight.WILL_FAIL,
                                "poured-too-warm",
                                "%s at %s melts %s. Let it cool to %s."
                                        .formatted(filling.name(), Say.celsius(celsius), set, Say.celsius(bears)),
                                "%s, set, bears about %s".formatted(l.name(), Say.celsius(bears)),
                                set(
                                        filling,
                                        "celsius",
                                        Math.floor(bears),
                                        "Fill at " + Say.celsius(Math.floor(bears))));
                    });
        }
    }

    /** What a set layer bears without melting or losing its temper. */
    private double bears(StackLayer layer) {
        Optional<TemperWindow> window = layer.material().window();
        if (window.isEmpty()) {
            return calls.bound(SET_COMPOUND).greatest();
        }
        return tempered()
                ? window.get().work().greatest() - calls.bound(SET_COUVERTURE).least()
                : calls.bound(SET_UNTEMPERED).greatest();
    }

    private void centre() {
        Double centre = stack.bar().centreCelsius();
        if (centre == null || stack.all(LayerKind.COAT).isEmpty()) {
            return;
        }
        Change change = new Change(
                "Coat centres at " + Say.celsius(calls.bound(CENTRE_WARMTH).usual()),
                Map.of("centreCelsius", plain(calls.bound(CENTRE_WARMTH).usual())));
        if (centre < calls.bound(CENTRE_WARMTH).least()) {
            calls.add(
                    Weight.TAKE_CARE,
                    "centre-too-cold",
                    "Centres at %s: a thick coat that cracks as they warm and swell, and they sweat. Bring them to %s to %s."
                            .formatted(
                                    Say.celsius(centre),
                                    Say.bare(Say.celsius(
                                            calls.bound(CENTRE_WARMTH).least())),
                                    Say.celsius(calls.bound(CENTRE_WARMTH).greatest())),
                    "%s < %s"
                            .formatted(
                                    Say.celsius(centre),
                                    Say.celsius(calls.bound(CENTRE_WARMTH).least())),
                    change);
        } else if (centre > calls.bound(CENTRE_WARMTH).greatest()) {
            calls.add(
                    Weight.TAKE_CARE,
                    "centre-too-warm",
                    "Centres at %s: the coat loses its temper and blooms. Bring them to %s to %s."
                            .formatted(
                                    Say.celsius(centre),
                                    Say.bare(Say.celsius(
                                            calls.bound(CENTRE_WARMTH).least())),
                                    Say.celsius(calls.bound(CENTRE_WARMTH).greatest())),
                    "%s > %s"
                            .formatted(
                                    Say.celsius(centre),
                                    Say.celsius(calls.bound(CENTRE_WARMTH).greatest())),
                    change);
        }
    }

    private void bowl() {
        boolean caramel =
                stack.all(LayerKind.FILLING).stream().anyMatch(f -> f.material().family() == Family.Kind.CARAMEL);
        for (StackLayer coat : stack.all(LayerKind.COAT)) {
            Double celsius = coat.design().celsius();
            if (celsius == null) {
                continue;
            }
            Optional<TemperWindow> window = coat.material().window().filter(w -> tempered());
            boolean chocolate = window.isPresent();
            double most = window.map(w -> w.work().greatest())
                    .orElse(calls.bound(COMPOUND_BOWL).greatest());
            double bears = caramel ? Math.min(most, calls.bound(CARAMEL_BOWL).greatest()) : most;
            if (celsius > bears) {
                calls.add(
                        Weight.WILL_FAIL,
                        "bowl-hot",
                        "A bowl at %s %s. Work at %s or below."
                                .formatted(
                                        Say.celsius(celsius),
                                        chocolate ? "is out of temper" : "melts the centre",
                                        Say.celsius(bears)),
                        "%s > %s".formatted(Say.celsius(celsius), Say.celsius(bears)),
                        set(coat, "celsius", bears, "Bowl at " + Say.celsius(bears)));
            }
        }
    }

    private void finish() {
        Bar bar = stack.bar();
        boolean couverture = stack.layers().stream()
                .anyMatch(l -> stack.outside(l) && l.material().isChocolate());
        boolean compound = stack.layers().stream()
                .anyMatch(l -> stack.outside(l) && l.material().compound());
        switch (bar.finish()) {
            case KEPT_COLD -> keptCold(bar);
            case COMPOUND -> {
                if (couverture) {
                    calls.add(
                            Weight.TAKE_CARE,
                            "finish-differs",
                            "The finish says compound coating, but couverture is laid outside: it must be tempered or kept cold.",
                            "couverture sets well only from its stable crystals");
                }
                calls.add(
                        Weight.GOOD_TO_KNOW,
                        "finish",
                        "Compound coating needs no temper and bears the room; it snaps less, and it may not be called chocolate.",
                        "no cocoa butter to temper");
            }
            case TEMPERED -> {
                if (compound && !couverture) {
                    calls.add(
                            Weight.TAKE_CARE,
                            "finish-differs",
                            "The finish says tempered, but all that is outside is compound: there is nothing to temper.",
                            "compound sets by itself",
                            new Change("Finish: compound coating", Map.of("finish", Bar.Finish.COMPOUND.name())));
                }
            }
        }
    }

    private void keptCold(Bar bar) {
        if (bar.storage() != Bar.Storage.FRIDGE) {
            calls.add(
                    Weight.WILL_FAIL,
                    "storage-against-finish",
                    "Melted and not tempered, it blooms within days unless it stays in the refrigerator.",
                    "kept: " + bar.storage().words(),
                    new Change("Keep in the refrigerator", Map.of("storage", Bar.Storage.FRIDGE.name())));
        }
        boolean moulded = stack.frame() instanceof Frame.Moulded;
        calls.add(
                moulded ? Weight.TAKE_CARE : Weight.GOOD_TO_KNOW,
                "finish",
                "Not tempered: dull, soft to the finger%s, and it sweats when it comes out of the cold."
                        .formatted(moulded ? ", hard to release" : ""),
                "%s".formatted(moulded ? "couverture that is not tempered hardly contracts" : "no stable crystals"));
    }
}
