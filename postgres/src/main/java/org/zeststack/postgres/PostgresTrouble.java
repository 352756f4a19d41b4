package org.zeststack.postgres;

/** The private PostgreSQL cannot be had; the message says what to do about it. */
public final class PostgresTrouble extends RuntimeException {

    public PostgresTrouble(String message) {
        super(message);
    }

    public PostgresTrouble(String message, Throwable cause) {
        super(message, cause);
    }
}
