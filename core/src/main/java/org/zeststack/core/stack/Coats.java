package org.zeststack.core.stack;

import java.util.ArrayList;
import java.util.List;
import org.hipparchus.analysis.solvers.BrentSolver;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.slab.SlabCut;
import org.zeststack.core.weighing.FillWindow;

/**
 * Coats around a centre: the difference between the body after a pass and before it, of a thickness given or found from a measured
 * pick-up. Each pass lies on the one before.
 */
final class Coats {

    private static final double MM3_PER_ML = 1000;
    private static final double MOST_MM = 100;

    private final Solid centre;
    private final SlabCut cut;
    private final double baseMm2;
    private final double heightMm;
    private Solid.Growth growth = Solid.Growth.NONE;

    /** Coats of a piece that was not cut from anything. */
    Coats(Solid centre) {
        this(centre, null, 0, 0);
    }

    /**
     * Coats of a piece cut from a slab, which may also be coated before it is cut.
     *
     * @param baseMm2 area of the piece
     * @param heightMm of the slab without coats
     */
    Coats(Solid centre, SlabCut cut, double baseMm2, double heightMm) {
        this.centre = centre;
        this.cut = cut;
        this.baseMm2 = baseMm2;
        this.heightMm = heightMm;
    }

    /** Lays the coats among the deposits, in order. */
    List<StackLayer> lay(List<Pour.Deposit> deposits, List<String> keys) {
        List<StackLayer> laid = new ArrayList<>();
        for (int i = 0; i < deposits.size(); i++) {
            if (deposits.get(i).layer().kind() == LayerKind.COAT) {
                laid.add(coat(deposits.get(i), keys.get(i)));
            }
        }
        return laid;
    }

    private StackLayer coat(Pour.Deposit deposit, String key) {
        BarLayer layer = deposit.layer();
        BarLayer.Faces faces = centre.faces(layer.coated());
        double density = deposit.material().densityGramsPerMl();
        double thickness = layer.by() == BarLayer.By.MM
                ? layer.amount() * layer.repeat()
                : thicknessMm(faces, Pour.massOf(deposit) / density);
        double laidMl = laidMl(faces, thickness);
        double ownMl = faces.wholeSlab() ? ownMl(faces, thickness) : laidMl;
        growth = growth.with(onPiece(faces), thickness);
        double grams = ownMl * density;
        return new StackLayer(
                deposit.index(),
                key,
                layer,
                deposit.material(),
                -growth.belowMm(),
                growth.aboveMm(),
                thickness,
                ownMl,
                grams,
                laidMl * density,
                new FillWindow(grams, grams, grams));
    }

    /** Thickness that a pick-up of one piece makes. */
    private double thicknessMm(BarLayer.Faces faces, double ml) {
        boolean bare = !faces.bottom() && !faces.sides() && !faces.top();
        return bare || ml <= 0 ? 0 : new BrentSolver(1e-12).solve(300, t -> laidMl(faces, t) - ml, 0, MOST_MM);
    }

    /** What a pass takes for one piece, with the share of off-cuts that are coated with the slab. */
    private double laidMl(BarLayer.Faces faces, double t) {
        if (faces.wholeSlab() && cut != null) {
            Solid slab = new Solid.Upright(
                    cut.lengthMm() * cut.widthMm(), 2 * (cut.lengthMm() + cut.widthMm()), coatedHeightMm());
            double bare = slab.grownMl(Solid.Growth.NONE);
            return (slab.grownMl(Solid.Growth.NONE.with(faces, t)) - bare) / cut.pieces();
        }
        return centre.grownMl(growth.with(faces, t)) - centre.grownMl(growth);
    }

    /** The sides that a slab is coated on are not those of its pieces. */
    private static BarLayer.Faces onPiece(BarLayer.Faces faces) {
        return faces.wholeSlab() ? new BarLayer.Faces(faces.bottom(), false, faces.top(), true) : faces;
    }

    private double coatedHeightMm() {
        return heightMm + growth.belowMm() + growth.aboveMm();
    }

    /** What of a slab's coat a piece keeps: its own faces, and of the slab's sides what its outer pieces reach, shared by all. */
    private double ownMl(BarLayer.Faces faces, double t) {
        double flats = (faces.bottom() ? baseMm2 : 0) + (faces.top() ? baseMm2 : 0);
        double sides = faces.sides() ? cut.outerEdgeMm() * coatedHeightMm() / cut.pieces() : 0;
        return (flats + sides) * t / MM3_PER_ML;
    }
}
