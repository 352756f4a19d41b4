package org.zeststack.core.ledger;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.zeststack.core.run.BenchState;
import org.zeststack.core.run.EntryBody.Outcome;
import org.zeststack.core.run.RunSheet;
import org.zeststack.core.weighing.WeighInSummary;

/**
 * Where the pieces and the mass of a run went.
 *
 * @param piecesWanted good pieces ordered
 * @param piecesToMake pieces planned
 * @param piecesCounted pieces counted, whatever they were
 * @param yieldFraction good and reworked pieces over pieces planned
 */
public record RunAccount(
        int piecesWanted,
        int piecesToMake,
        int piecesCounted,
        int good,
        int reworked,
        int second,
        int rejected,
        double yieldFraction,
        Map<String, Integer> reasons,
        List<MassFlow> flows,
        List<LayerResult> layers,
        List<String> notes) {

    /**
     * Mass of one filling from plan to good pieces, grams. A figure that was not measured is null.
     *
     * @param boils whether it is cooked, so that its first loss is steam
     * @param plannedRaw weighed out by plan
     * @param plannedCooked finished mass by plan
     * @param cooked finished mass on the scale
     * @param deposited mean weigh-in times pieces counted
     * @param good the part of it that is in good and reworked pieces
     */
    public record MassFlow(
            String name,
            boolean boils,
            double plannedRaw,
            double plannedCooked,
            Double cooked,
            Double deposited,
            Double good) {

        /** Steam, or what stays in the mill: raw less finished. */
        public Double lostCooking() {
            return cooked == null ? null : plannedRaw - cooked;
        }

        /** Left in pots, bags and bowls: cooked less deposited. */
        public Double lostHandling() {
            return cooked == null || deposited == null ? null : cooked - deposited;
        }

        /** In pieces that did not come out: deposited less good. */
        public Double lostPieces() {
            return deposited == null || good == null ? null : deposited - good;
        }
    }

    /** What the weigh-ins of a layer said. */
    public record LayerResult(RunSheet.LayerTarget target, WeighInSummary summary) {}

    /** Accounts for a run. */
    public static RunAccount of(RunSheet sheet, BenchState state) {
        int counting = state.counted(Outcome.GOOD) + state.counted(Outcome.REWORKED);
        int counted = state.countedInAll();
        List<LayerResult> layers = sheet.layers().stream()
                .filter(l -> !state.weighIns(l.key()).isEmpty())
                .map(l -> new LayerResult(l, state.weighInSummary(l)))
                .toList();
        return new RunAccount(
                sheet.piecesWanted(),
                sheet.piecesToMake(),
                counted,
                state.counted(Outcome.GOOD),
                state.counted(Outcome.REWORKED),
                state.counted(Outcome.SECOND),
                state.counted(Outcome.REJECTED),
                (double) counting / sheet.piecesToMake(),
                state.reasons(),
                flows(sheet, state, counted, counting),
                layers,
                state.notes());
    }

    private static List<MassFlow> flows(RunSheet sheet, BenchState state, int counted, int counting) {
        List<MassFlow> flows = new ArrayList<>();
        for (RunSheet.FormulaBatch batch : sheet.formulas()) {
            String step = (batch.cooked() ? "cook:" : "mix:") + batch.key();
            Double perPiece = perPiece(sheet, state, batch);
            flows.add(new MassFlow(
                    batch.name(),
                    batch.cooked(),
                    batch.rawGrams(),
                    batch.usableGrams(),
                    state.weighedGrams(step).orElse(null),
                    perPiece == null ? null : perPiece * counted,
                    perPiece == null ? null : perPiece * counting));
        }
        return flows;
    }

    /** Mean grams of a formula in one piece over the layers it fills; null if one of them was never weighed. */
    private static Double perPiece(RunSheet sheet, BenchState state, RunSheet.FormulaBatch batch) {
        double sum = 0;
        for (RunSheet.LayerTarget layer : sheet.layers()) {
            if (!layer.component().equals(batch.key())) {
                continue;
            }
            WeighInSummary summary = state.weighInSummary(layer);
            if (summary.count() == 0) {
                return null;
            }
            sum += summary.meanGrams();
        }
        return sum;
    }
}
