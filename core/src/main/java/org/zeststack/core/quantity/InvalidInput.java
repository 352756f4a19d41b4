package org.zeststack.core.quantity;

import java.util.List;
import java.util.stream.Collectors;

/** Input that a person can put right; carries every fault found. */
public final class InvalidInput extends IllegalArgumentException {

    private final transient List<Fault> faults;

    public InvalidInput(List<Fault> faults) {
        super(faults.stream()
                .map(f -> f.field().isEmpty() ? f.message() : f.field() + ": " + f.message())
                .collect(Collectors.joining(" ")));
        this.faults = List.copyOf(faults);
    }

    public InvalidInput(Fault fault) {
        this(List.of(fault));
    }

    public List<Fault> faults() {
        return faults;
    }
}
