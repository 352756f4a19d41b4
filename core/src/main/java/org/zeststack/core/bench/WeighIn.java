package org.zeststack.core.bench;

import java.util.Optional;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.quantity.Range;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.sheet.LayerTarget;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.core.typed.FormInput;

/**
 * Cavities weighed after one layer was laid.
 *
 * @param layer key of the layer
 * @param grossGrams what the scale shows
 * @param tareGrams what it showed before this layer
 * @param cavities how many cavities stand on the scale; slabs, trays or sheets where these are whole
 * @param whole whether whole slabs, trays or sheets are, their trim with them; null on older entries
 */
public record WeighIn(String layer, double grossGrams, double tareGrams, int cavities, Boolean whole)
        implements EntryBody {

    public WeighIn {
        whole = whole != null && whole;
    }

    /** Cavities, or pieces. */
    public WeighIn(String layer, double grossGrams, double tareGrams, int cavities) {
        this(layer, grossGrams, tareGrams, cavities, false);
    }

    public static final Range CAVITIES = new Range(1, 200, "cavities");
    public static final Range TARE = new Range(0, 1_000_000, "g");

    @Override
    public void check(Faults faults) {
        EntryBody.required(faults, "layer", layer);
        boolean gross = faults.within("grossGrams", grossGrams, EntryBody.GRAMS);
        boolean tare = faults.within("tareGrams", tareGrams, TARE);
        faults.within("cavities", cavities, CAVITIES);
        if (gross && tare && grossGrams <= tareGrams) {
            faults.add(Fault.of("grossGrams", String.valueOf(grossGrams), "Weight must be above the tare."));
        }
    }

    /** Grams of the layer in one cavity or piece; of a whole slab that share of it that a piece is meant to have. */
    public double gramsIn(LayerTarget layer) {
        return whole && layer.wholeGrams().isPresent()
                ? gramsPerCavity()
                        * layer.window().targetGrams()
                        / layer.wholeGrams().getAsDouble()
                : gramsPerCavity();
    }

    /** Grams of this layer in one cavity. */
    public double gramsPerCavity() {
        return (grossGrams - tareGrams) / cavities;
    }

    static Optional<EntryBody> typed(TypedEntry typed) {
        FormInput form = typed.form();
        String layer = form.text("layer");
        if (typed.sheet().layer(layer).isEmpty()) {
            form.add(Fault.of("layer", layer, "This bar has no such layer."));
        }
        double gross = form.number("grossGrams", EntryBody.GRAMS);
        double tare = form.has("tareGrams") ? form.number("tareGrams", TARE) : 0;
        int cavities = form.has("cavities") ? form.whole("cavities", CAVITIES) : 1;
        return form.build(() -> new WeighIn(layer, gross, tare, cavities, form.has("whole")));
    }

    @Override
    public Optional<Fault> doubt(BenchState run, WeighingRules rules) {
        return run.sheet().layer(layer).flatMap(l -> crowded(run.sheet(), l).or(() -> far(l, rules)));
    }

    /** More cavities than a mould has, whole: several moulds, or a slip. */
    private Optional<Fault> crowded(RunSheet sheet, LayerTarget target) {
        int each = sheet.carriers().cavities() * target.perPiece();
        return !sheet.carriers().carrier().equals("mould") || cavities <= each
                ? Optional.empty()
                : WeighingRules.ask("cavities", cavities, "%d cavities; a mould has %d.".formatted(cavities, each));
    }

    private Optional<Fault> far(LayerTarget target, WeighingRules rules) {
        double aim = target.window().targetGrams();
        double each = gramsIn(target);
        if (!rules.farFromTarget(each, aim)) {
            return Optional.empty();
        }
        double likely = each * cavities / aim;
        String many = likely >= 2
                ? " Are there about %s on the scale?".formatted(Say.number(likely, 0))
                : " Was the tare taken off twice?";
        return WeighingRules.ask(
                "grossGrams",
                grossGrams,
                "%s in each; %s are aimed for.%s".formatted(Say.grams(each, 1), Say.grams(aim, 1), many));
    }
}
