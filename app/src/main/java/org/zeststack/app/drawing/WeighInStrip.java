package org.zeststack.app.drawing;

import java.util.ArrayList;
import java.util.List;
import org.zeststack.core.weighing.FillWindow;

/**
 * Weigh-ins as dots against their window, in a box of 100 × 16: the window is the band from 4 to 12.
 *
 * @param targetY where the target lies
 */
public record WeighInStrip(double targetY, List<Dot> dots) {

    private static final double TOP = 4;
    private static final double BOTTOM = 12;
    private static final double EDGE = 1.2;

    /**
     * One weigh-in.
     *
     * @param inside whether it lies in the window
     */
    public record Dot(double x, double y, boolean inside) {}

    public static WeighInStrip of(List<Double> grams, FillWindow window) {
        List<Dot> dots = new ArrayList<>();
        for (int i = 0; i < grams.size(); i++) {
            double x = (i + 1) * 100.0 / (grams.size() + 1);
            double y = Math.max(EDGE, Math.min(TOP + BOTTOM - EDGE, y(grams.get(i), window)));
            dots.add(new Dot(x, y, window.place(grams.get(i)) == FillWindow.Place.INSIDE));
        }
        return new WeighInStrip(y(window.targetGrams(), window), dots);
    }

    private static double y(double grams, FillWindow window) {
        double span = window.greatestGrams() - window.leastGrams();
        return span <= 0 ? (TOP + BOTTOM) / 2 : BOTTOM - (BOTTOM - TOP) * (grams - window.leastGrams()) / span;
    }
}
