package org.zeststack.core.temper;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.zeststack.core.quantity.CsvTable;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.quantity.Numbers;
import org.zeststack.core.quantity.Range;
import org.zeststack.core.quantity.Say;

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
    private static final Map<String, Integer> DARKNESS = darknesses();

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

    /**
     * Limits as a couverture's own sheet gives them, °C, both ends included.
     *
     * @param meltLeast and so on: as the windows of the table
     */
    public record Limits(
            double meltLeast,
            double meltGreatest,
            double coolLeast,
            double coolGreatest,
            double workLeast,
            double workGreatest) {

        /** Names of the limits, in the order of the components. */
        public static final List<String> NAMES =
                List.of("meltLeast", "meltGreatest", "coolLeast", "coolGreatest", "workLeast", "workGreatest");

        public static final Range CELSIUS = new Range(15, 65, "°C");

        /** Reads them in the order of {@link #NAMES}. */
        public static Limits of(List<Double> limits) {
            return new Limits(limits.get(0), limits.get(1), limits.get(2), limits.get(3), limits.get(4), limits.get(5));
        }

        /** All of them, in the order of {@link #NAMES}. */
        public List<Double> all() {
            return List.of(meltLeast, meltGreatest, coolLeast, coolGreatest, workLeast, workGreatest);
        }

        /** Adds what is wrong with them, each beside its field: out of range, turned round, or a window above the one that it must be below. */
        public void check(Faults faults) {
            boolean[] inside = new boolean[NAMES.size()];
            for (int i = 0; i < inside.length; i++) {
                inside[i] = faults.within(NAMES.get(i), all().get(i), CELSIUS);
            }
            for (int i = 0; i < inside.length; i += 2) {
                if (inside[i] && inside[i + 1] && all().get(i) > all().get(i + 1)) {
                    faults.add(Fault.of(NAMES.get(i), Numbers.plain(all().get(i)), "The least is above the greatest."));
                }
            }
            if (!faults.isEmpty()) {
                return;
            }
            if (coolGreatest > workLeast) {
                faults.add(Fault.of(
                        "coolGreatest",
                        Numbers.plain(coolGreatest),
                        "It is cooled to below its working window, at most %s.".formatted(Say.celsius(workLeast))));
            }
            if (workGreatest >= meltLeast) {
                faults.add(Fault.of(
                        "workGreatest",
                        Numbers.plain(workGreatest),
                        "It is worked below where it is melted out, %s.".formatted(Say.celsius(meltLeast))));
            }
        }

        private TemperWindow window(String kind) {
            return new TemperWindow(
                    kind,
                    new Range(meltLeast, meltGreatest, "°C"),
                    new Range(coolLeast, coolGreatest, "°C"),
                    new Range(workLeast, workGreatest, "°C"));
        }
    }

    /** Windows that are nobody's kind; checked by whoever read them. */
    public static TemperWindow own(Limits limits) {
        return limits.window("own");
    }

    /**
     * The windows of a couverture: its own sheet's, else its kind's.
     *
     * @param own null where its sheet gives none
     */
    public static TemperWindow of(String kind, Limits own) {
        return own == null ? of(kind) : own.window(kind);
    }

    /** So much lower is every window for each share of the fat that is not cocoa butter, K (our own choice, see below). */
    private static final double SOFTER_KELVIN = 10;

    /** With more of other fat than this there is nothing that sets. */
    private static final double MOST_OTHER_FAT = 0.75;

    /**
     * The windows of a filling that is tempered, by its fat: those of dark couverture, lowered by 10 K times the share of the fat that is
     * not cocoa butter. Milk couverture with an eighth of milk fat comes to its own window so, and a nut filling with six tenths of nut oil
     * to 24 to 26 °C (common practice, no source).
     *
     * @param cocoaButterGrams of it
     * @param otherFatGrams nut oil, milk fat and others
     * @return empty where three quarters of its fat or more do not set, or it has no cocoa butter
     */
    public static Optional<TemperWindow> byFat(double cocoaButterGrams, double otherFatGrams) {
        double share = otherFatGrams / (cocoaButterGrams + otherFatGrams);
        if (!(cocoaButterGrams > 0) || share > MOST_OTHER_FAT) {
            return Optional.empty();
        }
        double lower = SOFTER_KELVIN * share;
        TemperWindow dark = of("dark");
        return Optional.of(new TemperWindow(
                dark.kind, lowered(dark.meltOut, 0), lowered(dark.coolTo, lower), lowered(dark.work, lower)));
    }

    /** How much lower it is worked than is usual for its kind, K: other fat softens it; not below 0. */
    public double softerKelvin() {
        return Math.max(0, of(kind).work.least() - work.least());
    }

    private static Range lowered(Range range, double kelvin) {
        return new Range(
                Math.round(2 * (range.least() - kelvin)) / 2.0,
                Math.round(2 * (range.greatest() - kelvin)) / 2.0,
                "°C");
    }

    /**
     * How dark a kind is, the lightest 0: specks of a darker one show in a lighter one.
     *
     * @throws IllegalArgumentException for a kind not in the table
     */
    public static int darkness(String kind) {
        of(kind);
        return DARKNESS.get(kind);
    }

    private static Map<String, Integer> darknesses() {
        Map<String, Integer> table = new LinkedHashMap<>();
        for (CsvTable.Row row : CsvTable.load(TemperWindow.class, "windows.csv").rows()) {
            table.put(row.text("kind"), (int) row.number("darkness"));
        }
        return table;
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
