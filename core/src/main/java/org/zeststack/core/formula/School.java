package org.zeststack.core.formula;

import java.util.Arrays;
import java.util.List;
import java.util.Set;

/** Questions on which schools differ. The way chosen is kept with its consequence; common practice, no source. */
public enum School {
    BUTTER(
            "butter",
            "Butter goes in",
            Set.of(Family.Kind.GANACHE),
            new Way("cool", "at about 35 °C", "It creams: lighter, shorter bite; under 30 °C it stays in lumps."),
            new Way("hot", "hot, blended", "It melts and is blended: smoother, softer, no air.")),
    SPIRIT(
            "spirit",
            "Spirit goes in",
            Set.of(Family.Kind.GANACHE),
            new Way("raw", "off the heat", "All its alcohol stays: stronger taste, keeps better, softer."),
            new Way(
                    "boiled",
                    "boiled with the cream",
                    "Part of the alcohol leaves: milder, and less of it preserves.")),
    STIRRING(
            "stirring",
            "Milk caramel is",
            Set.of(Family.Kind.CARAMEL),
            new Way("constant", "stirred all the time", "Nothing scorches; a hand is bound until the stop."),
            new Way("still", "left to boil, stirred at the end", "A hand is free; milk may catch on the bottom.")),
    CREAM(
            "cream",
            "Cream goes in",
            Set.of(Family.Kind.CARAMEL),
            new Way("start", "cold, from the start", "Fat stays in; colour comes from the milk; slower."),
            new Way("later", "hot, into browned sugar", "More burnt-sugar taste; it boils up fiercely."));

    /**
     * One way to do it.
     *
     * @param key stored
     * @param words as shown
     * @param consequence what follows from it
     */
    public record Way(String key, String words, String consequence) {}

    private final String key;
    private final String question;
    private final Set<Family.Kind> kinds;
    private final List<Way> ways;

    School(String key, String question, Set<Family.Kind> kinds, Way... ways) {
        this.key = key;
        this.question = question;
        this.kinds = kinds;
        this.ways = List.of(ways);
    }

    public String key() {
        return key;
    }

    public String question() {
        return question;
    }

    public List<Way> ways() {
        return ways;
    }

    /** The questions that a family raises. */
    public static List<School> of(Family family) {
        return Arrays.stream(values())
                .filter(s -> s.kinds.contains(family.kind()))
                .toList();
    }
}
