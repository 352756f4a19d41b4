package org.zeststack.core.ledger;

import org.zeststack.core.bench.BenchState;
import org.zeststack.core.bench.PieceOutcome;
import org.zeststack.core.sheet.RunSheet;

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
                sheet.pieces().wanted(),
                sheet.pieces().toMake(),
                state.pieces().countedInAll(),
                state.pieces().counted(PieceOutcome.GOOD),
                state.pieces().counted(PieceOutcome.REWORKED),
                state.pieces().counted(PieceOutcome.SECOND),
                state.pieces().counted(PieceOutcome.REJECTED));
    }

    /** Good and reworked pieces over pieces planned. */
    public double yieldFraction() {
        return (double) (good + reworked) / planned;
    }
}
