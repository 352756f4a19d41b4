package org.zeststack.core.bench;

import org.zeststack.core.quantity.Faults;

/** Takes an earlier entry back; which one stands in the entry's {@code corrects}. */
public record Undo() implements EntryBody {
    @Override
    public void check(Faults faults) {
        // nothing of its own to check
    }
}
