package org.zeststack.core.ingredient;

/**
 * Whether a thing has pores of its own, as what is baked, puffed, foamed or freeze-dried has, and how dense a piece of it is with
 * them: that is what it weighs and what it displaces.
 *
 * @param porous whether it has pores
 * @param gramsPerMl density of a piece with its pores; 0 where it is not known, or where there are none
 */
public record Bulk(boolean porous, double gramsPerMl) {

    /** As dense as what it is made of. */
    public static final Bulk MASSIVE = new Bulk(false, 0);

    /** Porous, and nobody has said how much. */
    public static final Bulk UNKNOWN = new Bulk(true, 0);

    public static Bulk of(double gramsPerMl) {
        return new Bulk(true, gramsPerMl);
    }

    public boolean known() {
        return !porous || gramsPerMl > 0;
    }
}
