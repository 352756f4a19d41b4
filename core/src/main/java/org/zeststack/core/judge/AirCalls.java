package org.zeststack.core.judge;

import static org.zeststack.core.judge.BarCalls.grams;

import java.util.HashSet;
import java.util.Set;
import org.zeststack.core.explain.Call.Weight;
import org.zeststack.core.formula.Density;
import org.zeststack.core.quantity.Measure;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.stack.StackLayer;

/** Porous layers of which nobody has said how dense they are: what they weigh is a range. */
final class AirCalls {

    private AirCalls() {}

    static void add(BarCalls calls) {
        Set<String> told = new HashSet<>();
        for (StackLayer layer : calls.stack().layers()) {
            Density density = layer.material().density();
            if (density.known() || !told.add(layer.name())) {
                continue;
            }
            calls.add(
                    Weight.GOOD_TO_KNOW,
                    "density-unknown",
                    "How dense %s is with its pores is not known: a layer of this size weighs %s to %s. Weigh a piece of it."
                            .formatted(
                                    layer.name(),
                                    grams(layer.volumeMl() * density.least()),
                                    grams(layer.volumeMl() * density.greatest())),
                    "%s × %s to %s; reckoned with %s"
                            .formatted(
                                    Say.of(layer.volumeMl(), 1, Measure.MILLILITRES),
                                    Say.bare(Say.of(density.least(), 2, Measure.GRAMS_PER_MILLILITRE)),
                                    Say.of(density.greatest(), 2, Measure.GRAMS_PER_MILLILITRE),
                                    Say.number(density.usual(), 2)));
        }
    }
}
