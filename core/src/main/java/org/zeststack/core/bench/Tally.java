package org.zeststack.core.bench;

import java.util.Optional;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.sheet.Carriers;
import org.zeststack.core.typed.FormInput;

/**
 * Pieces counted.
 *
 * @param reason what is wrong with them; empty for good ones
 */
public record Tally(PieceOutcome outcome, int pieces, String reason) implements EntryBody {
    @Override
    public void check(Faults faults) {
        if (outcome == null) {
            faults.add(Fault.of("outcome", "", "Choose good, reworked, second or rejected."));
        } else if (outcome != PieceOutcome.GOOD && (reason == null || reason.isBlank())) {
            faults.add(Fault.of("reason", "", "Say what is wrong with these pieces."));
        }
        faults.within("pieces", pieces, EntryBody.PIECES);
        EntryBody.notTooLong(faults, "reason", reason);
    }

    static Optional<EntryBody> typed(TypedEntry typed) {
        FormInput form = typed.form();
        PieceOutcome outcome = form.choice("outcome", PieceOutcome.class);
        int pieces = form.whole("pieces", EntryBody.PIECES);
        String reason = form.text("reason").strip();
        return form.build(() -> new Tally(outcome, pieces, reason));
    }

    /** More pieces than can have been made. */
    @Override
    public Optional<Fault> doubt(BenchState run, WeighingRules rules) {
        Carriers carriers = run.sheet().carriers();
        int made = Math.max(run.sheet().pieces().toMake() + carriers.spare(), carriers.fills() * carriers.cavities());
        int counted = run.pieces().countedInAll() + pieces;
        return counted <= made
                ? Optional.empty()
                : WeighingRules.ask(
                        "pieces",
                        pieces,
                        "%d would be counted in all; %d can have been made.".formatted(counted, made));
    }
}
