package org.zeststack.core.temper;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.zeststack.core.quantity.CsvTable;
import org.zeststack.core.quantity.Range;

/**
 * How coloured cocoa butter is brought on by one technique (common practice, no source).
 *
 * @param technique its name
 * @param warm temperature of the butter, °C; empty where none is melted
 * @param dryMinutes until what lies behind it may follow
 * @param wetSeconds in which it blends with another colour; 0 where it does not
 * @param caution of its own; empty where none
 */
public record Colouring(
        String technique,
        Optional<Range> warm,
        Range dryMinutes,
        double wetSeconds,
        String how,
        String wrong,
        String caution) {

    /** Coloured butter is melted out to this before it is brought down to its window, °C (common practice, no source). */
    public static final Range MELT_OUT = new Range(40, 50, "°C");

    /** Said of every colour. */
    public static final String FOOD_GRADE =
            "Only colours, butters and leaf sold for food, in amounts that local law allows; check the pack for allergens.";

    /** The face that shows is against the mould: what is to be seen in front goes in first. */
    public static final String ORDER =
            "The face that shows lies against the mould: fine marks first, what is behind them next, the ground last, couverture behind all.";

    private static final Map<String, Colouring> TABLE = load();

    /** Every technique that brings colour on, in the order of the table. */
    public static List<Colouring> all() {
        return List.copyOf(TABLE.values());
    }

    /** One technique; empty where it is not one of colour. */
    public static Optional<Colouring> of(String technique) {
        return Optional.ofNullable(TABLE.get(technique));
    }

    private static Map<String, Colouring> load() {
        Map<String, Colouring> table = new LinkedHashMap<>();
        for (CsvTable.Row row : CsvTable.load(Colouring.class, "colouring.csv").rows()) {
            Range warm = new Range(row.number("warm_least"), row.number("warm_greatest"), "°C");
            table.put(
                    row.text("technique"),
                    new Colouring(
                            row.text("technique"),
                            warm.greatest() > 0 ? Optional.of(warm) : Optional.empty(),
                            new Range(row.number("dry_least"), row.number("dry_greatest"), "min"),
                            row.number("wet_s"),
                            row.text("how"),
                            row.text("wrong"),
                            row.text("caution")));
        }
        return table;
    }
}
