package org.zeststack.core.run;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import org.zeststack.core.air.AfterCold;
import org.zeststack.core.explain.Call;
import org.zeststack.core.method.Act;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.rule.Bounds;
import org.zeststack.core.run.EntryBody.Outcome;
import org.zeststack.core.temper.Room;
import org.zeststack.core.weighing.WeighInSummary;

/** The state of a run at the bench: a fold of its entries over its sheet. */
public final class BenchState {

    private final RunSheet sheet;
    private final List<BenchEntry> standing;
    private final Map<String, BenchEntry> done = new HashMap<>();
    private final Map<String, List<Double>> weighIns = new LinkedHashMap<>();
    private final Map<Outcome, Integer> tally = new LinkedHashMap<>();
    private final Map<String, Integer> reasons = new LinkedHashMap<>();
    private final List<String> notes = new ArrayList<>();
    private final Map<String, Double> actuals = new HashMap<>();
    private final Map<String, Double> air = new HashMap<>();
    private final Map<String, BenchEntry> begun = new HashMap<>();
    private final Map<String, Integer> poured = new HashMap<>();
    private final Map<String, Map<String, EntryBody.Sign>> signs = new HashMap<>();
    private Double room;

    private BenchState(RunSheet sheet, List<BenchEntry> standing) {
        this.sheet = sheet;
        this.standing = standing;
    }

    /** Folds entries, oldest first. Entries taken back, and the taking back, do not count. */
    public static BenchState of(RunSheet sheet, List<BenchEntry> entries) {
        Set<UUID> takenBack = new HashSet<>();
        entries.stream().filter(e -> e.corrects() != null).forEach(e -> takenBack.add(e.corrects()));
        BenchState state = new BenchState(
                sheet,
                entries.stream()
                        .filter(e -> !takenBack.contains(e.key()) && !(e.body() instanceof EntryBody.Undo))
                        .toList());
        state.standing.forEach(state::take);
        return state;
    }

    private void take(BenchEntry entry) {
        if (entry.body() instanceof EntryBody.StepDone step) {
            done.put(step.step(), entry);
        } else if (entry.body() instanceof EntryBody.WeighIn weighIn) {
            weighIns.computeIfAbsent(weighIn.layer(), k -> new ArrayList<>())
                    .add(sheet.layer(weighIn.layer()).map(weighIn::gramsIn).orElseGet(weighIn::gramsPerCavity));
        } else if (entry.body() instanceof EntryBody.Tally count) {
            tally.merge(count.outcome(), count.pieces(), Integer::sum);
            if (count.outcome() != Outcome.GOOD) {
                reasons.merge(count.outcome().words() + ": " + count.reason(), count.pieces(), Integer::sum);
            }
        } else if (entry.body() instanceof EntryBody.RoomReading reading) {
            room = reading.celsius();
        } else if (entry.body() instanceof EntryBody.Actual actual) {
            actuals.put(actual.component() + " " + actual.ingredient(), actual.grams());
        } else if (entry.body() instanceof EntryBody.Cup cup) {
            air.put(cup.component(), cup.air());
        } else if (entry.body() instanceof EntryBody.StepBegun step) {
            begun.put(step.step(), entry);
        } else if (entry.body() instanceof EntryBody.Poured pour) {
            pour(pour.component(), entry);
        } else if (entry.body() instanceof EntryBody.Sign sign) {
            signs.computeIfAbsent(sign.step(), k -> new LinkedHashMap<>()).put(sign.sign(), sign);
        } else if (entry.body() instanceof EntryBody.Note note) {
            notes.add(note.text());
        }
    }

    /** The step that pours what was next is done with it. */
    private void pour(String component, BenchEntry entry) {
        int number = poured.merge(component, 1, Integer::sum) - 1;
        sheet.pot(component)
                .map(RunSheet.FormulaBatch::pours)
                .filter(pours -> number < pours.size())
                .ifPresent(pours -> done.put(pours.get(number).step(), entry));
    }

    /** Since when a step is under way, by the hand that said so last. */
    public Optional<Instant> begun(String step) {
        return Optional.ofNullable(begun.get(step)).map(BenchEntry::at);
    }

