package org.zeststack.core.temper;

/** How couverture is brought into temper. */
public enum Method {
    SEED("seed"),
    SLAB("slab"),
    BATH("cold bath"),
    PARTIAL("partial melt"),
    PREPARED_SEED("prepared seed");

    private final String words;

    Method(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }

    /** Whether it is cooled below its working window and warmed up again. */
    public boolean rewarms() {
        return this == SLAB || this == BATH;
    }
}
