package org.zeststack.core.formula;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import org.zeststack.core.composition.Part;
import org.zeststack.core.formula.FormulaLine.Role;
import org.zeststack.core.ingredient.Ingredient;
import org.zeststack.core.ingredient.Nature;

/**
 * Where a line of a pasted recipe usually goes in, told from what the ingredient is made of: what would curdle, scorch, melt away
 * or boil off is not cooked with the syrup. Common practice, no source; whoever typed it confirms or changes it.
 */
public final class UsualPlace {

    /** Grams in 100 g from which an ingredient behaves as one of these. */
    private static final double BUTTERY = 60;

    private static final double COCOA = 15;
    private static final double SPIRITUOUS = 10;
    private static final double CRUNCHY = 25;
    private static final double MELTS = 60;

    private record Rule(Predicate<Ingredient> what, Role role) {}

    private static final Predicate<Ingredient> WHITES = i -> i.allergens().contains("egg");
    private static final Predicate<Ingredient> CHOCOLATE = i -> grams(i, Part.COCOA_BUTTER) >= COCOA;
    private static final Predicate<Ingredient> NUTS = UsualPlace::isCrunchy;
    private static final Predicate<Ingredient> GRAIN = UsualPlace::isGrain;

    private static final Predicate<Ingredient> BUTTER = i -> grams(i, Part.MILK_FAT) >= BUTTERY;
    private static final Predicate<Ingredient> SPIRIT = i -> grams(i, Part.ALCOHOL) >= SPIRITUOUS;

    private static final Map<Family.Kind, List<Rule>> RULES = new EnumMap<>(Map.of(
            Family.Kind.NOUGAT,
            List.of(
                    new Rule(WHITES, Role.WARM),
                    new Rule(CHOCOLATE, Role.WARM),
                    new Rule(NUTS, Role.WARM),
                    new Rule(BUTTER, Role.WARM),
                    new Rule(SPIRIT, Role.OFF_HEAT)),
            Family.Kind.CARAMEL,
            List.of(
                    new Rule(CHOCOLATE, Role.OFF_HEAT),
                    new Rule(NUTS, Role.OFF_HEAT),
                    new Rule(BUTTER, Role.OFF_HEAT),
                    new Rule(SPIRIT, Role.OFF_HEAT)),
            Family.Kind.BINDER,
            List.of(new Rule(GRAIN, Role.WARM), new Rule(NUTS, Role.WARM)),
            Family.Kind.GANACHE,
            List.of(
                    new Rule(CHOCOLATE, Role.OFF_HEAT),
                    new Rule(BUTTER, Role.OFF_HEAT),
                    new Rule(SPIRIT, Role.OFF_HEAT))));

    private UsualPlace() {}

    /** The place apart from the pot that an ingredient usually has in a family; empty where it is the pot. */
    public static Optional<Role> of(Family family, Ingredient ingredient) {
        return RULES.getOrDefault(family.kind(), List.of()).stream()
                .filter(rule -> rule.what.test(ingredient))
                .map(Rule::role)
                .findFirst();
    }

    /** Puffed, flaked, baked or shredded: things that a binder holds together, that are no powder in it and do not melt away. */
    static boolean isGrain(Ingredient ingredient) {
        boolean foam = ingredient.per100Grams().grams(Part::dissolves) >= MELTS;
        return ingredient.bulk().porous() && !foam
                || ingredient.dryActivity() > 0 && ingredient.nature().kind() != Nature.Kind.POWDER;
    }

    private static boolean isCrunchy(Ingredient ingredient) {
        boolean milk = ingredient.allergens().contains("milk");
        double body = grams(ingredient, Part.PROTEIN) + grams(ingredient, Part.STARCH) + grams(ingredient, Part.FIBRE);
        boolean nut = ingredient.allergens().contains("nuts")
                || ingredient.allergens().contains("peanuts");
        return ingredient.dryActivity() > 0 && !milk && (nut || body >= CRUNCHY);
    }

    private static double grams(Ingredient ingredient, Part part) {
        return ingredient.per100Grams().grams(part);
    }
}
