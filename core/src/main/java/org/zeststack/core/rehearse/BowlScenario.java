package org.zeststack.core.rehearse;

import java.util.EnumSet;
import java.util.Set;
import org.zeststack.core.quantity.Measure;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.temper.Bowl;
import org.zeststack.core.temper.Method;
import org.zeststack.core.temper.Seed;
import org.zeststack.core.temper.TemperPlan;
import org.zeststack.core.temper.TemperWindow;

/** Bowls that may be rehearsed. What each hides is said only afterwards. */
public enum BowlScenario {
    SEED(
            "Milk couverture by seed",
            Method.SEED,
            EnumSet.of(Deed.What.SEED, Deed.What.LIFT),
            "milk",
            700,
            new Bowl(1100, Bowl.Material.GLASS),
            Say.grams(700) + " of milk couverture lie in pieces in a heavy glass bowl of "
                    + Say.of(1.1, Measure.KILOGRAMS) + ". Grated seed of " + Say.celsius(20) + " stands beside it."),
    SLAB(
            "Dark couverture on the slab",
            Method.SLAB,
            EnumSet.of(Deed.What.OFF, Deed.What.SLAB, Deed.What.BACK),
            "dark",
            900,
            new Bowl(400, Bowl.Material.STEEL),
            Say.grams(900) + " of dark couverture, most of it for a stone slab. The bowl stands in warm water."),
    BATH(
            "Dark couverture over ice",
            Method.BATH,
            EnumSet.of(Deed.What.BATH),
            "dark",
            800,
            new Bowl(350, Bowl.Material.STEEL),
            Say.grams(800) + " of dark couverture in a thin steel bowl, a bath with ice beside it."),
    PARTIAL(
            "Milk couverture melted in part",
            Method.PARTIAL,
            EnumSet.of(Deed.What.BURST),
            "milk",
            500,
            new Bowl(900, Bowl.Material.GLASS),
            Say.grams(500)
                    + " of tempered milk couverture in pieces, in a glass bowl, and an oven that heats in bursts.");

    private static final Set<Deed.What> ALL = EnumSet.of(Deed.What.HEAT, Deed.What.STIR, Deed.What.PROOF);
    private static final double COCOA_BUTTER = 0.35;
    private static final double ROOM_CELSIUS = 20;

    private final String title;
    private final Method method;
    private final Set<Deed.What> deeds;
    private final String kind;
    private final double grams;
    private final Bowl bowl;
    private final String task;

    BowlScenario(String title, Method method, Set<Deed.What> deeds, String kind, double grams, Bowl bowl, String task) {
        this.title = title;
        this.method = method;
        this.deeds = deeds;
        this.kind = kind;
        this.grams = grams;
        this.bowl = bowl;
        this.task = task;
    }

    public String title() {
        return title;
    }

    public String task() {
        return "%s Melt out at %s, work at %s."
                .formatted(task, window().meltOut().inWords(), window().work().inWords());
    }

    public Method method() {
        return method;
    }

    /** Whether its hands can do so; every bowl is warmed, stirred and proved. */
    public boolean takes(Deed.What deed) {
        return ALL.contains(deed) || deeds.contains(deed);
    }

    public TemperWindow window() {
        return TemperWindow.of(kind);
    }

    /** What lies in the bowl at first. */
    double grams() {
        return grams;
    }

    /** The bowl as its plan reckons with it, in all so many grams. */
    TemperPlan.Of of(double inAll) {
        return new TemperPlan.Of(window(), inAll, COCOA_BUTTER, bowl, ROOM_CELSIUS, true);
    }

    /** How much of seed the bowl's wall takes beyond what the couverture takes, g; only for the scenario with seed. */
    double seedGrams(boolean withBowl) {
        double melted = (window().meltOut().least() + window().meltOut().greatest()) / 2;
        double middle = (window().work().least() + window().work().greatest()) / 2;
        return Seed.of(new Seed.Melt(grams, melted, middle, withBowl ? bowl : Bowl.NONE), ROOM_CELSIUS, COCOA_BUTTER, 1)
                .grams();
    }
}
