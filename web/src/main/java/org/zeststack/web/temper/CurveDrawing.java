package org.zeststack.web.temper;

import static org.zeststack.core.quantity.Numbers.fixed;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.zeststack.core.temper.CoolingCurve;

/**
 * A cooling curve drawn: the readings, the tangent where it is held up, and its slope over time with the band that counts as flat.
 *
 * @param curve path of the readings
 * @param tangent path of the slope at the inflection
 * @param x of the inflection
 * @param y of the inflection
 * @param slopes path of the slope over time
 * @param flatTop upper edge of the band that counts as flat
 * @param flatHeight of that band
 * @param degrees marks of the temperature
 * @param minutes marks of the time
 */
record CurveDrawing(
        String curve,
        String tangent,
        double x,
        double y,
        String slopes,
        double flatTop,
        double flatHeight,
        List<Mark> degrees,
        List<Mark> minutes) {

    static final int WIDTH = 720;
    static final int HEIGHT = 260;
    static final int SLOPE_HEIGHT = 110;
    private static final double MINUTE = 60;
    private static final double TANGENT_SHARE = 0.12;
    private static final double MOST_SLOPE = 6;

    /** A mark on an axis. */
    record Mark(double at, String words) {}

    static CurveDrawing of(Map<Double, Double> readings, CoolingCurve of) {
        TreeMap<Double, Double> sorted = new TreeMap<>(readings);
        double from = sorted.firstKey();
        double span = sorted.lastKey() - from;
        double least = Math.floor(sorted.values().stream().min(Double::compare).orElseThrow());
        double greatest =
                Math.ceil(sorted.values().stream().max(Double::compare).orElseThrow());
        Scale x = new Scale(from, from + span, 0, WIDTH);
        Scale y = new Scale(least, greatest, HEIGHT, 0);
        Scale slope = new Scale(-MOST_SLOPE, MOST_SLOPE, SLOPE_HEIGHT, 0);
        List<double[]> points = new ArrayList<>();
        sorted.forEach((second, celsius) -> points.add(new double[] {x.at(second), y.at(celsius)}));
        List<double[]> slopes = of.slopes().stream()
                .map(s -> new double[] {
                    x.at(s.seconds()), slope.at(Math.max(-MOST_SLOPE, Math.min(MOST_SLOPE, s.kelvinPerMinute())))
                })
                .toList();
        double half = TANGENT_SHARE * span;
        double rise = of.slopeKelvinPerMinute() / MINUTE * half;
        double at = of.inflectionSeconds();
        double[] left = {x.at(at - half), y.at(of.inflectionCelsius() - rise)};
        double[] right = {x.at(at + half), y.at(of.inflectionCelsius() + rise)};
        double flat = CoolingCurve.FLAT_KELVIN_PER_MINUTE;
        return new CurveDrawing(
                path(points),
                path(List.of(left, right)),
                x.at(at),
                y.at(of.inflectionCelsius()),
                path(slopes),
                slope.at(flat),
                slope.at(-flat) - slope.at(flat),
                marks(y, least, greatest, greatest - least > 12 ? 5 : 2, 1, " °C"),
                marks(x, 0, span, span > 600 ? 2 * MINUTE : MINUTE, MINUTE, " min", from));
    }

    private record Scale(double from, double to, double low, double high) {
        double at(double value) {
            return low + (high - low) * (value - from) / Math.max(1e-9, to - from);
        }
    }

    private static List<Mark> marks(Scale scale, double from, double to, double step, double unit, String words) {
        return marks(scale, from, to, step, unit, words, 0);
    }

    private static List<Mark> marks(
            Scale scale, double from, double to, double step, double unit, String words, double zero) {
        List<Mark> marks = new ArrayList<>();
        for (double at = Math.ceil(from / step) * step; at <= to; at += step) {
            marks.add(new Mark(scale.at(zero + at), fixed(at / unit, 0) + words));
        }
        return marks;
    }

    private static String path(List<double[]> points) {
        StringBuilder path = new StringBuilder();
        for (double[] point : points) {
            path.append(path.isEmpty() ? "M" : "L")
                    .append(fixed(point[0], 1))
                    .append(' ')
                    .append(fixed(point[1], 1));
        }
        return path.toString();
    }
}
