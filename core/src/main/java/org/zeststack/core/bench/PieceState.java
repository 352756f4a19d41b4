package org.zeststack.core.bench;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.zeststack.core.sheet.LayerTarget;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.core.weighing.WeighInSummary;

/** What was weighed and counted of the pieces. */
public final class PieceState {

    private final Map<String, List<Double>> weighIns = new LinkedHashMap<>();
    private final Map<PieceOutcome, Integer> tally = new LinkedHashMap<>();
    private final Map<String, Integer> reasons = new LinkedHashMap<>();

    private PieceState() {}

    static PieceState of(RunSheet sheet, List<BenchEntry> standing) {
        PieceState pieces = new PieceState();
        for (BenchEntry entry : standing) {
            if (entry.body() instanceof WeighIn weighIn) {
                pieces.weighIns
                        .computeIfAbsent(weighIn.layer(), k -> new ArrayList<>())
                        .add(sheet.layer(weighIn.layer()).map(weighIn::gramsIn).orElseGet(weighIn::gramsPerCavity));
            } else if (entry.body() instanceof Tally count) {
                pieces.count(count);
            }
        }
        return pieces;
    }

    private void count(Tally count) {
        tally.merge(count.outcome(), count.pieces(), Integer::sum);
        if (count.outcome() != PieceOutcome.GOOD) {
            reasons.merge(count.outcome().words() + ": " + count.reason(), count.pieces(), Integer::sum);
        }
    }

    /** Grams per cavity weighed for a layer, oldest first. */
    public List<Double> weighIns(String layer) {
        return List.copyOf(weighIns.getOrDefault(layer, List.of()));
    }

    public WeighInSummary summary(LayerTarget layer) {
        return WeighInSummary.of(weighIns(layer.key()), layer.window());
    }

    public int counted(PieceOutcome outcome) {
        return tally.getOrDefault(outcome, 0);
    }

    public int countedInAll() {
        return tally.values().stream().mapToInt(Integer::intValue).sum();
    }

    /** Pieces by outcome and reason, in the order they came up. */
    public Map<String, Integer> reasons() {
        return Collections.unmodifiableMap(reasons);
    }
}
