package org.zeststack.core.bench;

import java.util.List;
import java.util.Optional;
import org.zeststack.core.explain.Call;
import org.zeststack.core.sheet.BenchStep;
import org.zeststack.core.sheet.LayerTarget;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.core.sheet.StepKind;

/** What speaks against going on, so that whoever goes on says why: water in a bowl, a proof that did not pass, a bar that will fail. */
public final class GoingOn {

    private GoingOn() {}

    /** What speaks against being done with a step that brings a bowl into temper or lays from it; empty where nothing does. */
    public static Optional<String> against(RunSheet sheet, BenchState state, BenchStep step) {
        Optional<LayerTarget> layer = sheet.layer(step.layer());
        if (step.kind() != StepKind.TEMPER && layer.isEmpty()) {
            return Optional.empty();
        }
        String component =
                layer.map(LayerTarget::component).filter(c -> !c.isEmpty()).orElse(step.component());
        return InTemper.all(sheet, component).stream()
                .flatMap(bowl -> against(state, bowl).stream())
                .findFirst();
    }

    private static Optional<String> against(BenchState state, InTemper bowl) {
        if (state.bowl(bowl.key()).waterIn().isPresent()) {
            return Optional.of(
                    "Water is in %s: it thickens and does not come back into temper.".formatted(bowl.name()));
        }
        return state.bowl(bowl.key())
                .proof()
                .filter(e -> !((Proof) e.body()).passed())
                .filter(e -> !state.bowl(bowl.key()).begunAnew(e.at()))
                .map(e -> "The last proof of %s did not pass.".formatted(bowl.name()));
    }

    /** Why a run of this bar will fail, one sentence each; none where it will not. */
    public static List<String> against(RunSheet sheet) {
        return sheet.calls().stream()
                .filter(c -> c.weight() == Call.Weight.WILL_FAIL)
                .map(Call::message)
                .toList();
    }
}
