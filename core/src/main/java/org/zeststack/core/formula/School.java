package org.zeststack.core.formula;

import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/** Questions on which schools differ. The way chosen is kept with its consequence; common practice, no source. */
public enum School {
    BUTTER(
            "butter",
            "Butter goes in",
            of(Family.Kind.GANACHE),
            new Way("cool", "at about 35 °C", "It creams: lighter, shorter bite; under 30 °C it stays in lumps."),
            new Way("hot", "hot, blended", "It melts and is blended: smoother, softer, no air.")),
    SPIRIT(
            "spirit",
            "Spirit goes in",
            of(Family.Kind.GANACHE),
            new Way("raw", "off the heat", "All its alcohol stays: stronger taste, keeps better, softer."),
            new Way(
                    "boiled",
                    "boiled with the cream",
                    "Part of the alcohol leaves: milder, and less of it preserves.")),
    STIRRING(
            "stirring",
            "Milk caramel is",
            of(Family.Kind.CARAMEL),
            new Way("constant", "stirred all the time", "Nothing scorches; a hand is bound until the stop."),
            new Way("still", "left to boil, stirred at the end", "A hand is free; milk may catch on the bottom.")),
    CREAM(
            "cream",
            "Cream goes in",
            of(Family.Kind.CARAMEL),
            new Way("start", "cold, from the start", "Fat stays in; colour comes from the milk; slower."),
            new Way("later", "hot, into browned sugar", "More burnt-sugar taste; it boils up fiercely.")),
    TOPPING(
            "topping",
            "The light part is",
            EnumSet.of(Family.NOUGAT_QUICK),
            new Way("bought", "bought marshmallow cream", "Always alike, sweet, a little gum; no pot."),
            new Way("whipped", "syrup on whipped whites", "Lighter and less sweet; a pot and a thermometer.")),
    FAT(
            "fat",
            "Fat is beaten in",
            EnumSet.of(Family.NOUGAT_SLAB),
            new Way("hot", "while it is hot", "Spreads evenly: shorter, paler, less sticky."),
            new Way("cool", "when it has thickened", "Stays in streaks: chewier, may sweat fat.")),
    BINDER(
            "binder",
            "Bound with",
            EnumSet.of(Family.PUFFED),
            new Way("melted", "melted marshmallow and fat", "Soft and chewy for days; cuts cold."),
            new Way("boiled", "a boiled syrup", "Crisp at once, sticky in damp air; press it fast."),
            new Way("chocolate", "tempered chocolate", "Snaps, keeps longest; no water comes to the grain.")),
    SUGAR(
            "sugar",
            "Sugar is cooked",
            EnumSet.of(Family.PRALINE_DISC, Family.PRALINE_POWDER),
            new Way("dry", "dry", "Fast and dark; uneven unless it is stirred."),
            new Way("wet", "with water", "Even colour; may grain until it is brown.")),
    CRUMBS(
            "crumbs",
            "Crumbs are baked",
            EnumSet.of(Family.CRUMBLE),
            new Way("loose", "loose on a tray", "Every crumb crisp; strewn or bound later."),
            new Way("rings", "pressed in rings", "Rounds of one size; softer inside.")),
    SETS(
            "sets",
            "It sets with",
            EnumSet.of(Family.GEL),
            new Way("slow", "slow-set pectin and acid at the end", "Time to pour; wants its acid and much sugar."),
            new Way("heat", "pectin that melts again", "Glazes and is warmed again; less acid, some calcium."),
            new Way("gelatine", "gelatine or agar", "No sugar needed to set; softer, or short.")),
    DOUGH(
            "dough",
            "The dough is",
            EnumSet.of(Family.BISCUIT_ROLLED, Family.BISCUIT_PRESSED),
            new Way("rubbed", "rubbed in", "Short and crumbly; keeps its size."),
            new Way("creamed", "creamed", "Lighter; spreads more in the oven."));

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
    private final Set<Family> families;
    private final List<Way> ways;

    School(String key, String question, Set<Family> families, Way... ways) {
        this.key = key;
        this.question = question;
        this.families = Set.copyOf(families);
        this.ways = List.of(ways);
    }

    /** All families of a kind. */
    private static Set<Family> of(Family.Kind kind) {
        return Arrays.stream(Family.values()).filter(f -> f.kind() == kind).collect(Collectors.toSet());
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
        return Arrays.stream(values()).filter(s -> s.families.contains(family)).toList();
    }
}