    /** How a bowl is brought into temper, by what was said last; empty where nobody said. */
    public Optional<EntryBody.TemperPlanned> temperPlanned(String component) {
        return bowl(component, EntryBody.TemperPlanned.class).stream()
                .map(e -> (EntryBody.TemperPlanned) e.body())
                .reduce((earlier, later) -> later);
    }

    /** Steps that somebody said a bowl is in, against its readings, oldest first. */
    public List<BenchEntry> overruled(String component) {
        return bowl(component, EntryBody.Overruled.class);
    }

    /** When water got into a bowl; empty where none did, and where it was emptied since: no plan takes water out. */
    public Optional<Instant> waterIn(String component) {
        Optional<Instant> in = last(bowl(component, EntryBody.WaterIn.class));
        Optional<Instant> fresh = last(bowl(component, EntryBody.FreshBowl.class));
        return in.filter(i -> fresh.filter(f -> f.isAfter(i)).isEmpty());
    }

    /** Whether a bowl was planned anew or filled afresh after a moment. */
    public boolean begunAnew(String component, Instant after) {
        return bowl(component).stream()
                .anyMatch(e -> (e.body() instanceof EntryBody.TemperPlanned || e.body() instanceof EntryBody.FreshBowl)
                        && e.at().isAfter(after));
    }

    /**
     * What was in a bowl when it was planned last: what was left of it then, with what it was fed since that was weighed.
     *
     * @return empty where nothing was left of it before, or it was emptied since
     */
    public OptionalDouble gramsPlanned(String component) {
        Double grams = null;
        Double planned = null;
        for (BenchEntry entry : bowl(component)) {
            if (entry.body() instanceof EntryBody.BowlLeft left) {
                grams = left.grams();
            } else if (entry.body() instanceof EntryBody.Fed fed && grams != null) {
                grams += fed.grams();
            } else if (entry.body() instanceof EntryBody.FreshBowl) {
                grams = null;
            } else if (entry.body() instanceof EntryBody.TemperPlanned) {
                planned = grams;
            }
        }
        return planned == null ? OptionalDouble.empty() : OptionalDouble.of(planned);
    }

    /** What was left of a bowl, oldest first. */
    public List<BenchEntry> left(String component) {
        return bowl(component, EntryBody.BowlLeft.class);
    }

    /** What a bowl was fed, oldest first. */
    public List<BenchEntry> fed(String component) {
        return bowl(component, EntryBody.Fed.class);
    }

    /** Everything written down of one bowl, oldest first. */
    public List<BenchEntry> bowl(String component) {
        return standing.stream()
                .filter(e -> e.body() instanceof EntryBody.OfBowl of
                        && of.component().equals(component))
                .toList();
    }

    private List<BenchEntry> bowl(String component, Class<? extends EntryBody.OfBowl> body) {
        return bowl(component).stream().filter(e -> body.isInstance(e.body())).toList();
    }

    private static Optional<Instant> last(List<BenchEntry> entries) {
        return entries.stream().map(BenchEntry::at).reduce((earlier, later) -> later);
    }

    /** The last proof of a bowl; empty where none was dipped. */
    public Optional<BenchEntry> proof(String component) {
        return bowl(component, EntryBody.Proof.class).stream().reduce((earlier, later) -> later);
    }

    /** What bars that come out of the cold do in the room that was read last; empty where nobody read it, or its air is too full to say. */
    public Optional<AfterCold> afterCold() {
        return standing.stream()
                .map(BenchEntry::body)
                .filter(EntryBody.OutOfCold.class::isInstance)
                .map(EntryBody.OutOfCold.class::cast)
                .reduce((earlier, later) -> later)
                .flatMap(this::afterCold);
    }

    private Optional<AfterCold> afterCold(EntryBody.OutOfCold bars) {
        try {
            return Optional.of(AfterCold.of(
                    bars.roomCelsius(),
                    bars.humidityPercent(),
                    bars.barCelsius(),
                    sheet.section().depthMm()));
        } catch (InvalidInput full) {
            return Optional.empty();
        }
    }

    /** When a step was done. */
    public Optional<Instant> doneAt(String step) {
        return Optional.ofNullable(done.get(step)).map(BenchEntry::at);
    }

    /** How many pours into a batch are in. */
    public int pouredInto(String component) {
        return poured.getOrDefault(component, 0);
    }

    /** What was said last of a sign that ends a step; empty where nobody looked. */
    public Optional<EntryBody.Sign> sign(String step, String sign) {
        return Optional.ofNullable(signs.getOrDefault(step, Map.of()).get(sign));
    }

