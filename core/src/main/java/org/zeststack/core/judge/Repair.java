package org.zeststack.core.judge;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.function.BiFunction;
import java.util.function.ToDoubleFunction;
import org.hipparchus.analysis.solvers.BrentSolver;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.stack.BarStack;

/**
 * Finds the figure of one layer with which a fault is gone, by assembling the bar with it: what other layers do when one changes is
 * not guessed.
 */
final class Repair {

    private final BarStack stack;
    private final int index;
    private final BiFunction<BarLayer, Double, BarLayer> change;
    private final ToDoubleFunction<BarStack> slack;

    /**
     * A fault to be cleared.
     *
     * @param index of the layer in the design
     * @param change writes a figure into the layer
     * @param slack what is left of a bar until the fault, negative with it
     */
    Repair(BarStack stack, int index, BiFunction<BarLayer, Double, BarLayer> change, ToDoubleFunction<BarStack> slack) {
        this.stack = stack;
        this.index = index;
        this.change = change;
        this.slack = slack;
    }

    /** The figure between a faulty and a good one at which the fault just goes; empty where the good one is not good either. */
    OptionalDouble figure(double faulty, double good) {
        if (!(slack(good) >= 0) || !(slack(faulty) < 0)) {
            return OptionalDouble.empty();
        }
        double lower = Math.min(faulty, good);
        double upper = Math.max(faulty, good);
        return OptionalDouble.of(slack(good) == 0 ? good : new BrentSolver(1e-6).solve(200, this::slack, lower, upper));
    }

    private double slack(double figure) {
        List<BarLayer> layers = new ArrayList<>(stack.bar().layers());
        layers.set(index, change.apply(layers.get(index), figure));
        try {
            return slack.applyAsDouble(BarStack.of(stack.bar().with(layers), stack.parts()));
        } catch (InvalidInput impossible) {
            return -1;
        }
    }
}
