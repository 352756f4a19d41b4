package org.zeststack.core.cavity;

import org.hipparchus.analysis.solvers.BrentSolver;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.quantity.Numbers;
import org.zeststack.core.quantity.Range;

/**
 * A tapered cavity with a shell of even thickness. Walls stand in by t √(1 + tan²θ) at constant height, the floor is
 * raised by t. Heights are measured from the cavity's own floor, mm.
 */
public final class LinedCavity {

    /** Shell thickness that may be asked for, whatever the cavity. */
    public static final Range SHELL_MM = new Range(0.2, 20, "mm");

    private final TaperedCavity cavity;
    private final double shellMm;

    LinedCavity(TaperedCavity cavity, double shellMm) {
        double greatest = cavity.greatestShellMm();
        if (!(shellMm >= SHELL_MM.least()) || !(shellMm < greatest)) {
            Range fits = new Range(SHELL_MM.least(), Math.max(SHELL_MM.least(), greatest), "mm");
            String message = shellMm >= cavity.depthMm()
                    ? "A shell of %s mm is as thick as the cavity is deep (%s mm); permitted %s."
                    : "A shell of %s mm leaves no inside in a cavity %s mm deep; permitted %s.";
            throw new InvalidInput(new Fault(
                    "shellMm",
                    Numbers.plain(shellMm),
                    fits.least(),
                    fits.greatest(),
                    "mm",
                    message.formatted(Numbers.plain(shellMm), Numbers.plain(cavity.depthMm()), roughly(fits))));
        }
        this.cavity = cavity;
        this.shellMm = shellMm;
    }

    private static String roughly(Range range) {
        return "%s to %s mm".formatted(Numbers.plain(range.least()), Numbers.fixed(range.greatest(), 1));
    }

    public double shellMm() {
        return shellMm;
    }

    /** Depth from the raised floor to the opening. */
    public double innerDepthMm() {
        return cavity.depthMm() - shellMm;
    }

    public double innerLengthMm(double heightMm) {
        return cavity.lengthMm(heightMm) - 2 * cavity.lengthInsetMm(shellMm);
    }

    public double innerWidthMm(double heightMm) {
        return cavity.widthMm(heightMm) - 2 * cavity.widthInsetMm(shellMm);
    }

    /** Inside volume between two heights above the cavity's floor, mL. */
    public double volumeMl(double fromMm, double toMm) {
        return Prismoid.ml(
                innerLengthMm(fromMm), innerWidthMm(fromMm), innerLengthMm(toMm), innerWidthMm(toMm), toMm - fromMm);
    }

    public double insideMl() {
        return volumeMl(shellMm, cavity.depthMm());
    }

    public double shellMl() {
        return cavity.volumeMl() - insideMl();
    }

    /** The height up to which {@code volumeMl} poured on the level {@code fromMm} reaches; at most the opening. */
    public double heightMm(double fromMm, double volumeMl) {
        double top = cavity.depthMm();
        if (volumeMl >= volumeMl(fromMm, top)) {
            return top;
        }
        return volumeMl <= 0
                ? fromMm
                : new BrentSolver(1e-10).solve(100, z -> volumeMl(fromMm, z) - volumeMl, fromMm, top);
    }
}
