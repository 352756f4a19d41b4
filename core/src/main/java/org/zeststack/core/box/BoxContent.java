package org.zeststack.core.box;

import static org.zeststack.core.judge.BarCalls.grams;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.explain.Call;
import org.zeststack.core.explain.Call.Weight;
import org.zeststack.core.judge.Keeping;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.rule.Bound;
import org.zeststack.core.rule.Bounds;
import org.zeststack.core.rule.Rule;
import org.zeststack.core.stack.BarStack;
import org.zeststack.core.weighing.AverageQuantity;

/** A box computed: net and gross weight, materials, allergens and calls. */
public final class BoxContent {

    private final Box box;
    private final List<Part> parts;

    /** One kind of bar in it. */
    public record Part(String name, int count, BarStack stack) {

        public double grams() {
            return count * stack.pieceGrams();
        }
    }

    /**
     * Computes a box.
     *
     * @param parts its bars, in the order of its items
     */
    public BoxContent(Box box, List<Part> parts) {
        this.box = box;
        this.parts = List.copyOf(parts);
    }

    public List<Part> parts() {
        return parts;
    }

    public int pieces() {
        return parts.stream().mapToInt(Part::count).sum();
    }

    public double netGrams() {
        return parts.stream().mapToDouble(Part::grams).sum();
    }

    public double grossGrams() {
        return netGrams() + box.packingGrams();
    }

    /** Materials of all pieces; what has no price is left out. */
    public double cost() {
        return parts.stream().mapToDouble(p -> p.count() * p.stack().cost()).sum();
    }

    public List<String> allergens() {
        TreeSet<String> all = new TreeSet<>();
        parts.forEach(p -> all.addAll(p.stack().allergens()));
        return List.copyOf(all);
    }

    public List<Call> calls() {
        List<Call> calls = new ArrayList<>();
        declared(calls);
        storage(calls);
        keeping(calls);
        if (!allergens().isEmpty()) {
            add(
                    calls,
                    Weight.GOOD_TO_KNOW,
                    "allergens",
                    "Contains %s; in one box each bar can carry over to the others."
                            .formatted(String.join(", ", allergens())),
                    "of all bars together");
        }
        calls.sort(Comparator.comparing(Call::weight));
        return calls;
    }

    private void declared(List<Call> calls) {
        Double declared = box.declaredGrams();
        if (declared != null && netGrams() < declared) {
            String bound = AverageQuantity.DECLARED_GRAMS.holds(declared)
                    ? "; a single box may be %s short, the mean not at all"
                            .formatted(Say.grams(AverageQuantity.tolerableDeficiencyGrams(declared), 1))
                    : "";
            add(
                    calls,
                    Weight.WILL_FAIL,
                    "lighter-than-declared",
                    "The box holds %s net, %s less than declared."
                            .formatted(grams(netGrams()), grams(declared - netGrams())),
                    "%s declared − %s%s".formatted(grams(declared), grams(netGrams()), bound));
        }
    }

    private void storage(List<Call> calls) {
        List<Bar.Storage> kinds =
                parts.stream().map(p -> p.stack().bar().storage()).distinct().toList();
        if (kinds.size() > 1) {
            add(
                    calls,
                    Weight.TAKE_CARE,
                    "storage-differs",
                    "Its bars are not kept alike: what needs the cold blooms in the room, what does not sweats in the cold.",
                    String.join("; ", kinds.stream().map(Bar.Storage::words).toList()));
        }
    }

    /** The bar that keeps shortest decides, and before any other one of which it is not known. */
    private void keeping(List<Call> calls) {
        Map<Part, Keeping> all = new LinkedHashMap<>();
        parts.forEach(p -> all.put(p, Keeping.of(p.stack())));
        all.entrySet().stream()
                .min(Comparator.comparing(
                        e -> e.getValue().known() ? e.getValue().life().greatestDays() : -1))
                .ifPresent(e -> {
                    Keeping keeping = e.getValue();
                    add(
                            calls,
                            keeping.weight(),
                            keeping.code(),
                            "%s decides: %s".formatted(e.getKey().name(), keeping.message()),
                            keeping.arithmetic());
                });
    }

    /** What the calls on it were judged by that is the workshop's own. */
    public List<Bound> ownBounds() {
        return parts.stream()
                .flatMap(p -> p.stack().bounds().ownAsked().stream())
                .distinct()
                .toList();
    }

    private Bounds bounds() {
        return parts.isEmpty() ? Bounds.shipped() : parts.get(0).stack().bounds();
    }

    private void add(List<Call> calls, Weight weight, String code, String message, String arithmetic) {
        calls.add(new Call(
                weight, code, message, arithmetic, Rule.of(Rule.About.BOX, code).source(bounds())));
    }
}
