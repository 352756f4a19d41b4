package org.zeststack.core.sheet;

import org.zeststack.core.component.Component;

/** A plain ingredient that is laid as it is: inserts, inclusions, toppings, decoration. */
public record LaidBatch(String key, String name, Deposit deposit) {

    /** What it is in the store room. */
    public String slug() {
        return Component.laid(key).orElseThrow().slug();
    }
}
