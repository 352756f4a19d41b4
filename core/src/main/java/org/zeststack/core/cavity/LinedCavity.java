package org.zeststack.core.cavity;

import java.util.List;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.quantity.Numbers;
import org.zeststack.core.quantity.Range;
import org.zeststack.core.quantity.Say;

/** A cavity with a shell of even thickness, and what is left inside. */
public final class LinedCavity implements Hollow {

    /** Shell thickness that may be asked for, whatever the cavity. */
    public static final Range SHELL_MM = new Range(0.2, 20, "mm");

    private final Cavity cavity;
    private final double shellMm;
    private final Hollow inside;

    LinedCavity(Cavity cavity, double shellMm) {
        double greatest = cavity.greatestShellMm();
        if (!(shellMm >= SHELL_MM.least()) || !(shellMm < greatest)) {
            Range fits = new Range(SHELL_MM.least(), Math.max(SHELL_MM.least(), greatest), "mm");
            String message = shellMm >= cavity.depthMm()
                    ? "A shell of %s is as thick as the cavity is deep (%s); permitted %s."
                    : "A shell of %s leaves no inside in a cavity %s deep; permitted %s.";
            throw new InvalidInput(new Fault(
                    "shellMm",
                    Numbers.plain(shellMm),
                    fits.least(),
                    fits.greatest(),
                    "mm",
                    message.formatted(Say.mm(shellMm), Say.mm(cavity.depthMm()), roughly(fits))));
        }
        this.cavity = cavity;
        this.shellMm = shellMm;
        this.inside = cavity.inside(shellMm);
    }

    private static String roughly(Range range) {
        return "%s to %s".formatted(Say.bare(Say.mm(range.least())), Say.mm(range.greatest(), 1));
    }

    public double shellMm() {
        return shellMm;
    }

    @Override
    public double floorMm() {
        return inside.floorMm();
    }

    @Override
    public double topMm() {
        return inside.topMm();
    }

    @Override
    public List<Outline> undivided(double heightMm) {
        return inside.undivided(heightMm);
    }

    @Override
    public Outline outline(double heightMm) {
        return inside.outline(heightMm);
    }

    @Override
    public double areaMm2(double heightMm) {
        return inside.areaMm2(heightMm);
    }

    @Override
    public double volumeMl(double fromMm, double toMm) {
        return inside.volumeMl(fromMm, toMm);
    }

    /** Depth from the raised floor to the opening. */
    public double innerDepthMm() {
        return topMm() - floorMm();
    }

    public double shellMl() {
        return cavity.volumeMl() - volumeMl();
    }
}
