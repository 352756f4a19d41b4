package org.zeststack.core.temper;

import java.util.LinkedHashMap;
import java.util.Map;
import org.zeststack.core.quantity.CsvTable;
import org.zeststack.core.quantity.Range;

/**
 * The temperatures of one kind of couverture, °C. The couverture's own sheet wins over this table.
 *
 * @param kind dark, milk, white, blond or ruby
 * @param meltOut to melt every crystal
 * @param coolTo to start new ones
 * @param work the working window
 */
public record TemperWindow(String kind, Range meltOut, Range coolTo, Range work) {

    /** Form V of cocoa butter melts here (Wille and Lutton 1966, value from memory): above it nothing is left of temper. */
    public static final double FORM_V_MELTS_CELSIUS = 33.8;

    private static final Map<String, TemperWindow> TABLE = load();

    /**
     * The window of a kind of couverture.
     *
     * @throws IllegalArgumentException for a kind not in the table
     */
    public static TemperWindow of(String kind) {
        TemperWindow found = TABLE.get(kind);
        if (found == null) {
            throw new IllegalArgumentException("no tempering window for " + kind + "; there are " + TABLE.keySet());
        }
        return found;
    }

    /** Windows of a couverture's own sheet. */
    public static TemperWindow own(Range meltOut, Range coolTo, Range work) {
        return new TemperWindow("own", meltOut, coolTo, work);
    }

    private static Map<String, TemperWindow> load() {
        Map<String, TemperWindow> table = new LinkedHashMap<>();
        for (CsvTable.Row row : CsvTable.load(TemperWindow.class, "windows.csv").rows()) {
            String kind = row.text("kind");
            table.put(kind, new TemperWindow(kind, range(row, "melt"), range(row, "cool"), range(row, "work")));
        }
        return table;
    }

    private static Range range(CsvTable.Row row, String column) {
        return new Range(row.number(column + "_least"), row.number(column + "_greatest"), "°C");
    }
}
