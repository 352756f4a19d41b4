package org.zeststack.core.keeping;

import org.zeststack.core.rule.Bound;
import org.zeststack.core.rule.Bounds;

/**
 * How long a piece may keep, by the water activity of its wettest part; where a band ends and how many weeks it keeps stand in
 * the table of bounds. For comparison only: a laboratory's measurement and local rules decide.
 */
public enum ShelfBand {
    DRY("nothing-grows", "keeps-dry", "nothing grows; fat bloom and stale fat end it"),
    NEARLY_DRY("few-yeasts", "keeps-nearly-dry", "only yeasts that bear sugar grow, slowly"),
    BETWEEN("few-moulds", "keeps-between", "yeasts that bear sugar and dry-loving moulds grow"),
    MOIST("pathogens", "keeps-moist", "moulds and yeasts grow"),
    WET("", "keeps-wet", "bacteria that make ill can grow (21 CFR 114.3)");

    private final String below;
    private final String weeks;
    private final String words;

    ShelfBand(String below, String weeks, String words) {
        this.below = below;
        this.weeks = weeks;
        this.words = words;
    }

    /** The band of a water activity, 0 to 1. */
    public static ShelfBand of(double waterActivity, Bounds bounds) {
        if (!(waterActivity >= 0 && waterActivity <= 1)) {
            throw new IllegalArgumentException("water activity " + waterActivity + ", permitted 0 to 1");
        }
        for (ShelfBand band : values()) {
            if (band == WET || waterActivity < bounds.of(band.below).greatest()) {
                return band;
            }
        }
        throw new IllegalStateException("no last band");
    }

    /** How many weeks it keeps, the least and the greatest. */
    public Bound weeks(Bounds bounds) {
        return bounds.of(weeks);
    }

    /** What decides it. */
    public String words() {
        return words;
    }
}
