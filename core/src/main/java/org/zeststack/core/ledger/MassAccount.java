package org.zeststack.core.ledger;

import java.util.ArrayList;
import java.util.List;
import org.zeststack.core.ledger.MassFlow.Amount;
import org.zeststack.core.ledger.MassFlow.Out;
import org.zeststack.core.ledger.MassFlow.Question;
import org.zeststack.core.ledger.MassFlow.Way;
import org.zeststack.core.run.BenchState;
import org.zeststack.core.run.EntryBody.Outcome;
import org.zeststack.core.run.RunSheet;
import org.zeststack.core.weighing.WeighInSummary;

/**
 * Accounts for every component of a run: formulas, couvertures, and what is laid as it is.
 *
 * <p>Measured in pieces = mean weigh-in of a cavity × cavities of a piece × pieces counted. What lies on a slab lies on its off-cuts and
 * spare pieces as thick as on the pieces weighed. What is left in pots and bags is what nothing else accounts for.
 */
final class MassAccount {

    /** Grams by which figures of a kitchen scale may contradict each other. */
    private static final double SCALE_GRAMS = 0.5;

    private final RunSheet sheet;
    private final BenchState state;
    private final int counted;
    private final int counting;

    MassAccount(RunSheet sheet, BenchState state) {
        this.sheet = sheet;
        this.state = state;
        counted = state.countedInAll();
        counting = state.counted(Outcome.GOOD) + state.counted(Outcome.REWORKED);
    }

    List<MassFlow> flows() {
        List<MassFlow> flows = new ArrayList<>();
        sheet.formulas().forEach(f -> flows.add(formula(f)));
        sheet.couvertures().forEach(c -> flows.add(couverture(c)));
        sheet.laid().forEach(l -> flows.add(laid(l)));
        return flows;
    }

    private MassFlow formula(RunSheet.FormulaBatch batch) {
        double weighed = batch.rawGrams();
        for (RunSheet.BatchLine line : batch.lines()) {
            weighed += state.actualGrams(batch.key(), line.ingredient()).orElse(line.grams()) - line.grams();
        }
        Double finished = state.finishedGrams(batch.key()).orElse(null);
        Double lost = finished == null ? null : Double.valueOf(weighed - finished);
        List<Out> outs = new ArrayList<>();
        outs.add(out(loses(batch), batch.rawGrams() - batch.finishedGrams(), lost));
        batch.taken().forEach((user, grams) -> outs.add(new Out(Way.INTO, user, new Amount(grams, grams))));
        laid(outs, batch.key(), batch.deposit());
        double left = batch.finishedGrams() - batch.usableGrams();
        return closed(
                        batch.key(),
                        batch.name(),
                        weighed,
                        batch.rawGrams(),
                        finished,
                        batch.finishedGrams(),
                        outs,
                        Way.LEFT,
                        left)
                .asked(question(batch, weighed, lost));
    }

    private static Way loses(RunSheet.FormulaBatch batch) {
        return switch (batch.ending()) {
            case READING, EYE -> Way.STEAM;
            case BAKED -> Way.OVEN;
            case MIXED -> Way.MILL;
        };
    }

    private static Question question(RunSheet.FormulaBatch batch, double weighed, Double lost) {
        if (lost == null) {
            return Question.NONE;
        }
        if (lost < -SCALE_GRAMS) {
            return Question.HEAVIER_THAN_WEIGHED_OUT;
        }
        boolean steam = batch.ending() != RunSheet.Ending.MIXED && batch.waterGrams() != null;
        double water = steam ? batch.waterGrams() + Math.max(0, weighed - batch.rawGrams()) : weighed;
        return lost > water + SCALE_GRAMS ? Question.MORE_THAN_ITS_WATER : Question.NONE;
    }

    private MassFlow couverture(RunSheet.CouvertureBatch c) {
        List<Out> outs = new ArrayList<>();
        laid(outs, c.key(), c.deposit());
        outs.add(out(Way.BACK, c.pouredGrams() + c.bowlGrams(), c.pouredGrams() + c.bowlGrams()));
        return closed(
                c.key(),
                c.name(),
                c.meltGrams(),
                c.meltGrams(),
                c.meltGrams(),
                c.meltGrams(),
                outs,
                Way.SCRAPED,
                c.scrapedGrams());
    }

    private MassFlow laid(RunSheet.LaidBatch l) {
        List<Out> outs = new ArrayList<>();
        laid(outs, l.key(), l.deposit());
        double grams = l.deposit().total();
        return closed(l.key(), l.name(), grams, grams, grams, grams, outs, Way.OVER, 0);
    }

    /** What is in pieces good and not good, on off-cuts and in spare pieces. */
    private void laid(List<Out> outs, String key, RunSheet.Deposit deposit) {
        double good = sheet.piecesToMake() == 0 ? 0 : (double) sheet.piecesWanted() / sheet.piecesToMake();
        Double each = perPiece(key);
        double planned = deposit.pieces() / sheet.piecesToMake();
        Double share = each == null ? null : planned == 0 ? Double.valueOf(1) : Double.valueOf(each / planned);
        outs.add(out(Way.GOOD, deposit.pieces() * good, each == null ? null : Double.valueOf(each * counting)));
        outs.add(out(
                Way.NOT_GOOD,
                deposit.pieces() * (1 - good),
                each == null ? null : Double.valueOf(each * (counted - counting))));
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

    /** The last way takes what the others leave; it is known once they are. */
    private static MassFlow closed(
            String key,
            String name,
            double weighed,
            double plannedWeighed,
            Double finished,
            double plannedFinished,
            List<Out> outs,
            Way last,
            double plannedLast) {
        boolean known = outs.stream().allMatch(o -> o.amount().measured() != null);
        double rest = !known
                ? 0
                : weighed
                        - outs.stream().mapToDouble(o -> o.amount().measured()).sum();
        outs.add(out(last, plannedLast, known ? Double.valueOf(rest) : null));
        return new MassFlow(
                key,
                name,
                new Amount(plannedWeighed, weighed),
                new Amount(plannedFinished, finished),
                List.copyOf(outs),
                known && rest < -SCALE_GRAMS ? Question.MORE_LAID_THAN_THERE_WAS : Question.NONE);
    }

    private static Out out(Way way, double planned, Double measured) {
        return new Out(way, "", new Amount(planned, measured));
    }

    /** Mean grams of a component in one piece over the layers it is in, those apart that have no room for anything; null if one of them was never weighed, 0 if it is in none. */
    private Double perPiece(String key) {
        double sum = 0;
        for (RunSheet.LayerTarget layer : sheet.layers()) {
            double share = layer.shareOf(key);
            if (share > 0 && layer.window().targetGrams() > 0) {
                WeighInSummary summary = state.weighInSummary(layer);
                if (summary.count() == 0) {
                    return null;
                }
                sum += share * summary.meanGrams() * layer.perPiece();
            }
        }
        return sum;
    }
}
