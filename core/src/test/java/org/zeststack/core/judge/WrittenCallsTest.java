package org.zeststack.core.judge;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.TreeMap;
import org.testng.annotations.Test;
import org.zeststack.core.BareQuantities;
import org.zeststack.core.Recorded;
import org.zeststack.core.composition.Part;
import org.zeststack.core.explain.Call;
import org.zeststack.core.formula.Family;
import org.zeststack.core.ingredient.Nature;
import org.zeststack.core.judge.FormulaProbes.Mass;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.stack.BarStack;
import org.zeststack.core.stack.Bars;
import org.zeststack.core.stack.RandomBars;

/** What is said of sixty made-up bars and of a formula of every kind, word for word and with its arithmetic, as it was read through once. */
public class WrittenCallsTest {

    private static final int BARS = 60;

    private static void write(List<String> lines, List<Call> calls) {
        for (Call call : calls) {
            String change = call.change() == null
                    ? ""
                    : " [" + call.change().words() + " "
                            + new TreeMap<>(call.change().fields()) + "]";
            lines.add("  %s %s: %s (%s)%s"
                    .formatted(call.weight(), call.code(), call.message(), call.arithmetic(), change));
        }
    }

    private static String ofBars() {
        RandomBars bars = new RandomBars(
                new SplittableRandom(61),
                List.of(Bars.CARAMEL, Bars.PASTE, Bars.BY_EYE, "raspberry-jam", "hazelnut-paste"));
        List<String> lines = new ArrayList<>();
        while (lines.stream().filter(l -> !l.startsWith(" ")).count() < BARS) {
            RandomBars.Made made = bars.next();
            try {
                BarStack stack = made.cavity() == null ? Bars.of(made.bar()) : Bars.of(made.bar(), made.cavity());
                lines.add("bar " + stack.bar().build() + " "
                        + stack.layers().stream().map(l -> l.kind().words()).toList());
                write(lines, BarCalls.of(stack));
            } catch (InvalidInput refused) {
                // Told to the person before anything is judged.
            }
        }
        return String.join("\n", lines) + "\n";
    }

    private static String ofFormulas() {
        List<String> lines = new ArrayList<>();
        for (Family family : Family.values()) {
            for (double water : new double[] {0.01, 0.06, 0.11, 0.16, 0.25, 0.4}) {
                for (double fat : new double[] {0, 0.12, 0.36}) {
                    Mass mass = new Mass(family)
                            .of(Part.WATER, water)
                            .of(Part.COCOA_BUTTER, fat / 2)
                            .of(Part.MILK_FAT, fat / 2)
                            .of(Part.PROTEIN, 0.01)
                            .of(Part.STARCH, 0.05)
                            .of(Part.LACTOSE, 0.02)
                            .of(Part.ACIDS, 0.004)
                            .of(Part.ALCOHOL, water > 0.3 ? 0.03 : 0)
                            .of(Part.SYRUP_SOLIDS, fat > 0.3 ? 0.02 : 0.1)
                            .rest(Part.SUCROSE)
                            .liquidFat(fat > 0.3 ? 0.9 : 0.5)
                            .kind(Nature.Kind.PECTIN, water > 0.2 ? 0.01 : 0)
                            .kind(Nature.Kind.EGG_WHITE, fat > 0 ? 0.02 : 0)
                            .activity(0.7 + water / 2);
                    lines.add("%s water %s fat %s".formatted(family, water, fat));
                    write(lines, mass.calls());
                }
            }
        }
        return String.join("\n", lines) + "\n";
    }

    @Test
    public void barsAreToldWhatWasReadThrough() throws IOException {
        String said = ofBars();
        BareQuantities.none(said);
        Recorded.check(WrittenCallsTest.class, "calls-of-bars.txt", said);
    }

    @Test
    public void formulasAreToldWhatWasReadThrough() throws IOException {
        String said = ofFormulas();
        BareQuantities.none(said);
        Recorded.check(WrittenCallsTest.class, "calls-of-formulas.txt", said);
    }
}
