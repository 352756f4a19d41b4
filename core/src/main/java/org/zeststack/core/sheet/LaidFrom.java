package org.zeststack.core.sheet;

import java.util.Optional;
import org.zeststack.core.bar.Technique;

/**
 * From what a layer is laid, and how.
 *
 * @param component key of the component it is laid from
 * @param mixed what is mixed into it by itself; empty where nothing is
 * @param technique how it is brought on; empty where not said
 */
public record LaidFrom(String component, Optional<Mixed> mixed, Optional<Technique> technique) {

    /**
     * What is mixed into a layer.
     *
     * @param component its key
     * @param fraction share of the layer's mass that is that
     */
    public record Mixed(String component, double fraction) {}

    /** Share of its mass that is of a component. */
    public double shareOf(String key) {
        double others = mixed.map(Mixed::fraction).orElse(0.0);
        return (component.equals(key) ? 1 - others : 0)
                + mixed.filter(m -> m.component().equals(key))
                        .map(Mixed::fraction)
                        .orElse(0.0);
    }

    /** Whether a component goes into it, mixed in or not. */
    public boolean takes(String key) {
        return component.equals(key)
                || mixed.filter(m -> m.component().equals(key)).isPresent();
    }
}
