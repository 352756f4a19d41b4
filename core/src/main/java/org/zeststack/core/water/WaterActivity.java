package org.zeststack.core.water;

import org.zeststack.core.quantity.Refusal;
import org.zeststack.core.quantity.Zone;

/**
 * A water activity and how far it may be trusted: supported from 0.75, an estimate from 0.20, refused below.
 *
 * @param ratio water activity, 0.20 to 1
 * @param zone supported or estimate
 */
public record WaterActivity(double ratio, Zone zone) {

    static final double LEAST_SUPPORTED = 0.75;
    static final double LEAST_ESTIMATED = 0.20;

    /**
     * Classes a ratio.
     *
     * @throws Refusal below 0.20
     */
    static WaterActivity classed(double ratio) {
        if (!(ratio >= LEAST_ESTIMATED)) {
            throw new Refusal("The water activity would be below 0.20: no model covers so dry a mass.");
        }
        return new WaterActivity(ratio, ratio >= LEAST_SUPPORTED ? Zone.SUPPORTED : Zone.ESTIMATE);
    }

    /**
     * Water activity of a finished mass at 25 °C, for comparison only: a laboratory's number decides.
     *
     * @throws Refusal for a mass without dissolved sugars or water, above 97.5 % dissolved solids, or below 0.20
     */
    public static WaterActivity at25(Solution solution) {
        if (solution.waterGrams() <= 0 || solution.dissolvedGrams() <= 0) {
            throw new Refusal("A mass without a sugar solution: dry goods carry a measured water activity instead.");
        }
        if (solution.dissolvedSolidsFraction() > Solution.GREATEST_SOLIDS_AT_25) {
            throw new Refusal("More than 97.5 % dissolved solids: the sucrose curve no longer holds at 25 °C.");
        }
        return classed(solution.activityUncooked(25));
    }
}
