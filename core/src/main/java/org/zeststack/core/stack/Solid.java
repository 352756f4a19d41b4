package org.zeststack.core.stack;

import org.zeststack.core.bar.BarLayer;

/**
 * A centre and the body that coats make of it, mL. A coat of even thickness on a convex body makes a parallel body (Steiner 1840):
 * sharp edges between coated faces become rounded ones.
 */
interface Solid {

    /** Volume of the centre with what was laid on it. */
    double grownMl(Growth growth);

    /** The same body with its two ends left bare; a ball has none. */
    default Solid withoutEnds() {
        return this;
    }

    /** What of the faces asked for is coated; a round body has no sides apart from its top. */
    default BarLayer.Faces faces(BarLayer.Faces asked) {
        return asked;
    }

    /**
     * What lies on a centre, mm.
     *
     * @param side on all upright sides
     * @param roundBelow laid below in the same passes as on the sides, with an edge rounded between them
     * @param roundAbove the same above
     * @param below laid below alone
     * @param above laid above alone
     */
    record Growth(double side, double roundBelow, double roundAbove, double below, double above) {

        static final Growth NONE = new Growth(0, 0, 0, 0, 0);

        /** With one pass more. */
        Growth with(BarLayer.Faces faces, double mm) {
            boolean sides = faces.sides();
            return new Growth(
                    side + (sides ? mm : 0),
                    roundBelow + (sides && faces.bottom() ? mm : 0),
                    roundAbove + (sides && faces.top() ? mm : 0),
                    below + (!sides && faces.bottom() ? mm : 0),
                    above + (!sides && faces.top() ? mm : 0));
        }

        double belowMm() {
            return below + roundBelow;
        }

        double aboveMm() {
            return above + roundAbove;
        }
    }

    /**
     * An upright body: a block, a piece cut from a slab, also with corners rounded as seen from above, or a whole slab.
     *
     * <p>With base F, outline P, height c with what was laid below and above alone, s on the sides and r rounded at an end:
     * F (c + Σr) + (P s + π s²) c + Σ (π/4 s r P + 2/3 π s² r). With bare ends P is that of the two long sides, and there are no
     * corners: the terms in s² vanish.
     *
     * @param endMm length of one of its two ends
     * @param ends whether they are coated with the sides
     */
    record Upright(double baseMm2, double outlineMm, double heightMm, double endMm, boolean ends) implements Solid {

        private static final double MM3_PER_ML = 1000;

        Upright(double baseMm2, double outlineMm, double heightMm, double endMm) {
            this(baseMm2, outlineMm, heightMm, endMm, true);
        }

        @Override
        public Solid withoutEnds() {
            return new Upright(baseMm2, outlineMm - 2 * endMm, heightMm, 0, false);
        }

        @Override
        public double grownMl(Growth g) {
            double upright = heightMm + g.below + g.above;
            double flats = baseMm2 * (upright + g.roundBelow + g.roundAbove);
            double corners = ends ? g.side * g.side : 0;
            double around = (outlineMm * g.side + Math.PI * corners) * upright;
            double rounded = g.roundBelow + g.roundAbove;
            double edges = Math.PI / 4 * g.side * rounded * outlineMm + 2 * Math.PI / 3 * corners * rounded;
            return (flats + around + edges) / MM3_PER_ML;
        }
    }

    /** A ball, or a log, which is an upright cylinder laid down: coated all round, or dipped to its middle. */
    record Round(boolean ball, double diameterMm, double lengthMm, boolean ends) implements Solid {

        private static final double MM3_PER_ML = 1000;

        @Override
        public Solid withoutEnds() {
            return new Round(ball, diameterMm, lengthMm, false);
        }

        @Override
        public BarLayer.Faces faces(BarLayer.Faces asked) {
            boolean all = asked.sides() || asked.top();
            return new BarLayer.Faces(all || asked.bottom(), all, all, asked.wholeSlab(), asked.bareEnds());
        }

        @Override
        public double grownMl(Growth g) {
            double all = parallelMl(g.side);
            return all + (parallelMl(g.side + g.below) - all) / 2;
        }

        private double parallelMl(double t) {
            double radius = diameterMm / 2;
            if (ball) {
                return 4 * Math.PI / 3 * Math.pow(radius + t, 3) / MM3_PER_ML;
            }
            return ends
                    ? new Upright(Math.PI * radius * radius, Math.PI * diameterMm, lengthMm, 0)
                            .grownMl(Growth.NONE.with(BarLayer.Faces.ALL, t))
                    : Math.PI * (radius + t) * (radius + t) * lengthMm / MM3_PER_ML;
        }
    }
}
