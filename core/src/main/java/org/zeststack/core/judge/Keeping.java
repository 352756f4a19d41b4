package org.zeststack.core.judge;

import java.util.Comparator;
import java.util.List;
import java.util.stream.Collectors;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.explain.Call.Weight;
import org.zeststack.core.formula.FormulaBalance;
import org.zeststack.core.formula.FreeWater;
import org.zeststack.core.keeping.ShelfLife;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.rule.Bounds;
import org.zeststack.core.stack.BarStack;
import org.zeststack.core.stack.StackLayer;

/**
 * How long a finished formula or a piece may keep: its weakest part decides, and a finish that is not tempered. A part that holds
 * water of which nobody knows how free it is makes it unknown.
 *
 * @param life null where it is not known
 * @param notTempered whether that it is not tempered ends it
 * @param storedWarm where it is kept, if that is too warm for it; empty otherwise
 * @param unknown names of the parts that make it unknown; empty where it is known
 * @param arithmetic what decides
 */
public record Keeping(ShelfLife life, boolean notTempered, String storedWarm, String unknown, String arithmetic) {

    /** Of a piece. */
    public static Keeping of(BarStack stack) {
        List<StackLayer> unknown = stack.layers().stream()
                .filter(l -> l.material().activityUnknown())
                .toList();
        if (!unknown.isEmpty()) {
            String names = unknown.stream().map(StackLayer::name).distinct().collect(Collectors.joining(", "));
            return new Keeping(null, false, "", names, "no water activity for " + names);
        }
        StackLayer wettest = stack.layers().stream()
                .filter(l -> l.material().waterActivity() != null)
                .max(Comparator.comparing(l -> l.material().waterActivity()))
                .orElse(null);
        Keeping keeping = wettest == null
                ? nothingFree(stack.bounds())
                : of(wettest.name(), wettest.material().waterActivity(), stack.bounds());
        return keeping.in(stack.bar(), stack.bounds());
    }

    /** Of a finished formula by itself. */
    static Keeping of(FormulaBalance balance, Bounds bounds) {
        FreeWater water = balance.freeWater();
        if (water.ratio().isPresent()) {
            return of("", water.ratio().get(), bounds);
        }
        boolean dry = water.moistureKnown()
                && balance.moistureFraction() < bounds.of("dry-mass").least();
        return dry ? nothingFree(bounds) : new Keeping(null, false, "", "it", water.refused());
    }

    private static Keeping nothingFree(Bounds bounds) {
        ShelfLife life = ShelfLife.of(0, bounds);
        return new Keeping(
                life,
                false,
                "",
                "",
                "nothing in it holds free water: " + life.band().words());
    }

    private static Keeping of(String name, double activity, Bounds bounds) {
        ShelfLife life = ShelfLife.of(activity, bounds);
        return new Keeping(
                life,
                false,
                "",
                "",
                "%sa_w %s ± %s: %s"
                        .formatted(
                                name.isEmpty() ? "" : name + " at ",
                                Say.number(activity, 2),
                                Say.number(ShelfLife.uncertainty(bounds), 2),
                                life.band().words()));
    }

    private Keeping in(Bar bar, Bounds bounds) {
        boolean cold = bar.finish() == Bar.Finish.KEPT_COLD;
        boolean warm = life.cold() && bar.storage() != Bar.Storage.FRIDGE;
        return new Keeping(
                cold ? life.notTempered(bounds) : life,
                cold && !life.notTempered(bounds).equals(life),
                warm ? bar.storage().words() : "",
                "",
                arithmetic);
    }

    public boolean known() {
        return life != null;
    }

    /** The rule by which it is told. */
    public String code() {
        return !known() ? "keeps-unknown" : life.cold() ? "keeps-days-only" : "keeping";
    }

    public Weight weight() {
        return known() && !life.cold() ? Weight.GOOD_TO_KNOW : Weight.TAKE_CARE;
    }

    /** How long, and where; for what is known. */
    public String words() {
        String where = life.cold() ? ", and only in the cold" : "";
        return life.words()
                + (notTempered ? ", since it is not tempered" : "")
                + where
                + (storedWarm.isEmpty() ? "" : ": %s is too warm for it".formatted(storedWarm));
    }

    /** The whole of what is told. */
    public String message() {
        return known()
                ? "%s %s. %s".formatted(life.cold() ? "Keeps" : "May keep", words(), ShelfLife.DECIDES)
                : "How long it keeps is not known: nobody can say how much free water there is in %s. Have it measured."
                        .formatted(unknown);
    }
}
