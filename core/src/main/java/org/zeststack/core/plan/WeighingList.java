package org.zeststack.core.plan;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.zeststack.core.sheet.CouvertureBatch;
import org.zeststack.core.sheet.FormulaBatch;
import org.zeststack.core.sheet.LaidBatch;
import org.zeststack.core.sheet.WeighingLine;

/** Every ingredient once, over all that it is weighed out for. */
final class WeighingList {

    private final Map<String, WeighingLine> lines = new LinkedHashMap<>();

    List<WeighingLine> lines() {
        return List.copyOf(lines.values());
    }

    void add(FormulaBatch batch) {
        batch.lines().forEach(l -> add(l.ingredient(), l.name(), l.mostGrams(), batch.name()));
    }

    /**
     * A bowl.
     *
     * @param plain the couverture's own name, without what is stirred in
     */
    void add(CouvertureBatch bowl, String plain) {
        add(bowl.slug(), plain, bowl.plainGrams(), "melt");
        bowl.tint().ifPresent(t -> add(t.ingredient(), t.name(), t.grams(), "stirred into " + bowl.name()));
    }

    void add(LaidBatch laid) {
        add(laid.slug(), laid.name(), laid.deposit().total(), "laid");
    }

    private void add(String slug, String name, double grams, String usedIn) {
        lines.merge(slug, new WeighingLine(slug, name, grams, List.of(usedIn)), (a, b) -> {
            List<String> users = new ArrayList<>(a.usedIn());
            if (!users.contains(usedIn)) {
                users.add(usedIn);
            }
            return new WeighingLine(slug, name, a.grams() + b.grams(), users);
        });
    }
}
