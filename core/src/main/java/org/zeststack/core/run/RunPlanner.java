package org.zeststack.core.run;

import static org.zeststack.core.quantity.Numbers.fixed;
import static org.zeststack.core.quantity.Numbers.plain;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.bar.Technique;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.explain.Call;
import org.zeststack.core.explain.Working;
import org.zeststack.core.formula.DefaultMethods;
import org.zeststack.core.formula.Formula;
import org.zeststack.core.formula.FormulaBalance;
import org.zeststack.core.formula.NamedFormula;
import org.zeststack.core.formula.Needs;
import org.zeststack.core.formula.Scaling;
import org.zeststack.core.formula.WrittenAmounts;
import org.zeststack.core.ingredient.Ingredient;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.judge.BarCalls;
import org.zeststack.core.method.Act;
import org.zeststack.core.method.MethodStep;
import org.zeststack.core.picture.CrossSection;
import org.zeststack.core.quantity.Numbers;
import org.zeststack.core.rule.Rule;
import org.zeststack.core.stack.BarStack;
import org.zeststack.core.stack.Frame;
import org.zeststack.core.stack.Material;
import org.zeststack.core.stack.StackLayer;
import org.zeststack.core.sugar.Cook;

/**
 * Turns an order into a run sheet.
 *
 * <p>Pieces to make = wanted / (1 − rejects), rounded up. Slabs, trays and sheets are made whole, so whole ones are planned: what is
 * laid before the cut is laid for every piece they give, and the pieces beyond those to make are spare. What is laid of a formula is
 * multiplied by {@link Needs}. Couverture to melt = what stays + scrapings + one mould filled to the rim less its shells + what must
 * stay in the bowl; the last two come back.
 */
public final class RunPlanner {

    private static final String REJECTS = "carrier-for-rejects";

    private final RunOrder order;
    private final IngredientTable ingredients;
    private final int pieces;
    private final RunSheet.Moulds carriers;
    private final LaidMasses masses;

    private RunPlanner(RunOrder order, IngredientTable ingredients) {
        this.order = order;
        this.ingredients = ingredients;
        pieces = (int) Math.ceil(order.pieces() / (1 - order.allowances().rejectFraction()) - 1e-9);
        carriers = carriers();
        masses = new LaidMasses(order, pieces, carriers);
    }

    /**
     * Plans a run.
     *
     * @throws org.zeststack.core.quantity.Refusal naming a formula whose finished mass is not known
     */
    public static RunSheet plan(RunOrder order, IngredientTable ingredients) {
        return new RunPlanner(order, ingredients).sheet();
    }

    private RunSheet sheet() {
        BarStack bar = order.bar();
        List<RunSheet.FormulaBatch> formulas = formulas();
        List<RunSheet.CouvertureBatch> couvertures = couvertures();
        List<RunSheet.LaidBatch> laid = laid();
        List<RunSheet.LayerTarget> layers =
                bar.layers().stream().map(this::target).toList();
        return new RunSheet(
                order.barName(),
                order.barVersion(),
                order.pieces(),
                pieces,
                carriers,
                order.allowances(),
                order.place().pressureKpa(),
                order.thermometerName(),
                order.thermometer(),
                CrossSection.across(bar),
                layers,
                bar.pieceGrams(),
                formulas,
                couvertures,
                laid,
                weighing(formulas, couvertures, laid),
                calls(),
                StepList.of(order, ingredients, formulas, couvertures, layers, carriers, masses));
    }

    /** What is said of the bar, and whether only the rejects expected open another slab, tray or sheet. */
    private List<Call> calls() {
        List<Call> calls = new ArrayList<>(BarCalls.of(order.bar()));
        int enough = (order.pieces() + carriers.cavities() - 1) / carriers.cavities();
        if (order.bar().bar().body().cutToPieces() && enough < carriers.fills()) {
            double good = 1 - order.allowances().rejectFraction();
            int fewer = enough * carriers.cavities();
            String one = carriers.carrier();
            calls.add(new Call(
                    Call.Weight.GOOD_TO_KNOW,
                    REJECTS,
                    "%s: expect %d good, or %d of %d with %s more. Only the rejects expected ask for it."
                            .formatted(
                                    enough == 1
                                            ? "One %s gives %d".formatted(one, fewer)
                                            : "%d %ss give %d".formatted(enough, one, fewer),
                                    Math.round(fewer * good),
                                    Math.round(carriers.fills() * carriers.cavities() * good),
                                    carriers.fills() * carriers.cavities(),
                                    carriers.fills() - enough == 1 ? "one" : carriers.fills() - enough),
                    "%d wanted / (1 − %s %%) = %d to make, %d on one %s"
                            .formatted(
                                    order.pieces(),
                                    Numbers.plain(100 * order.allowances().rejectFraction()),
                                    pieces,
                                    carriers.cavities(),
                                    one),
                    Rule.of(Rule.About.RUN, REJECTS).source(order.bar().bounds())));
        }
        return List.copyOf(calls);
    }

