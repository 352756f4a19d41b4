package org.zeststack.core.rehearse;

import java.util.List;

/** Something to practise on: what hands do is taken in order of time, and when all is done it is marked. */
public sealed interface Practice permits Rehearsal, BowlRehearsal {

    /** What was looked at, whether it was right, and why. */
    record Mark(String what, boolean good, String reason) {}

    String title();

    String task();

    /**
     * Lets time pass to a second of its own; what lies before the last one is that one.
     *
     * @return whether it was over by then
     */
    boolean upTo(double second);

    /** Somebody does something, not before the last deed; nothing once it is over, and nothing that this one does not have. */
    void does(Deed deed);

    boolean over();

    /** Whoever rehearses says that it is done. */
    void end();

    double minutes();

    /** What is said of it once it is over. */
    List<Mark> marks();
}
