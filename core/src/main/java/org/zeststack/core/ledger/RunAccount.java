package org.zeststack.core.ledger;

import java.util.List;
import java.util.Map;
import org.zeststack.core.bench.BenchState;
import org.zeststack.core.rule.Bounds;
import org.zeststack.core.sheet.LayerTarget;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.core.weighing.WeighInSummary;

/** Where the pieces and the mass of a run went. */
public record RunAccount(
        PieceCount pieces,
        Map<String, Integer> reasons,
        List<MassFlow> flows,
        List<LayerResult> layers,
        List<String> notes) {

    /** What the weigh-ins of a layer said. */
    public record LayerResult(LayerTarget target, WeighInSummary summary) {}

    /** Accounts for a run; bounds say by how much figures may contradict each other. */
    public static RunAccount of(RunSheet sheet, BenchState state, Bounds bounds) {
        List<LayerResult> layers = sheet.layers().stream()
                .filter(l -> !state.pieces().weighIns(l.key()).isEmpty())
                .map(l -> new LayerResult(l, state.pieces().summary(l)))
                .toList();
        return new RunAccount(
                PieceCount.of(sheet, state),
                state.pieces().reasons(),
                new MassAccount(sheet, state, bounds).flows(),
                layers,
                state.notes());
    }
}
