package org.zeststack.core.sugar;

import java.util.ArrayList;
import java.util.List;
import org.hipparchus.special.Erf;

/**
 * What the ring gives a boiling pot, followed reading by reading.
 *
 * <p>In heat instead of kelvins a boiling pot goes straight: dh/dt = p + w, p the ring's heat and w its wander, which forgets itself
 * over {@link #WANDER_MINUTES} (an Ornstein–Uhlenbeck process). A Kalman filter (Kalman 1960) follows h, p and w; a reading that would be
 * very unlikely counts the less and at last not at all. Since hands turn the ring, several filters run beside each other, each of which
 * holds that it was turned at another time to another heat, or never, and that it wanders much or little; they are weighted by how
 * well they foresaw what came (Bayes), so that what is not known yet is wide and not sure. Only numbers of this pot and constants of our
 * own choice are in it; work for a reading does not grow with the length of the cook.
 */
final class HeatBank {

    private static final double WANDER_MINUTES = 1.5;
    /** Standard deviation of a ring's heat as it wanders, as a share: of a quiet one and of a poor one; the readings say which it is. */
    private static final double[] WANDER = {0.03, 0.1};
    /** A ring that gives so much more or less, as a share, was turned. */
    private static final double TURNED = 0.1;
    /** Standard deviation by which the ring's heat drifts in a minute, as a share. */
    private static final double DRIFT = 0.012;
    /** How little is known of the heat before the first reading, as a share. */
    private static final double UNKNOWN = 0.5;
    /** The same where it is known how the mass warmed, and how likely it is that the ring was left as it was then. */
    private static final double KNOWN = 0.12;

    private static final double SAME = 0.7;
    /** To about which shares of its heat a hand turns a ring, and by how much it differs from them, as a share. */
    private static final double[] TO = {0.65, 1.4};

    private static final double TURN = 0.3;
    /** How often rings are turned while a pot boils, a minute; more often near the stop. */
    private static final double TURNS_PER_MINUTE = 0.05;

    private static final double NEAR_TURNS_PER_MINUTE = 0.65;
    private static final double NEAR_KELVIN = 8;
    /** Variance by which the ring's share drifts in a minute that is still to come. */
    private static final double DRIFT_AHEAD = 0.0002;

    private static final double SPAWN_MINUTES = 1 / 3.0;
    private static final double YOUNG_MINUTES = 1.01;
    private static final int MOST = 12;
    /** Share of readings that are wild, and how far they spread, K. */
    private static final double WILD = 0.03;

    private static final double WILD_KELVIN = 30;
    /** Readings that agree for so long are not wild, whatever the filters hold. */
    private static final double LOST_MINUTES = 0.24;
    /** The heat curve itself is off by this, as a share: composition and models. */
    private static final double CURVE = 0.025;

    /** A filter that holds that the ring was turned last at a time. */
    private static final class Held {
        private final double since;
        private final double powerBefore;
        private final double[] x;
        private final double[][] v;
        private final double wander;
        private double log;

        private Held(double since, double powerBefore, double wander, double[] x, double[][] v, double log) {
            this.since = since;
            this.wander = wander;
            this.powerBefore = powerBefore;
            this.x = x;
            this.v = v;
            this.log = log;
        }

        /** The same, but turned to about such a share of its heat: what was known of that is not known of what it is now. */
        private Held turned(double minute, double to, double chance) {
            double power = to * x[1];
            double[][] wider = {
                {v[0][0], 0, v[0][2]}, {0, Math.pow(TURN * power, 2), 0}, {v[2][0], 0, v[2][2]},
            };
            return new Held(minute, x[1], wander, new double[] {x[0], power, x[2]}, wider, log + Math.log(chance));
        }

        private void forward(double minutes) {
            double a = Math.exp(-minutes / WANDER_MINUTES);
            double b = WANDER_MINUTES * (1 - a);
            x[0] += x[1] * minutes + x[2] * b;
            x[2] *= a;
            double[][] f = {{1, minutes, b}, {0, 1, 0}, {0, 0, a}};
            double[][] fv = product(f, v);
            for (int i = 0; i < 3; i++) {
                for (int j = 0; j < 3; j++) {
                    v[i][j] = fv[i][0] * f[j][0] + fv[i][1] * f[j][1] + fv[i][2] * f[j][2];
                }
            }
            double s2 = Math.pow(wander * x[1], 2);
            v[0][0] += s2 * wandered(minutes);
            v[0][2] += s2 * WANDER_MINUTES * (1 - a) * (1 - a);
            v[2][0] = v[0][2];
            v[2][2] += s2 * (1 - a * a);
            v[1][1] += Math.pow(DRIFT * x[1], 2) * minutes;
        }

