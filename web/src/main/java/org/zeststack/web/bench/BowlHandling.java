package org.zeststack.web.bench;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.method.Act;
import org.zeststack.core.run.RunSheet;
import org.zeststack.core.temper.Colouring;
import org.zeststack.core.temper.HandOver;
import org.zeststack.core.temper.Untempered;

/**
 * What a step asks of the bowl that it takes from, beyond its own words.
 *
 * @param untempered plan and consequences where what is melted is not tempered; empty where it is
 * @param colouring how colour is brought on; empty where none is
 * @param gramsAMould of the colour on one mould, slab or tray; 0 where none is
 * @param coat what is coated with; empty where nothing is
 * @param sheet a layer that is spread to a sheet; empty where none is
 * @param order of the bowls of this run; empty where there is one only, and on older sheets
 */
public record BowlHandling(
        Optional<Untempered> untempered,
        Optional<Colouring> colouring,
        double gramsAMould,
        Optional<RunSheet.LayerTarget> coat,
        Optional<RunSheet.LayerTarget> sheet,
        Optional<HandOver> order) {

    static BowlHandling of(RunSheet sheet, RunSheet.BenchStep step) {
        Optional<RunSheet.LayerTarget> layer = sheet.layer(step.layer());
        Optional<Colouring> colouring = layer.flatMap(l -> Colouring.of(l.technique()));
        return new BowlHandling(
                untempered(sheet, step),
                colouring,
                colouring.isEmpty()
                        ? 0
                        : layer.get().window().targetGrams() * sheet.moulds().cavities(),
                layer.filter(l -> l.kind().equals(LayerKind.COAT.name())),
                layer.filter(l -> l.kind().equals(LayerKind.SHEET.name())),
                order(sheet, step));
    }

    private static Optional<HandOver> order(RunSheet sheet, RunSheet.BenchStep step) {
        List<HandOver.Of> bowls = sheet.couvertures().stream()
                .filter(c -> c.window().isPresent() && c.allergens() != null)
                .map(c -> new HandOver.Of(c.name(), c.kind(), Set.copyOf(c.allergens())))
                .toList();
        return step.kind() == RunSheet.StepKind.TEMPER && bowls.size() > 1
                ? Optional.of(HandOver.of(bowls))
                : Optional.empty();
    }

    /** Compound by what it is; couverture that no step of the run tempers. */
    private static Optional<Untempered> untempered(RunSheet sheet, RunSheet.BenchStep step) {
        if (step.how().does() != Act.MELT) {
            return Optional.empty();
        }
        return sheet.couverture(step.component()).flatMap(c -> {
            if (c.window().isEmpty()) {
                return c.kind().equals(RunSheet.CouvertureBatch.COMPOUND)
                        ? Optional.of(Untempered.COMPOUND)
                        : Optional.empty();
            }
            boolean tempered = sheet.steps().stream()
                    .anyMatch(s -> s.kind() == RunSheet.StepKind.TEMPER
                            && s.component().equals(c.key()));
            return tempered ? Optional.empty() : Optional.of(Untempered.KEPT_COLD);
        });
    }
}
