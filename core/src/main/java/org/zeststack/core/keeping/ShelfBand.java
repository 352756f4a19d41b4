package org.zeststack.core.keeping;

/**
 * How long a piece may keep, by the water activity of its wettest part. Weeks are common practice, no source; what grows at which
 * activity follows the limits printed in food-microbiology handbooks (values from memory). For comparison only: a laboratory's
 * measurement and local rules decide.
 */
public enum ShelfBand {
    DRY(0.60, 16, 26, "nothing grows; fat bloom and stale fat end it"),
    NEARLY_DRY(0.65, 12, 20, "only yeasts that bear sugar grow, slowly"),
    BETWEEN(0.75, 6, 12, "yeasts that bear sugar and dry-loving moulds grow"),
    MOIST(0.85, 3, 6, "moulds and yeasts grow"),
    WET(1.01, 1, 3, "above 0.85, the United States' limit for pathogens (21 CFR 114.3)");

    private final double belowActivity;
    private final int leastWeeks;
    private final int greatestWeeks;
    private final String words;

    ShelfBand(double belowActivity, int leastWeeks, int greatestWeeks, String words) {
        this.belowActivity = belowActivity;
        this.leastWeeks = leastWeeks;
        this.greatestWeeks = greatestWeeks;
        this.words = words;
    }

    /** The band of a water activity, 0 to 1. */
    public static ShelfBand of(double waterActivity) {
        for (ShelfBand band : values()) {
            if (waterActivity < band.belowActivity) {
                return band;
            }
        }
        throw new IllegalArgumentException("water activity " + waterActivity + ", permitted 0 to 1");
    }

    public int leastWeeks() {
        return leastWeeks;
    }

    public int greatestWeeks() {
        return greatestWeeks;
    }

    /** What decides it. */
    public String words() {
        return words;
    }
}
