package org.zeststack.core.ledger;

import java.util.List;
import java.util.Map;
import org.zeststack.core.rule.Bounds;
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

    /** What the weigh-ins of a layer said. */
    public record LayerResult(RunSheet.LayerTarget target, WeighInSummary summary) {}

    /** Accounts for a run; bounds say by how much figures may contradict each other. */
    public static RunAccount of(RunSheet sheet, BenchState state, Bounds bounds) {
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
                new MassAccount(sheet, state, bounds).flows(),
                layers,
                state.notes());
    }
}
