package org.zeststack.core.cavity;

import java.util.List;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.quantity.Measure;
import org.zeststack.core.quantity.Numbers;
import org.zeststack.core.quantity.Say;

/**
 * A space as it was measured: its floor's edge is rounded, and all its volumes are multiplied by what water told.
 *
 * <p>A rounding of radius r takes (1 − π/4) r² from each mm of the floor's edge, evenly over the lowest r of height; corners are
 * neglected. An approximation.
 *
 * @param factor measured volume over the model's, 1 where nothing was measured
 * @param edgeRadiusMm radius of the rounding, 0 where the edge is sharp
 * @param edgeMm length of the floor's edge
 */
public record Calibrated(Hollow space, double factor, double edgeRadiusMm, double edgeMm) implements Hollow {

    /** Grams of 1 mL of water at 20 °C. */
    public static final double WATER_GRAMS_PER_ML = 0.9982;

    /** How far a measurement may lie from the model before one of the two must be wrong. */
    public static final double MOST_DEVIATION = 0.2;

    private static final double MM3_PER_ML = 1000;

    /**
     * What water says of a cavity.
     *
     * @param waterGrams one cavity filled to the rim with water at 20 °C; null where not measured
     * @return measured volume over the model's
     * @throws InvalidInput if the two differ by more than a fifth
     */
    public static double factor(Cavity cavity, double edgeRadiusMm, Double waterGrams) {
        if (waterGrams == null) {
            return 1;
        }
        double model = new Calibrated(cavity, 1, edgeRadiusMm, cavity.floorEdgeMm()).volumeMl();
        double factor = waterGrams / WATER_GRAMS_PER_ML / model;
        if (!(Math.abs(factor - 1) <= MOST_DEVIATION)) {
            throw new InvalidInput(new Fault(
                    "waterGrams",
                    Numbers.plain(waterGrams),
                    model * (1 - MOST_DEVIATION) * WATER_GRAMS_PER_ML,
                    model * (1 + MOST_DEVIATION) * WATER_GRAMS_PER_ML,
                    "g",
                    "%s of water is %s, but these dimensions give %s: measure one of them again."
                            .formatted(
                                    Say.grams(waterGrams),
                                    Say.of(waterGrams / WATER_GRAMS_PER_ML, 1, Measure.MILLILITRES),
                                    Say.of(model, 1, Measure.MILLILITRES))));
        }
        return factor;
    }

    @Override
    public double floorMm() {
        return space.floorMm();
    }

    @Override
    public double topMm() {
        return space.topMm();
    }

    @Override
    public List<Outline> undivided(double heightMm) {
        return space.undivided(heightMm);
    }

    @Override
    public Outline outline(double heightMm) {
        return space.outline(heightMm);
    }

    @Override
    public double areaMm2(double heightMm) {
        boolean rounded = edgeRadiusMm > 0 && heightMm < floorMm() + edgeRadiusMm;
        return factor * (space.areaMm2(heightMm) - (rounded ? lostMm3() / edgeRadiusMm : 0));
    }

    private double lostMm3() {
        return (1 - Math.PI / 4) * edgeRadiusMm * edgeRadiusMm * edgeMm;
    }

    @Override
    public double volumeMl(double fromMm, double toMm) {
        double inEdge = edgeRadiusMm == 0
                ? 0
                : Math.max(0, Math.min(toMm, floorMm() + edgeRadiusMm) - Math.max(fromMm, floorMm())) / edgeRadiusMm;
        return factor * (space.volumeMl(fromMm, toMm) - inEdge * lostMm3() / MM3_PER_ML);
    }
}
