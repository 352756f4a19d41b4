package org.zeststack.core.stack;

import java.util.ArrayList;
import java.util.List;
import org.hipparchus.analysis.solvers.BrentSolver;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.weighing.FillWindow;

/**
 * Coats around a centre: the difference between the body after a pass and before it, of a thickness given or found from a measured
 * pick-up. Each pass lies on the one before.
 */
final class Coats {

    private static final double MOST_MM = 100;

    /** What a centre is cut from: coated before the cut, it takes more than its pieces keep. */
    interface Whole {

        /** What a pass takes for one piece, with the share of what is cut off, mL. */
        double laidMl(BarLayer.Faces faces, Solid.Growth growth, double mm);

        /** What of it a piece keeps, mL. */
        double ownMl(BarLayer.Faces faces, Solid.Growth growth, double mm);
    }

    private final Solid centre;
    private final Whole whole;
    private Solid.Growth growth = Solid.Growth.NONE;

    /**
     * @param whole what the piece is cut from; null where it is cut from nothing
     */
    Coats(Solid centre, Whole whole) {
        this.centre = centre;
        this.whole = whole;
    }

    /** What one more pass on a body takes, mL. */
    static double passMl(Solid body, BarLayer.Faces faces, Solid.Growth growth, double mm) {
        Solid coated = faces.bareEnds() ? body.withoutEnds() : body;
        return coated.grownMl(growth.with(faces, mm)) - coated.grownMl(growth);
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
        double ownMl = beforeCut(faces) ? whole.ownMl(faces, growth, thickness) : laidMl;
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

    private boolean beforeCut(BarLayer.Faces faces) {
        return faces.wholeSlab() && whole != null;
    }

    /** What a pass takes for one piece. */
    private double laidMl(BarLayer.Faces faces, double t) {
        return beforeCut(faces) ? whole.laidMl(faces, growth, t) : passMl(centre, faces, growth, t);
    }

    /** The sides that a slab is coated on are not those of its pieces. */
    private BarLayer.Faces onPiece(BarLayer.Faces faces) {
        return beforeCut(faces) && !(centre instanceof Solid.Round)
                ? new BarLayer.Faces(faces.bottom(), false, faces.top(), true)
                : faces;
    }
}
