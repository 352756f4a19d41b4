package org.zeststack.store.people;

/** What a person may do. */
public enum Role {
    /** Everything. */
    OWNER("owner"),
    /** Carries out runs; changes no designs, sees no people. */
    BENCH("bench"),
    /** Looks. */
    VIEWER("viewer");

    private final String words;

    Role(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
