package org.zeststack.app.bench;

import java.time.Instant;
import java.util.Optional;
import org.zeststack.core.sugar.CookProgress;
import org.zeststack.core.sugar.Learned;
import org.zeststack.core.temper.Coach;
import org.zeststack.core.temper.TemperVerdict;
import org.zeststack.core.temper.TemperWindow;
import org.zeststack.store.bench.Bench;

/**
 * What one series of readings says.
 *
 * @param readings how many there are
 * @param lastReading what the thermometer showed last, °C; empty before the first reading
 * @param cook state of a pot; empty for a bowl or before the first reading
 * @param pot the pot that is followed; empty for a bowl
 * @param off since when a pot is off the ring
 * @param learned from earlier cooks of what is in a pot
 * @param temper state of a bowl by the method that was chosen; empty for a pot, before the first reading, and where none was
 * @param window where a bowl is to be; empty for a pot
 * @param coach what is said to the hands at a bowl; empty where there is no state
 */
public record SeriesView(
        Bench.Series series,
        int readings,
        Optional<Double> lastReading,
        Optional<CookProgress.State> cook,
        Optional<FollowedPot> pot,
        Optional<FollowedPot.Off> off,
        Learned learned,
        Optional<TemperVerdict.State> temper,
        Optional<TemperWindow> window,
        Optional<Coach> coach) {

    /** Whether a bowl is out of temper. */
    public boolean lost() {
        return temper.filter(t -> t.verdict() == TemperVerdict.Verdict.LOST).isPresent();
    }

    /** When a bowl was lost; empty where it is not. */
    public Optional<Instant> lostAt() {
        return temper.filter(t -> t.since().isPresent())
                .map(t -> series.startedAt().plusMillis((long) (1000 * t.since().getAsDouble() / series.timeScale())));
    }

    /** How many pours are in a pot. */
    public int poured() {
        return pot.map(FollowedPot::poured).orElse(0);
    }

    /** From when on its curve is drawn: the last pour into a pot, in its own time. */
    public double fromMinute() {
        return pot.map(FollowedPot::pouredMinute).orElse(0.0);
    }

    public boolean running() {
        return series.endedAt() == null;
    }
}
