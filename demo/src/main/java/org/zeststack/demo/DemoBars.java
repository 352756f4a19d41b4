package org.zeststack.demo;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.Body;
import org.zeststack.core.bar.Build;
import org.zeststack.core.bar.Handling;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.cavity.FrustumCavity;
import org.zeststack.core.formula.DefaultMethods;
import org.zeststack.core.formula.Family;
import org.zeststack.core.formula.Finish;
import org.zeststack.core.formula.Formula;
import org.zeststack.core.formula.FormulaLine;
import org.zeststack.core.formula.FormulaLine.Role;
import org.zeststack.core.method.Act;
import org.zeststack.core.method.MethodStep;
import org.zeststack.core.workshop.Mould;
import org.zeststack.demo.DemoDesigns.Made;
import org.zeststack.store.Stamp;
import org.zeststack.store.design.Designs;
import org.zeststack.store.workshop.WorkshopStore;

/** Bars of the lantern fair in all five builds, with the formulas that they need. Made up; nobody's recipes. */
@Component
class DemoBars {

    private static final String DARK = "couverture-dark-66";
    private static final String MILK = "couverture-milk-38";

    private final WorkshopStore workshop;
    private final Designs<Formula> formulas;
    private final Designs<Bar> bars;

    DemoBars(WorkshopStore workshop, Designs<Formula> formulas, Designs<Bar> bars) {
        this.workshop = workshop;
        this.formulas = formulas;
        this.bars = bars;
    }

    void load(Made made, Stamp stamp) {
        Map<String, Long> ids =
                formulas.choices().stream().collect(Collectors.toMap(Designs.Choice::name, Designs.Choice::design));
        String paste = link(ids.get("Roasted-sunflower paste"));
        String blackcurrant = keep("Blackcurrant caramel", cooked(116, line("blackcurrant-puree", 220)), stamp);
        String buttermilk = keep("Buttermilk ganache", buttermilk(), stamp);
        String buckthorn = keep("Sea-buckthorn caramel", buckthorn(), stamp);
        String birch = keep("Birch-syrup caramel", birch(), stamp);
        String hemp = keep("Hemp-seed and prune block", hemp(), stamp);
        quay(made.quay(), link(ids.get("Cloudberry gel")), buttermilk, stamp);
        pilot(paste, blackcurrant, stamp);
        breakwater(link(ids.get("Buckwheat-honey nougat")), buckthorn, stamp);
        ropewalk(link(ids.get("Caraway oat base")), birch, stamp);
        capstan(hemp, stamp);
        floe(stamp);
        cairn(buttermilk, stamp);
        shingle(stamp);
        tiller(hemp, birch, stamp);
    }

    private static String link(long formula) {
        return "formula:" + formula + ":1";
    }

    private String keep(String name, Formula formula, Stamp stamp) {
        long id = formulas.create(name, formula, stamp);
        formulas.keepVersion(id, 0, "First try", stamp);
        return link(id);
    }

    private static FormulaLine line(String what, double grams) {
        return new FormulaLine(what, grams, Role.POT);
    }

    private static Formula formula(Family family, Double stop, FormulaLine... lines) {
        return new Formula(family, List.of(lines), stop, 0.04, DefaultMethods.of(family), Finish.PLAIN, Map.of());
    }

    private static Formula cooked(double stop, FormulaLine flavour) {
        return formula(
                Family.CARAMEL,
                stop,
                line("sugar", 430),
                line("glucose-syrup-42", 330),
                line("cream-35", 540),
                line("butter", 85),
                flavour);
    }

    /** Its fruit boils with the sugar alone; what scorches goes in late. */
    private static Formula buckthorn() {
        List<MethodStep> method = List.of(
                new MethodStep("Dissolve sugar and syrup in the purée", "no grain between the fingers", ""),
                new MethodStep("Pour in the warmed cream and butter", "128 °C", "").doing(Act.ADD, ""),
                new MethodStep("Boil and stir over the whole bottom", "The stop reading", "").doing(Act.COOK, ""),
                new MethodStep("Off the heat, let the bubbles sink", "flat", ""),
                new MethodStep("Pour", "90 °C", "Still hot enough to burn: no children near"));
        return new Formula(
                Family.CARAMEL,
                List.of(
                        line("sugar", 430),
                        line("glucose-syrup-42", 330),
                        line("sea-buckthorn-puree", 190),
                        line("water", 60),
                        poured("cream-35", 540),
                        poured("butter", 85)),
                120.0,
                0.04,
                method,
                Finish.PLAIN,
                Map.of());
    }

