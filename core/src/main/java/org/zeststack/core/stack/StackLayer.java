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
 * @param laidGrams what is laid for one piece, with its share of off-cuts, of what lands beside it and of what breaks
 * @param window grams that still leave a good piece; the mass itself at both ends where nothing bounds it
 * @param perSheet how many one sheet of its own gives; 0 where it is not cut from one
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
        FillWindow window,
        int perSheet) {

    /** A layer that is not cut from a sheet of its own. */
    StackLayer(
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
        this(index, key, design, material, fromMm, toMm, thicknessMm, volumeMl, grams, laidGrams, window, 0);
    }

    public LayerKind kind() {
        return design.kind();
    }

    public String name() {
        return material.name();
    }

    /** Whether it lies in a stack of discs, counted from 1 at the bottom. */
    public boolean inStack(int number) {
        return design.handling().level() == 0 || design.handling().level() == number;
    }

    /** Which colour and hatch draws it. */
    public String pattern() {
        return material.pattern();
    }

    /** The same, reaching down to another height. */
    StackLayer from(double otherMm) {
        return new StackLayer(
                index, key, design, material, otherMm, toMm, thicknessMm, volumeMl, grams, laidGrams, window, perSheet);
    }

    /** The same, so many times as much laid for what stays. */
    StackLayer laid(double share) {
        return part(1, share, window);
    }

    /** The same, cut from sheets that give so many, with what is left of them and what breaks. */
    StackLayer cutFrom(int pieces, double share) {
        double spare = 1 - design.handling().spareFraction();
        return new StackLayer(
                index,
                key,
                design,
                material,
                fromMm,
                toMm,
                thicknessMm,
                volumeMl,
                grams,
                laidGrams * share / spare,
                window,
                pieces);
    }

    /**
     * What stays of it.
     *
     * @param share of volume and mass
     * @param laidShare of what is laid for it
     */
    StackLayer part(double share, double laidShare, FillWindow other) {
        return new StackLayer(
                index,
                key,
                design,
                material,
                fromMm,
                toMm,
                thicknessMm,
                volumeMl * share,
                grams * share,
                laidGrams * laidShare,
                other,
                perSheet);
    }

    /** The same layer in another stack or half of the piece; it is told where it lies here. */
    StackLayer plus(StackLayer other) {
        FillWindow both = new FillWindow(
                window.leastGrams() + other.window.leastGrams(),
                window.targetGrams() + other.window.targetGrams(),
                window.greatestGrams() + other.window.greatestGrams());
        return new StackLayer(
                index,
                key,
                design,
                material,
                fromMm,
                toMm,
                thicknessMm,
                volumeMl + other.volumeMl,
                grams + other.grams,
                laidGrams + other.laidGrams,
                both,
                perSheet);
    }
}
