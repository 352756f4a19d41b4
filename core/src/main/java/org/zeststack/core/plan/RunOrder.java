package org.zeststack.core.plan;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import org.zeststack.core.formula.Formula;
import org.zeststack.core.formula.NamedFormula;
import org.zeststack.core.formula.Scaling;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.quantity.Range;
import org.zeststack.core.sheet.Allowances;
import org.zeststack.core.stack.BarStack;
import org.zeststack.core.workshop.Place;
import org.zeststack.core.workshop.Thermometer;

/**
 * Everything a run is planned from.
 *
 * @param bar the bar computed
 * @param formulas what its layers are made of, by link, in the order of the work
 * @param parts formulas that those are made of, made first standing first
 * @param fromStock links of parts that are taken from a jar
 * @param limits what a formula's masses must fit into
 * @param carrierName name of the mould, or what the pieces are cut from
 * @param thermometerName empty where there is none: it is done by minutes, look, feel and weight
 * @param carriersOwned moulds owned; 1 for slabs and trays that are laid anew
 * @param pieces good pieces wanted, 1 to 100 000
 */
public record RunOrder(
        String barName,
        int barVersion,
        BarStack bar,
        Map<String, NamedFormula> formulas,
        List<NamedFormula> parts,
        Set<String> fromStock,
        Function<Formula, Scaling.Limits> limits,
        String carrierName,
        int carriersOwned,
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
        parts = List.copyOf(parts);
        fromStock = Set.copyOf(fromStock);
    }

    /** Whether there is a thermometer. */
    public boolean measured() {
        return !thermometerName.isEmpty();
    }
}
