package org.zeststack.core.sheet;

import org.zeststack.core.quantity.Faults;
import org.zeststack.core.quantity.Range;

/**
 * What a run allows for.
 *
 * @param rejectFraction share of pieces expected not to come out good, 0 to 0.5
 * @param scrapeFraction share of couverture lost on scrapers, bowls and paper, 0 to 0.3
 * @param bowlGrams couverture that must stay in the bowl to work with; comes back, 0 to 20 000 g
 */
public record Allowances(double rejectFraction, double scrapeFraction, double bowlGrams) {

    public static final Range REJECT = new Range(0, 0.5, "");
    public static final Range SCRAPE = new Range(0, 0.3, "");
    public static final Range BOWL = new Range(0, 20_000, "g");

    /** A workshop that does not know its own yet. */
    public static final Allowances USUAL = new Allowances(0.05, 0.03, 300);

    /**
     * @throws org.zeststack.core.quantity.InvalidInput with every fault
     */
    public Allowances {
        Faults faults = new Faults();
        faults.within("rejectFraction", rejectFraction, REJECT);
        faults.within("scrapeFraction", scrapeFraction, SCRAPE);
        faults.within("bowlGrams", bowlGrams, BOWL);
        faults.throwIfAny();
    }
}
