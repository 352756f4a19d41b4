package org.zeststack.core.run;

import static org.zeststack.core.quantity.Numbers.fixed;
import static org.zeststack.core.quantity.Numbers.plain;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.BarStack;
import org.zeststack.core.bar.CrossSection;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.bar.Material;
import org.zeststack.core.bar.StackLayer;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.explain.Working;
import org.zeststack.core.formula.Formula;
import org.zeststack.core.formula.FormulaBalance;
import org.zeststack.core.formula.FormulaLine;
import org.zeststack.core.formula.NamedFormula;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.sugar.Cook;
import org.zeststack.core.workshop.Thermometer;

/**
 * Turns an order into a run sheet.
 *
 * <p>Pieces to make = wanted / (1 − rejects), rounded up. A formula's finished mass = deposit / (1 − handling loss); its
 * lines are multiplied by finished mass over the formula's own finished mass, which carries the cooking yield. Couverture
 * to melt = (shell and back of all pieces) / (1 − scrape) + one mould filled to the rim less its shells + what must stay in
 * the bowl; the last two come back.
 */
public final class RunPlanner {

    private static final String COUVERTURE = "couverture-";

    private final RunOrder order;
    private final IngredientTable ingredients;
    private final int pieces;

    private RunPlanner(RunOrder order, IngredientTable ingredients) {
        this.order = order;
        this.ingredients = ingredients;
        pieces = (int) Math.ceil(order.pieces() / (1 - order.allowances().rejectFraction()) - 1e-9);
    }

    /** Plans a run. */
    public static RunSheet plan(RunOrder order, IngredientTable ingredients) {
        return new RunPlanner(order, ingredients).sheet();
    }

    private RunSheet sheet() {
        BarStack bar = order.bar();
        List<RunSheet.FormulaBatch> formulas = formulas();
        List<RunSheet.CouvertureBatch> couvertures = couvertures();
        List<RunSheet.LayerTarget> layers =
                bar.layers().stream().map(this::target).toList();
        return new RunSheet(
                RunSheet.SCHEMA_VERSION,
                order.barName(),
                order.barVersion(),
                order.pieces(),
                pieces,
                carriers(),
                order.allowances(),
                order.place().pressureKpa(),
                order.thermometerName(),
                order.thermometer(),
                CrossSection.across(bar),
                layers,
                bar.pieceGrams(),
                formulas,
                couvertures,
                weighing(formulas, couvertures),
                bar.calls(),
                StepList.of(order, formulas, couvertures, carriers()));
    }

    /** Key of the component that a layer is laid from; empty for a plain ingredient. */
    private String component(StackLayer layer) {
        NamedFormula formula = order.formulas().get(layer.design().of());
        if (formula != null) {
            return formula.key();
        }
        return layer.material().isChocolate() || layer.material().compound()
                ? couvertureKey(layer.design().of())
                : "";
    }

    private static String couvertureKey(String slug) {
        return COUVERTURE + slug;
    }

    private RunSheet.LayerTarget target(StackLayer l) {
        return new RunSheet.LayerTarget(
                l.key(), component(l), l.kind().name(), l.name(), l.pattern(), l.thicknessMm(), l.window());
    }

    /** Moulds and their turns; slabs, trays and sheets are laid as often as they are needed. */
    private RunSheet.Moulds carriers() {
        int each = order.bar().frame().piecesOfOne();
        int fills = (pieces + each - 1) / each;
        int turns = (fills + order.carriersOwned() - 1) / order.carriersOwned();
        return new RunSheet.Moulds(
                order.carrierName(),
                each,
                order.carriersOwned(),
                fills,
                turns,
                pieces - (fills - 1) * each,
                order.bar().bar().body().carrier());
    }

    /**
     * One batch per formula version; two layers of the same version share it. Parts follow from the lines that use them, those
     * made first standing first.
     */
    private List<RunSheet.FormulaBatch> formulas() {
        Map<String, NamedFormula> byKey = new LinkedHashMap<>();
        Map<String, Double> need = new LinkedHashMap<>();
        order.formulas().forEach((link, named) -> {
            byKey.put(named.key(), named);
            need.put(named.key(), gramsOf(link));
        });
        List<RunSheet.FormulaBatch> batches = new ArrayList<>();
        byKey.forEach((key, named) -> batches.add(used(batch(named, need.get(key)), need)));
        for (int i = order.parts().size() - 1; i >= 0; i--) {
            NamedFormula part = order.parts().get(i);
            double inOthers = need.getOrDefault(part.link().text(), 0.0);
            if (inOthers > 0 && !byKey.containsKey(part.key())) {
                batches.add(0, used(batch(part, inOthers), need));
            }
        }
        return batches;
    }

    /** Notes what a batch takes of other formulas. */
    private static RunSheet.FormulaBatch used(RunSheet.FormulaBatch batch, Map<String, Double> need) {
        batch.lines().forEach(l -> need.merge(l.ingredient(), l.grams(), Double::sum));
        return batch;
    }

