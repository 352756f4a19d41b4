package org.zeststack.core.sheet;

import org.zeststack.core.method.MethodStep;

/**
 * One step of the bench.
 *
 * @param id unique in this sheet
 * @param component key of the component it works on; empty where none
 * @param layer key of the layer it lays; empty where none
 * @param title what is done, in a few words
 * @param detail the figures of this run
 * @param how the step of the method; without words on sheets of before methods were worked
 */
public record BenchStep(
        String id,
        StepKind kind,
        String component,
        String layer,
        String title,
        String detail,
        String caution,
        MethodStep how) {}
