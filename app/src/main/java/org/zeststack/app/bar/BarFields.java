package org.zeststack.app.bar;

import static org.zeststack.app.bar.LayerFields.shown;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.zeststack.app.design.MethodFields;
import org.zeststack.app.shelf.Names;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.Body;
import org.zeststack.core.bar.Build;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.method.MethodStep;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Range;
import org.zeststack.core.typed.FormInput;
import org.zeststack.core.typed.Rows;
import org.zeststack.store.Saved;

/**
 * Fields of a bar, to text and back: {@code layer.N.amount}, {@code body.lengthMm}, {@code step.N.action} and so on. The page's form
 * and the programs' calls are both read here.
 */
@Component
public class BarFields {

    /** Field that marks the usual steps as they were shown. */
    public static final String SHOWN_STEPS = "shownSteps";

    private final Names names;

    BarFields(Names names) {
        this.names = names;
    }

    public Map<String, String> of(Saved<Bar> saved) {
        Map<String, String> fields = of(saved.content());
        fields.put("name", saved.name());
        fields.put("lock", String.valueOf(saved.lock()));
        return fields;
    }

    public Map<String, String> of(Bar bar) {
        Map<String, String> fields = new LinkedHashMap<>();
        fields.put("build", bar.build().name());
        BodyFields.put(fields, bar.body());
        for (int i = 0; i < bar.layers().size(); i++) {
            put(fields, i, bar.layers().get(i));
        }
        fields.put("finish", bar.finish().name());
        fields.put("storage", bar.storage().name());
        fields.put("soldAs", bar.soldAs().name());
        fields.put("declaredGrams", shown(bar.declaredGrams()));
        fields.put("centreCelsius", shown(bar.centreCelsius()));
        fields.put("bowlMm", shown(bar.bowlMm()));
        MethodFields.put(fields, bar.method());
        return fields;
    }

    /** Writes a layer into row {@code n}. */
    public void put(Map<String, String> fields, int n, BarLayer layer) {
        String f = "layer." + n + ".";
        fields.put(f + "ingredient", names.of(layer.of()));
        fields.put(f + "slug", layer.of());
        BarLayer.Mix mix = layer.mix();
        fields.put(f + "mix.ingredient", mix == null ? "" : names.of(mix.of()));
        fields.put(f + "mix.slug", mix == null ? "" : mix.of());
        LayerFields.put(fields, f, layer);
    }

    /**
     * A bar read from a form.
     *
     * @param rows the form's row of each layer
     */
    public record Read(Bar bar, List<Integer> rows) {}

    /** Reads a bar; every fault is noted in the form under the row's own field. */
    public Optional<Read> read(FormInput form) {
        Build build = form.choice("build", Build.class);
        Body body = BodyFields.read(form);
        List<Integer> rows = new ArrayList<>();
        List<BarLayer> layers = new ArrayList<>();
        for (int row : Rows.used(form, "layer")) {
            if (form.has("layer." + row + ".kind")) {
                layer(form, row).ifPresent(layer -> {
                    layers.add(layer);
                    rows.add(row);
                });
            }
        }
        Bar.Finish finish = choice(form, "finish", Bar.Finish.class, Bar.Finish.TEMPERED);
        Bar.Storage storage = choice(form, "storage", Bar.Storage.class, Bar.Storage.COOL);
        Bar.SoldAs soldAs = choice(form, "soldAs", Bar.SoldAs.class, Bar.SoldAs.OWN_NAME);
        Double declared = optional(form, "declaredGrams", Bar.DECLARED_GRAMS);
        Double centre = optional(form, "centreCelsius", BarLayer.CELSIUS);
        Double bowl = optional(form, "bowlMm", Bar.BOWL_MM);
        List<MethodStep> steps = MethodFields.read(form);
        // The usual steps as the page showed them follow the layers, until somebody writes in them.
        List<MethodStep> method = form.text(SHOWN_STEPS).equals(MethodFields.mark(steps)) ? List.of() : steps;
        Optional<Bar> bar =
                form.build(() -> new Bar(build, body, layers, finish, storage, soldAs, declared, centre, bowl, method));
        return bar.map(b -> new Read(b, List.copyOf(rows)));
    }

    /** The row of the layer that the body gives the size of; −1 where there is none. */
    public static int centreRow(FormInput form) {
        boolean shaped = form.text("build").equals(Build.SHAPED.name());
        return Rows.used(form, "layer").stream()
                .filter(row -> shaped && form.text("layer." + row + ".kind").equals(LayerKind.FILLING.name()))
                .findFirst()
                .orElse(-1);
    }

    /** A fault of the core under the names and rows that the form has. */
    public static Fault atField(Fault fault, List<Integer> rows) {
        String field = fault.field()
                .replaceFirst("^(layer\\.[0-9]+)\\.of$", "$1.ingredient")
                .replaceFirst("^(layer\\.[0-9]+)\\.mixOf$", "$1.mix.ingredient");
        return Rows.atRow(fault.at(field), "layer", rows);
    }

    private Optional<BarLayer> layer(FormInput form, int row) {
        String f = "layer." + row + ".";
        LayerKind kind = form.choice(f + "kind", LayerKind.class);
        BarLayer.By by = form.choice(f + "by", BarLayer.By.class);
        String of = slug(form, f + "ingredient", f + "slug");
        if (kind == null || by == null || of == null) {
            return Optional.empty();
        }
        LayerDraft draft = new LayerDraft(kind, of, by);
        draft.layer.mix(mix(form, f));
        LayerFields.take(form, f, draft);
        return Optional.of(draft.build());
    }

    private BarLayer.Mix mix(FormInput form, String f) {
        boolean named = form.typed().containsKey(f + "mix.ingredient");
        if (!form.has(f + (named ? "mix.ingredient" : "mix.slug"))) {
            return null;
        }
        String of = slug(form, f + "mix.ingredient", f + "mix.slug");
        double fraction = form.percent(f + "mixFraction", BarLayer.SHARE);
        return of == null
                ? null
                : new BarLayer.Mix(of, fraction, form.text(f + "marbled").equals(LayerFields.YES));
    }

    static Double optional(FormInput form, String field, Range range) {
        return form.has(field) ? Double.valueOf(form.number(field, range)) : null;
    }

    private static <E extends Enum<E>> E choice(FormInput form, String field, Class<E> type, E usual) {
        return form.has(field) ? form.choice(field, type) : usual;
    }

    /** What a typed name stands for; null with a fault noted where it is nothing known. */
    private String slug(FormInput form, String typedField, String slugField) {
        String typed = form.text(typedField).strip();
        // A name that somebody took out is no longer what it stood for; programs send no name at all.
        boolean cleared = typed.isEmpty() && form.typed().containsKey(typedField);
        Optional<String> found = cleared
                ? Optional.empty()
                : names.slug(typed, form.text(slugField).strip());
        if (found.isEmpty()) {
            String message = typed.isEmpty()
                    ? "Choose an ingredient or a formula."
                    : "\u201c%s\u201d is neither in the store room nor a formula: choose from the list."
                            .formatted(typed);
            form.add(Fault.of(typedField, typed, message));
        }
        return found.orElse(null);
    }
}
