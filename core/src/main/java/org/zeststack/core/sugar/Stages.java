package org.zeststack.core.sugar;

import java.util.List;
import org.zeststack.core.quantity.CsvTable;

/**
 * Names of sugar stages by sea-level temperature, as US extension-service tables print them (values from memory, in the
 * table file). A stage is only a label: the water left is what counts. Printed tables leave gaps between stages.
 */
public final class Stages {

    /**
     * One stage.
     *
     * @param leastCelsius where it begins, at sea level
     * @param greatestCelsius where it ends, at sea level
     */
    private record Stage(String name, double leastCelsius, double greatestCelsius) {}

    private static final List<Stage> TABLE = CsvTable.load(Stages.class, "stages.csv").rows().stream()
            .map(row -> new Stage(row.text("stage"), celsius(row.number("least_f")), celsius(row.number("greatest_f"))))
            .toList();

    private Stages() {}

    /**
     * The stage at a sea-level temperature, in words: a stage, "between" two, or "before" the first or "past" the last.
     *
     * @param seaLevelCelsius true temperature at which the mass would boil at sea level
     */
    public static String nameAt(double seaLevelCelsius) {
        Stage previous = null;
        for (Stage stage : TABLE) {
            if (seaLevelCelsius < stage.leastCelsius) {
                return previous == null ? "before " + stage.name : "between " + previous.name + " and " + stage.name;
            }
            if (seaLevelCelsius <= stage.greatestCelsius) {
                return stage.name;
            }
            previous = stage;
        }
        return "past " + TABLE.get(TABLE.size() - 1).name;
    }

    private static double celsius(double fahrenheit) {
        return (fahrenheit - 32) / 1.8;
    }
}
