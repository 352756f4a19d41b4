package org.zeststack.core.judge;

import static org.zeststack.core.judge.BarCalls.grams;
import static org.zeststack.core.quantity.Numbers.fixed;

import java.util.HashSet;
import java.util.Set;
import org.zeststack.core.explain.Call.Weight;
import org.zeststack.core.formula.Density;
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
                    "%s mL × %s to %s g/mL; reckoned with %s"
                            .formatted(
                                    fixed(layer.volumeMl(), 1),
                                    fixed(density.least(), 2),
                                    fixed(density.greatest(), 2),
                                    fixed(density.usual(), 2)));
        }
    }
}
