package org.zeststack.core.sheet;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.zeststack.core.explain.Call;

/**
 * The plan of a run with every gram and degree in it. Frozen when the run starts: everything the bench and the ledger need
 * stands in here, so that later changes of formulas, moulds or settings do not reach a run under way.
 *
 * @param laid plain ingredients that are laid as they are
 * @param weighing an ingredient over all components, each once
 * @param calls what is said of the bar and of this run
 * @param steps of the bench, in the order of the work
 */
public record RunSheet(
        PlannedBar bar,
        Pieces pieces,
        Gauge gauge,
        List<FormulaBatch> formulas,
        List<CouvertureBatch> couvertures,
        List<LaidBatch> laid,
        List<WeighingLine> weighing,
        List<Call> calls,
        List<BenchStep> steps) {

    /** The same with other steps. */
    public RunSheet with(List<BenchStep> others) {
        return new RunSheet(bar, pieces, gauge, formulas, couvertures, laid, weighing, calls, others);
    }

    /** What the pieces are made in or cut from. */
    public Carriers carriers() {
        return pieces.carriers();
    }

    public List<LayerTarget> layers() {
        return bar.layers();
    }

    public Optional<FormulaBatch> formula(String key) {
        return formulas.stream().filter(f -> f.key().equals(key)).findFirst();
    }

    /** What is made on its own: each batch of a formula. */
    public List<FormulaBatch> firstPots() {
        return EqualBatches.worked(formulas, steps);
    }

    /** The batches of a formula, by its key; none where it has none of that key. */
    public List<FormulaBatch> firstPots(String key) {
        return firstPots().stream()
                .filter(b -> FormulaBatch.wholeKey(b.key()).equals(key))
                .toList();
    }

    /** Batches, each with what cooks in its second pot behind it. */
    public List<FormulaBatch> pots() {
        return firstPots().stream()
                .flatMap(f -> Stream.concat(Stream.of(f), f.second().stream()))
                .toList();
    }

    /** What a pot cooks: a batch, or the second pot of one. */
    public Optional<FormulaBatch> pot(String key) {
        return pots().stream().filter(f -> f.key().equals(key)).findFirst();
    }

    /** The batch that a pot belongs to: itself, or the one that it is the second pot of. */
    public Optional<FormulaBatch> whole(String key) {
        return firstPots().stream()
                .filter(f -> f.key().equals(key)
                        || f.second().filter(s -> s.key().equals(key)).isPresent())
                .findFirst();
    }

    /** What is done to a batch in its pots and bowl, from the weighing to the scale, in the order of the work. */
    public List<BenchStep> program(FormulaBatch whole) {
        return steps.stream()
                .filter(s -> s.component().equals(whole.key())
                        || whole.second()
                                .filter(p -> p.key().equals(s.component()))
                                .isPresent())
                .filter(s -> s.kind() == StepKind.COOK || s.kind() == StepKind.HAND)
                .toList();
    }

    /** Whether what came of a formula is put on the scale at a step: its own, on older sheets the end of its cook. */
    public boolean weighsAt(BenchStep step) {
        return step.kind() == StepKind.MIX
                || step.kind() == StepKind.COOK
                        && pot(step.component()).filter(p -> !p.inSecondPot()).isPresent()
                        && steps.stream()
                                .noneMatch(s -> s.kind() == StepKind.MIX
                                        && s.component().equals(step.component()));
    }

    public Optional<CouvertureBatch> couverture(String key) {
        return couvertures.stream().filter(c -> c.key().equals(key)).findFirst();
    }

    /** What a pot or a bowl is called; its key where this sheet has none such. */
    public String named(String key) {
        return pot(key).map(FormulaBatch::name)
                .or(() -> couverture(key).map(CouvertureBatch::name))
                .orElse(key);
    }

    public Optional<LayerTarget> layer(String key) {
        return layers().stream().filter(l -> l.key().equals(key)).findFirst();
    }

    public Optional<BenchStep> step(String id) {
        return steps.stream().filter(s -> s.id().equals(id)).findFirst();
    }
}