    /** When something was poured into a batch, oldest first. */
    public List<Instant> poured(String component) {
        return standing.stream()
                .filter(e -> e.body() instanceof EntryBody.Poured pour
                        && pour.component().equals(component))
                .map(BenchEntry::at)
                .toList();
    }

    /** What was weighed out for a batch, with what was really used of what goes in to effect, g. */
    public double rawGrams(RunSheet.FormulaBatch batch) {
        List<RunSheet.FormulaBatch> each = sheet.firstPots(batch.key());
        if (each.size() > 1) {
            return each.stream().mapToDouble(this::rawGrams).sum();
        }
        double grams = batch.rawGrams();
        for (RunSheet.BatchLine line : batch.lines()) {
            grams += actualGrams(batch.key(), line.ingredient()).orElse(line.grams()) - line.grams();
        }
        return grams;
    }

    /** What of a batch will be finished with what was really used of what goes in to effect: it loses as much of it as planned, g. */
    public double expectedGrams(RunSheet.FormulaBatch batch) {
        return batch.finishedGrams() * rawGrams(batch) / batch.rawGrams();
    }

    /** Grams really used of a line that goes in to effect, the last ones written down; of several batches once each was. */
    public Optional<Double> actualGrams(String component, String ingredient) {
        return all(component, key -> Optional.ofNullable(actuals.get(key + " " + ingredient)));
    }

    /** The sum over the batches of a formula of what is known of each; empty where one is not known. Of anything else its own. */
    private Optional<Double> all(String component, Function<String, Optional<Double>> known) {
        List<RunSheet.FormulaBatch> each = sheet.firstPots(component);
        if (each.size() < 2) {
            return known.apply(component);
        }
        List<Double> some =
                each.stream().flatMap(b -> known.apply(b.key()).stream()).toList();
        return some.size() < each.size()
                ? Optional.empty()
                : Optional.of(some.stream().mapToDouble(Double::doubleValue).sum());
    }

    /** Air that was measured in something whipped, by the last cup weighed. */
    public Optional<Double> airFraction(String component) {
        return Optional.ofNullable(air.get(component));
    }

    /** When the ring under a batch was turned, by hands that said so, oldest first. */
    public List<Instant> ringTurned(String component) {
        return standing.stream()
                .filter(e -> e.body() instanceof EntryBody.RingTurned turned
                        && turned.component().equals(component))
                .map(BenchEntry::at)
                .toList();
    }

    /** When a batch was taken off the ring, oldest first. */
    public List<Instant> takenOff(String component) {
        return standing.stream()
                .filter(e -> e.body() instanceof EntryBody.TakenOff off
                        && off.component().equals(component))
                .map(BenchEntry::at)
                .toList();
    }

    /** The last time another thermometer was held into a batch. */
    public Optional<BenchEntry> secondReading(String component) {
        return standing.stream()
                .filter(e -> e.body() instanceof EntryBody.SecondReading second
                        && second.component().equals(component))
                .reduce((earlier, later) -> later);
    }

    /** The last time a batch was weighed in its pot. */
    public Optional<EntryBody.PotWeighed> potWeighed(String component) {
        return potWeighed(component, "");
    }

    /** The last time a batch was weighed at a step other than its cook. */
    public Optional<EntryBody.PotWeighed> potWeighed(String component, String step) {
        return standing.stream()
                .map(BenchEntry::body)
                .filter(b -> b instanceof EntryBody.PotWeighed weighed
                        && weighed.component().equals(component)
                        && weighed.step().equals(step))
                .map(EntryBody.PotWeighed.class::cast)
                .reduce((earlier, later) -> later);
    }

    /** Entries that stand, oldest first. */
    public List<BenchEntry> entries() {
        return standing;
    }

    public boolean done(String step) {
        return done.containsKey(step);
    }

    /** The first step that is neither done nor passed; empty when all are. */
    public Optional<RunSheet.BenchStep> next() {
        return coming().stream().findFirst();
    }

    /** Steps that are neither done nor passed, in the order of the work. */
    public List<RunSheet.BenchStep> coming() {
        return sheet.steps().stream().filter(s -> !done(s.id()) && !passed(s)).toList();
    }

