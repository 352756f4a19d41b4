package org.zeststack.core.household;

/**
 * The system of kitchen measures a recipe is written in.
 *
 * <p>US customary: NIST Handbook 44, Appendix C. Imperial: Weights and Measures Act 1985 (UK), Schedule 1; its cup of half
 * a pint is common practice, no source. Metric spoons of 15 and 5 mL and the cup of 250 mL: common practice, no source.
 */
public enum Measures {
    US("US, cup of 236.6 mL", 236.588, 14.7868, 4.92892, 29.5735, 473.176),
    US_LEGAL("US food labels, cup of 240 mL", 240, 15, 5, 30, 473.176),
    METRIC("metric, cup of 250 mL", 250, 15, 5, 29.5735, 568.261),
    IMPERIAL("imperial, cup of 284.1 mL", 284.131, 17.7582, 5.91939, 28.4131, 568.261);

    /** Cup that the household weights of the store room are given for, mL. */
    static final double TABLE_CUP_ML = 236.588;

    static final double TABLE_SPOON_ML = 14.7868;
    static final double TABLE_TEASPOON_ML = 4.92892;

    private final String words;
    private final double cupMl;
    private final double tablespoonMl;
    private final double teaspoonMl;
    private final double fluidOunceMl;
    private final double pintMl;

    Measures(String words, double cupMl, double tablespoonMl, double teaspoonMl, double fluidOunceMl, double pintMl) {
        this.words = words;
        this.cupMl = cupMl;
        this.tablespoonMl = tablespoonMl;
        this.teaspoonMl = teaspoonMl;
        this.fluidOunceMl = fluidOunceMl;
        this.pintMl = pintMl;
    }

    public String words() {
        return words;
    }

    /** Millilitres of one {@code unit}; NaN for a unit that is no volume. */
    double millilitres(Unit unit) {
        return switch (unit) {
            case ML -> 1;
            case CL -> 10;
            case DL -> 100;
            case LITRE -> 1000;
            case CUP -> cupMl;
            case TABLESPOON -> tablespoonMl;
            case DESSERTSPOON -> 2 * teaspoonMl;
            case TEASPOON -> teaspoonMl;
            case FLUID_OUNCE -> fluidOunceMl;
            case GILL -> pintMl / 4;
            case PINT -> pintMl;
            case QUART -> 2 * pintMl;
            case GALLON -> 8 * pintMl;
            case PINCH -> teaspoonMl / 16;
            case DASH -> teaspoonMl / 8;
            case SMIDGEN -> teaspoonMl / 32;
            case DROP -> 0.05;
            default -> Double.NaN;
        };
    }
}
