package org.zeststack.core.rehearse;

/**
 * Something that whoever rehearses does.
 *
 * @param second of the rehearsal's own time
 * @param pot number of the pot; 0 where it is the whisk or the thermometer
 * @param amount share of the ring's heat or of the whisk's speed, or grams of water; 0 where none is asked
 */
public record Deed(double second, What what, int pot, double amount) {

    /** What may be done. */
    public enum What {
        /** The ring is lit or set to a share of its heat. */
        RING,
        OFF,
        /** Hot water goes into the pot. */
        WATER,
        /** The thermometer is held into boiling water. */
        CHECK,
        /** The whisk is set to a share of its speed. */
        WHISK,
        /** What is in the pot is poured onto the whites. */
        POUR,
        /** The bowl is warmed: 1 to melt, a tenth gently. */
        HEAT,
        /** A burst at half power. */
        BURST,
        /** From 0, left alone, to 1. */
        STIR,
        /** Grams of grated seed. */
        SEED,
        /** What is solid comes out. */
        LIFT,
        /** The bowl is set over ice water, or with 0 taken off it. */
        BATH,
        /** The slab's part is poured on it. */
        SLAB,
        /** They come back into the bowl. */
        BACK,
        /** A dip on paper. */
        PROOF
    }
}
