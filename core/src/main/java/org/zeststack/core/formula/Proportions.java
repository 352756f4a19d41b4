package org.zeststack.core.formula;

import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.rule.Bounds;

/** Proportions by which a family is steered and judged. */
public final class Proportions {

    private Proportions() {}

    /**
     * Share of the sugars that keep sucrose from graining: (glucose-syrup solids + glucose + fructose + maltose) / (those +
     * sucrose), 0 to 1; 1 without sucrose.
     */
    public static double graining(Composition mass) {
        double doctor = mass.grams(Part.SYRUP_SOLIDS)
                + mass.grams(Part.GLUCOSE)
                + mass.grams(Part.FRUCTOSE)
                + mass.grams(Part.MALTOSE);
        double all = doctor + mass.grams(Part.SUCROSE);
        return all == 0 ? 1 : doctor / all;
    }

    /**
     * Firmness of a ganache: (cocoa butter + ½ dry non-fat cocoa) / (water + alcohol). Ours; it puts the usual proportions of
     * chocolate to cream in one order: dark 1 : 1 at 0.8, dark 2 : 1 at 1.6, milk 2.5 : 1 at 1.5, white 3 : 1 at 1.5.
     */
    public static double firmness(Composition mass) {
        double wet = mass.waterGrams() + mass.grams(Part.ALCOHOL);
        double hard = mass.grams(Part.COCOA_BUTTER) + 0.5 * mass.grams(Part.NONFAT_COCOA);
        return wet == 0 ? Double.POSITIVE_INFINITY : hard / wet;
    }

    /** What a ganache of a firmness is good for. */
    public static String use(double firmness, Bounds bounds) {
        return firmness < bounds.of("ganache-rolls").least()
                ? "fills a shell"
                : firmness < bounds.of("ganache-cuts").least() ? "rolls" : "cuts";
    }
}
