package org.zeststack.core.cavity;

import java.util.List;
import org.hipparchus.analysis.solvers.BrentSolver;

/**
 * A space open at the top, known by its level cuts. Heights are measured from the floor of the cavity that it lies in, mm.
 */
public interface Hollow {

    /** Height of its lowest point. */
    double floorMm();

    /** Height of its opening. */
    double topMm();

    /** The level cut at a height. */
    Outline outline(double heightMm);

    /** What of the level cut something rigid may lie in; a row of segments has one segment, and where its bridges are open a corridor. */
    default List<Outline> undivided(double heightMm) {
        return List.of(outline(heightMm));
    }

    /** Area of the level cut, mm²; a row of segments has more than its outline shows. */
    default double areaMm2(double heightMm) {
        return outline(heightMm).areaMm2();
    }

    default double lengthMm(double heightMm) {
        return outline(heightMm).lengthMm();
    }

    default double widthMm(double heightMm) {
        return outline(heightMm).widthMm();
    }

    /** Volume between two heights, mL. By the prismoidal formula, exact while area is at most a cubic of the height. */
    default double volumeMl(double fromMm, double toMm) {
        return Prismoid.ml(areaMm2(fromMm), areaMm2((fromMm + toMm) / 2), areaMm2(toMm), toMm - fromMm);
    }

    default double volumeMl() {
        return volumeMl(floorMm(), topMm());
    }

    /** The height up to which {@code volumeMl} poured on the level {@code fromMm} reaches; at most the opening. */
    default double heightMm(double fromMm, double volumeMl) {
        if (volumeMl >= volumeMl(fromMm, topMm())) {
            return topMm();
        }
        return volumeMl <= 0
                ? fromMm
                : new BrentSolver(1e-10).solve(100, z -> volumeMl(fromMm, z) - volumeMl, fromMm, topMm());
    }
}
