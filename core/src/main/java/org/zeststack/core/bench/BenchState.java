package org.zeststack.core.bench;

import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.zeststack.core.sheet.BenchStep;
import org.zeststack.core.sheet.FormulaBatch;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.core.sheet.StepKind;

/**
 * The state of a run at the bench: a fold of its entries over its sheet. Here stand its steps; what is written down of a pot, a bowl, the
 * pieces or the room is folded by the state of that.
 */
public final class BenchState {

    private final RunSheet sheet;
    private final List<BenchEntry> standing;
    private final Map<String, List<BenchEntry>> ofPots = new HashMap<>();
    private final Map<String, List<BenchEntry>> ofBowls = new HashMap<>();
    private final Map<String, BenchEntry> done = new HashMap<>();
    private final Map<String, BenchEntry> begun = new HashMap<>();
    private final Map<String, Map<String, Sign>> signs = new HashMap<>();
    private final PieceState pieces;

    private BenchState(RunSheet sheet, List<BenchEntry> standing) {
        this.sheet = sheet;
        this.standing = standing;
        standing.forEach(this::take);
        pieces = PieceState.of(sheet, standing);
    }

    /** Folds entries, oldest first. Entries taken back, and the taking back, do not count. */
    public static BenchState of(RunSheet sheet, List<BenchEntry> entries) {
        Set<UUID> takenBack = new HashSet<>();
        entries.stream().filter(e -> e.corrects() != null).forEach(e -> takenBack.add(e.corrects()));
        return new BenchState(
                sheet,
                entries.stream()
                        .filter(e -> !takenBack.contains(e.key()) && !(e.body() instanceof Undo))
                        .toList());
    }

    private void take(BenchEntry entry) {
        if (entry.body() instanceof StepDone step) {
            done.put(step.step(), entry);
        } else if (entry.body() instanceof StepBegun step) {
            begun.put(step.step(), entry);
        } else if (entry.body() instanceof Sign sign) {
            signs.computeIfAbsent(sign.step(), k -> new LinkedHashMap<>()).put(sign.sign(), sign);
        } else if (entry.body() instanceof Poured pour) {
            pour(pour.component(), entry);
        }
        if (entry.body() instanceof EntryBody.OfPot of) {
            ofPots.computeIfAbsent(of.component(), k -> new ArrayList<>()).add(entry);
        } else if (entry.body() instanceof EntryBody.OfBowl of) {
            ofBowls.computeIfAbsent(of.component(), k -> new ArrayList<>()).add(entry);
        }
    }

    /** The step that pours what was next is done with it. */
    private void pour(String component, BenchEntry entry) {
        int number = pot(component).pours();
        sheet.pot(component)
                .map(FormulaBatch::pours)
                .filter(pours -> number < pours.size())
                .ifPresent(pours -> done.put(pours.get(number).step(), entry));
    }

    public RunSheet sheet() {
        return sheet;
    }

    /** Entries that stand, oldest first. */
    public List<BenchEntry> entries() {
        return standing;
    }

    /** What was written down of a pot. */
    public PotState pot(String component) {
        return new PotState(ofPots.getOrDefault(component, List.of()));
    }

    /** What was written down of a bowl. */
    public BowlState bowl(String component) {
        return new BowlState(ofBowls.getOrDefault(component, List.of()));
    }

    public PieceState pieces() {
        return pieces;
    }

    /** What was really used and came of the formulas. */
    public Yields yields() {
        return new Yields(this);
    }

    public RoomState room() {
        return RoomState.of(sheet, standing);
    }

    public List<String> notes() {
        return standing.stream()
                .filter(e -> e.body() instanceof Note)
                .map(e -> ((Note) e.body()).text())
                .toList();
    }

    public boolean done(String step) {
        return done.containsKey(step);
    }

    /** When a step was done. */
    public Optional<Instant> doneAt(String step) {
        return Optional.ofNullable(done.get(step)).map(BenchEntry::at);
    }

    /** Since when a step is under way, by the hand that said so last. */
    public Optional<Instant> begun(String step) {
        return Optional.ofNullable(begun.get(step)).map(BenchEntry::at);
    }

    /** What was said last of a sign that ends a step; empty where nobody looked. */
    public Optional<Sign> sign(String step, String sign) {
        return Optional.ofNullable(signs.getOrDefault(step, Map.of()).get(sign));
    }

    /** The first step that is neither done nor passed; empty when all are. */
    public Optional<BenchStep> next() {
        return coming().stream().findFirst();
    }

    /** Steps that are neither done nor passed, in the order of the work. */
    public List<BenchStep> coming() {
        return sheet.steps().stream().filter(s -> !done(s.id()) && !passed(s)).toList();
    }

    /** A step by hand that nobody ticked is over once a later one on the same component is done. */
    public boolean passed(BenchStep step) {
        List<BenchStep> steps = sheet.steps();
        return step.kind() == StepKind.HAND
                && steps.subList(steps.indexOf(step) + 1, steps.size()).stream()
                        .anyMatch(s -> s.component().equals(step.component()) && done(s.id()));
    }

    /** What a finished step's component weighed, if it was put on the scale. */
    public Optional<Double> weighedGrams(String step) {
        return Optional.ofNullable(done.get(step))
                .map(BenchEntry::body)
                .map(b -> b instanceof StepDone of ? of.grams() : null);
    }
}
