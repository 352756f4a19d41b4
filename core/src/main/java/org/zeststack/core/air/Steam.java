package org.zeststack.core.air;

import org.hipparchus.analysis.solvers.BrentSolver;
import org.zeststack.core.quantity.Range;
import org.zeststack.core.quantity.Refusal;

/**
 * Saturation pressure of water, IAPWS (Wagner and Pruss 1993; constants from memory, checked in a test against a
 * steam-table library): ln(p/pc) = Tc/T · Σ aᵢ τ^nᵢ, τ = 1 − T/Tc, exponents 1, 1.5, 3, 3.5, 4, 7.5.
 */
public final class Steam {

    /** Temperatures the equation is used for here. */
    public static final Range CELSIUS = new Range(0.01, 370, "°C");

    private static final double CRITICAL_KELVIN = 647.096;
    private static final double CRITICAL_KPA = 22064;
    private static final double[] A = {-7.85951783, 1.84408259, -11.7866497, 22.6807411, -15.9618719, 1.80122502};
    private static final double[] N = {1, 1.5, 3, 3.5, 4, 7.5};

    private Steam() {}

    /**
     * Saturation pressure in kPa.
     *
     * @param celsius 0.01 to 370 °C
     * @throws Refusal outside that range
     */
    public static double saturationKpa(double celsius) {
        if (!CELSIUS.holds(celsius)) {
            throw new Refusal("No steam pressure for " + celsius + " °C: the equation covers " + CELSIUS.inWords());
        }
        double kelvin = celsius + 273.15;
        double tau = 1 - kelvin / CRITICAL_KELVIN;
        double sum = 0;
        for (int i = 0; i < A.length; i++) {
            sum += A[i] * Math.pow(tau, N[i]);
        }
        return CRITICAL_KPA * Math.exp(CRITICAL_KELVIN / kelvin * sum);
    }

    /**
     * The temperature at which pure water boils under a pressure, to 1e−9 K.
     *
     * @param pressureKpa 0.7 to 20000 kPa
     */
    public static double boilingCelsius(double pressureKpa) {
        if (!(pressureKpa >= 0.7 && pressureKpa <= 20000)) {
            throw new Refusal("No boiling point of water under " + pressureKpa + " kPa");
        }
        return new BrentSolver(1e-9)
                .solve(100, t -> saturationKpa(t) - pressureKpa, CELSIUS.least(), CELSIUS.greatest());
    }
}
