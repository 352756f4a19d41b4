package org.zeststack.core.bench;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.zeststack.core.rule.Bound;
import org.zeststack.core.rule.Bounds;
import org.zeststack.core.rule.Rule;
import org.zeststack.core.sheet.CouvertureBatch;
import org.zeststack.core.sheet.FormulaBatch;
import org.zeststack.core.sheet.LayerTarget;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.core.sheet.StepKind;
import org.zeststack.core.temper.TemperWindow;

/**
 * Something to be brought into temper: couverture, or a filling that is tempered by its own fat.
 *
 * @param key of the component
 * @param grams in the bowl
 * @param cocoaButterFraction of it; empty on older sheets
 * @param workingGrams that stay behind to work in
 * @param sets code of the bound within which a dip of it sets
 */
public record InTemper(
        String key,
        String name,
        TemperWindow window,
        double grams,
        OptionalDouble cocoaButterFraction,
        double workingGrams,
        String sets) {

    private static final Rule PROOF = Rule.of(Rule.About.BENCH, "proof");

    /**
     * What the rest of a bowl is still good for.
     *
     * @param layer kind of the layer that is laid of it
     * @param pieces that it is enough for
     */
    public record Serves(String layer, double gramsAPiece, int pieces) {}

    /** What is tempered under a key; empty for everything else. */
    public static Optional<InTemper> of(RunSheet sheet, String key) {
        return sheet.couverture(key).flatMap(InTemper::of).or(() -> sheet.pot(key)
                .filter(f -> sheet.steps().stream()
                        .anyMatch(s ->
                                s.kind() == StepKind.TEMPER && s.component().equals(key)))
                .flatMap(InTemper::of));
    }

    /** What is tempered of a component: itself, or each of its batches. */
    public static List<InTemper> all(RunSheet sheet, String component) {
        List<String> batches =
                sheet.firstPots(component).stream().map(FormulaBatch::key).toList();
        return (batches.isEmpty() ? List.of(component) : batches)
                .stream().flatMap(key -> of(sheet, key).stream()).toList();
    }

    private static Optional<InTemper> of(CouvertureBatch of) {
        return of.window()
                .map(window -> new InTemper(
                        of.key(),
                        of.name(),
                        window,
                        of.meltGrams(),
                        of.of().cocoaButterFraction(),
                        of.melt().bowlGrams(),
                        "smear-sets"));
    }

    private static Optional<InTemper> of(FormulaBatch of) {
        return of.finished().fat().flatMap(fat -> TemperWindow.byFat(fat.cocoaButter(), fat.other())
                .map(window -> new InTemper(
                        of.key(),
                        of.name(),
                        window,
                        of.finishedGrams() / of.batches(),
                        OptionalDouble.of(fat.cocoaButter()),
                        0,
                        "filling-sets")));
    }

    /** Within how long a dip of it sets where it is in temper. */
    public Bound sets(Bounds bounds) {
        return PROOF.bound(bounds, sets);
    }

    /** What so many grams in its bowl still serve, layer by layer, when the depth to work in stays behind. */
    public List<Serves> serves(RunSheet sheet, double left) {
        double usable = Math.max(0, left - workingGrams);
        return sheet.layers().stream()
                .filter(l -> l.shareOf(key) > 0 && l.window().targetGrams() > 0)
                .map(l -> serves(l, usable))
                .toList();
    }

    private Serves serves(LayerTarget layer, double usableGrams) {
        double each = layer.shareOf(key) * layer.window().targetGrams() * layer.perPiece();
        return new Serves(layer.kind().words(), each, (int) Math.floor(usableGrams / each + 1e-9));
    }
}
