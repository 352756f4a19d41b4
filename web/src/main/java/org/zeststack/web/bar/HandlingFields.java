package org.zeststack.web.bar;

import java.util.Map;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.CutFrom;
import org.zeststack.core.bar.Handling;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.bar.Technique;
import org.zeststack.core.slab.SlabCut;
import org.zeststack.core.typed.FormInput;

/** How a layer is handled, as fields of its row: {@code layer.N.technique}, {@code layer.N.sheetLengthMm} and so on. */
final class HandlingFields {

    private static final String YES = "yes";

    private HandlingFields() {}

    static void put(Map<String, String> fields, String f, BarLayer layer) {
        Handling handling = layer.handling();
        if (layer.kind().has(LayerKind.Field.TECHNIQUE)) {
            fields.put(
                    f + "technique",
                    handling.technique() == null ? "" : handling.technique().name());
            fields.put(f + "misses", percent(handling.missesFraction()));
            fields.put(f + "keepsGrams", handling.keepsGrams() == null ? "" : FormInput.shown(handling.keepsGrams()));
        }
        if (layer.kind().has(LayerKind.Field.CUT_FROM)) {
            CutFrom sheet = handling.cutFrom();
            fields.put(f + "sheetLengthMm", sheet == null ? "" : FormInput.shown(sheet.lengthMm()));
            fields.put(f + "sheetWidthMm", sheet == null ? "" : FormInput.shown(sheet.widthMm()));
            fields.put(f + "sheetGapMm", sheet == null ? "" : FormInput.shown(sheet.gapMm()));
            fields.put(f + "sheetTrimMm", sheet == null ? "" : FormInput.shown(sheet.trimMm()));
            fields.put(f + "spare", handling.spareFraction() == 0 ? "" : percent(handling.spareFraction()));
        }
        fields.put(f + "level", handling.level() == 0 ? "" : String.valueOf(handling.level()));
        fields.put(f + "cover", handling.cover().name());
        fields.put(f + "oneHalf", handling.oneHalf() ? YES : "");
    }

    private static String percent(Double fraction) {
        return fraction == null ? "" : FormInput.shown(100 * fraction);
    }

    /** Reads what goes with a kind of layer; faults are noted in the form. */
    static Handling read(FormInput form, String f, LayerKind kind) {
        boolean brought = kind.has(LayerKind.Field.TECHNIQUE);
        boolean cut = kind.has(LayerKind.Field.CUT_FROM);
        return new Handling(
                brought && form.has(f + "technique") ? form.choice(f + "technique", Technique.class) : null,
                brought && form.has(f + "misses") ? Double.valueOf(form.percent(f + "misses", Handling.MISSES)) : null,
                brought ? BarFields.optional(form, f + "keepsGrams", Handling.KEEPS_GRAMS) : null,
                cut ? sheet(form, f) : null,
                cut && form.has(f + "spare") ? Double.valueOf(form.percent(f + "spare", Handling.SPARE)) : null,
                form.has(f + "level") ? Integer.valueOf(form.whole(f + "level", Handling.LEVEL)) : null,
                form.has(f + "cover") ? form.choice(f + "cover", Handling.Cover.class) : null,
                form.text(f + "oneHalf").equals(YES));
    }

    private static CutFrom sheet(FormInput form, String f) {
        if (!form.has(f + "sheetLengthMm") && !form.has(f + "sheetWidthMm")) {
            return null;
        }
        return new CutFrom(
                BodyFields.mm(form, f + "sheetLengthMm", SlabCut.SLAB_MM),
                BodyFields.mm(form, f + "sheetWidthMm", SlabCut.SLAB_MM),
                BodyFields.or(form, f + "sheetGapMm", SlabCut.KERF_MM),
                BodyFields.or(form, f + "sheetTrimMm", SlabCut.TRIM_MM));
    }
}
