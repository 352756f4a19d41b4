package org.zeststack.core.ledger;

import org.zeststack.core.run.BenchState;
import org.zeststack.core.run.EntryBody.Outcome;
import org.zeststack.core.run.RunSheet;

/**
 * How the pieces of a run came out.
 *
 * @param wanted good pieces ordered
 * @param planned pieces to make
 * @param counted pieces counted, whatever they were
 */
public record PieceCount(int wanted, int planned, int counted, int good, int reworked, int second, int rejected) {

    public static PieceCount of(RunSheet sheet, BenchState state) {
        return new PieceCount(
                sheet.piecesWanted(),
                sheet.piecesToMake(),
                state.countedInAll(),
                state.counted(Outcome.GOOD),
                state.counted(Outcome.REWORKED),
                state.counted(Outcome.SECOND),
                state.counted(Outcome.REJECTED));
    }

    /** Good and reworked pieces over pieces planned. */
    public double yieldFraction() {
        return (double) (good + reworked) / planned;
    }
}
