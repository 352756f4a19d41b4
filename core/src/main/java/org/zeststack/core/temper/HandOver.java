package org.zeststack.core.temper;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;

/**
 * In which order bowls of one day follow each other in the same tools. Two rules, told apart: what brings fewer allergens goes before what
 * brings more, and what specks would show in goes before what makes them. Where they differ the first decides, and tools are washed and
 * dried for the second.
 *
 * @param byAllergen the bowls, what brings nothing first
 * @param byColour the bowls, the lightest first
 * @param washes what must be washed before which bowl, in the order by allergen
 */
public record HandOver(List<Of> byAllergen, List<Of> byColour, List<String> washes) {

    /**
     * A bowl.
     *
     * @param kind of couverture, which gives its colour
     * @param allergens that it brings, by name
     */
    public record Of(String name, String kind, Set<String> allergens) {

        public Of {
            allergens = Set.copyOf(allergens);
        }
    }

    /** The orders of some bowls. */
    public static HandOver of(List<Of> bowls) {
        List<Of> allergen = bowls.stream()
                .sorted(Comparator.comparingInt((Of b) -> b.allergens().size()).thenComparingInt(HandOver::darkness))
                .toList();
        List<Of> colour = bowls.stream()
                .sorted(Comparator.comparingInt(HandOver::darkness)
                        .thenComparingInt(b -> b.allergens().size()))
                .toList();
        return new HandOver(allergen, colour, washes(allergen));
    }

    /** Whether one order satisfies both rules. */
    public boolean agree() {
        return byAllergen.equals(byColour);
    }

    private static int darkness(Of bowl) {
        return TemperWindow.darkness(bowl.kind());
    }

    private static List<String> washes(List<Of> order) {
        List<String> washes = new ArrayList<>();
        for (int i = 1; i < order.size(); i++) {
            Of before = order.get(i - 1);
            Of after = order.get(i);
            Set<String> brings = new TreeSet<>();
            order.subList(0, i).forEach(b -> brings.addAll(b.allergens()));
            brings.removeAll(after.allergens());
            if (!brings.isEmpty()) {
                washes.add("Before %s: wash off %s, dry everything; traces stay possible."
                        .formatted(after.name(), brings.stream().collect(Collectors.joining(", "))));
            }
            if (darkness(before) > darkness(after)) {
                washes.add("Before %s: specks of %s show in it: wash and dry tools, or take others."
                        .formatted(after.name(), before.name()));
            }
        }
        return List.copyOf(washes);
    }
}
