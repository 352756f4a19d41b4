package org.zeststack.core.rehearse;

import java.util.List;
import java.util.Map;
import org.zeststack.core.air.Atmosphere;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.quantity.Measure;
import org.zeststack.core.quantity.Say;

/** What may be rehearsed. What each hides is said only afterwards. */
public enum Scenario {
    CREAM_CARAMEL(
            "A cream caramel on a hill",
            "Cook it to " + Say.celsius(118) + " as at sea level, " + Say.of(1200, Measure.METRES)
                    + " up. The thermometer is one that you have not used before.",
            1200,
            5,
            List.of(new Pot("Caramel", Masses.CARAMEL, 118, 1))),
    RACING_SYRUP(
            "A syrup that races",
            "Cook it to " + Say.celsius(143)
                    + ". The thermometer is read every twenty seconds. Hot water stands beside the ring.",
            0,
            20,
            List.of(new Pot("Syrup", Masses.SYRUP, 143, 1.5))),
    NOUGAT(
            "A nougat",
            "Syrup to " + Say.celsius(143) + ", honey to " + Say.celsius(121)
                    + ", whites at soft peaks: the honey goes in first, the syrup when it is there.",
            650,
            5,
            List.of(new Pot("Syrup", Masses.SYRUP, 143, 2), new Pot("Honey", Masses.HONEY, 121, 2)));

    /**
     * A pot of it.
     *
     * @param mass what goes into it
     * @param stopCelsius sea-level target
     * @param withinKelvin how near to its stop it must come off (common practice, no source)
     */
    public record Pot(String name, Composition mass, double stopCelsius, double withinKelvin) {}

    private static final class Masses {
        private static final Composition CARAMEL = Composition.of(
                Map.of(
                        Part.SUCROSE, 420.0,
                        Part.SYRUP_SOLIDS, 260.0,
                        Part.MILK_FAT, 190.0,
                        Part.LACTOSE, 16.0,
                        Part.PROTEIN, 12.0,
                        Part.WATER, 400.0),
                42);
        private static final Composition SYRUP =
                Composition.of(Map.of(Part.SUCROSE, 500.0, Part.SYRUP_SOLIDS, 110.0, Part.WATER, 190.0), 42);
        private static final Composition HONEY = Composition.of(
                Map.of(Part.FRUCTOSE, 150.0, Part.GLUCOSE, 122.0, Part.MALTOSE, 30.0, Part.WATER, 70.0), 0);
    }

    private final String title;
    private final String task;
    private final double metres;
    private final int everySeconds;
    private final List<Pot> pots;

    Scenario(String title, String task, double metres, int everySeconds, List<Pot> pots) {
        this.title = title;
        this.task = task;
        this.metres = metres;
        this.everySeconds = everySeconds;
        this.pots = pots;
    }

    public String title() {
        return title;
    }

    public String task() {
        return task;
    }

    public double pressureKpa() {
        return Atmosphere.pressureKpa(metres);
    }

    /** Seconds from one reading to the next. */
    public int everySeconds() {
        return everySeconds;
    }

    public List<Pot> pots() {
        return pots;
    }

    /** Whether a whisk runs beside its pots. */
    public boolean whisks() {
        return this == NOUGAT;
    }

    /** Whether the thermometer may be held into boiling water. */
    public boolean checks() {
        return this == CREAM_CARAMEL;
    }

    /** Whether hot water stands beside the ring. */
    public boolean pours() {
        return this == RACING_SYRUP;
    }
}