        /** Takes a reading; gives how likely it is that it was a true one. */
        private double take(double heat, double variance, double wildDensity) {
            double s = v[0][0] + variance;
            double off = heat - x[0];
            double fits = (1 - WILD) * Math.exp(-off * off / (2 * s)) / Math.sqrt(2 * Math.PI * s);
            double wild = WILD * wildDensity;
            log += Math.log(fits + wild);
            double good = fits / (fits + wild);
            double[] gain = {good * v[0][0] / s, good * v[1][0] / s, good * v[2][0] / s};
            double[] row = v[0].clone();
            for (int i = 0; i < 3; i++) {
                x[i] += gain[i] * off;
                for (int j = 0; j < 3; j++) {
                    v[i][j] -= gain[i] * row[j];
                }
            }
            x[1] = Math.max(x[1], 1e-6);
            return good;
        }

        /** Mean and variance of the heat so many minutes ahead. */
        private double[] ahead(double minutes) {
            double b = WANDER_MINUTES * (1 - Math.exp(-minutes / WANDER_MINUTES));
            double mean = x[0] + x[1] * minutes + x[2] * b;
            double variance = v[0][0]
                    + v[1][1] * minutes * minutes
                    + v[2][2] * b * b
                    + 2 * (v[0][1] * minutes + v[0][2] * b + v[1][2] * minutes * b)
                    + Math.pow(wander * x[1], 2) * wandered(minutes)
                    + Math.pow(CURVE * x[1] * minutes, 2)
                    + DRIFT_AHEAD * Math.pow(x[1], 2) * minutes * minutes * minutes / 3;
            return new double[] {mean, variance};
        }
    }

    private final PotHeat heat;
    private final double shiftKelvin;
    private final double nearHeat;
    private List<Held> bank = new ArrayList<>();
    private double minute;
    private double spawned;
    private double lostSince = Double.NaN;
    private double lostHeat;
    private double log;
    private int lost;

    /**
     * A bank for a pot that boils.
     *
     * @param heat of the boiling mass
     * @param shiftKelvin what the thermometer is supposed to be off by, beyond what is known of it
     */
    HeatBank(PotHeat heat, double shiftKelvin, double stopCelsius) {
        this.heat = heat;
        nearHeat = heat.kilojoules(stopCelsius - NEAR_KELVIN);
        this.shiftKelvin = shiftKelvin;
    }

    /**
     * Begins.
     *
     * @param power kJ a minute that is likely for this pot
     */
    void begin(double atMinute, double celsius, double kelvin, double power, boolean warmed) {
        minute = atMinute;
        spawned = atMinute;
        double slope = heat.slope(celsius - shiftKelvin);
        double at = heat.kilojoules(celsius - shiftKelvin);
        for (double wander : WANDER) {
            double chance = 1.0 / WANDER.length;
            bank.add(began(at, 3 * kelvin * slope, power, wander, UNKNOWN, chance * (warmed ? 1 - SAME : 1)));
            if (warmed) {
                bank.add(began(at, 3 * kelvin * slope, power, wander, KNOWN, chance * SAME));
            }
        }
    }

    private static Held began(double at, double off, double power, double wander, double unknown, double chance) {
        double[][] v = {{off * off, 0, 0}, {0, Math.pow(unknown * power, 2), 0}, {0, 0, Math.pow(wander * power, 2)}};
        return new Held(Double.NaN, power, wander, new double[] {at, power, 0}, v, Math.log(chance));
    }

    /**
     * Takes a reading.
     *
     * @param kelvin its standard deviation
     * @return whether it was a wild one
     */
    boolean add(double atMinute, double celsius, double kelvin) {
        double step = Math.max(0, atMinute - minute);
        minute = Math.max(minute, atMinute);
        double at = heat.kilojoules(celsius - shiftKelvin);
        double slope = heat.slope(Math.max(celsius - shiftKelvin, expectedCelsius()));
        double variance = Math.pow(kelvin * slope, 2);
        Held best = null;
        double good = 0;
        for (Held held : bank) {
            held.forward(step);
            double fits = held.take(at, variance, 1 / (WILD_KELVIN * slope));
            if (best == null || held.log > best.log) {
                best = held;
                good = fits;
            }
        }
        boolean wild = good < 0.5;
        found(wild, at, variance, best);
        if (minute - spawned >= SPAWN_MINUTES) {
            double often = best.x[0] > nearHeat ? NEAR_TURNS_PER_MINUTE : TURNS_PER_MINUTE;
            turned(best, often * (minute - spawned));
        }
        prune();
        return wild;
    }

