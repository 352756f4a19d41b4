package org.zeststack.app.bench;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.stream.Collectors;
import org.zeststack.core.bench.BenchState;
import org.zeststack.core.bench.PotWeighed;
import org.zeststack.core.bench.Pots;
import org.zeststack.core.bench.ReadingRules;
import org.zeststack.core.explain.Call;
import org.zeststack.core.quantity.Numbers;
import org.zeststack.core.rule.Bounds;
import org.zeststack.core.sheet.FormulaBatch;
import org.zeststack.core.sheet.PotPlan;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.core.sugar.Browning;
import org.zeststack.core.sugar.Cook;
import org.zeststack.core.sugar.CookProgress;
import org.zeststack.core.sugar.Foam;
import org.zeststack.core.sugar.Learned;
import org.zeststack.core.sugar.Remedies;
import org.zeststack.core.sugar.Stages;
import org.zeststack.core.sugar.WeighedPot;
import org.zeststack.core.water.Boiling;
import org.zeststack.core.water.Solution;
import org.zeststack.core.workshop.Thermometer;
import org.zeststack.store.Saved;

/**
 * What a pot's page shows beyond its readings.
 *
 * @param cook as planned, with everything in it
 * @param now the same with what is in it now
 * @param correctionKelvin what the thermometer shows above the truth at the stop
 * @param stretched whether that lies beyond the two points it was checked at
 * @param surfaceOnly whether the thermometer is an infrared one
 * @param pours what goes in next; null where all is in
 * @param weighed what the scale said last; empty where the pot was not weighed
 * @param modelWaterGrams water by the readings when it was looked at; empty before the first one
 * @param browning what is to be said of sugar that browns or burns
 * @param remedies for a mass that did not come out
 * @param naming of stages, as this device has chosen
 * @param learned from earlier cooks of the formula
 * @param second another thermometer held into it; empty where there was none
 * @param thermometers the workshop's other ones, to compare with
 * @param others pots that are on the rings beside this one
 * @param reads how readings are judged here
 */
public record CookDesk(
        Cook cook,
        Cook now,
        double correctionKelvin,
        boolean stretched,
        boolean surfaceOnly,
        PotPlan.Pour pours,
        Optional<WeighedPot> weighed,
        Optional<Double> modelWaterGrams,
        Optional<Call> browning,
        List<Remedies.Remedy> remedies,
        Stages.Naming naming,
        Learned learned,
        Optional<Second> second,
        List<Saved<Thermometer>> thermometers,
        List<PotStrip> others,
        ReadingRules reads) {

    /**
     * Another thermometer in the same pot.
     *
     * @param celsius its true temperature
     * @param apartKelvin that less the first one's true temperature then
     */
    public record Second(String name, double celsius, double apartKelvin) {}

    public static CookDesk of(
            RunSheet sheet,
            FormulaBatch batch,
            BenchState state,
            Bounds bounds,
            Optional<SeriesView> series,
            Stages.Naming naming,
            Learned learned,
            Optional<Second> second,
            List<Saved<Thermometer>> thermometers,
            List<PotStrip> others) {
        Optional<FollowedPot> followed = series.flatMap(SeriesView::pot);
        Cook cook = followed.map(FollowedPot::cook)
                .orElseGet(() -> Pots.planned(batch, sheet.gauge().pressureKpa()));
        Cook now = followed.map(FollowedPot::cookNow).orElse(cook);
        int poured = followed.map(FollowedPot::poured).orElse(0);
        PotPlan.Pour next = poured < batch.pours().size() ? batch.pours().get(poured) : null;
        Optional<CookProgress.State> pot = series.flatMap(SeriesView::cook);
        Thermometer thermometer = sheet.gauge().thermometer();
        double here = cook.stopCelsiusHere();
        return new CookDesk(
                cook,
                now,
                thermometer.offsetKelvin(here),
                thermometer.stretched(here),
                thermometer.kind() == Thermometer.Kind.INFRARED,
                next,
                state.pot(batch.key()).weighed().map(PotWeighed::massGrams).map(g -> WeighedPot.of(now, g)),
                pot.filter(CookProgress.State::modelled).map(CookProgress.State::waterGrams),
                series.flatMap(SeriesView::lastReading).flatMap(r -> new Browning(bounds)
                        .of(thermometer.trueCelsius(r), due(next, cook, thermometer))),
                Remedies.of(
                        cook,
                        pot.filter(p -> next == null && p.modelled())
                                .map(CookProgress.State::seaLevelCelsius)
                                .orElse(cook.stopCelsius())),
                naming,
                learned,
                second,
                thermometers.stream()
                        .filter(t -> !t.name().equals(sheet.gauge().name()))
                        .toList(),
                others,
                new ReadingRules(bounds));
    }

    /** Whether the other thermometer says the same; not where there was none. */
    public boolean agrees() {
        return second.filter(s -> reads.agree(s.apartKelvin())).isPresent();
    }

    /** How hot it is meant to become next, °C; without end where that is told by a look. */
    private static double due(PotPlan.Pour next, Cook cook, Thermometer thermometer) {
        return next == null
                ? cook.stopCelsiusHere()
                : next.at().map(at -> thermometer.trueCelsius(at.reading())).orElse(Double.MAX_VALUE);
    }

    /** Where the mass first boils here, °C. */
    public double boilsHere() {
        return Boiling.celsius(Solution.in(now.before()), now.before().waterGrams(), now.pressureKpa());
    }

    /** Stages as bands of what the thermometer shows, for the curve: name, from, to, one after the other. */
    public String bands(Thermometer thermometer) {
        return Stages.here(cook, naming).stream()
                .map(stage -> "%s;%s;%s"
                        .formatted(
                                stage.name(),
                                Numbers.plain(thermometer.readingAt(stage.least())),
                                Numbers.plain(thermometer.readingAt(stage.greatest()))))
                .collect(Collectors.joining("|"));
    }

    /** What is to be said of when the thermometer was checked; empty where that is not long ago. */
    public String checked(Thermometer thermometer, LocalDate today) {
        if (!reads.stale(thermometer, today)) {
            return "";
        }
        OptionalLong days = thermometer.checkedDays(today);
        return days.isEmpty()
                ? "Nobody wrote down when this thermometer was checked. Read it in melting ice and in boiling water."
                : "This thermometer was checked %d days ago. Read it in melting ice and in boiling water again."
                        .formatted(days.getAsLong());
    }

    /** What the thermometer shows where this pot is taken off: so much before the stop as it climbs on. */
    public double takeOffReading(Thermometer thermometer) {
        return thermometer.readingAt(cook.stopCelsiusHere() - learned.afterHeatKelvin());
    }

    /** Whether something goes in before the stop. */
    public boolean waits() {
        return pours != null;
    }

    /** What the thermometer shows where the next thing is due: the next pour, else the stop; null where that pour ends by a look. */
    public Double dueReading(Thermometer thermometer) {
        return pours == null ? Double.valueOf(takeOffReading(thermometer)) : pourReading();
    }

    /** What the thermometer shows at the next pour; null where there is none, or where it ends by a look. */
    public Double pourReading() {
        return pours == null ? null : pours.at().map(PotPlan.At::reading).orElse(null);
    }

    /** How high it rises. */
    public Foam foam() {
        return Foam.of(cook.before());
    }

    public boolean bySolids() {
        return naming == Stages.Naming.SOLIDS;
    }
}
