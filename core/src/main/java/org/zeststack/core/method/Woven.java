package org.zeststack.core.method;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * A person's steps and the acts that the work cannot do without, as one list.
 *
 * <p>What the person wrote stands, in their order and words. An act of the usual list that no step of theirs does is put in behind
 * the act that comes before it there, with the steps by hand that follow it and that are not written already; an act on something that is no longer in the design is
 * left out.
 */
public final class Woven {

    private record Key(Act does, String part) {}

    private Woven() {}

    /**
     * One list of both.
     *
     * @param own what a person wrote; where nothing, the usual list stands
     * @param usual every act that is needed, once, in the order of the work, and usual steps by hand between them
     */
    public static List<MethodStep> of(List<MethodStep> own, List<MethodStep> usual) {
        if (own.isEmpty()) {
            return usual;
        }
        Set<Key> needed = new HashSet<>();
        usual.stream().filter(MethodStep::acts).forEach(s -> needed.add(key(s)));
        List<MethodStep> woven = new ArrayList<>();
        Set<Key> done = new HashSet<>();
        for (MethodStep step : own) {
            if (!step.acts() || needed.contains(key(step)) && done.add(key(step))) {
                woven.add(step);
            }
        }
        int at = 0;
        boolean putIn = false;
        for (MethodStep step : usual) {
            if (step.acts() && !done.contains(key(step))) {
                woven.add(at++, step);
                putIn = true;
            } else if (step.acts()) {
                at = place(woven, key(step)) + 1;
                putIn = false;
            } else if (at < woven.size() && woven.get(at).equals(step)) {
                at++;
            } else if (putIn && !woven.contains(step)) {
                woven.add(at++, step);
            }
        }
        return List.copyOf(woven);
    }

    private static int place(List<MethodStep> woven, Key key) {
        int at = 0;
        while (!key(woven.get(at)).equals(key)) {
            at++;
        }
        return at;
    }

    private static Key key(MethodStep step) {
        return new Key(step.does(), step.part());
    }
}
