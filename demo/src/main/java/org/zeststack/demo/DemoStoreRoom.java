package org.zeststack.demo;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.formula.DefaultMethods;
import org.zeststack.core.formula.Family;
import org.zeststack.core.formula.Finish;
import org.zeststack.core.formula.Formula;
import org.zeststack.core.formula.FormulaLine;
import org.zeststack.core.formula.FormulaLine.Role;
import org.zeststack.core.ingredient.Lot;
import org.zeststack.core.workshop.Vessel;
import org.zeststack.store.Stamp;
import org.zeststack.store.design.Designs;
import org.zeststack.store.ingredient.Lots;
import org.zeststack.store.workshop.WorkshopStore;

/** Pots and trays, more families of formulas, and the lots of the demo. All names and figures are invented. */
@Component
class DemoStoreRoom {

    private final WorkshopStore workshop;
    private final Designs<Formula> formulas;
    private final Lots lots;

    DemoStoreRoom(WorkshopStore workshop, Designs<Formula> formulas, Lots lots) {
        this.workshop = workshop;
        this.formulas = formulas;
        this.lots = lots;
    }

    void load(Stamp stamp) {
        workshop.addVessel("Copper pot", new Vessel(Vessel.Kind.POT, 9, 0, 0), stamp);
        workshop.addVessel("Small pot", new Vessel(Vessel.Kind.POT, 4, 0, 0), stamp);
        workshop.addVessel("Mixer", new Vessel(Vessel.Kind.BOWL, 6.9, 0, 0), stamp);
        workshop.addVessel("Long frame", new Vessel(Vessel.Kind.FRAME, 0, 360, 270), stamp);
        workshop.addVessel("Oven tray", new Vessel(Vessel.Kind.TRAY, 0, 330, 230), stamp);
        nougat(stamp);
        ganache(stamp);
        base(stamp);
        crunch(stamp);
        lots(stamp);
    }

    private void keep(String name, Formula formula, Stamp stamp) {
        long id = formulas.create(name, formula, stamp);
        formulas.keepVersion(id, 0, "First try", stamp);
    }

    private static FormulaLine line(String what, double grams, Role role) {
        return new FormulaLine(what, grams, role);
    }

    private static Formula formula(Family family, List<FormulaLine> lines, Double stop, Finish finish) {
        return new Formula(family, lines, stop, 0.04, DefaultMethods.of(family), finish, Map.of());
    }

    private void nougat(Stamp stamp) {
        FormulaLine whites = new FormulaLine("egg-white", 66, Role.WARM, 2.0, false, 1, "2 egg whites", List.of());
        keep(
                "Buckwheat-honey nougat",
                formula(
                        Family.NOUGAT,
                        List.of(
                                whites,
                                new FormulaLine("buckwheat-honey", 290, Role.POT, null, false, 2, "", List.of()),
                                line("sugar", 410, Role.POT),
                                line("glucose-syrup-42", 110, Role.POT),
                                line("water", 120, Role.POT),
                                line("cocoa-butter", 35, Role.WARM),
                                line("pumpkin-seed", 260, Role.WARM)),
                        143.0,
                        new Finish(false, null, null, 0.03, 0.35)),
                stamp);
    }

    private void ganache(Stamp stamp) {
        keep(
                "Blackcurrant ganache",
                formula(
                        Family.GANACHE_FRUIT,
                        List.of(
                                line("blackcurrant-puree", 260, Role.POT),
                                line("invert-syrup", 45, Role.POT),
                                line("couverture-milk-38", 520, Role.POT),
                                line("butter", 70, Role.POT)),
                        null,
                        Finish.PLAIN),
                stamp);
    }

    private void base(Stamp stamp) {
        keep(
                "Caraway oat base",
                formula(
                        Family.BISCUIT_PRESSED,
                        List.of(
                                line("flour-wheat", 240, Role.POT),
                                line("oats-rolled", 160, Role.POT),
                                line("butter", 190, Role.POT),
                                line("demerara", 110, Role.POT),
                                line("caraway", 6, Role.POT),
                                line("salt", 3, Role.POT)),
                        null,
                        new Finish(false, null, null, 0.07, 0)),
                stamp);
    }

    /** Uses another formula, and takes as much wafer as its binder carries. */
    private void crunch(Stamp stamp) {
        long paste = formulas.choices().stream()
                .filter(f -> f.name().equals("Roasted-sunflower paste"))
                .findFirst()
                .orElseThrow()
                .design();
        FormulaLine wafer = new FormulaLine("rye-wafer", 190, Role.WARM, null, true, 2, "", List.of());
        keep(
                "Lantern crunch",
                formula(
                        Family.CRUNCH,
                        List.of(
                                line("formula:" + paste + ":1", 300, Role.POT),
                                line("couverture-milk-38", 140, Role.POT),
                                wafer),
                        null,
                        Finish.PLAIN),
                stamp);
    }

    private void lots(Stamp stamp) {
        lot("sugar", "HS-2231", "Harrow Street Mill", 25_000, 1.35, 60, 700, stamp);
        lot("glucose-syrup-42", "G42-118", "Harrow Street Mill", 7_000, 2.1, 40, 400, stamp);
        lot("cream-35", "C-0911", "Fennick Dairy", 6_000, 5.4, 2, 12, stamp);
        lot("butter", "B-0870", "Fennick Dairy", 5_000, 8.9, 10, 50, stamp);
        lot("honey", "HB-04", "Ormsay Bees", 4_500, 11.5, 90, 600, stamp);
        lot("couverture-dark-66", "D66-7714", "Calder & Moss", 15_000, 12.8, 50, 420, stamp);
        lot("couverture-milk-38", "M38-5102", "Calder & Moss", 12_000, 12.2, 50, 330, stamp);
        lot("sunflower-roasted", "SF-33", "Tarn Grocers", 3_000, 4.6, 25, 120, stamp);
        LocalDate made = day(stamp).plusDays(20);
        Lot jar = new Lot(
                "Jar 3",
                "",
                made,
                made.plusDays(60),
                null,
                Map.of(),
                Composition.USUAL_DE,
                0.112,
                false,
                "shelf, 18 °C");
        lots.add("formula:1:2", jar, Lots.Move.MADE, 1850, UUID.randomUUID(), stamp);
    }

    private void lot(
            String slug, String code, String from, double grams, double price, int ageDays, int days, Stamp stamp) {
        LocalDate came = day(stamp).plusDays(30L - Math.min(30, ageDays));
        Lot lot = new Lot(
                code,
                from,
                came,
                came.plusDays(days),
                price,
                Map.of(),
                Composition.USUAL_DE,
                null,
                false,
                slug.startsWith("c") && !slug.startsWith("couv") || slug.equals("butter")
                        ? "cold room, 4 °C"
                        : "store");
        lots.add(slug, lot, Lots.Move.RECEIVED, grams, UUID.randomUUID(), stamp);
    }

    private static LocalDate day(Stamp stamp) {
        return stamp.at().atZone(ZoneId.systemDefault()).toLocalDate();
    }
}
