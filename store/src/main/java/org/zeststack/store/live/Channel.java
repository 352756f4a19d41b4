package org.zeststack.store.live;

/** The channel that carries only the run and its newest sequence number; what happened is reread from the tables. */
public final class Channel {

    public static final String NAME = "zest_run";

    private Channel() {}

    public static String message(long run, long sequence) {
        return run + " " + sequence;
    }

    static long run(String message) {
        return Long.parseLong(message.substring(0, message.indexOf(' ')));
    }
}
