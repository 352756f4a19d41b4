package org.zeststack.app.bar;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.Body;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.stack.BarStack;
import org.zeststack.core.typed.FormInput;
import org.zeststack.core.workshop.Mould;
import org.zeststack.store.Saved;

/** Assembles a bar from the same fields that its page has; for programs. */
@Component
public class Assembling {

    private final BarFields fields;
    private final BarWorkings workings;

    Assembling(BarFields fields, BarWorkings workings) {
        this.fields = fields;
        this.workings = workings;
    }

    /**
     * Reads and computes a bar.
     *
     * @param mould in its place a mould that is not the workshop's; empty to look it up
     * @throws InvalidInput with every fault, under the names that the page's form has
     */
    public BarStack assemble(Map<String, String> typed, Optional<Mould> mould) {
        FormInput form = FormInput.of(typed);
        Optional<BarFields.Read> read = fields.read(form);
        if (read.isEmpty()) {
            throw new InvalidInput(form.faults());
        }
        Bar bar = read.get().bar();
        try {
            return mould.isPresent() && bar.body() instanceof Body.Moulded
                    ? workings.work(bar, new Saved<>(0, "", mould.get(), 0, null))
                            .stack()
                    : workings.work(bar).stack();
        } catch (InvalidInput input) {
            List<Fault> faults = input.faults().stream()
                    .map(f -> BarFields.atField(f, read.get().rows()))
                    .toList();
            throw new InvalidInput(faults);
        }
    }
}
