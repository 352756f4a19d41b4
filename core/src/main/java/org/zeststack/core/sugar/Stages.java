package org.zeststack.core.sugar;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.zeststack.core.air.Atmosphere;
import org.zeststack.core.quantity.CsvTable;
import org.zeststack.core.quantity.Refusal;
import org.zeststack.core.water.Boiling;
import org.zeststack.core.water.Solution;

/**
 * Names of sugar stages. A stage is only a label: the water left is what counts. Two ways of naming are in use. US
 * extension-service tables print temperatures at sea level, with gaps between the stages; other tables print dissolved solids,
 * where one stage goes on until the next begins (values of both from memory, in the table files).
 */
public final class Stages {

    /** One of the two ways of naming. */
    public enum Naming {
        PRINTED,
        SOLIDS
    }

    /**
     * A stage of either table.
     *
     * @param least where it begins: °C at sea level, or dissolved solids as a fraction
     * @param greatest where it ends, as least; 1 at the end of the last stage by solids
     */
    public record Stage(String name, double least, double greatest) {}

    private static final List<Stage> PRINTED = CsvTable.load(Stages.class, "stages.csv").rows().stream()
            .map(row -> new Stage(row.text("stage"), celsius(row.number("least_f")), celsius(row.number("greatest_f"))))
            .toList();
    private static final List<Stage> SOLIDS =
            contiguous(CsvTable.load(Stages.class, "solids.csv").rows());

    private Stages() {}

    private static List<Stage> contiguous(List<CsvTable.Row> rows) {
        return IntStream.range(0, rows.size())
                .mapToObj(i -> new Stage(
                        rows.get(i).text("stage"),
                        rows.get(i).number("least_percent") / 100,
                        i + 1 < rows.size() ? rows.get(i + 1).number("least_percent") / 100 : 1))
                .toList();
    }

    /** The stages by temperature at sea level, coolest first. */
    public static List<Stage> printed() {
        return PRINTED;
    }

    /** The stages by dissolved solids, wettest first. */
    public static List<Stage> solids() {
        return SOLIDS;
    }

    /**
     * The stage at a sea-level temperature, in words: a stage, "between" two, or "before" the first or "past" the last.
     *
     * @param seaLevelCelsius true temperature at which the mass would boil at sea level
     */
    public static String nameAt(double seaLevelCelsius) {
        Stage previous = null;
        for (Stage stage : PRINTED) {
            if (seaLevelCelsius < stage.least) {
                return previous == null ? "before " + stage.name : "between " + previous.name + " and " + stage.name;
            }
            if (seaLevelCelsius <= stage.greatest) {
                return stage.name;
            }
            previous = stage;
        }
        return "past " + PRINTED.get(PRINTED.size() - 1).name;
    }

    /**
     * The stage of a mass by its dissolved solids, or "before" the first.
     *
     * @param dissolvedSolids what is dissolved over it and water, 0 to 1
     */
    public static String nameOf(double dissolvedSolids) {
        String name = "before " + SOLIDS.get(0).name;
        for (Stage stage : SOLIDS) {
            name = dissolvedSolids >= stage.least ? stage.name : name;
        }
        return name;
    }

    /**
     * Stages of a mass as true temperatures where it is cooked: the same water boils lower on a mountain. Those below its first boil and
     * above what the model covers are left out or cut.
     *
     * @return least and greatest are °C there
     */
    public static List<Stage> here(Cook cook, Naming naming) {
        Solution solution = Solution.in(cook.before());
        double first = Boiling.celsius(solution, cook.before().waterGrams(), cook.pressureKpa());
        List<Stage> bands = new ArrayList<>();
        for (Stage stage : naming == Naming.PRINTED ? PRINTED : SOLIDS) {
            double least = here(cook, solution, naming, stage.least);
            double greatest = here(cook, solution, naming, stage.greatest);
            boolean open = Double.isNaN(greatest);
            if (!Double.isNaN(least) && (open || greatest > first)) {
                bands.add(new Stage(stage.name, Math.max(first, least), open ? Boiling.GREATEST_CELSIUS : greatest));
            }
        }
        return bands;
    }

    /** Where a bound of a stage lies here, °C; NaN above what the model covers. */
    private static double here(Cook cook, Solution solution, Naming naming, double bound) {
        double dissolved = cook.before().dissolvedGrams();
        try {
            double water = naming == Naming.SOLIDS
                    ? dissolved * (1 - bound) / bound
                    : Boiling.waterGramsAt(solution, bound, Atmosphere.SEA_LEVEL_KPA);
            return Boiling.celsius(solution, water, cook.pressureKpa());
        } catch (Refusal refusal) {
            return Double.NaN;
        }
    }

    private static double celsius(double fahrenheit) {
        return (fahrenheit - 32) / 1.8;
    }
}
