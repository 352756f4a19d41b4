package org.zeststack.app.bench;

import java.util.Optional;
import org.zeststack.core.sugar.CookProgress;
import org.zeststack.store.bench.Bench;

/**
 * One of the pots that are on the rings now.
 *
 * @param bar of the run it belongs to
 * @param name of what is in it
 * @param step that cooks it
 * @param stopReading what the thermometer shows where something is poured in or it is taken off, °C
 * @param reading what it showed last
 * @param off whether it is off the ring already
 * @param pours what goes in next; empty where all is in
 */
public record PotStrip(
        Bench.Series series,
        String bar,
        String name,
        String step,
        double stopReading,
        Optional<Double> reading,
        Optional<CookProgress.State> state,
        boolean off,
        String pours) {

    public boolean past() {
        return !off && state.filter(CookProgress.State::past).isPresent();
    }

    /** What is to be done then. */
    public String due() {
        return pours.isEmpty() ? "take it off" : "pour in " + pours;
    }
}
