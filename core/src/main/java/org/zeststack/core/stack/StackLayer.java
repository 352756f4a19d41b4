package org.zeststack.core.stack;

import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.weighing.FillWindow;

/**
 * One layer of a bar computed, for one piece.
 *
 * @param index place in the design's list
 * @param key stable within the bar: {@code shell}, {@code back}, {@code filling-1} …
 * @param design as designed
 * @param fromMm lower level; heights count from the cavity's floor or from the table
 * @param toMm upper level
 * @param thicknessMm of a level layer or a coat; 0 for what is strewn or sprayed
 * @param laidGrams what is laid for one piece, with its share of off-cuts
 * @param window grams that still leave a good piece; the mass itself at both ends where nothing bounds it
 */
public record StackLayer(
        int index,
        String key,
        BarLayer design,
        Material material,
        double fromMm,
        double toMm,
        double thicknessMm,
        double volumeMl,
        double grams,
        double laidGrams,
        FillWindow window) {

    public LayerKind kind() {
        return design.kind();
    }

    public String name() {
        return material.name();
    }

    /** Which colour and hatch draws it. */
    public String pattern() {
        return material.pattern();
    }

    /** The same, reaching down to another height. */
    StackLayer from(double otherMm) {
        return new StackLayer(
                index, key, design, material, otherMm, toMm, thicknessMm, volumeMl, grams, laidGrams, window);
    }

    /** The same, laid on more than the piece itself. */
    StackLayer laid(double share) {
        return new StackLayer(
                index, key, design, material, fromMm, toMm, thicknessMm, volumeMl, grams, grams * share, window);
    }

    /** The same layer counted several times in a piece. */
    StackLayer times(int count) {
        return new StackLayer(
                index,
                key,
                design,
                material,
                fromMm,
                toMm,
                thicknessMm,
                count * volumeMl,
                count * grams,
                count * laidGrams,
                window.times(count));
    }
}
