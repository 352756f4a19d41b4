package org.zeststack.core.bar;

import java.util.ArrayList;
import java.util.List;
import org.zeststack.core.weighing.FillWindow;

/**
 * Coats around a centre: mass = exposed surface × thickness × density, or thickness from a measured pick-up. Each pass lies on the
 * one before. The edges' own roundings are neglected, as thin coats are.
 */
final class Coats {

    private static final double MM3_PER_ML = 1000;

    /** Surfaces of a centre grown by the coats before. */
    interface Centre {

        /** Exposed surface of the faces, mm², of the centre grown by these mm on each side, below and above. */
        double surfaceMm2(BarLayer.Faces faces, double sideMm, double belowMm, double aboveMm);
    }

    private final Centre centre;
    private double sideMm;
    private double belowMm;
    private double aboveMm;

    Coats(Centre centre) {
        this.centre = centre;
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
        BarLayer.Faces faces = layer.faces() == null ? BarLayer.Faces.ALL : layer.faces();
        double density = deposit.material().densityGramsPerMl();
        double surface = centre.surfaceMm2(faces, sideMm, belowMm, aboveMm);
        double thickness = layer.by() == BarLayer.By.MM
                ? layer.amount()
                : surface == 0 ? 0 : Pour.massOf(deposit) / density * MM3_PER_ML / surface;
        double ml = surface * thickness / MM3_PER_ML;
        sideMm += faces.sides() && !faces.wholeSlab() ? thickness : 0;
        belowMm += faces.bottom() ? thickness : 0;
        aboveMm += faces.top() ? thickness : 0;
        double grams = ml * density;
        return new StackLayer(
                deposit.index(),
                key,
                layer,
                deposit.material(),
                -belowMm,
                aboveMm,
                thickness,
                ml,
                grams,
                grams,
                new FillWindow(grams, grams, grams));
    }
}