    /** A step by hand that nobody ticked is over once a later one on the same component is done. */
    public boolean passed(RunSheet.BenchStep step) {
        List<RunSheet.BenchStep> steps = sheet.steps();
        return step.kind() == RunSheet.StepKind.HAND
                && steps.subList(steps.indexOf(step) + 1, steps.size()).stream()
                        .anyMatch(s -> s.component().equals(step.component()) && done(s.id()));
    }

    /** What a finished step's component weighed, if it was put on the scale. */
    public Optional<Double> weighedGrams(String step) {
        return Optional.ofNullable(done.get(step))
                .map(BenchEntry::body)
                .map(b -> b instanceof EntryBody.StepDone of ? of.grams() : null);
    }

    /** Grams per cavity weighed for a layer, oldest first. */
    public List<Double> weighIns(String layer) {
        return List.copyOf(weighIns.getOrDefault(layer, List.of()));
    }

    /**
     * What a component weighed when it was put on the scale, at whichever of its steps; the last one stands. Where it was not, what its
     * pot held when it was weighed off the ring. Of a formula made in several batches it is known once each was weighed.
     */
    public Optional<Double> finishedGrams(String component) {
        return all(component, this::weighedBack);
    }

    private Optional<Double> weighedBack(String component) {
        return sheet.steps().stream()
                .filter(s -> s.component().equals(component))
                .map(s -> weighedGrams(s.id()))
                .flatMap(Optional::stream)
                .reduce((earlier, later) -> later)
                .or(() -> weighedOffTheRing(component));
    }

    /**
     * How moist a batch's pot was when it was done, by the scale: weighed in its pot at the cook or taken off, else by what came of
     * it less what went in after; empty where it was not weighed or cannot have weighed that. Of several batches the mean of those
     * weighed.
     */
    public Optional<Double> moisture(RunSheet.FormulaBatch batch) {
        List<RunSheet.FormulaBatch> each = sheet.firstPots(batch.key());
        if (each.size() > 1) {
            OptionalDouble mean = each.stream()
                    .flatMap(b -> moisture(b).stream())
                    .mapToDouble(Double::doubleValue)
                    .average();
            return mean.isPresent() ? Optional.of(mean.getAsDouble()) : Optional.empty();
        }
        Optional<Double> inPot = sheet.steps().stream()
                .filter(s -> s.component().equals(batch.key()) && s.how().does() == Act.COOK)
                .map(s -> potWeighed(batch.key(), s.id()))
                .flatMap(Optional::stream)
                .map(EntryBody.PotWeighed::massGrams)
                .findFirst()
                .or(() -> weighedOffTheRing(batch.key()));
        double later = batch.rawGrams() - batch.pot().totalGrams();
        return inPot.flatMap(batch::moisture)
                .or(() -> finishedGrams(batch.key()).flatMap(g -> batch.moisture((g - later) / batch.batches())));
    }

    private Optional<Double> weighedOffTheRing(String component) {
        Double grams = null;
        boolean off = false;
        for (BenchEntry entry : standing) {
            if (entry.body() instanceof EntryBody.TakenOff taken
                    && taken.component().equals(component)) {
                off = true;
            } else if (entry.body() instanceof EntryBody.PotWeighed weighed
                    && weighed.component().equals(component)
                    && weighed.step().isEmpty()) {
                grams = off ? Double.valueOf(weighed.massGrams()) : null;
            }
        }
        return Optional.ofNullable(grams);
    }

    public WeighInSummary weighInSummary(RunSheet.LayerTarget layer) {
        return WeighInSummary.of(weighIns(layer.key()), layer.window());
    }

    public int counted(Outcome outcome) {
        return tally.getOrDefault(outcome, 0);
    }

    public int countedInAll() {
        return tally.values().stream().mapToInt(Integer::intValue).sum();
    }

    /** Pieces by outcome and reason, in the order they came up. */
    public Map<String, Integer> reasons() {
        return Collections.unmodifiableMap(reasons);
    }

    /** The room's last temperature, if it was written down. */
    public Optional<Double> roomCelsius() {
        return Optional.ofNullable(room);
    }

    /** What that room means for the couverture; empty where nothing. */
    public Optional<Call> roomAdvice(Bounds bounds) {
        return room == null ? Optional.empty() : Room.advice(room, bounds);
    }

    public List<String> notes() {
        return List.copyOf(notes);
    }
}