    private static FormulaLine poured(String what, double grams) {
        return new FormulaLine(what, grams, Role.POT, null, false, 2, "", List.of());
    }

    /** With salt, for whoever likes it. */
    private static Formula birch() {
        Formula plain = cooked(117, line("birch-syrup", 340));
        List<FormulaLine> lines = new ArrayList<>(plain.lines());
        lines.add(new FormulaLine("sea-salt-flakes", 7, Role.OPTIONAL));
        return plain.withLines(lines);
    }

    private static Formula buttermilk() {
        return formula(
                Family.GANACHE,
                null,
                line("buttermilk", 150),
                line("cream-35", 120),
                line("invert-syrup", 40),
                line("couverture-white-34", 620),
                line("butter", 45));
    }

    private static Formula hemp() {
        return formula(
                Family.KNEADED,
                null,
                line("prune", 410),
                line("hemp-seed", 240),
                line("almond-ground", 130),
                line("honey", 55),
                line("cocoa-powder", 28));
    }

    private void bar(String name, Build build, Body body, List<BarLayer> layers, Double centre, Stamp stamp) {
        Bar bar = new Bar(
                build,
                body,
                layers,
                Bar.Finish.TEMPERED,
                Bar.Storage.COOL,
                Bar.SoldAs.OWN_NAME,
                null,
                centre,
                null,
                List.of());
        long id = bars.create(name, bar, stamp);
        bars.keepVersion(id, 0, "First drawing for the lantern fair", stamp);
    }

    /** The second version of a bar that has been made before: another filling, and a colour that shows. */
    private void quay(long id, String gel, String ganache, Stamp stamp) {
        BarLayer colour = BarLayer.grams(LayerKind.DECORATION, "coloured-butter-yellow", 0)
                .given(BarLayer.By.MILLIGRAMS, 70);
        Bar now = bars.draft(id).orElseThrow().content();
        Bar next = now.with(List.of(
                colour,
                BarLayer.mm(LayerKind.SHELL, MILK, 1.5),
                BarLayer.mm(LayerKind.FILLING, gel, 3.4),
                BarLayer.rest(LayerKind.FILLING, ganache).at(26),
                BarLayer.mm(LayerKind.BACK, "couverture-dark-58", 1.8).between(1, 2.5)));
        bars.saveDraft(id, "Quay", next, 0, stamp);
        bars.keepVersion(id, 1, "Ganache over the gel: the paste hid it", stamp);
    }

    private void pilot(String paste, String caramel, Stamp stamp) {
        long mould = workshop.addMould(
                "Round forty-four", new Mould(new FrustumCavity(false, 44, 38, 16), 1, null, 3, 6, 4), stamp);
        BarLayer.Insert disc = new BarLayer.Insert(BarLayer.Shape.DISC, 30, 30, 2.4, 0, 0.6, 0.6, 33);
        bar(
                "Pilot",
                Build.MOULDED,
                new Body.Moulded(mould, false),
                List.of(
                        BarLayer.mm(LayerKind.SHELL, MILK, 1.6),
                        BarLayer.mm(LayerKind.FILLING, paste, 3.2),
                        BarLayer.mm(LayerKind.INSERT, "rye-wafer", 0)
                                .with(disc)
                                .mixed(new BarLayer.Mix("cocoa-butter", 0.16, false)),
                        BarLayer.rest(LayerKind.FILLING, caramel).at(25),
                        BarLayer.mm(LayerKind.BACK, DARK, 1.8).between(1, 2.8)),
                null,
                stamp);
    }

