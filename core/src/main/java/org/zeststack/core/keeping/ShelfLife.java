package org.zeststack.core.keeping;

import org.zeststack.core.quantity.Measure;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.rule.Bound;
import org.zeststack.core.rule.Bounds;

/**
 * How long something may keep, for a filling, a piece, a box and what is printed on them alike. For comparison only: a laboratory's
 * measurement and local rules decide.
 *
 * @param band what may grow in it, taken on the worse side of its water activity's uncertainty
 * @param leastDays at least
 * @param greatestDays at most
 */
public record ShelfLife(ShelfBand band, int leastDays, int greatestDays) {

    /** Said wherever it is told. */
    public static final String DECIDES = "A laboratory's measurement and your local rules decide.";

    private static final String UNCERTAINTY = "activity-uncertainty";
    private static final int WEEK = 7;

    /** Of a water activity, 0 to 1, computed or typical. */
    public static ShelfLife of(double waterActivity, Bounds bounds) {
        double worst = Math.min(1, waterActivity + uncertainty(bounds));
        ShelfBand band = ShelfBand.of(worst, bounds);
        Bound time = band.time(bounds);
        return new ShelfLife(band, days(time, time.least()), days(time, time.greatest()));
    }

    /** How far a computed or typical water activity may be off. */
    public static double uncertainty(Bounds bounds) {
        return bounds.of(UNCERTAINTY).greatest();
    }

    /** The same, for what is kept in the cold because it is not tempered. */
    public ShelfLife notTempered(Bounds bounds) {
        Bound cold = bounds.of("kept-cold");
        return new ShelfLife(
                band,
                Math.min(leastDays, days(cold, cold.least())),
                Math.min(greatestDays, days(cold, cold.greatest())));
    }

    private static int days(Bound time, double figure) {
        return (int) Math.round(time.unit().equals("weeks") ? WEEK * figure : figure);
    }

    /** Whether it keeps so long only in the cold, whatever it is coated with. */
    public boolean cold() {
        return band.cold();
    }

    /** In whole weeks where both ends are, in days otherwise. */
    public String words() {
        boolean weeks = leastDays % WEEK == 0 && greatestDays % WEEK == 0 && greatestDays > 0;
        return weeks
                ? "about %s to %s"
                        .formatted(
                                Say.bare(Say.of(leastDays / WEEK, 0, Measure.WEEKS)),
                                Say.of(greatestDays / WEEK, 0, Measure.WEEKS))
                : "about %s to %s"
                        .formatted(Say.bare(Say.of(leastDays, 0, Measure.DAYS)), Say.of(greatestDays, 0, Measure.DAYS));
    }
}
