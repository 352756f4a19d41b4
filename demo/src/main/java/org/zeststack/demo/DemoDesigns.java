package org.zeststack.demo;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import org.springframework.stereotype.Component;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.Body;
import org.zeststack.core.bar.Build;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.cavity.TaperedCavity;
import org.zeststack.core.formula.Family;
import org.zeststack.core.formula.Formula;
import org.zeststack.core.formula.FormulaLine;
import org.zeststack.core.formula.FormulaLine.Role;
import org.zeststack.core.method.Act;
import org.zeststack.core.method.MethodStep;
import org.zeststack.core.workshop.Mould;
import org.zeststack.core.workshop.Place;
import org.zeststack.core.workshop.Thermometer;
import org.zeststack.store.Stamp;
import org.zeststack.store.design.Designs;
import org.zeststack.store.workshop.WorkshopStore;

/** Place, moulds, formulas and bars of the demo. */
@Component
class DemoDesigns {

    /** What the runs are made from. */
    record Made(long thermometer, long lantern, long quay) {}

    private static final String DARK = "couverture-dark-66";
    private static final double HARBOUR_METRES = 650;
    private static final int CHECKED_DAYS_LATER = 18;
    private static final double READS_HIGH_KELVIN = 0.8;
    private static final MethodStep SCORCH = new MethodStep(
                    "Stir all the time once it boils; milk solids scorch", "gold, thick bubbles", "")
            .doing(Act.COOK, "");

    private final WorkshopStore workshop;
    private final Designs<Formula> formulas;
    private final Designs<Bar> bars;

    DemoDesigns(WorkshopStore workshop, Designs<Formula> formulas, Designs<Bar> bars) {
        this.workshop = workshop;
        this.formulas = formulas;
        this.bars = bars;
    }

    Made load(Stamp stamp) {
        Place place = new Place(Place.By.ALTITUDE, HARBOUR_METRES);
        workshop.setUp("Skerry Lane, Vellen", false, place, stamp);
        double boils = place.waterBoilsCelsius();
        long thermometer = workshop.addThermometer(
                "Long probe",
                new Thermometer(
                        Thermometer.Kind.PROBE,
                        READS_HIGH_KELVIN,
                        boils + READS_HIGH_KELVIN,
                        boils,
                        LocalDate.ofInstant(stamp.at(), ZoneId.systemDefault()).plusDays(CHECKED_DAYS_LATER)),
                stamp);
        long ten = workshop.addMould(
                "Long bar, ten", new Mould(new TaperedCavity(104, 31, 98, 25, 15), 1, null, 5, 2, 6), stamp);
        long sixteen = workshop.addMould(
                "Short bar, sixteen", new Mould(new TaperedCavity(58, 27, 54, 22, 14), 1, null, 4, 4, 4), stamp);
        long caramel = keep("Burnt-honey and bay caramel", caramel(117), caramel(118.5), stamp);
        long paste = keep("Roasted-sunflower paste", paste(), null, stamp);
        long gel = keep("Cloudberry gel", gel(), null, stamp);
        long lantern =
                bar("Lantern", moulded(ten, DARK, 1.6, DARK, 1.8, 2.8, link(caramel, 2), 6.2, link(paste, 1)), stamp);
        long quay = bar(
                "Quay",
                moulded(
                        sixteen,
                        "couverture-milk-38",
                        1.5,
                        "couverture-dark-58",
                        1.6,
                        2.5,
                        link(gel, 1),
                        4,
                        link(paste, 1)),
                stamp);
        return new Made(thermometer, lantern, quay);
    }

    private static String link(long formula, int version) {
        return "formula:" + formula + ":" + version;
    }

    /** Two fillings between a shell and a back, the second taking the rest. */
    private static Bar moulded(
            long mould,
            String shell,
            double shellMm,
            String back,
            double backMm,
            double backGreatestMm,
            String first,
            double firstMm,
            String second) {
        return Bar.of(
                Build.MOULDED,
                new Body.Moulded(mould, false),
                List.of(
                        BarLayer.mm(LayerKind.SHELL, shell, shellMm),
                        BarLayer.mm(LayerKind.FILLING, first, firstMm),
                        BarLayer.rest(LayerKind.FILLING, second),
                        BarLayer.mm(LayerKind.BACK, back, backMm).between(1, backGreatestMm)));
    }

    private long bar(String name, Bar bar, Stamp stamp) {
        long id = bars.create(name, bar, stamp);
        bars.keepVersion(id, 0, "First drawing for the lantern fair", stamp);
        return id;
    }

    private long keep(String name, Formula first, Formula second, Stamp stamp) {
        long id = formulas.create(name, first, stamp);
        formulas.keepVersion(id, 0, "First try", stamp);
        if (second != null) {
            formulas.saveDraft(id, name, second, 0, stamp);
            formulas.keepVersion(id, 1, "Ran at the cut; cook it firmer", stamp);
        }
        return id;
    }

    private static FormulaLine pot(String ingredient, double grams) {
        return new FormulaLine(ingredient, grams, Role.POT);
    }

    private static FormulaLine after(String ingredient, double grams) {
        return new FormulaLine(ingredient, grams, Role.OFF_HEAT);
    }

    private static Formula caramel(double stopCelsius) {
        return new Formula(
                Family.CARAMEL,
                List.of(
                        pot("sugar", 540),
                        pot("honey", 310),
                        pot("glucose-syrup-42", 380),
                        pot("cream-35", 820),
                        pot("bay-leaf", 3),
                        after("butter", 95),
                        after("sea-salt-flakes", 8)),
                stopCelsius,
                0.04,
                List.of(
                        new MethodStep("Warm the cream with the bay, then lift the leaves out", "steam, no boil", ""),
                        new MethodStep(
                                "Darken the honey in the pot, then pour the cream in slowly",
                                "smells of toast",
                                "It rises and spits: long sleeves, big pot, pour away from you."),
                        new MethodStep("Add sugar and syrup and boil", "all dissolved", ""),
                        SCORCH,
                        new MethodStep("Off the heat, whisk in butter and salt", "glossy", "")));
    }

    private static Formula paste() {
        return new Formula(
                Family.NUT_PASTE,
                List.of(
                        pot("sunflower-roasted", 410),
                        pot("sugar", 110),
                        pot("couverture-milk-38", 310),
                        pot("cocoa-butter", 35),
                        pot("salt", 4)),
                null,
                0.03,
                List.of(
                        new MethodStep("Grind seeds and sugar until they flow", "no grain between the fingers", ""),
                        new MethodStep("Stir in the tempered couverture", "below 30 °C", "")));
    }

    private static Formula gel() {
        return new Formula(
                Family.GEL,
                List.of(
                        pot("cloudberry-puree", 600),
                        pot("sugar", 430),
                        pot("glucose-syrup-60", 160),
                        pot("pectin", 11),
                        after("citric-acid", 5)),
                106.5,
                0.05,
                List.of(
                        new MethodStep("Mix pectin with a little sugar, whisk into the warm purée", "no lumps", ""),
                        new MethodStep("Boil with the rest", "the reading is reached", "It spits: cover the hand.")
                                .doing(Act.COOK, ""),
                        new MethodStep("Off the heat, stir in the acid and pour at once", "", "")));
    }
}
