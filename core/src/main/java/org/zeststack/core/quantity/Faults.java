package org.zeststack.core.quantity;

import java.util.ArrayList;
import java.util.List;

/** Collects faults so that all are told together. */
public final class Faults {

    private final List<Fault> found = new ArrayList<>();

    /** Notes a fault if {@code amount} is not inside {@code range}. Returns whether it was inside. */
    public boolean within(String field, double amount, Range range) {
        if (range.holds(amount)) {
            return true;
        }
        found.add(Fault.outside(field, Numbers.plain(amount), range));
        return false;
    }

    public void add(Fault fault) {
        found.add(fault);
    }

    public boolean isEmpty() {
        return found.isEmpty();
    }

    public List<Fault> list() {
        return List.copyOf(found);
    }

    /** Throws all faults together if there are any. */
    public void throwIfAny() {
        if (!found.isEmpty()) {
            throw new InvalidInput(found);
        }
    }
}
