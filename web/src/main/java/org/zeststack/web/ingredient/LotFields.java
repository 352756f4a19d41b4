package org.zeststack.web.ingredient;

import static org.zeststack.core.typed.FormInput.shown;

import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.zeststack.app.words.Show;
import org.zeststack.core.composition.Part;
import org.zeststack.core.ingredient.Lot;
import org.zeststack.core.typed.FormInput;

/** Fields of a lot's form: to text and back. */
final class LotFields {

    private LotFields() {}

    static Map<String, String> of(Lot lot) {
        Map<String, String> fields = new LinkedHashMap<>();
        fields.put("code", lot.code());
        fields.put("supplier", lot.supplier());
        fields.put("received", Show.INSTANCE.day(lot.received()));
        fields.put("bestBefore", lot.bestBefore() == null ? "" : Show.INSTANCE.day(lot.bestBefore()));
        fields.put("pricePerKg", lot.pricePerKg() == null ? "" : shown(lot.pricePerKg()));
        fields.put("moistureFraction", lot.moistureFraction() == null ? "" : shown(100 * lot.moistureFraction()));
        fields.put("moistureMeasured", lot.moistureMeasured() ? "yes" : "");
        fields.put("kept", lot.kept());
        IngredientFields.parts(fields, lot.parts());
        if (!lot.parts().isEmpty()) {
            fields.put("de", shown(lot.dextroseEquivalent()));
        }
        return fields;
    }

    static Optional<Lot> read(FormInput form) {
        String code = form.limited("code", 60);
        String supplier = form.limited("supplier", 120);
        LocalDate received = form.day("received").orElse(null);
        LocalDate bestBefore = form.has("bestBefore") ? form.day("bestBefore").orElse(null) : null;
        Double price = form.has("pricePerKg") ? form.number("pricePerKg", Lot.PRICE) : null;
        Double moisture = form.has("moistureFraction") ? form.percent("moistureFraction", Lot.MOISTURE) : null;
        Map<Part, Double> parts = IngredientFields.parts(form);
        double de = IngredientFields.de(form);
        String kept = form.limited("kept", 120);
        return form.build(() -> {
            Lot lot = new Lot(
                    code,
                    supplier,
                    received,
                    bestBefore,
                    price,
                    parts,
                    de,
                    moisture,
                    form.text("moistureMeasured").equals("yes"),
                    kept);
            lot.check();
            return lot;
        });
    }
}
