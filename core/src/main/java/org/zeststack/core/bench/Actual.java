package org.zeststack.core.bench;

import java.util.Optional;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.sheet.BatchLine;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.core.typed.FormInput;

/**
 * What was really used of a line that goes in to effect.
 *
 * @param component key of the batch
 * @param ingredient slug or link of the line
 */
public record Actual(String component, String ingredient, double grams) implements EntryBody.OfPot {
    @Override
    public void check(Faults faults) {
        EntryBody.required(faults, "component", component);
        EntryBody.required(faults, "ingredient", ingredient);
        faults.within("actualGrams", grams, EntryBody.GRAMS);
    }

    static Optional<EntryBody> typed(TypedEntry typed) {
        FormInput form = typed.form();
        String component = form.text("component");
        String ingredient = form.text("ingredient");
        if (line(typed.sheet(), component, ingredient).isEmpty()) {
            form.add(Fault.of("actualGrams", ingredient, "This run has no such line."));
        }
        double grams = form.number("actualGrams", EntryBody.GRAMS);
        return form.build(() -> new Actual(component, ingredient, grams));
    }

    @Override
    public Optional<Fault> doubt(BenchState run, WeighingRules rules) {
        return line(run.sheet(), component, ingredient)
                .flatMap(l -> rules.apart("actualGrams", grams, l.grams(), l.mostGrams()));
    }

    private static Optional<BatchLine> line(RunSheet sheet, String component, String ingredient) {
        return sheet.pot(component).flatMap(f -> f.lines().stream()
                .filter(l -> l.ingredient().equals(ingredient))
                .findFirst());
    }
}
