package org.zeststack.core.keeping;

import org.zeststack.core.rule.Bound;
import org.zeststack.core.rule.Bounds;

/**
 * What may grow in something, by the water activity of its wettest part; where a band ends and how long it keeps stand in the table
 * of bounds.
 */
public enum ShelfBand {
    DRY("nothing-grows", "keeps-dry", false, "nothing grows; fat bloom and stale fat end it"),
    NEARLY_DRY("few-yeasts", "keeps-nearly-dry", false, "only yeasts that bear sugar grow, slowly"),
    BETWEEN("few-moulds", "keeps-between", false, "yeasts that bear sugar and dry-loving moulds grow"),
    MOIST("pathogens", "keeps-moist", false, "moulds and yeasts grow"),
    WET("grows-in-cold", "keeps-wet", true, "bacteria that make ill can grow in warmth"),
    GROWS_IN_COLD(
            "grows-as-in-cream", "keeps-growing-in-cold", true, "bacteria that make ill can grow even in the cold"),
    AS_CREAM("", "keeps-as-cream", true, "it spoils as fresh cream does");

    private final String below;
    private final String time;
    private final boolean cold;
    private final String words;

    ShelfBand(String below, String time, boolean cold, String words) {
        this.below = below;
        this.time = time;
        this.cold = cold;
        this.words = words;
    }

    /** The band of a water activity, 0 to 1. */
    public static ShelfBand of(double waterActivity, Bounds bounds) {
        if (!(waterActivity >= 0 && waterActivity <= 1)) {
            throw new IllegalArgumentException("water activity " + waterActivity + ", permitted 0 to 1");
        }
        for (ShelfBand band : values()) {
            if (band == AS_CREAM || waterActivity < bounds.of(band.below).greatest()) {
                return band;
            }
        }
        throw new IllegalStateException("no last band");
    }

    /** How long it keeps, in days or weeks. */
    Bound time(Bounds bounds) {
        return bounds.of(time);
    }

    /** Whether it keeps so long only in the cold. */
    public boolean cold() {
        return cold;
    }

    /** What decides it. */
    public String words() {
        return words;
    }
}
