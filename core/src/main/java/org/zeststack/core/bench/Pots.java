package org.zeststack.core.bench;

import java.util.Optional;
import java.util.OptionalDouble;
import org.zeststack.core.sheet.FormulaBatch;
import org.zeststack.core.sheet.PotPlan;
import org.zeststack.core.sugar.Cook;
import org.zeststack.core.sugar.Moistures;
import org.zeststack.core.sugar.StagedCook;

/** What the pots of a sheet do on the heat. */
public final class Pots {

    private Pots() {}

    /** How moist a pot of a batch is that weighs so much, by what went in; empty where it cannot weigh that, or what went in is not known. */
    public static Optional<Double> moisture(FormulaBatch batch, double potGrams) {
        return batch.cooking().pot().known() ? Moistures.of(batch.onePot(), potGrams) : Optional.empty();
    }

    /** How moist a bowl that is dried is where it weighs so much; empty where it cannot weigh that. */
    public static Optional<Double> moisture(PotPlan.Bowl bowl, double grams) {
        return Moistures.of(bowl.mass().composition(), grams);
    }

    /**
     * One pot of a batch, that nothing was read of yet.
     *
     * @param afterHeatKelvin how much it climbs on after it is taken off
     */
    public static StagedCook cook(FormulaBatch batch, double pressureKpa, double afterHeatKelvin) {
        double one = 1.0 / batch.batches();
        return new StagedCook(
                batch.start(),
                batch.pours().stream()
                        .map(p -> new StagedCook.Pour(
                                p.mass().composition().times(one),
                                p.at().map(at -> OptionalDouble.of(at.seaLevel()))
                                        .orElse(OptionalDouble.empty())))
                        .toList(),
                batch.stop().seaLevel(),
                pressureKpa,
                afterHeatKelvin);
    }

    /** One pot of a batch as planned, with everything in it. */
    public static Cook planned(FormulaBatch batch, double pressureKpa) {
        return Cook.to(batch.onePot(), batch.stop().seaLevel(), pressureKpa);
    }
}
