package org.zeststack.core.bench;

import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Faults;

/**
 * What a newer release of the program wrote down: it stands in the log and counts for nothing here.
 *
 * @param kind its name there
 */
public record FromNewer(String kind) implements EntryBody {
    @Override
    public void check(Faults faults) {
        faults.add(Fault.of("kind", kind, "Only a newer release writes this down."));
    }
}