    private RunSheet.LayerTarget target(StackLayer l) {
        boolean one = l.design().handling().oneHalf();
        int perPiece = order.bar().frame() instanceof Frame.Moulded m && !one ? m.halves() : 1;
        return new RunSheet.LayerTarget(
                l.key(),
                masses.of(l),
                l.kind().name(),
                l.name(),
                l.pattern(),
                l.thicknessMm(),
                l.window().times(1.0 / perPiece),
                perPiece,
                masses.mixed(l),
                masses.mixedFraction(l),
                Optional.ofNullable(l.design().handling().technique())
                        .map(Technique::name)
                        .orElse(""),
                order.bar().bar().onCarrier(l.index()) && l.grams() > 0
                        ? Double.valueOf(l.laidGrams() * carriers.cavities())
                        : null);
    }

    /** Moulds and their turns; slabs, trays and sheets are laid as often as they are needed, and whole. */
    private RunSheet.Moulds carriers() {
        int each = order.bar().frame().piecesOfOne();
        int fills = (pieces + each - 1) / each;
        int turns = (fills + order.carriersOwned() - 1) / order.carriersOwned();
        boolean whole = order.bar().bar().body().cutToPieces();
        return new RunSheet.Moulds(
                order.carrierName(),
                each,
                order.carriersOwned(),
                fills,
                turns,
                pieces - (fills - 1) * each,
                order.bar().bar().body().carrier(),
                whole ? fills * each - pieces : 0,
                order.bar().layers().stream().anyMatch(l -> !order.bar().bar().onCarrier(l.index())));
    }

    private List<RunSheet.FormulaBatch> formulas() {
        Map<String, Double> laidGrams = new LinkedHashMap<>();
        List<NamedFormula> all = new ArrayList<>(order.formulas().values());
        order.formulas()
                .forEach((link, named) ->
                        laidGrams.put(link, masses.deposit(named.key()).total()));
        order.parts().stream()
                .filter(part -> !order.formulas().containsKey(part.link().text()))
                .forEach(all::add);
        return Needs.of(new Needs.Order(
                        laidGrams,
                        all,
                        order.fromStock(),
                        ingredients,
                        order.place().pressureKpa(),
                        order.limits()))
                .stream()
                .map(this::batch)
                .toList();
    }

    private RunSheet.FormulaBatch batch(Needs.Batch batch) {
        NamedFormula named = batch.named();
        Formula formula = named.formula();
        FormulaBalance made = batch.made();
        List<RunSheet.BatchLine> lines = batch.scaling().lines().stream()
                .filter(l -> formula.lines().get(l.index()).counts())
                .map(l -> new RunSheet.BatchLine(
                        l.ingredient(),
                        ingredients.get(l.ingredient()).name(),
                        l.grams(),
                        formula.lines().get(l.index()).role().words(),
                        formula.lines().get(l.index()).toEffect(),
                        formula.lines().get(l.index()).withGrams(l.grams()).mostGrams()))
                .toList();
        Double here = made.cook().map(Cook::stopCelsiusHere).orElse(null);
        return new RunSheet.FormulaBatch(
                named.key(),
                named.name(),
                named.version(),
                formula.family().material(),
                batch.laidGrams(),
                batch.usableGrams(),
                batch.scaling().factor(),
                made.before().totalGrams(),
                lines,
                formula.boiled() ? made.pots().main().byPart() : Map.<Part, Double>of(),
                made.pots().main().dextroseEquivalent(),
                formula.stopCelsius(),
                here,
                here == null ? null : order.thermometer().readingAt(here),
                worded(formula, batch.scaling()),
                why(batch, here),
                made.leastGrams(),
                made.greatestGrams(),
                masses.deposit(named.key()),
                batch.takenGrams(),
                made.before().waterGrams(),
                ending(formula),
                batch.scaling().batches(),
                batch.scaling().sharedOut().orElse(""),
                formula.finish().overrunFraction(),
                made.cook().map(c -> c.after().totalGrams()).orElse(null),
                formula.cooked() ? new PotPlanner(order, ingredients).plan(batch) : null,
                fat(made.after()));
    }

