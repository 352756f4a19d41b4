package org.zeststack.core.judge;

import static org.zeststack.core.judge.BarCalls.grams;
import static org.zeststack.core.judge.BarCalls.percent;
import static org.zeststack.core.quantity.Numbers.fixed;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.explain.Call.Change;
import org.zeststack.core.explain.Call.Weight;
import org.zeststack.core.ingredient.Nature;
import org.zeststack.core.naming.ChocolateName;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.rule.Bound;
import org.zeststack.core.stack.BarStack;
import org.zeststack.core.stack.Material;
import org.zeststack.core.stack.StackLayer;
import org.zeststack.core.weighing.AverageQuantity;

/** What the piece may be called, what it declares, and what it must warn of. */
final class NameCalls {

    private static final String WHOLE_NUT = "whole-nut";

    private static final Map<String, ChocolateName> COUVERTURES = Map.of(
            "dark", ChocolateName.COUVERTURE, "milk", ChocolateName.MILK_COUVERTURE, "white", ChocolateName.WHITE);
    private static final Map<String, ChocolateName> CHOCOLATES =
            Map.of("dark", ChocolateName.CHOCOLATE, "milk", ChocolateName.MILK, "white", ChocolateName.WHITE);
    private static final Map<Bar.SoldAs, ChocolateName> SOLD = Map.of(
            Bar.SoldAs.CHOCOLATE, ChocolateName.CHOCOLATE,
            Bar.SoldAs.MILK_CHOCOLATE, ChocolateName.MILK,
            Bar.SoldAs.WHITE_CHOCOLATE, ChocolateName.WHITE);

    private final BarCalls calls;
    private final BarStack stack;

    private NameCalls(BarCalls calls) {
        this.calls = calls;
        this.stack = calls.stack();
    }

    static void add(BarCalls calls) {
        NameCalls own = new NameCalls(calls);
        own.couvertures();
        own.name();
        own.declared();
        own.allergens();
        own.wholeNuts();
        own.infants();
    }

    /** A couverture must meet its own name; thinned or mixed, that of plain chocolate of any kind that is in it. */
    private void couvertures() {
        Set<String> told = new HashSet<>();
        for (StackLayer layer : stack.layers()) {
            Material material = layer.material();
            List<ChocolateName> names = names(layer);
            if (names.isEmpty() || !told.add(material.name())) {
                continue;
            }
            ChocolateName name = names.get(0);
            List<String> lacks = name.lacks(material.per100Grams());
            if (names.stream().noneMatch(n -> n.lacks(material.per100Grams()).isEmpty())) {
                calls.add(
                        Weight.TAKE_CARE,
                        "couverture-name",
                        "%s does not meet the name %s: %s."
                                .formatted(material.name(), name.words(), String.join("; ", lacks)),
                        String.join("; ", lacks));
            }
        }
    }

    /** What the chocolate of a layer may be called, its own kind first; nothing where it is none. */
    private List<ChocolateName> names(StackLayer layer) {
        Material material = layer.material();
        BarLayer.Mix mix = layer.design().mix();
        boolean mixed = mix != null && mix.fraction() > 0;
        if (!mixed && material.couverture()) {
            return Stream.ofNullable(COUVERTURES.get(material.chocolate())).toList();
        }
        if (!CHOCOLATES.containsKey(material.chocolate())) {
            return List.of();
        }
        Material other = mixed ? stack.parts().materials().get(mix.of()) : null;
        return Stream.of(material, other)
                .filter(Objects::nonNull)
                .map(m -> CHOCOLATES.get(m.chocolate()))
                .filter(Objects::nonNull)
                .distinct()
                .toList();
    }

    private void name() {
        Bar.SoldAs sold = stack.bar().soldAs();
        boolean compound = stack.layers().stream()
                .anyMatch(l -> stack.outside(l) && l.material().compound());
        List<String> lacks = new ArrayList<>();
        if (compound && sold != Bar.SoldAs.OWN_NAME) {
            lacks.add("compound outside");
        }
        if (SOLD.containsKey(sold)) {
            plain(SOLD.get(sold), lacks);
        } else if (!hasInside() && sold == Bar.SoldAs.OWN_NAME) {
            unfilled();
        } else {
            filled(sold == Bar.SoldAs.FILLED_CHOCOLATE, lacks);
        }
        if (!lacks.isEmpty()) {
            String all = String.join("; ", lacks);
            calls.add(
                    Weight.WILL_FAIL,
                    "name-not-met",
                    "It may not be called %s: %s.".formatted(sold.words(), all),
                    "chocolate outside %s of %s"
                            .formatted(grams(stack.outsideChocolateGrams()), grams(stack.pieceGrams())),
                    new Change("Sell it under a name of its own", Map.of("soldAs", Bar.SoldAs.OWN_NAME.name())));
        }
    }

    /** The outside must be that chocolate, and what is not chocolate a minor part of the piece that nothing fills. */
    private void plain(ChocolateName name, List<String> lacks) {
        Composition outside = Composition.NOTHING;
        double chocolate = 0;
        for (StackLayer layer : stack.layers()) {
            if (layer.material().isChocolate()) {
                chocolate += layer.grams();
                if (outermost(layer)) {
                    Composition hundred = layer.material().per100Grams();
                    outside = outside.plus(hundred.times(layer.grams() / hundred.totalGrams()));
                }
            }
        }
        lacks.addAll(outside.totalGrams() == 0 ? List.of("no chocolate outside") : name.lacks(outside));
        Bound others = calls.bound("other-substances");
        double other = 1 - chocolate / stack.pieceGrams();
        if (other > others.greatest()) {
            lacks.add("other substances %s, allowed %s".formatted(percent(other), others.words()));
        }
        if (hasInside()) {
            lacks.add("it is filled");
        }
    }

