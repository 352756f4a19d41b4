package org.zeststack.core.method;

/**
 * One step of a method.
 *
 * @param action what the hands do, verb first
 * @param cue what ends it: a reading, minutes, a look, a feel
 * @param caution a short caution at this step; empty where none
 */
public record MethodStep(String action, String cue, String caution) {

    public MethodStep {
        action = action == null ? "" : action;
        cue = cue == null ? "" : cue;
        caution = caution == null ? "" : caution;
    }
}
