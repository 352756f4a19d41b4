package org.zeststack.core.sheet;

/**
 * Where what is laid ends up, in grams.
 *
 * @param pieces in the pieces to make
 * @param offcuts trimmed off, lost in the kerf, left over, or landed beside the piece
 * @param spare in pieces beyond those to make
 * @param kept what brush, gun, bag or tray keeps
 */
public record Deposit(double pieces, double offcuts, double spare, double kept) {

    public static final Deposit NOTHING = new Deposit(0, 0, 0);

    public Deposit(double pieces, double offcuts, double spare) {
        this(pieces, offcuts, spare, 0);
    }

    public double total() {
        return pieces + offcuts + spare + kept;
    }

    public Deposit plus(Deposit other) {
        return new Deposit(pieces + other.pieces, offcuts + other.offcuts, spare + other.spare, kept + other.kept);
    }

    public Deposit times(double share) {
        return new Deposit(pieces * share, offcuts * share, spare * share, kept * share);
    }
}