    private void breakwater(String nougat, String caramel, Stamp stamp) {
        bar(
                "Breakwater",
                Build.SLAB,
                new Body.Slab(360, 270, 69, 25, 1, 5, 1.5),
                List.of(
                        BarLayer.mm(LayerKind.FOOT, MILK, 0.7),
                        BarLayer.mm(LayerKind.FILLING, nougat, 10),
                        BarLayer.mm(LayerKind.FILLING, caramel, 5),
                        BarLayer.mm(LayerKind.COAT, MILK, 1.1).at(30)),
                20.0,
                stamp);
    }

    private void ropewalk(String base, String caramel, Stamp stamp) {
        bar(
                "Ropewalk",
                Build.TRAY,
                new Body.Tray(330, 230, 4, 10, 1, 3),
                List.of(
                        BarLayer.mm(LayerKind.BASE, base, 8),
                        BarLayer.mm(LayerKind.SHEET, DARK, 0.6),
                        BarLayer.mm(LayerKind.FILLING, caramel, 6.5),
                        BarLayer.mm(LayerKind.VENEER, DARK, 2.2)),
                null,
                stamp);
    }

    private void capstan(String hemp, Stamp stamp) {
        bar(
                "Capstan",
                Build.SHAPED,
                new Body.Shaped(Body.Form.BLOCK, 62, 29, 15, 0),
                List.of(
                        BarLayer.mm(LayerKind.FILLING, hemp, 0),
                        BarLayer.mm(LayerKind.COAT, DARK, 1.6).on(new BarLayer.Faces(true, false, false, false))),
                19.0,
                stamp);
    }

    private void floe(Stamp stamp) {
        BarLayer caraway = BarLayer.grams(LayerKind.INCLUSION, "caraway", 0.25).withEmbedded(0.5);
        bar(
                "Floe",
                Build.OPEN,
                new Body.Tray(360, 270, 5, 6, 0, 6),
                List.of(
                        BarLayer.mm(LayerKind.SHEET, DARK, 3.2)
                                .mixed(new BarLayer.Mix("couverture-white-34", 0.35, true)),
                        caraway),
                null,
                stamp);
    }

    /** Levels of falling size on a plate, piped between; the uppermost is tinted through all of its bowl. */
    private void cairn(String ganache, Stamp stamp) {
        bar(
                "Cairn",
                Build.OPEN,
                new Body.Plate(true, List.of(58.0, 44.0, 31.0)),
                List.of(
                        BarLayer.mm(LayerKind.SHEET, DARK, 2.4).handled(Handling.on(1, Handling.Cover.WHOLE)),
                        BarLayer.grams(LayerKind.FILLING, ganache, 6.5).handled(Handling.on(1, Handling.Cover.DOTS)),
                        BarLayer.mm(LayerKind.SHEET, MILK, 1.8).handled(Handling.on(2, Handling.Cover.WHOLE)),
                        BarLayer.grams(LayerKind.FILLING, ganache, 3).handled(Handling.on(2, Handling.Cover.RINGS)),
                        BarLayer.mm(LayerKind.SHEET, "couverture-white-34", 1.4)
                                .mixed(new BarLayer.Mix("coloured-butter-yellow", 0.05, false))
                                .handled(Handling.on(3, Handling.Cover.WHOLE))),
                null,
                stamp);
    }

    private void shingle(Stamp stamp) {
        bar(
                "Shingle",
                Build.OPEN,
                new Body.Spread(360, 270, 18, 34, 0.04),
                List.of(
                        BarLayer.mm(LayerKind.SHEET, MILK, 4.2),
                        LayerKind.TOPPING.usual().given(BarLayer.By.SHARE, 0.8),
                        BarLayer.grams(LayerKind.TOPPING, "hemp-seed", 0).given(BarLayer.By.SHARE, 14)),
                null,
                stamp);
    }

    private void tiller(String hemp, String caramel, Stamp stamp) {
        bar(
                "Tiller",
                Build.SHAPED,
                new Body.Shaped(Body.Form.LOG, 14, 26, 0, 0, 16, 12.0),
                List.of(
                        BarLayer.mm(LayerKind.FILLING, hemp, 0),
                        BarLayer.grams(LayerKind.FILLING, caramel, 2.2),
                        BarLayer.mm(LayerKind.COAT, DARK, 1.2).on(new BarLayer.Faces(true, true, true, true))),
                19.0,
                stamp);
    }
}