    /** Whether a layer is seen from outside: shell, back and coats, or where there are none whatever is bare. */
    private boolean outermost(StackLayer layer) {
        boolean enclosed =
                stack.layers().stream().anyMatch(l -> l.kind() == LayerKind.SHELL || l.kind() == LayerKind.COAT);
        return enclosed && layer.kind().level() ? layer.kind() == LayerKind.BACK : stack.outside(layer);
    }

    /** Whether there is anything but chocolate inside to be filled with. */
    private boolean hasInside() {
        return stack.layers().stream()
                .anyMatch(l -> !stack.outside(l)
                        && l.kind() != LayerKind.INCLUSION
                        && !l.material().isChocolate());
    }

    private void unfilled() {
        calls.add(
                Weight.GOOD_TO_KNOW,
                "chocolate-share",
                "Chocolate is %s of the piece; there is no filling in it.".formatted(percent(stack.chocolateShare())),
                "%s chocolate / %s piece".formatted(grams(stack.outsideChocolateGrams()), grams(stack.pieceGrams())));
    }

    private void filled(boolean wanted, List<String> lacks) {
        double share = stack.chocolateShare();
        boolean bakery = stack.layers().stream()
                .anyMatch(l -> !stack.outside(l) && l.material().isBakery());
        boolean enough = share >= calls.bound("filled-chocolate").least();
        String arithmetic = "%s chocolate outside / %s piece = %s; needed %s"
                .formatted(
                        grams(stack.outsideChocolateGrams()),
                        grams(stack.pieceGrams()),
                        percent(share),
                        calls.bound("filled-chocolate").leastWords());
        if (wanted && !hasInside()) {
            lacks.add("nothing but chocolate is inside");
        }
        if (wanted && bakery) {
            lacks.add("bakery ware is in it: name it for what it is, a coated biscuit");
        }
        if (wanted && !enough) {
            lacks.add("chocolate is %s of the piece, %s needed"
                    .formatted(percent(share), calls.bound("filled-chocolate").leastWords()));
        }
        if (!wanted || enough && !bakery) {
            String may = enough && !bakery
                    ? "it may be called filled chocolate"
                    : bakery
                            ? "with bakery ware inside it needs a name of its own"
                            : "too little to be called filled chocolate";
            calls.add(
                    Weight.GOOD_TO_KNOW,
                    "chocolate-share",
                    "Chocolate outside is %s of the piece; %s.".formatted(percent(share), may),
                    arithmetic);
        }
    }

    private void declared() {
        Double declared = stack.bar().declaredGrams();
        if (declared == null) {
            return;
        }
        double piece = stack.pieceGrams();
        if (piece < declared) {
            String bound = AverageQuantity.DECLARED_GRAMS.holds(declared)
                    ? "; a single one may be %s short, the mean not at all"
                            .formatted(Say.grams(AverageQuantity.tolerableDeficiencyGrams(declared), 1))
                    : "";
            calls.add(
                    Weight.WILL_FAIL,
                    "lighter-than-declared",
                    "The piece weighs %s, %s less than declared.".formatted(grams(piece), grams(declared - piece)),
                    "%s declared − %s designed%s".formatted(grams(declared), grams(piece), bound),
                    Bar.DECLARED_GRAMS.holds(Math.floor(piece))
                            ? new Change(
                                    "Declare %s".formatted(Say.grams(Math.floor(piece), 0)),
                                    Map.of("declaredGrams", fixed(Math.floor(piece), 0)))
                            : null);
        }
    }

    private void allergens() {
        List<String> allergens = stack.allergens();
        if (!allergens.isEmpty()) {
            calls.add(
                    Weight.GOOD_TO_KNOW,
                    "allergens",
                    "Contains %s.".formatted(String.join(", ", allergens)),
                    "of all layers together; what is carried over from other bars comes on top");
        }
    }

    /** Nuts, or pieces of this many grams or more, that lie whole in or on the piece. */
    private void wholeNuts() {
        List<StackLayer> whole = stack.layers().stream().filter(this::whole).toList();
        if (!whole.isEmpty()) {
            calls.add(
                    Weight.TAKE_CARE,
                    "whole-nuts-choking",
                    "Whole nuts: small children can choke on them. Say so on the label, and look for shell.",
                    whole.stream()
                                    .map(l -> "%s, %s a piece".formatted(l.name(), grams(l.grams())))
                                    .collect(Collectors.joining("; "))
                            + "; chopped ones are an ingredient of their own");
        }
    }

    private boolean whole(StackLayer layer) {
        boolean strewn = layer.kind() == LayerKind.INCLUSION || layer.kind() == LayerKind.TOPPING;
        boolean counted = layer.design().by() == BarLayer.By.PIECES;
        return strewn
                && layer.material().nature().is(Nature.Risk.CHOKING)
                && (!counted
                        || layer.design().eachGrams() >= calls.bound(WHOLE_NUT).least());
    }

    private void infants() {
        List<String> with = stack.layers().stream()
                .filter(l -> l.material().nature().is(Nature.Risk.INFANTS))
                .map(StackLayer::name)
                .distinct()
                .toList();
        if (!with.isEmpty()) {
            calls.add(
                    Weight.TAKE_CARE,
                    "honey-infants",
                    "Honey is in it: not for children under one year. Say so on the label.",
                    "in " + String.join(", ", with));
        }
    }
}
