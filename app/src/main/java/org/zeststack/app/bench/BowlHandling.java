package org.zeststack.app.bench;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.bar.Technique;
import org.zeststack.core.method.Act;
import org.zeststack.core.sheet.BenchStep;
import org.zeststack.core.sheet.Chocolate;
import org.zeststack.core.sheet.LayerTarget;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.core.sheet.StepKind;
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
        Optional<LayerTarget> coat,
        Optional<LayerTarget> sheet,
        Optional<HandOver> order) {

    public static BowlHandling of(RunSheet sheet, BenchStep step) {
        Optional<LayerTarget> layer = sheet.layer(step.layer());
        Optional<Colouring> colouring =
                layer.flatMap(l -> l.laid().technique().map(Technique::name).flatMap(Colouring::of));
        return new BowlHandling(
                untempered(sheet, step),
                colouring,
                colouring.isEmpty()
                        ? 0
                        : layer.get().window().targetGrams() * sheet.carriers().cavities(),
                layer.filter(l -> l.kind() == LayerKind.COAT),
                layer.filter(l -> l.kind() == LayerKind.SHEET),
                order(sheet, step));
    }

    private static Optional<HandOver> order(RunSheet sheet, BenchStep step) {
        List<HandOver.Of> bowls = sheet.couvertures().stream()
                .filter(c -> c.window().isPresent())
                .flatMap(c -> c.of().allergens().stream()
                        .map(allergens -> new HandOver.Of(c.name(), c.kind(), Set.copyOf(allergens))))
                .toList();
        return step.kind() == StepKind.TEMPER && bowls.size() > 1 ? Optional.of(HandOver.of(bowls)) : Optional.empty();
    }

    /** Compound by what it is; couverture that no step of the run tempers. */
    private static Optional<Untempered> untempered(RunSheet sheet, BenchStep step) {
        if (step.how().does() != Act.MELT) {
            return Optional.empty();
        }
        return sheet.couverture(step.component()).flatMap(c -> {
            if (c.window().isEmpty()) {
                return c.kind().equals(Chocolate.COMPOUND) ? Optional.of(Untempered.COMPOUND) : Optional.empty();
            }
            boolean tempered = sheet.steps().stream()
                    .anyMatch(s -> s.kind() == StepKind.TEMPER && s.component().equals(c.key()));
            return tempered ? Optional.empty() : Optional.of(Untempered.KEPT_COLD);
        });
    }
}
