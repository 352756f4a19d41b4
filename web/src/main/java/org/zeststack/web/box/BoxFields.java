package org.zeststack.web.box;

import static org.zeststack.core.typed.FormInput.shown;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.box.Box;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.typed.FormInput;
import org.zeststack.core.typed.Rows;
import org.zeststack.store.Saved;

/** Fields of a box's form, to text and back. A bar is chosen as {@code ID-vN}. */
final class BoxFields {

    private BoxFields() {}

    static Map<String, String> of(Saved<Box> saved) {
        Map<String, String> fields = of(saved.content());
        fields.put("name", saved.name());
        fields.put("lock", String.valueOf(saved.lock()));
        return fields;
    }

    static Map<String, String> of(Box box) {
        Map<String, String> fields = new LinkedHashMap<>();
        for (int i = 0; i < box.items().size(); i++) {
            Box.Item item = box.items().get(i);
            fields.put("item." + i + ".bar", item.bar() + "-v" + item.version());
            fields.put("item." + i + ".count", String.valueOf(item.count()));
        }
        fields.put("packingGrams", shown(box.packingGrams()));
        fields.put("declaredGrams", box.declaredGrams() == null ? "" : shown(box.declaredGrams()));
        return fields;
    }

    /** Rows of bars, with an empty one to write in. */
    static List<Integer> rows(FormInput form) {
        List<Integer> rows = new ArrayList<>(Rows.used(form, "item"));
        int last = rows.isEmpty() ? -1 : rows.get(rows.size() - 1);
        if (last < 0 || form.has("item." + last + ".bar") || form.has("item." + last + ".count")) {
            rows.add(last + 1);
        }
        return rows;
    }

    /** Reads a box; every fault is noted in the form. */
    static Optional<Box> read(FormInput form) {
        List<Box.Item> items = new ArrayList<>();
        for (int row : Rows.used(form, "item")) {
            String f = "item." + row + ".";
            if (!form.has(f + "bar") && !form.has(f + "count")) {
                continue;
            }
            String[] parts = form.text(f + "bar").split("-v", 2);
            int count = form.whole(f + "count", Box.COUNT);
            if (parts.length < 2 || !parts[0].matches("[0-9]{1,15}") || !parts[1].matches("[0-9]{1,6}")) {
                form.add(Fault.of(f + "bar", form.text(f + "bar"), "Choose a bar that has a version."));
            } else {
                items.add(new Box.Item(Long.parseLong(parts[0]), Integer.parseInt(parts[1]), count));
            }
        }
        double packing = form.has("packingGrams") ? form.number("packingGrams", Box.PACKING_GRAMS) : 0;
        Double declared =
                form.has("declaredGrams") ? Double.valueOf(form.number("declaredGrams", Bar.DECLARED_GRAMS)) : null;
        return form.build(() -> {
            Box box = new Box(items, packing, declared);
            box.check();
            return box;
        });
    }
}
