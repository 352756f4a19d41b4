package org.zeststack.core.run;

import java.util.List;
import org.zeststack.core.bar.BarParts;
import org.zeststack.core.bar.BarStack;
import org.zeststack.core.formula.NamedFormula;
import org.zeststack.core.ingredient.Ingredient;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.quantity.Range;
import org.zeststack.core.workshop.Mould;
import org.zeststack.core.workshop.Place;
import org.zeststack.core.workshop.Thermometer;

/**
 * Everything a run is planned from.
 *
 * @param bar the bar computed
 * @param fillings its formulas, from the floor up
 * @param parts formulas that the fillings are made of and that are not taken from stock, made first standing first
 * @param pieces good pieces wanted, 1 to 100 000
 */
public record RunOrder(
        String barName,
        int barVersion,
        BarStack bar,
        BarParts materials,
        List<NamedFormula> fillings,
        List<NamedFormula> parts,
        Ingredient shell,
        Ingredient back,
        String mouldName,
        Mould mould,
        Place place,
        String thermometerName,
        Thermometer thermometer,
        int pieces,
        Allowances allowances) {

    public static final Range PIECES = new Range(1, 100_000, "pieces");

    /**
     * @throws org.zeststack.core.quantity.InvalidInput if the pieces are outside their range
     */
    public RunOrder {
        Faults faults = new Faults();
        faults.within("pieces", pieces, PIECES);
        faults.throwIfAny();
        fillings = List.copyOf(fillings);
        parts = List.copyOf(parts);
    }
}
