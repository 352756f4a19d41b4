package org.zeststack.store.rule;

import java.util.Optional;
import org.zeststack.core.rule.Bound;
import org.zeststack.core.rule.Bounds;
import org.zeststack.store.Stamp;

/** Keeps a workshop's own figures for bounds. Saves throw {@link org.zeststack.store.StaleEdit}. */
public interface OwnBounds {

    /**
     * A workshop's own figures for a bound.
     *
     * @param why what the workshop knows better
     */
    record Own(String code, Bound.Figures figures, String why, int lock, Stamp stamp) {}

    /** What is judged by now, for computing; see {@link org.zeststack.store.Trusted}. */
    Bounds bounds();

    Optional<Own> find(String code);

    /** Sets a bound for the first time; fails as stale where somebody has set it meanwhile. */
    void add(String code, Bound.Figures figures, String why, Stamp stamp);

    void save(String code, Bound.Figures figures, String why, int lock, Stamp stamp);

    /** Goes back to the shipped figures. */
    void remove(String code, int lock);
}
