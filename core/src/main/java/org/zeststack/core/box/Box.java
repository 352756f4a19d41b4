package org.zeststack.core.box;

import java.util.List;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.quantity.Range;

/**
 * An assortment of bars sold together.
 *
 * @param packingGrams weight of box, papers and cups
 * @param declaredGrams what the label will say; null where not decided
 */
public record Box(List<Item> items, double packingGrams, Double declaredGrams) {

    public static final Range COUNT = new Range(1, 500, "pieces");
    public static final Range PACKING_GRAMS = new Range(0, 5000, "g");
    private static final int MOST_ITEMS = 40;

    /**
     * So many pieces of a bar.
     *
     * @param bar the bar's id
     * @param version its version's number
     */
    public record Item(long bar, int version, int count) {}

    public Box {
        items = List.copyOf(items);
    }

    /**
     * Checks what does not depend on the bars.
     *
     * @throws org.zeststack.core.quantity.InvalidInput with every fault; fields are {@code item.N.count}
     */
    public void check() {
        Faults faults = new Faults();
        if (items.isEmpty() || items.size() > MOST_ITEMS) {
            faults.add(Fault.of("items", String.valueOf(items.size()), "A box holds 1 to 40 kinds of bars."));
        }
        for (int i = 0; i < items.size(); i++) {
            faults.within("item." + i + ".count", items.get(i).count(), COUNT);
        }
        faults.within("packingGrams", packingGrams, PACKING_GRAMS);
        if (declaredGrams != null) {
            faults.within("declaredGrams", declaredGrams, Bar.DECLARED_GRAMS);
        }
        faults.throwIfAny();
    }
}
