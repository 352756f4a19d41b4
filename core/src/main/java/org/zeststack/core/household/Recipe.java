package org.zeststack.core.household;

import java.util.List;

/**
 * A pasted recipe taken apart. Every line of the text is in exactly one of title, sections' lines, steps and rest.
 *
 * @param title empty where none was found
 * @param lines ingredient lines, in order
 * @param steps method, cut into steps
 * @param stopCelsius reading at which the pot seems to be taken off; null where none is written
 * @param yields what the recipe says it gives; empty where it says nothing
 * @param rest lines that are neither: shown, not dropped
 */
public record Recipe(
        String title, List<Line> lines, List<Step> steps, Double stopCelsius, String yields, List<String> rest) {

    /**
     * An ingredient line.
     *
     * @param section heading it stands under; empty where none
     */
    public record Line(String section, HouseholdLine read) {}

    /**
     * One step.
     *
     * @param action what to do
     * @param cue readings, minutes and looks that end it; empty where none is written
     * @param restMinutes a wait written into the step; null where none
     */
    public record Step(String action, String cue, Double restMinutes) {}
}
