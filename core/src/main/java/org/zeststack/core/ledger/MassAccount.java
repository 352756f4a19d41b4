package org.zeststack.core.ledger;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.zeststack.core.bench.BenchState;
import org.zeststack.core.bench.BowlLeft;
import org.zeststack.core.bench.PieceOutcome;
import org.zeststack.core.bench.WeighingRules;
import org.zeststack.core.ledger.MassFlow.Amount;
import org.zeststack.core.ledger.MassFlow.Out;
import org.zeststack.core.ledger.MassFlow.Question;
import org.zeststack.core.ledger.MassFlow.Way;
import org.zeststack.core.rule.Bounds;
import org.zeststack.core.sheet.CouvertureBatch;
import org.zeststack.core.sheet.Deposit;
import org.zeststack.core.sheet.Finished;
import org.zeststack.core.sheet.FormulaBatch;
import org.zeststack.core.sheet.LaidBatch;
import org.zeststack.core.sheet.LayerTarget;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.core.weighing.WeighInSummary;

/**
 * Accounts for every component of a run: formulas, couvertures, and what is laid as it is.
 *
 * <p>Measured in pieces = mean weigh-in of a cavity × cavities of a piece × pieces counted. What lies on a slab lies on its off-cuts and
 * spare pieces as thick as on the pieces weighed; pieces that nobody counted are as heavy as those weighed. What is left in pots and
 * bags is what nothing else accounts for. What nobody weighed has the plan's figure only: to be done with a step measures nothing.
 */
final class MassAccount {

    private final RunSheet sheet;
    private final BenchState state;
    private final WeighingRules weights;
    private final int counted;
    private final int counting;

    MassAccount(RunSheet sheet, BenchState state, Bounds bounds) {
        this.sheet = sheet;
        this.state = state;
        weights = new WeighingRules(bounds);
        counted = state.pieces().countedInAll();
        counting = state.pieces().counted(PieceOutcome.GOOD) + state.pieces().counted(PieceOutcome.REWORKED);
    }

    List<MassFlow> flows() {
        List<MassFlow> flows = new ArrayList<>();
        sheet.formulas().forEach(f -> flows.add(formula(f)));
        sheet.couvertures().forEach(c -> flows.add(couverture(c)));
        sheet.laid().forEach(l -> flows.add(laid(l)));
        return flows;
    }

    private MassFlow formula(FormulaBatch batch) {
        double weighed = state.yields().rawGrams(batch);
        Double finished = state.yields().finishedGrams(batch.key()).orElse(null);
        boolean noted =
                finished != null || sheet.firstPots(batch.key()).stream().anyMatch(this::someUsed);
        Double lost = finished == null ? null : Double.valueOf(weighed - finished);
        List<Out> outs = new ArrayList<>();
        outs.add(out(loses(batch), batch.rawGrams() - batch.finishedGrams(), lost));
        batch.taken().forEach((user, grams) -> outs.add(new Out(Way.INTO, user, new Amount(grams, grams))));
        laid(outs, batch.key(), batch.deposit());
        double left = batch.finishedGrams() - batch.uses().usableGrams();
        return closed(
                        batch.key(),
                        batch.name(),
                        new Amount(batch.rawGrams(), noted ? Double.valueOf(weighed) : null),
                        new Amount(batch.finishedGrams(), finished),
                        outs,
                        Way.LEFT,
                        left)
                .asked(question(batch, weighed, lost));
    }

    /** Whether somebody wrote down what of a batch was really used. */
    private boolean someUsed(FormulaBatch batch) {
        return batch.lines().stream()
                .anyMatch(l ->
                        state.yields().actualGrams(batch.key(), l.ingredient()).isPresent());
    }

    private static Way loses(FormulaBatch batch) {
        return switch (batch.finished().by()) {
            case READING, EYE -> Way.STEAM;
            case BAKED -> Way.OVEN;
            case MIXED -> Way.MILL;
        };
    }

    private Question question(FormulaBatch batch, double weighed, Double lost) {
        if (lost == null) {
            boolean some = sheet.firstPots(batch.key()).stream()
                    .anyMatch(b -> state.yields().finishedGrams(b.key()).isPresent());
            return some ? Question.NOT_EVERY_BATCH_WEIGHED : Question.NONE;
        }
        if (weights.contradicts(-lost)) {
            return Question.HEAVIER_THAN_WEIGHED_OUT;
        }
        OptionalDouble in = batch.out().waterGrams();
        boolean steam = batch.finished().by() != Finished.By.MIXED && in.isPresent();
        double water = steam ? in.getAsDouble() + Math.max(0, weighed - batch.rawGrams()) : weighed;
        return weights.contradicts(lost - water) ? Question.MORE_THAN_ITS_WATER : Question.NONE;
    }

