package org.zeststack.store.workshop;

import java.util.List;
import java.util.Map;
import org.zeststack.store.Saved;
import org.zeststack.store.Stamp;

/** What is put aside: lists and choices leave it out, what was made with it still finds it. */
public interface Aside {

    /** What can be put aside, beside designs and people. */
    enum Kind {
        MOULD,
        VESSEL,
        THERMOMETER,
        LINE,
        LOT
    }

    /** Puts one aside, or brings it back. Done twice it is done once. */
    void put(Kind kind, long id, boolean aside, Stamp stamp);

    /** Who put aside what of a kind, and when, by its id. */
    Map<Long, Stamp> of(Kind kind);

    /** Equipment of a kind without what is put aside. */
    default <T> List<Saved<T>> inUse(Kind kind, List<Saved<T>> all) {
        Map<Long, Stamp> put = of(kind);
        return all.stream().filter(e -> !put.containsKey(e.id())).toList();
    }
}
