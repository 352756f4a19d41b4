package org.zeststack.web.bar;

import static org.zeststack.web.form.FormInput.shown;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.cavity.FilledCavity;
import org.zeststack.core.cavity.LinedCavity;
import org.zeststack.core.quantity.Fault;
import org.zeststack.store.Saved;
import org.zeststack.web.form.FormInput;

/** Fields of a bar's form, to text and back. A filling is chosen as {@code ID-vN}. */
final class BarFields {

    private BarFields() {}

    static Map<String, String> of(Saved<Bar> saved) {
        Map<String, String> fields = new LinkedHashMap<>();
        Bar bar = saved.content();
        fields.put("name", saved.name());
        fields.put("lock", String.valueOf(saved.lock()));
        fields.put("mould", String.valueOf(bar.mould()));
        fields.put("shell", bar.shell());
        fields.put("shellMm", shown(bar.shellMm()));
        fields.put("back", bar.back());
        fields.put("backMm", shown(bar.backMm()));
        fields.put("backLeastMm", shown(bar.backLeastMm()));
        fields.put("backGreatestMm", shown(bar.backGreatestMm()));
        for (int i = 0; i < bar.fillings().size(); i++) {
            Bar.FillingLayer filling = bar.fillings().get(i);
            fields.put("filling." + i + ".formula", filling.formula() + "-v" + filling.version());
            fields.put("filling." + i + ".depthMm", shown(filling.depthMm()));
        }
        return fields;
    }

    /** Reads a bar; every fault is noted in the form. */
    static Optional<Bar> read(FormInput form) {
        double shellMm = form.number("shellMm", LinedCavity.SHELL_MM);
        double backMm = form.number("backMm", FilledCavity.BACK_MM);
        double backLeastMm = form.number("backLeastMm", FilledCavity.BACK_MM);
        double backGreatestMm = form.number("backGreatestMm", FilledCavity.BACK_MM);
        long mould = id(form, "mould", form.text("mould"), "Choose a mould.");
        List<Bar.FillingLayer> fillings = new ArrayList<>();
        boolean two = form.has("filling.1.formula");
        for (int i = 0; i < (two ? 2 : 1); i++) {
            fillings.add(filling(form, "filling." + i, two && i == 0));
        }
        return form.build(() -> new Bar(
                mould, form.text("shell"), shellMm, form.text("back"), backMm, backLeastMm, backGreatestMm, fillings));
    }

    private static Bar.FillingLayer filling(FormInput form, String field, boolean needsDepth) {
        String[] parts = form.text(field + ".formula").split("-v", 2);
        String message = "Choose a formula that has a version.";
        long formula = id(form, field + ".formula", parts[0], message);
        int version = parts.length < 2 ? 0 : (int) id(form, field + ".formula", parts[1], message);
        double depth = needsDepth ? form.number(field + ".depthMm", FilledCavity.BACK_MM) : 0;
        return new Bar.FillingLayer(formula, version, depth);
    }

    private static long id(FormInput form, String field, String text, String message) {
        try {
            return Integer.parseInt(text);
        } catch (NumberFormatException e) {
            form.add(Fault.of(field, text, message));
            return 0;
        }
    }
}