    /** The steps in their own words, with the amounts in them for one pot of this run. */
    private static List<MethodStep> worded(Formula formula, Scaling scaling) {
        double each = scaling.factor() / scaling.batches();
        return DefaultMethods.of(formula).stream()
                .map(step -> step.saying(WrittenAmounts.times(step.action(), each)))
                .map(step -> step.does() == Act.WEIGH
                        ? scaling.whole()
                                .map(whole -> step.saying(step.action() + ". " + whole.words(scaling.factor())))
                                .orElse(step)
                        : step)
                .toList();
    }

    private static RunSheet.Fat fat(Composition of) {
        double butter = of.grams(Part.COCOA_BUTTER);
        return new RunSheet.Fat(butter / of.totalGrams(), (of.grams(Part::isFat) - butter) / of.totalGrams());
    }

    private static RunSheet.Ending ending(Formula formula) {
        if (formula.cooked()) {
            return RunSheet.Ending.READING;
        }
        if (formula.finish().byEye()) {
            return RunSheet.Ending.EYE;
        }
        return formula.finish().bakedLossFraction() > 0 ? RunSheet.Ending.BAKED : RunSheet.Ending.MIXED;
    }

    private Working why(Needs.Batch batch, Double here) {
        NamedFormula named = batch.named();
        FormulaBalance made = batch.made();
        Working.Builder working = Working.of(named.name());
        if (batch.laidGrams() > 0) {
            working.line("Laid", "for %d pieces%s: %s g", pieces, spareWords(), fixed(batch.laidGrams(), 0));
        }
        batch.takenGrams().forEach((user, grams) -> working.line("Into " + user, "%s g", fixed(grams, 0)));
        working.line(
                        "Finished mass to have",
                        "%s g / (1 − %s %% left in pot and bag) = %s g%s",
                        fixed(batch.usableGrams(), 0),
                        plain(100 * named.formula().handlingLossFraction()),
                        fixed(made.leastGrams(), 0),
                        batch.scaling().spreads()
                                ? "; by eye it may come to %s g".formatted(fixed(made.greatestGrams(), 0))
                                : "")
                .line(
                        "Multiply the formula by",
                        "%s g / %s g = %s",
                        fixed(made.leastGrams(), 0),
                        fixed(batch.balance().leastGrams(), 0),
                        fixed(batch.scaling().factor(), 4))
                .line(
                        "Weigh out",
                        "%s g; %s %% of it is finished",
                        fixed(made.before().totalGrams(), 0),
                        fixed(100 * made.leastGrams() / made.before().totalGrams(), 1));
        batch.scaling()
                .whole()
                .ifPresent(whole ->
                        working.line("Pieces", "%s", whole.words(batch.scaling().factor())));
        batch.scaling().sharedOut().ifPresent(words -> working.line("Batches", "%s", words));
        if (here != null && !order.measured()) {
            working.line("Stop", "without a thermometer: by weight and cold water");
        } else if (here != null) {
            working.line(
                    "Stop",
                    "%s °C at sea level = %s °C under %s kPa; %s shows %s %s K there: %s °C",
                    fixed(named.formula().stopCelsius(), 1),
                    fixed(here, 1),
                    fixed(order.place().pressureKpa(), 2),
                    order.thermometerName(),
                    order.thermometer().offsetKelvin(here) < 0 ? "minus" : "plus",
                    fixed(Math.abs(order.thermometer().offsetKelvin(here)), 1),
                    fixed(order.thermometer().readingAt(here), 1));
        }
        return working.from("Same water left at this place: IAPWS, Starzak and Peacock 1997, Norrish 1966, Ross 1975.");
    }

    private String spareWords() {
        return carriers.spare() > 0 ? " and %d spare".formatted(carriers.spare()) : "";
    }

    /** Couvertures and compounds, each once, the shell's first. */
    private List<RunSheet.CouvertureBatch> couvertures() {
        List<RunSheet.CouvertureBatch> batches = new ArrayList<>();
        List<StackLayer> coats = order.bar().all(LayerKind.COAT);
        String shell = order.bar().first(LayerKind.SHELL).map(masses::of).orElse("");
        String dip = coats.isEmpty() ? "" : masses.of(coats.get(coats.size() - 1));
        for (LaidMasses.Melted bowl : masses.bowls()) {
            double rim = bowl.bowl().key().equals(shell) ? order.bar().pouredOutGrams() : 0;
            double left = Math.max(
                    order.allowances().bowlGrams(),
                    bowl.bowl().key().equals(dip) ? order.bar().bowlGrams() : 0);
            batches.add(couverture(bowl, masses.deposit(bowl.bowl().key()), rim, left));
        }
        return batches;
    }

