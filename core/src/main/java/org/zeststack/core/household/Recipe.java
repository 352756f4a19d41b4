package org.zeststack.core.household;

import java.util.List;

/**
 * A pasted recipe taken apart. Every line of the text is in exactly one of title, sections' lines, steps and rest.
 *
 * @param title empty where none was found
 * @param lines ingredient lines, in order
 * @param steps method, cut into steps
 * @param stopCelsius reading at which the pot is taken off, the last of its program; null where none is written
 * @param yields what the recipe says it gives; empty where it says nothing
 * @param rest lines that are neither: shown, not dropped
 * @param questions what the method leaves open
 */
public record Recipe(
        String title,
        List<Line> lines,
        List<Step> steps,
        Double stopCelsius,
        String yields,
        List<String> rest,
        List<String> questions) {

    /**
     * An ingredient line.
     *
     * @param section heading it stands under; empty where none
     * @param place where the method puts it; null where it does not say
     */
    public record Line(String section, HouseholdLine read, Place place) {

        Line(String section, HouseholdLine read) {
            this(section, read, null);
        }
    }

    /** Where a line goes in. */
    public enum Where {
        POT,
        /** Into the pot while it cooks. */
        POURED,
        SECOND_POT,
        OFF_HEAT
    }

    /**
     * Where the method puts a line.
     *
     * @param step number of the step, from 0; negative where it is at the start
     */
    public record Place(Where where, int step) {}

    /** What a step does to the pot. */
    public enum Doing {
        HAND,
        COOK,
        POUR,
        SECOND_POT
    }

    /**
     * One step.
     *
     * @param action what to do
     * @param cue readings, minutes and looks that end it; empty where none is written
     * @param restMinutes a wait written into the step; null where none
     * @param does to the pot
     */
    public record Step(String action, String cue, Double restMinutes, Doing does) {}
}
