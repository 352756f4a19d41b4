package org.zeststack.core.sugar;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.quantity.Refusal;
import org.zeststack.core.sugar.CookProgress.MinutesLeft;
import org.zeststack.core.sugar.CookProgress.Point;
import org.zeststack.core.sugar.CookProgress.Reason;
import org.zeststack.core.sugar.CookProgress.State;
import org.zeststack.core.sugar.CookProgress.Taken;

/**
 * A cook that things are poured into: from one pour to the next it is a mass of its own, with a curve of its own. Before a pour the
 * minutes go to where that is due; where its step ends by a look or by time there are none.
 */
public final class StagedCook {

    /**
     * Poured into the pot.
     *
     * @param seaLevelCelsius when the pot is so hot, as at sea level; empty where another sign tells
     */
    public record Pour(Composition mass, OptionalDouble seaLevelCelsius) {}

    private final List<Pour> pours;
    private final double stopCelsius;
    private final double pressureKpa;
    private final double afterHeatKelvin;
    private int poured;
    private double pouredMinute;
    private Composition mass;
    /** Empty where the models know no water of this mass: sugar melted dry. */
    private Optional<Cook> cook;

    private CookProgress progress;
    private boolean blind;
    private boolean read;

    /**
     * A pot that nothing has been read from yet.
     *
     * @param start what is in it at first
     * @param pours what goes in while it cooks, in this order
     * @param stopCelsius sea-level target of all of it
     * @param afterHeatKelvin how much it climbs on after it is taken off
     */
    public StagedCook(
            Composition start, List<Pour> pours, double stopCelsius, double pressureKpa, double afterHeatKelvin) {
        this.pours = List.copyOf(pours);
        this.stopCelsius = stopCelsius;
        this.pressureKpa = pressureKpa;
        this.afterHeatKelvin = afterHeatKelvin;
        begin(start);
    }

    private void begin(Composition with) {
        mass = with;
        read = false;
        OptionalDouble due = next().map(Pour::seaLevelCelsius).orElse(OptionalDouble.of(stopCelsius));
        cook = due.isPresent() ? to(due.getAsDouble()) : Optional.empty();
        blind = cook.isEmpty();
        if (blind) {
            cook = to(stopCelsius);
        }
        double climbs = next().isEmpty() ? afterHeatKelvin : 0;
        progress = cook.map(c -> new CookProgress(c, climbs)).orElse(null);
    }

    private Optional<Cook> to(double celsius) {
        try {
            return Optional.of(Cook.to(mass, celsius, pressureKpa));
        } catch (InvalidInput | Refusal none) {
            return Optional.empty();
        }
    }

    /** What goes in next; empty once all is in. */
    public Optional<Pour> next() {
        return poured < pours.size() ? Optional.of(pours.get(poured)) : Optional.empty();
    }

    /** How many pours are in. */
    public int poured() {
        return poured;
    }

    /** When the last of them went in, in the pot's own time; 0 before the first. */
    public double pouredMinute() {
        return pouredMinute;
    }

    /** The mass in the pot as it was after the last pour, and where it goes from there; empty where the models know no water of it. */
    public Optional<Cook> cook() {
        return cook;
    }

    /** Takes the next reading, see {@link CookProgress#add}. */
    public Taken add(Point point, double shown) {
        if (progress == null) {
            return Taken.HEATING;
        }
        read = true;
        return progress.add(point, shown);
    }

    /** A hand says that the ring was turned. */
    public void turned(double minute) {
        if (progress != null) {
            progress.turned(minute);
        }
    }

    /** What was next is in the pot, at a minute of its own time; nothing where all is in already. */
    public void poured(double minute) {
        if (next().isEmpty()) {
            return;
        }
        Composition with = mass.withWater(waterGrams()).plus(next().get().mass());
        poured++;
        pouredMinute = minute;
        begin(with);
    }

    /** Water in the pot: by what was read of it since the last pour, else by where the next one is due. */
    private double waterGrams() {
        if (read) {
            return progress.state().waterGrams();
        }
        return blind || cook.isEmpty() ? mass.waterGrams() : cook.get().after().waterGrams();
    }

    /** The state since the last pour; empty where nothing was read since, or the models know no water of it. */
    public Optional<State> state() {
        return read ? Optional.of(blind ? progress.state().without(Reason.POURS) : progress.state()) : Optional.empty();
    }

    /** Minutes until the next pour or the stop; empty where the readings do not tell. */
    public Optional<MinutesLeft> minutesLeft() {
        return state().flatMap(State::minutesLeft);
    }

    /**
     * Minutes to the stop or the next pour: by the readings once it boils, else by the heat that it still has to take up, at the
     * rate at which it warms, or as long as that does not show at the one that earlier cooks taught; empty where none tells.
     */
    public Optional<MinutesLeft> minutes(Learned learned) {
        Optional<MinutesLeft> byReadings = minutesLeft();
        if (byReadings.isPresent() || progress == null || blind) {
            return byReadings;
        }
        OptionalDouble warming = read ? progress.warmingKilowatts() : OptionalDouble.empty();
        double kilojoules = progress.kilojoulesLeft();
        return Optional.of(
                warming.isPresent()
                        ? Learned.at(warming.getAsDouble(), kilojoules)
                        : learned.heating(kilojoules, mass.totalGrams()));
    }

    /** The way to the next pour or the stop: at the heat that the pot has, before it boils as planned; empty where neither is known. */
    public List<Point> ahead(Learned learned) {
        if (!read || blind) {
            return List.of();
        }
        List<Point> byReadings = progress.ahead();
        boolean warms = byReadings.isEmpty() && !progress.state().boiling();
        return warms ? minutes(learned).map(m -> progress.planned(m.minutes())).orElse(List.of()) : byReadings;
    }
}