    /** A hand says that the ring was turned. */
    void turned(double atMinute) {
        minute = Math.max(minute, atMinute);
        turned(best(), 1);
    }

    private void turned(Held from, double chance) {
        spawned = minute;
        if (chance >= 1) {
            bank.clear();
        }
        for (double to : TO) {
            bank.add(from.turned(minute, to, chance / TO.length));
        }
    }

    /** When every filter calls one reading after another wild, it is the filters that are lost. */
    private void found(boolean wild, double at, double variance, Held best) {
        if (!wild) {
            lost = 0;
            lostSince = Double.NaN;
            return;
        }
        if (Double.isNaN(lostSince) || Math.abs(at - lostHeat) > 6 * Math.sqrt(variance)) {
            lostSince = minute;
            lost = 0;
        }
        lostHeat = at;
        lost++;
        if (lost >= 2 && minute - lostSince >= LOST_MINUTES) {
            Held again = best.turned(minute, 1, 1);
            again.x[0] = at;
            again.v[0] = new double[] {4 * variance, 0, 0};
            again.v[1][0] = 0;
            again.v[1][1] = Math.pow(UNKNOWN * again.x[1], 2);
            again.v[2][0] = 0;
            bank = new ArrayList<>(List.of(again));
            lost = 0;
            lostSince = Double.NaN;
        }
    }

    private void prune() {
        double greatest = best().log;
        bank.forEach(held -> held.log -= greatest);
        while (bank.size() > MOST) {
            Held least = null;
            for (Held held : bank) {
                boolean young = minute - held.since < YOUNG_MINUTES;
                if (!young && (least == null || held.log < least.log)) {
                    least = held;
                }
            }
            bank.remove(least == null ? bank.get(0) : least);
        }
        bank.removeIf(held -> held.log < -12 && !(minute - held.since < YOUNG_MINUTES));
    }

    private Held best() {
        Held best = bank.get(0);
        for (Held held : bank) {
            best = held.log > best.log ? held : best;
        }
        return best;
    }

    private double expectedCelsius() {
        return bank.isEmpty() ? Double.NEGATIVE_INFINITY : heat.celsiusAt(best().x[0]);
    }

    /** Chance that the pot has come to a heat so many minutes after its last reading. */
    double chance(double kilojoules, double minutes) {
        double all = 0;
        double come = 0;
        double greatest = best().log;
        for (Held held : bank) {
            double[] ahead = held.ahead(minutes);
            double weight = Math.exp(held.log - greatest);
            all += weight;
            come += weight * 0.5 * Erf.erfc((kilojoules - ahead[0]) / Math.sqrt(2 * ahead[1]));
        }
        return come / all;
    }

    /** Heat that the mass has taken up by the best filter, kJ. */
    double heat() {
        return best().x[0];
    }

    /** Heat of the best filter, kJ a minute. */
    double power() {
        return best().x[1];
    }

    /** When the ring was turned, by the filter that holds so and foresaw best; NaN where none did by far. */
    double turnedAt() {
        Held best = best();
        double others = 0;
        for (Held held : bank) {
            if (Double.isNaN(held.since)) {
                others += Math.exp(held.log - best.log);
            }
        }
        boolean sure = !Double.isNaN(best.since) && others < 0.2;
        return sure && Math.abs(best.x[1] / best.powerBefore - 1) > TURNED ? best.since : Double.NaN;
    }

    /** Variance of an integrated wander of variance 1 that is known at first. */
    private static double wandered(double minutes) {
        double a = minutes / WANDER_MINUTES;
        double e = Math.exp(-a);
        return WANDER_MINUTES * WANDER_MINUTES * Math.max(0, 2 * a - 3 + 4 * e - e * e);
    }

    private static double[][] product(double[][] f, double[][] v) {
        double[][] of = new double[3][3];
        for (int i = 0; i < 3; i++) {
            for (int j = 0; j < 3; j++) {
                of[i][j] = f[i][0] * v[0][j] + f[i][1] * v[1][j] + f[i][2] * v[2][j];
            }
        }
        return of;
    }
}