    private RunSheet.FormulaBatch batch(NamedFormula named, double depositGrams) {
        Formula formula = named.formula();
        FormulaBalance balance =
                FormulaBalance.of(formula, ingredients, order.place().pressureKpa());
        double usable = depositGrams / (1 - formula.handlingLossFraction());
        double factor = usable / balance.after().totalGrams();
        List<RunSheet.BatchLine> lines = formula.lines().stream()
                .filter(FormulaLine::counts)
                .map(l -> new RunSheet.BatchLine(
                        l.ingredient(),
                        ingredients.get(l.ingredient()).name(),
                        l.grams() * factor,
                        l.role().words(),
                        l.toEffect()))
                .toList();
        Composition pot = balance.pot().times(factor);
        Thermometer thermometer = order.thermometer();
        Double here = balance.cook().map(Cook::stopCelsiusHere).orElse(null);
        return new RunSheet.FormulaBatch(
                named.key(),
                named.name(),
                named.version(),
                formula.family().material(),
                depositGrams,
                usable,
                factor,
                balance.before().totalGrams() * factor,
                lines,
                formula.cooked() ? pot.byPart() : Map.<Part, Double>of(),
                pot.dextroseEquivalent(),
                formula.stopCelsius(),
                here,
                here == null ? null : thermometer.readingAt(here),
                formula.method(),
                why(named, balance, depositGrams, usable, factor, here));
    }

    private Working why(
            NamedFormula named, FormulaBalance balance, double deposit, double usable, double factor, Double here) {
        Working.Builder working = Working.of(named.name())
                .line("To have", "for %d pieces: %s g", pieces, fixed(deposit, 0))
                .line(
                        "Finished mass to have",
                        "%s g / (1 − %s %% left in pot and bag) = %s g",
                        fixed(deposit, 0),
                        plain(100 * named.formula().handlingLossFraction()),
                        fixed(usable, 0))
                .line(
                        "Multiply the formula by",
                        "%s g / %s g = %s",
                        fixed(usable, 0),
                        fixed(balance.after().totalGrams(), 0),
                        fixed(factor, 4))
                .line(
                        "Weigh out",
                        "%s g; yield through cooking %s %%",
                        fixed(balance.before().totalGrams() * factor, 0),
                        fixed(100 * balance.yieldFraction(), 1));
        if (here != null) {
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

    /** What all pieces take of an ingredient or formula, off-cuts and mixtures included. */
    private double gramsOf(String slug) {
        double grams = 0;
        for (StackLayer layer : order.bar().layers()) {
            BarLayer.Mix mix = layer.design().mix();
            double mixed = mix == null ? 0 : mix.fraction();
            grams += layer.design().of().equals(slug) ? layer.laidGrams() * (1 - mixed) : 0;
            grams += mix != null && mix.of().equals(slug) ? layer.laidGrams() * mixed : 0;
        }
        return grams * pieces;
    }

    /** Couvertures and compounds, each once, the shell's first. */
    private List<RunSheet.CouvertureBatch> couvertures() {
        List<RunSheet.CouvertureBatch> batches = new ArrayList<>();
        String shell =
                order.bar().first(LayerKind.SHELL).map(l -> l.design().of()).orElse("");
        for (String slug : order.bar().bar().materials()) {
            Material material = order.bar().parts().materials().get(slug);
            if (material.isChocolate() || material.compound()) {
                double rim = slug.equals(shell)
                        ? order.bar().pouredOutGrams() * order.bar().frame().piecesOfOne()
                        : 0;
                batches.add(couverture(material, gramsOf(slug), rim));
            }
        }
        return batches;
    }

    private RunSheet.CouvertureBatch couverture(Material couverture, double used, double rimGrams) {
        Allowances allowances = order.allowances();
        double withScrape = used / (1 - allowances.scrapeFraction());
        double back = rimGrams + allowances.bowlGrams();
        Working why = Working.of(couverture.name())
                .line("Stays in the pieces", "%d pieces: %s g", pieces, fixed(used, 0))
                .line(
                        "With scrapings",
                        "%s g / (1 − %s %%) = %s g",
                        fixed(used, 0),
                        plain(100 * allowances.scrapeFraction()),
                        fixed(withScrape, 0))
                .line("Poured out of one full mould", "%s g", fixed(rimGrams, 0))
                .line("To work with in the bowl", "%s g", fixed(allowances.bowlGrams(), 0))
                .line("Melt", "%s g, of it %s g comes back", fixed(withScrape + back, 0), fixed(back, 0))
                .from("Common practice, no source; the allowances are this run's own.");
        return new RunSheet.CouvertureBatch(
                couvertureKey(couverture.of()),
                couverture.name(),
                couverture.isChocolate() ? couverture.chocolate() : "compound",
                used,
                withScrape + back,
                back,
                why);
    }

    private List<RunSheet.WeighingLine> weighing(
            List<RunSheet.FormulaBatch> formulas, List<RunSheet.CouvertureBatch> couvertures) {
        Map<String, RunSheet.WeighingLine> list = new LinkedHashMap<>();
        for (RunSheet.FormulaBatch batch : formulas) {
            batch.lines().forEach(l -> add(list, l.ingredient(), l.name(), l.grams(), batch.name()));
        }
        for (RunSheet.CouvertureBatch c : couvertures) {
            add(list, c.key().substring(COUVERTURE.length()), c.name(), c.meltGrams(), "melt");
        }
        for (String slug : order.bar().bar().materials()) {
            Material material = order.bar().parts().materials().get(slug);
            if (!order.formulas().containsKey(slug) && !list.containsKey(slug)) {
                add(list, slug, material.name(), gramsOf(slug), "laid");
            }
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