    /** What goes beyond the pieces is rounded up to whole grams, so that the lines of the sheet add up. */
    private RunSheet.CouvertureBatch couverture(
            LaidMasses.Melted of, RunSheet.Deposit deposit, double rimGrams, double bowlGrams) {
        Material couverture = of.material();
        double scrape = order.allowances().scrapeFraction();
        double stays = deposit.total();
        double scraped = Math.ceil(stays / (1 - scrape) - stays - 1e-9);
        double poured = Math.ceil(rimGrams - 1e-9);
        double bowl = Math.ceil(bowlGrams - 1e-9);
        double melt = stays + scraped + poured + bowl;
        Working.Builder why = Working.of(couverture.name())
                .line("Stays in the pieces", "%d pieces: %s g", pieces, fixed(deposit.pieces(), 0));
        if (deposit.offcuts() + deposit.spare() > 0) {
            why.line("Stays in off-cuts and spare pieces", "%s g", fixed(deposit.offcuts() + deposit.spare(), 0));
        }
        if (deposit.kept() > 0) {
            why.line("Kept in brush, gun or bag", "%s g", fixed(deposit.kept(), 0));
        }
        why.line(
                        "Scraped off",
                        "%s g / (1 − %s %%) − %s g = %s g",
                        fixed(stays, 0),
                        plain(100 * scrape),
                        fixed(stays, 0),
                        fixed(scraped, 0))
                .line("Poured out of one full mould", "%s g come back", fixed(poured, 0))
                .line("Left in the bowl to work in", "%s g come back", fixed(bowl, 0))
                .line("Melt", "%s g", fixed(melt, 0));
        RunSheet.Tint tint = null;
        if (of.tint() != null) {
            String slug = of.tint().of();
            String name = order.bar().parts().materials().get(slug).name();
            tint = new RunSheet.Tint(slug, name, of.tint().fraction() * melt);
            why.line(
                    "Of it " + name,
                    "%s %% of all the bowl: %s g",
                    plain(100 * of.tint().fraction()),
                    fixed(tint.grams(), 1));
        }
        Ingredient plain = ingredients.get(of.bowl().slug());
        return new RunSheet.CouvertureBatch(
                of.bowl().key(),
                couverture.name(),
                couverture.compound() ? RunSheet.CouvertureBatch.COMPOUND : couverture.chocolate(),
                stays,
                melt,
                poured + bowl,
                why.from("Common practice, no source; the allowances are this run's own."),
                deposit,
                scraped,
                poured,
                bowl,
                tint,
                plain.per100Grams().grams(Part.COCOA_BUTTER) / 100,
                couverture.windows(),
                couverture.allergens());
    }

    /** Plain ingredients that are laid as they are. */
    private List<RunSheet.LaidBatch> laid() {
        List<RunSheet.LaidBatch> batches = new ArrayList<>();
        masses.plain()
                .forEach((laid, of) ->
                        batches.add(new RunSheet.LaidBatch(laid.key(), of.name(), masses.deposit(laid.key()))));
        return batches;
    }

    private List<RunSheet.WeighingLine> weighing(
            List<RunSheet.FormulaBatch> formulas,
            List<RunSheet.CouvertureBatch> couvertures,
            List<RunSheet.LaidBatch> laid) {
        Map<String, RunSheet.WeighingLine> list = new LinkedHashMap<>();
        for (RunSheet.FormulaBatch batch : formulas) {
            batch.lines().forEach(l -> add(list, l.ingredient(), l.name(), l.mostGrams(), batch.name()));
        }
        for (RunSheet.CouvertureBatch c : couvertures) {
            add(list, c.slug(), order.bar().parts().materials().get(c.slug()).name(), c.plainGrams(), "melt");
            if (c.tint() != null) {
                add(list, c.tint().ingredient(), c.tint().name(), c.tint().grams(), "stirred into " + c.name());
            }
        }
        for (RunSheet.LaidBatch l : laid) {
            add(list, l.slug(), l.name(), l.deposit().total(), "laid");
        }
        return List.copyOf(list.values());
    }

    private static void add(
            Map<String, RunSheet.WeighingLine> list, String slug, String name, double grams, String usedIn) {
        list.merge(slug, new RunSheet.WeighingLine(slug, name, grams, List.of(usedIn)), (a, b) -> {
            List<String> users = new ArrayList<>(a.usedIn());
            if (!users.contains(usedIn)) {
                users.add(usedIn);
            }
            return new RunSheet.WeighingLine(slug, name, a.grams() + b.grams(), users);
        });
    }
}
