package org.zeststack.core.run;

import static org.zeststack.core.quantity.Numbers.fixed;
import static org.zeststack.core.quantity.Numbers.plain;

import java.util.Optional;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.rule.Bounds;

/**
 * Entries that are possible but not likely: ten times the planned mass, the weight of a whole mould for one cavity, more pieces than
 * were made. They are asked about, and written down when the person says so. What is read of pots and bowls: {@link ReadingRules}.
 */
public final class Plausibility {

    private final RunSheet sheet;
    private final BenchState state;
    private final WeighingRules weights;

    public Plausibility(RunSheet sheet, BenchState state, Bounds bounds) {
        this.sheet = sheet;
        this.state = state;
        weights = new WeighingRules(bounds);
    }

    /** What to ask about an entry before it is written down; empty where nothing. */
    public Optional<Fault> doubt(EntryBody body) {
        if (body instanceof EntryBody.StepDone done && done.grams() != null) {
            return finished(done);
        }
        if (body instanceof EntryBody.WeighIn weighIn) {
            return sheet.layer(weighIn.layer()).flatMap(l -> crowded(weighIn, l).or(() -> weighIn(weighIn, l)));
        }
        if (body instanceof EntryBody.Tally tally) {
            return tally(tally);
        }
        if (body instanceof EntryBody.Actual actual) {
            return sheet.pot(actual.component()).flatMap(f -> f.lines().stream()
                    .filter(l -> l.ingredient().equals(actual.ingredient()))
                    .findFirst()
                    .flatMap(l -> apart("actualGrams", actual.grams(), l.grams(), l.mostGrams())));
        }
        return Optional.empty();
    }

    private Optional<Fault> finished(EntryBody.StepDone done) {
        Optional<RunSheet.FormulaBatch> of = sheet.step(done.step()).flatMap(s -> sheet.pot(s.component()));
        if (of.isEmpty()) {
            return Optional.empty();
        }
        RunSheet.FormulaBatch batch = of.get();
        double raw = state.rawGrams(batch);
        double used = raw / batch.rawGrams();
        Optional<Fault> apart = apart(
                "grams", done.grams(), used * batch.finishedGrams(), Math.max(used, 1) * batch.mostFinishedGrams());
        if (apart.isPresent()) {
            return apart;
        }
        double lost = raw - done.grams();
        if (weights.contradicts(-lost)) {
            return ask(
                    "grams",
                    done.grams(),
                    "%s g is more than the %s g weighed out. Is the pot's own weight in it?"
                            .formatted(fixed(done.grams(), 0), fixed(raw, 0)));
        }
        boolean steams = batch.ending() == RunSheet.Ending.READING || batch.ending() == RunSheet.Ending.EYE;
        if (steams && batch.waterGrams() != null && weights.contradicts(lost - batch.waterGrams())) {
            return ask(
                    "grams",
                    done.grams(),
                    "%s g would have gone off as steam, but only %s g of water were in it. Was everything on the scale?"
                            .formatted(fixed(lost, 0), fixed(batch.waterGrams(), 0)));
        }
        return Optional.empty();
    }

    /** More cavities than a mould has, whole: several moulds, or a slip. */
    private Optional<Fault> crowded(EntryBody.WeighIn weighIn, RunSheet.LayerTarget layer) {
        int cavities = sheet.moulds().cavities() * layer.perPiece();
        return !sheet.moulds().carrier().equals("mould") || weighIn.cavities() <= cavities
                ? Optional.empty()
                : ask(
                        "cavities",
                        weighIn.cavities(),
                        "%d cavities; a mould has %d.".formatted(weighIn.cavities(), cavities));
    }

    private Optional<Fault> weighIn(EntryBody.WeighIn weighIn, RunSheet.LayerTarget layer) {
        double target = layer.window().targetGrams();
        double each = weighIn.gramsIn(layer);
        if (!weights.farFromTarget(each, target)) {
            return Optional.empty();
        }
        double cavities = each * weighIn.cavities() / target;
        String many = cavities >= 2
                ? " Are there about %s on the scale?".formatted(fixed(cavities, 0))
                : " Was the tare taken off twice?";
        return ask(
                "grossGrams",
                weighIn.grossGrams(),
                "%s g in each; %s g are aimed for.%s".formatted(fixed(each, 1), fixed(target, 1), many));
    }

    private Optional<Fault> tally(EntryBody.Tally tally) {
        int made = Math.max(
                sheet.piecesToMake() + sheet.moulds().spare(),
                sheet.moulds().fills() * sheet.moulds().cavities());
        int counted = state.countedInAll() + tally.pieces();
        return counted <= made
                ? Optional.empty()
                : ask(
                        "pieces",
                        tally.pieces(),
                        "%d would be counted in all; %d can have been made.".formatted(counted, made));
    }

    /** Asks about what is far from anything planned; what is planned may be a range. */
    private Optional<Fault> apart(String field, double grams, double least, double most) {
        String planned =
                fixed(least, 0).equals(fixed(most, 0)) ? fixed(most, 0) : fixed(least, 0) + " to " + fixed(most, 0);
        return weights.farFromPlanned(grams, least, most)
                ? ask(field, grams, "%s g; planned are %s g.".formatted(fixed(grams, 0), planned))
                : Optional.empty();
    }

    private static Optional<Fault> ask(String field, double given, String question) {
        return Optional.of(Fault.of(field, plain(given), question));
    }
}
