package org.zeststack.core.bench;

/** How a piece came out. */
public enum PieceOutcome {
    GOOD("good"),
    REWORKED("reworked"),
    SECOND("second"),
    REJECTED("rejected");

    private final String words;

    PieceOutcome(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }

    /** Whether the piece counts towards the yield: good ones and those tidied up. */
    public boolean counts() {
        return this == GOOD || this == REWORKED;
    }
}
