package org.zeststack.app.bar;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.zeststack.app.design.SmallField;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.quantity.Range;
import org.zeststack.core.typed.FormInput;

/**
 * One field of a layer's row. The page, what programs send, and the description that is published of it read what stands here.
 *
 * @param label words before it on the page; empty where the page draws it by hand
 * @param unit as people see it
 * @param range permitted, a fraction from 0 to 1; empty where it depends on another field
 * @param choices what a word may be
 * @param shown what stands in it; null where it is not written
 * @param taking reads it
 */
public record LayerField(
        String name,
        Type type,
        Group group,
        String label,
        String unit,
        Optional<Range> range,
        List<String> choices,
        Function<BarLayer, String> shown,
        Taking taking)
        implements SmallField {

    /** What a field holds. */
    public enum Type {
        WORD,
        TEXT,
        NUMBER,
        FRACTION,
        BOOLEAN;

        /** Its name in what programs send. */
        public String word() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /** Fields that stand together on the page; some only with the kinds of layers that have them. */
    public enum Group {
        LAYER,
        SIZE(LayerKind.Field.SIZE),
        EACH,
        EMBEDDED,
        FACES(LayerKind.Field.FACES),
        TECHNIQUE(LayerKind.Field.TECHNIQUE),
        LEVEL,
        HALVES,
        CUT_FROM(LayerKind.Field.CUT_FROM),
        BOUNDS,
        MORE;

        private final Optional<LayerKind.Field> of;

        Group() {
            this.of = Optional.empty();
        }

        Group(LayerKind.Field of) {
            this.of = Optional.of(of);
        }

        boolean goesWith(LayerKind kind) {
            return of.map(kind::has).orElse(true);
        }
    }

    /** Reads a field of the row with a prefix into a layer; faults are noted in the form. */
    @FunctionalInterface
    interface Taking {
        void take(FormInput form, String prefix, LayerDraft draft);
    }

    /** A word, a text or a number that is read together with others. */
    static LayerField of(String name, Type type, Group group, Function<BarLayer, String> shown, Taking taking) {
        return new LayerField(name, type, group, "", "", Optional.empty(), List.of(), shown, taking);
    }

    LayerField as(String words, String in) {
        return new LayerField(name, type, group, words, in, range, choices, shown, taking);
    }

    LayerField within(Range permitted) {
        return new LayerField(name, type, group, label, unit, Optional.of(permitted), choices, shown, taking);
    }

    LayerField among(Enum<?>... permitted) {
        List<String> names = Arrays.stream(permitted).map(Enum::name).toList();
        return new LayerField(name, type, group, label, unit, range, names, shown, taking);
    }

    @Override
    public boolean typed() {
        return type != Type.BOOLEAN;
    }

    void put(Map<String, String> fields, String prefix, BarLayer layer) {
        if (group.goesWith(layer.kind())) {
            String text = shown.apply(layer);
            if (text != null) {
                fields.put(prefix + name, text);
            }
        }
    }

    void take(FormInput form, String prefix, LayerDraft draft) {
        if (group.goesWith(draft.kind())) {
            taking.take(form, prefix, draft);
        }
    }
}