    private MassFlow couverture(CouvertureBatch c) {
        List<Out> outs = new ArrayList<>();
        laid(outs, c.key(), c.deposit());
        Double back = state.bowl(c.key()).left().stream()
                .reduce((earlier, later) -> later)
                .map(e -> ((BowlLeft) e.body()).grams())
                .orElse(null);
        outs.add(out(Way.BACK, c.melt().comesBackGrams(), back));
        Amount melted = new Amount(c.meltGrams(), null);
        return closed(
                c.key(), c.name(), melted, melted, outs, Way.SCRAPED, c.melt().scrapedGrams());
    }

    private MassFlow laid(LaidBatch l) {
        List<Out> outs = new ArrayList<>();
        laid(outs, l.key(), l.deposit());
        Amount taken = new Amount(l.deposit().total(), null);
        return closed(l.key(), l.name(), taken, taken, outs, Way.OVER, 0);
    }

    /** What is in pieces good and not good, on off-cuts and in spare pieces. */
    private void laid(List<Out> outs, String key, Deposit deposit) {
        double good = sheet.pieces().toMake() == 0
                ? 0
                : (double) sheet.pieces().wanted() / sheet.pieces().toMake();
        Double each = perPiece(key);
        double planned = deposit.pieces() / sheet.pieces().toMake();
        Double share = each == null ? null : planned == 0 ? Double.valueOf(1) : Double.valueOf(each / planned);
        outs.add(out(Way.GOOD, deposit.pieces() * good, each == null ? null : Double.valueOf(each * counting)));
        outs.add(out(
                Way.NOT_GOOD,
                deposit.pieces() * (1 - good),
                each == null ? null : Double.valueOf(each * (counted - counting))));
        int open = Math.max(0, sheet.pieces().toMake() - counted);
        if (open > 0) {
            outs.add(out(Way.NOT_COUNTED, 0, each == null ? null : Double.valueOf(each * open)));
        }
        if (deposit.offcuts() > 0) {
            outs.add(out(
                    Way.OFFCUTS, deposit.offcuts(), share == null ? null : Double.valueOf(share * deposit.offcuts())));
        }
        if (deposit.spare() > 0) {
            outs.add(out(Way.SPARE, deposit.spare(), share == null ? null : Double.valueOf(share * deposit.spare())));
        }
        if (deposit.kept() > 0) {
            outs.add(out(Way.KEPT, deposit.kept(), deposit.kept()));
        }
    }

    /**
     * The last way takes what the others leave; it is known once they are. Only where what there was has been weighed can more have been
     * laid than that.
     */
    private MassFlow closed(
            String key, String name, Amount weighed, Amount finished, List<Out> outs, Way last, double plannedLast) {
        boolean known = outs.stream().allMatch(o -> o.amount().measured() != null);
        double all = weighed.measured() == null ? weighed.planned() : weighed.measured();
        double rest = !known
                ? 0
                : all - outs.stream().mapToDouble(o -> o.amount().measured()).sum();
        boolean asked = weighed.measured() != null && known && weights.contradicts(-rest);
        outs.add(out(last, plannedLast, known ? Double.valueOf(rest) : null));
        return new MassFlow(
                key,
                name,
                weighed,
                finished,
                List.copyOf(outs),
                asked ? Question.MORE_LAID_THAN_THERE_WAS : Question.NONE);
    }

    private static Out out(Way way, double planned, Double measured) {
        return new Out(way, "", new Amount(planned, measured));
    }

    /** Mean grams of a component in one piece over the layers it is in, those apart that have no room for anything; null if one of them was never weighed, 0 if it is in none. */
    private Double perPiece(String key) {
        double sum = 0;
        for (LayerTarget layer : sheet.layers()) {
            double share = layer.shareOf(key);
            if (share > 0 && layer.window().targetGrams() > 0) {
                WeighInSummary summary = state.pieces().summary(layer);
                if (summary.count() == 0) {
                    return null;
                }
                sum += share * summary.meanGrams() * layer.perPiece();
            }
        }
        return sum;
    }
}
