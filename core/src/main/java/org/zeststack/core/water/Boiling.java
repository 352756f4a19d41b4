package org.zeststack.core.water;

import org.hipparchus.analysis.solvers.BrentSolver;
import org.zeststack.core.air.Steam;
import org.zeststack.core.quantity.Refusal;
import org.zeststack.core.quantity.Say;

/**
 * Boiling of a solution: it boils where p_sat(T) · a_w(T) = p.
 *
 * @param celsius boiling point, to 1e−9 K
 * @param activity water activity at that point, with its zone
 * @param pressureKpa the pressure it boils under
 */
public record Boiling(double celsius, WaterActivity activity, double pressureKpa) {

    /** Above this no amount of water is given: the sucrose model was not fitted there. */
    public static final double GREATEST_CELSIUS = 160;

    /**
     * The boiling point of a solution.
     *
     * @param pressureKpa 50 to 110 kPa
     * @throws Refusal with alcohol, without water, above 160 °C, or below a water activity of 0.20
     */
    public static Boiling of(Solution solution, double pressureKpa) {
        double celsius = celsius(solution, solution.waterGrams(), pressureKpa);
        return new Boiling(celsius, WaterActivity.classed(solution.activity(celsius)), pressureKpa);
    }

    /** The boiling point if {@code waterGrams} of the solution's water were left; refuses as {@link #of}. */
    public static double celsius(Solution solution, double waterGrams, double pressureKpa) {
        refuseAlcohol(solution);
        if (!(waterGrams > 0)) {
            throw new Refusal("Without water nothing boils.");
        }
        double least = Steam.boilingCelsius(pressureKpa);
        if (excess(solution, waterGrams, GREATEST_CELSIUS, pressureKpa) < 0) {
            throw new Refusal("The mass would boil above " + Say.celsius(160)
                    + ": it browns before that and no model covers it.");
        }
        if (excess(solution, waterGrams, least, pressureKpa) >= 0) {
            return least;
        }
        return new BrentSolver(1e-9)
                .solve(200, t -> excess(solution, waterGrams, t, pressureKpa), least, GREATEST_CELSIUS);
    }

    /**
     * Grams of water left when the mass boils at {@code celsius}.
     *
     * @param celsius from the mass's own first boiling point to 160 °C
     * @throws Refusal with alcohol, without dissolved solids, above 160 °C, or below the first boiling point
     */
    public static double waterLeftGrams(Solution solution, double celsius, double pressureKpa) {
        refuseAlcohol(solution);
        if (celsius > GREATEST_CELSIUS) {
            throw new Refusal("No water figure above " + Say.celsius(160) + ": sugar browns there and the models end.");
        }
        if (!(solution.dissolvedGrams() > 0)) {
            throw new Refusal("Nothing is dissolved: the water boils away without the temperature rising.");
        }
        double start = solution.waterGrams();
        double atStart = excess(solution, start, celsius, pressureKpa);
        if (atStart < -1e-9 * pressureKpa) {
            throw new Refusal("The mass boils only at a higher temperature.");
        }
        double driest = Math.min(start, solution.dissolvedGrams()) * 1e-6;
        return atStart <= 0
                ? start
                : new BrentSolver(1e-12 * start + 1e-12)
                        .solve(300, w -> excess(solution, w, celsius, pressureKpa), driest, start);
    }

    /**
     * Grams of water with which what is dissolved boils at {@code celsius}: more than there is below the first boiling point.
     *
     * @param celsius above the boiling point of water, to 160 °C
     * @throws Refusal as {@link #waterLeftGrams}, or where it takes more than a hundred times what is dissolved
     */
    public static double waterGramsAt(Solution solution, double celsius, double pressureKpa) {
        double most = 100 * solution.dissolvedGrams();
        return excess(solution, solution.waterGrams(), celsius, pressureKpa) >= 0
                ? waterLeftGrams(solution, celsius, pressureKpa)
                : grams(solution, celsius, pressureKpa, solution.waterGrams(), most);
    }

    private static double grams(Solution solution, double celsius, double pressureKpa, double least, double most) {
        if (!(excess(solution, most, celsius, pressureKpa) > 0)) {
            throw new Refusal("So much water that it hardly is a solution.");
        }
        return new BrentSolver(1e-12 * most).solve(300, w -> excess(solution, w, celsius, pressureKpa), least, most);
    }

    /**
     * Water activity of the mass boiling at {@code celsius} under a pressure, with its zone.
     *
     * @throws Refusal below a water activity of 0.20
     */
    public static WaterActivity activity(double celsius, double pressureKpa) {
        return WaterActivity.classed(Math.min(1, pressureKpa / Steam.saturationKpa(celsius)));
    }

    private static double excess(Solution solution, double waterGrams, double celsius, double pressureKpa) {
        return Steam.saturationKpa(celsius) * solution.activity(celsius, waterGrams) - pressureKpa;
    }

    private static void refuseAlcohol(Solution solution) {
        if (solution.hasAlcohol()) {
            throw new Refusal("Alcohol in the pot leaves as its own vapour: add it off the heat.");
        }
    }
}
