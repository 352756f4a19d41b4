package org.zeststack.core.formula;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.explain.Working;
import org.zeststack.core.quantity.Measure;
import org.zeststack.core.quantity.Range;
import org.zeststack.core.quantity.Refusal;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.sugar.Foam;

/**
 * A formula multiplied, through what cooking, baking and handling take away, and shared out to pots and bowls.
 *
 * <p>Usable mass = finished mass × (1 − handling loss): what reaches cavity, frame, tray or another formula. The finished mass
 * follows from the same balance at every scale, since composition and stop are the same; where a cook ends by eye it is the least
 * that its moisture leaves, so that it is enough. So factor = usable wanted / (least finished mass of the formula × (1 − loss)).
 *
 * @param factor multiplies every line that is not counted in pieces
 * @param lines scaled lines, for one batch as weighed and for all
 * @param pouredGrams everything weighed out
 * @param cookedGrams finished mass, the least where it ends by eye
 * @param mostCookedGrams the most it may come to
 * @param usableGrams what surely reaches cavity, frame, tray or another formula
 * @param pots pots that the mass wants
 * @param bowls fillings of the mixer bowl that it wants
 * @param batches equal batches to make, the greater of the two
 * @param roundingGrams what rounding to the scale adds to or takes from everything weighed out
 * @param worstRounding greatest share by which one line was rounded
 * @param whole what making counted pieces whole did to the rest; empty where it did nothing
 * @param why the arithmetic
 */
