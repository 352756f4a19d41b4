package org.zeststack.core.bar;

import static org.zeststack.core.quantity.Numbers.fixed;
import static org.zeststack.core.quantity.Numbers.plain;

import java.util.ArrayList;
import java.util.List;
import org.zeststack.core.explain.Call;

/** The calls on a moulded bar. */
final class BarCalls {

    private static final double LEAST_SHELL_MM = 1;
    private static final double LEAST_FILLING_MM = 1;
    private static final double LEAST_CHOCOLATE = 0.25;
    private static final String PRACTICE = "Common practice, no source.";
    private static final String DIRECTIVE = "Directive 2000/36/EC, Annex I (value from memory).";

    private final BarStack stack;
    private final Bar bar;
    private final List<Call> calls = new ArrayList<>();

    private BarCalls(BarStack stack) {
        this.stack = stack;
        this.bar = stack.bar();
    }

    static List<Call> of(BarStack stack) {
        BarCalls calls = new BarCalls(stack);
        calls.fillingFits();
        calls.back();
        calls.shell();
        calls.chocolate();
        calls.calls.sort((a, b) -> a.weight().compareTo(b.weight()));
        return List.copyOf(calls.calls);
    }

    private void fillingFits() {
        double room = stack.back().fromMm() - stack.lined().shellMm();
        for (int i = 0; i < bar.fillings().size() - 1; i++) {
            double wanted = bar.fillings().get(i).depthMm();
            BarStack.Layer above = stack.fillings().get(i + 1);
            double left = room - wanted;
            if (left <= 0) {
                add(
                        Call.Weight.WILL_FAIL,
                        "filling-fit",
                        "%s does not fit: %s leaves no room below the back. %s mm less of it leaves 1 mm."
                                .formatted(
                                        above.name(),
                                        stack.fillings().get(i).name(),
                                        fixed(LEAST_FILLING_MM - left, 1)),
                        "inside %s mm − back %s mm − first filling %s mm = %s mm"
                                .formatted(
                                        fixed(stack.lined().innerDepthMm(), 1),
                                        fixed(bar.backMm(), 1),
                                        fixed(wanted, 1),
                                        fixed(left, 1)),
                        "Geometry of the lined cavity.");
            }
        }
        if (room <= 0) {
            add(
                    Call.Weight.WILL_FAIL,
                    "filling-fit",
                    "Nothing fits between shell and back.",
                    "inside %s mm − back %s mm = %s mm"
                            .formatted(fixed(stack.lined().innerDepthMm(), 1), fixed(bar.backMm(), 1), fixed(room, 1)),
                    "Geometry of the lined cavity.");
        }
    }

    private void back() {
        BarStack.Layer last = stack.fillings().get(stack.fillings().size() - 1);
        double density =
                stack.parts().fillings().get(stack.fillings().size() - 1).densityGramsPerMl();
        if (bar.backMm() < bar.backLeastMm()) {
            double grams = (stack.filled().fillingMl() - stack.filled().fillingGreatestMl()) * density;
            add(
                    Call.Weight.WILL_FAIL,
                    "back-thin",
                    "Back will be %s mm: it will leak. %s g less %s gives %s mm."
                            .formatted(plain(bar.backMm()), fixed(grams, 1), last.name(), plain(bar.backLeastMm())),
                    "(%s − %s) mL × %s g/mL = %s g"
                            .formatted(
                                    fixed(stack.filled().fillingMl(), 2),
                                    fixed(stack.filled().fillingGreatestMl(), 2),
                                    fixed(density, 3),
                                    fixed(grams, 1)),
                    PRACTICE);
        } else if (bar.backMm() > bar.backGreatestMm()) {
            double grams = (stack.filled().fillingLeastMl() - stack.filled().fillingMl()) * density;
            add(
                    Call.Weight.TAKE_CARE,
                    "back-thick",
                    "Back will be %s mm: a slab to bite through. %s g more %s gives %s mm."
                            .formatted(plain(bar.backMm()), fixed(grams, 1), last.name(), plain(bar.backGreatestMm())),
                    "(%s − %s) mL × %s g/mL = %s g"
                            .formatted(
                                    fixed(stack.filled().fillingLeastMl(), 2),
                                    fixed(stack.filled().fillingMl(), 2),
                                    fixed(density, 3),
                                    fixed(grams, 1)),
                    PRACTICE);
        }
    }

    private void shell() {
        if (bar.shellMm() < LEAST_SHELL_MM) {
            add(
                    Call.Weight.WILL_FAIL,
                    "shell-thin",
                    "Shell of %s mm: it will crack on release or let the filling through. Line to 1 mm or more."
                            .formatted(plain(bar.shellMm())),
                    "%s mm < 1 mm".formatted(plain(bar.shellMm())),
                    PRACTICE);
        }
    }

    private void chocolate() {
        double share = stack.chocolateShare();
        String arithmetic = "(%s g shell + %s g back) / %s g piece = %s %%"
                .formatted(
                        fixed(stack.shell().grams(), 1),
                        fixed(stack.back().grams(), 1),
                        fixed(stack.pieceGrams(), 1),
                        fixed(100 * share, 1));
        if (share < LEAST_CHOCOLATE) {
            add(
                    Call.Weight.TAKE_CARE,
                    "chocolate-share",
                    "Chocolate is %s %%: it may not be called filled chocolate (25 %% needed)."
                            .formatted(fixed(100 * share, 1)),
                    arithmetic,
                    DIRECTIVE);
        } else {
            add(
                    Call.Weight.GOOD_TO_KNOW,
                    "chocolate-share",
                    "Chocolate is %s %% of the piece; filled chocolate needs 25 %%.".formatted(fixed(100 * share, 1)),
                    arithmetic,
                    DIRECTIVE);
        }
    }

    private void add(Call.Weight weight, String code, String message, String arithmetic, String source) {
        calls.add(new Call(weight, code, message, arithmetic, source));
    }
}
