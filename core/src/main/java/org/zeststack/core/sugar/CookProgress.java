package org.zeststack.core.sugar;

import java.util.List;
import java.util.Optional;
import org.zeststack.core.air.Atmosphere;
import org.zeststack.core.water.Boiling;
import org.zeststack.core.water.Solution;

/**
 * What the readings of one pot tell: water left, stage and minutes left. Built once per pot; {@link #at} is cheap.
 *
 * <p>Once boiling, temperature follows from the water left, so at constant heat the heat taken up grows by the minute.
 * Readings are mapped to heat, weighted by 1/(dH/dT)², fitted robustly over a recent window and extended to the stop.
 */
public final class CookProgress {

    /**
     * A true temperature at a moment.
     *
     * @param minute minutes since the pot was started, in the pot's own time
     * @param celsius true temperature, already corrected for the thermometer
     */
    public record Point(double minute, double celsius) {}

    /**
     * The time until the stop.
     *
     * @param minutes most likely
     * @param least early end of the interval; never below 0
     * @param greatest late end of the interval
     */
    public record MinutesLeft(double minutes, double least, double greatest) {}

    /**
     * The state of the pot.
     *
     * @param boiling whether the mass has reached its first boiling point here
     * @param waterGrams water left; what was put in until it boils
     * @param stage name of the stage by the sea-level temperature of that water
     * @param distanceKelvin stop less temperature; negative once past
     * @param minutesLeft empty where the readings do not yet tell
     */
    public record State(
            boolean boiling,
            double celsius,
            double waterGrams,
            String stage,
            double distanceKelvin,
            Optional<MinutesLeft> minutesLeft) {}

    private static final double START_CELSIUS = 15;

    private final Cook cook;
    private final Solution solution;
    private final double firstBoilingHere;
    private final PotHeat heat;

    public CookProgress(Cook cook) {
        this.cook = cook;
        solution = Solution.in(cook.before());
        firstBoilingHere = Boiling.celsius(solution, cook.before().waterGrams(), cook.pressureKpa());
        heat = PotHeat.of(
                cook.before(),
                cook.pressureKpa(),
                START_CELSIUS,
                Math.min(Boiling.GREATEST_CELSIUS - 0.01, cook.stopCelsiusHere() + 15));
    }

    /** The state after these readings, oldest first; there must be at least one. */
    public State at(List<Point> readings) {
        Point last = readings.get(readings.size() - 1);
        boolean boiling = last.celsius() >= firstBoilingHere;
        double water = heat.waterGrams(last.celsius());
        double seaLevel = boiling ? Boiling.celsius(solution, water, Atmosphere.SEA_LEVEL_KPA) : last.celsius();
        double distance = cook.stopCelsiusHere() - last.celsius();
        Optional<MinutesLeft> left = distance <= 0
                ? Optional.of(new MinutesLeft(0, 0, 0))
                : HeatFit.minutesLeft(heat, readings, cook.stopCelsiusHere());
        return new State(boiling, last.celsius(), water, Stages.nameAt(seaLevel), distance, left);
    }
}