public record Scaling(
        double factor,
        List<Line> lines,
        double pouredGrams,
        double cookedGrams,
        double mostCookedGrams,
        double usableGrams,
        int pots,
        int bowls,
        int batches,
        double roundingGrams,
        double worstRounding,
        Optional<WholePieces> whole,
        Working why) {

    public static final Range FACTOR = new Range(0.0001, 10_000, "");
    public static final Range WANT_GRAMS = new Range(0.1, 10_000_000, "g");
    public static final Range CAPACITY_LITRES = new Range(0.1, 1000, "L");
    public static final Range RESOLUTION_GRAMS = new Range(0.001, 100, "g");

    /** Share of a batch that making a piece whole may add or take. */
    private static final double MOST_OFF = 0.05;

    /** Share by which the most and the least must differ to be worth two figures. */
    private static final double SPREAD = 0.001;

    static final double MOST_BOWL = 0.85;

    /**
     * One scaled line.
     *
     * @param index of the formula's line
     * @param grams exact, all batches together
     * @param weighedGrams for one batch, rounded to the scale
     * @param pieces pieces, all batches together, whole but in the smallest batches; null where nothing is counted
     */
    public record Line(int index, String ingredient, double grams, double weighedGrams, Double pieces) {}

    /**
     * Counted pieces that were made whole.
     *
     * @param grams of whole pieces
     * @param insteadOfGrams what the factor alone would ask for
     * @param restFactor what the other lines are multiplied by instead of the factor
     */
    public record WholePieces(double grams, double insteadOfGrams, double restFactor) {

        /** Grams below which nobody notices. */
        private static final double UNSEEN = 0.05;

        /** In words, for whoever weighs. */
        public String words(double factor) {
            return "Whole pieces: %s of them instead of %s, so everything else is multiplied by %s instead of %s."
                    .formatted(
                            Say.grams(grams, 1),
                            Say.grams(insteadOfGrams, 1),
                            Say.number(restFactor, 4),
                            Say.number(factor, 4));
        }
    }

    /**
     * What the masses must fit into.
     *
     * @param potLitres capacity of one pot; null where it does not matter
     * @param bowlLitres capacity of one mixer bowl; null where it does not matter
     * @param resolutionGrams smallest step of the scale
     */
    public record Limits(Double potLitres, Double bowlLitres, double resolutionGrams) {

        public static final Limits NONE = new Limits(null, null, 0.1);
    }

    /** The factor that leaves {@code usableGrams} usable. */
    public static double factorForUsable(Formula formula, FormulaBalance balance, double usableGrams) {
        if (!balance.moistureKnown()) {
            throw new Refusal("It ends by eye and its moisture is not known, so the finished mass is not either: scale "
                    + "by factor or ingredient, or write the moisture it usually has.");
        }
        return usableGrams / (balance.leastGrams() * (1 - formula.handlingLossFraction()));
    }

    /** The factor that uses up {@code grams} of one line. */
    public static double factorForLine(Formula formula, int index, double grams) {
        return grams / formula.lines().get(index).grams();
    }

    /** Grams of a slab: area × thickness × density. */
    public static double slabGrams(double lengthMm, double widthMm, double thicknessMm, double densityGramsPerMl) {
        return lengthMm * widthMm * thicknessMm / 1000 * densityGramsPerMl;
    }

    /** Scales; counted pieces are made whole and the other lines take up the difference in finished mass. */
    public static Scaling of(Formula formula, FormulaBalance balance, double factor, Limits limits) {
        return of(formula, balance, factor, factor, limits);
    }

    /**
     * Scales with as many whole pieces as another factor asks for.
     *
     * @param counted factor that pieces are counted by, so that their number stands while the rest is fitted
     */
    static Scaling of(Formula formula, FormulaBalance balance, double factor, double counted, Limits limits) {
        return new Scaler(formula, balance, factor, counted, limits).scaling();
    }

    private static final class Scaler {
        private final Formula formula;
        private final FormulaBalance balance;
        private final double wanted;
        private final double counted;
        private final Limits limits;
        private final Working.Builder why = Working.of("Scaling");
        private Optional<WholePieces> pieces = Optional.empty();
        private int batches = 1;

        Scaler(Formula formula, FormulaBalance balance, double factor, double counted, Limits limits) {
            this.formula = formula;
            this.balance = balance;
            this.wanted = factor;
            this.counted = counted;
            this.limits = limits;
        }

        Scaling scaling() {
            double finished = balance.leastGrams() * wanted;
            double most = balance.greatestGrams() * wanted;
            double usable = finished * (1 - formula.handlingLossFraction());
            why.line("Factor", "%s", Say.number(round(wanted, 5)));
            if (balance.moistureKnown()) {
                why.line(
                        "Finished mass",
                        "%s × %s = %s%s",
                        Say.grams(balance.leastGrams(), 0),
                        Say.number(wanted, 4),
                        Say.grams(finished, 0),
                        most > finished * (1 + SPREAD)
                                ? "; by eye up to %s, at the most moisture".formatted(Say.grams(most, 0))
                                : "");
                why.line(
                        "Usable",
                        "%s × (1 − %s) = %s",
                        Say.grams(finished, 0),
                        Say.percent(100 * formula.handlingLossFraction()),
                        Say.grams(usable, 0));
            }
            int pots = pots();
            int bowls = bowls(finished);
            batches = Math.max(pots, bowls);
            List<Double> exact = exactGrams();
            List<Line> lines = new ArrayList<>();
            double poured = 0;
            double rounded = 0;
            double worst = 0;
            for (int i = 0; i < exact.size(); i++) {
                FormulaLine line = formula.lines().get(i);
                double grams = exact.get(i);
                double each = Math.max(limits.resolutionGrams(), round(grams / batches));
                Double pieces =
                        line.pieces() == null ? null : Double.valueOf(round(grams / (line.grams() / line.pieces()), 2));
                lines.add(new Line(i, line.ingredient(), grams, each, pieces));
                if (line.counts()) {
                    poured += grams;
                    rounded += each * batches - grams;
                    worst = Math.max(worst, Math.abs(each * batches - grams) / grams);
                }
            }
            return new Scaling(
                    wanted,
                    List.copyOf(lines),
                    poured,
                    finished,
                    most,
                    usable,
                    pots,
                    bowls,
                    batches,
                    rounded,
                    worst,
                    pieces,
                    why.from(
                            "Water left by IAPWS, Starzak and Peacock 1997, Norrish 1966, Ross 1975; foaming heights are "
                                    + "common practice, no source."));
        }

        /**
         * Lines counted in pieces become whole in every batch; the others are multiplied so that the sum is what it would have been.
         */
        private List<Double> exactGrams() {
            double whole = 0;
            double inPieces = 0;
            double rest = 0;
            for (FormulaLine line : formula.lines()) {
                if (!line.counts()) {
                    continue;
                }
                if (line.pieces() == null) {
                    rest += line.grams();
                } else {
                    inPieces += line.grams() * wanted;
                    whole += wholePieces(line) * line.grams() / line.pieces();
                }
            }
            double others = rest == 0 ? wanted : Math.max(0, (rest * wanted + inPieces - whole) / rest);
            if (inPieces > 0 && Math.abs(whole - inPieces) > WholePieces.UNSEEN) {
                pieces = Optional.of(new WholePieces(whole, inPieces, others));
            }
            if (inPieces > 0 && rest > 0) {
                why.line(
                        "Whole pieces",
                        "%s of pieces instead of %s; the rest is multiplied by %s instead of %s",
                        Say.grams(whole, 0),
                        Say.grams(inPieces, 0),
                        Say.number(others, 4),
                        Say.number(wanted, 4));
            }
            return formula.lines().stream()
                    .map(line -> line.pieces() == null
                            ? line.grams() * others
                            : wholePieces(line) * line.grams() / line.pieces())
                    .toList();
        }

        /** Whole pieces in every batch; where one more or less would change the mass too much, part of a piece is weighed. */
        private double wholePieces(FormulaLine line) {
            double exact = line.pieces() * counted;
            double whole = batches * Math.max(1.0, Math.round(exact / batches));
            double off = Math.abs(whole - exact) * line.grams() / line.pieces();
            return off > MOST_OFF * balance.before().totalGrams() * counted ? exact : whole;
        }

        private int pots() {
            Composition pot = balance.pots().main().times(wanted);
            boolean boils = formula.boiled();
            if (limits.potLitres() == null || !boils || pot.totalGrams() == 0) {
                return 1;
            }
            Foam foam = Foam.of(pot);
            int pots = (int) Math.ceil(foam.potLitres() / limits.potLitres() - 1e-9);
            why.line(
                    "Pots",
                    "%s cold × %s for %s = %s; in pots of %s: %d",
                    Say.of(foam.litres(), 2, Measure.LITRES),
                    Say.number(foam.times()),
                    foam.mass().words(),
                    Say.of(foam.potLitres(), 1, Measure.LITRES),
                    Say.of(limits.potLitres(), Measure.LITRES),
                    pots);
            return Math.max(1, pots);
        }

        private int bowls(double finishedGrams) {
            if (limits.bowlLitres() == null) {
                return 1;
            }
            double litres = finishedGrams / balance.densityGramsPerMl() / 1000;
            int bowls = (int) Math.ceil(litres / (MOST_BOWL * limits.bowlLitres()) - 1e-9);
            why.line(
                    "Bowls",
                    "%s finished, whipped; a bowl of %s filled to %s: %d",
                    Say.of(litres, 2, Measure.LITRES),
                    Say.of(limits.bowlLitres(), Measure.LITRES),
                    Say.percent(100 * MOST_BOWL),
                    bowls);
            return Math.max(1, bowls);
        }

        private double round(double grams) {
            return Math.round(grams / limits.resolutionGrams()) * limits.resolutionGrams();
        }

        private static double round(double value, int decimals) {
            double ten = Math.pow(10, decimals);
            return Math.round(value * ten) / ten;
        }
    }

    /** Whether the finished mass is a range. */
    public boolean spreads() {
        return mostCookedGrams > cookedGrams * (1 + SPREAD);
    }

    /** Words that tell how many batches and for want of what room, where it is more than one. */
    public Optional<String> sharedOut() {
        if (batches == 1) {
            return Optional.empty();
        }
        String room = pots == batches ? bowls == batches ? "pot and bowl hold" : "pot holds" : "bowl holds";
        return Optional.of("%d equal batches of %s, as the %s no more"
                .formatted(batches, Say.grams(pouredGrams / batches, 0), room));
    }
}
