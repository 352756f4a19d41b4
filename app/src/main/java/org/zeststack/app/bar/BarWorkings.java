package org.zeststack.app.bar;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.LongFunction;
import java.util.function.UnaryOperator;
import org.springframework.stereotype.Component;
import org.zeststack.app.drawing.SectionDrawing;
import org.zeststack.app.shelf.Shelf;
import org.zeststack.core.air.Atmosphere;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.Body;
import org.zeststack.core.explain.Call;
import org.zeststack.core.formula.Formula;
import org.zeststack.core.formula.FormulaBalance;
import org.zeststack.core.formula.FormulaBook;
import org.zeststack.core.formula.FormulaLink;
import org.zeststack.core.formula.Makeup;
import org.zeststack.core.formula.NamedFormula;
import org.zeststack.core.ingredient.Ingredient;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.judge.BarCalls;
import org.zeststack.core.picture.CrossSection;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.quantity.Refusal;
import org.zeststack.core.rule.Bounds;
import org.zeststack.core.stack.BarStack;
import org.zeststack.core.stack.Material;
import org.zeststack.core.stack.Parts;
import org.zeststack.core.workshop.Mould;
import org.zeststack.store.NewerRelease;
import org.zeststack.store.Saved;
import org.zeststack.store.design.Designs;
import org.zeststack.store.ingredient.Lots;
import org.zeststack.store.rule.OwnBounds;
import org.zeststack.store.workshop.WorkshopStore;

/**
 * Looks up what a bar points to and computes it. Formula versions never change, so what one comes to is worked out once and kept
 * until an ingredient or a price changes; a drag then costs one look-up of the mould and arithmetic.
 */
@Component
public class BarWorkings {

    private final Designs<Bar> bars;
    private final WorkshopStore workshop;
    private final Lots lots;
    private final Shelf shelf;
    private final OwnBounds own;
    private static final int MOST_PICTURES = 1_000;

    private volatile Known known = new Known(null, null);

    /** What was worked out with one table and one list of prices, and versions of bars that were read since they are these. */
    private record Known(
            IngredientTable table,
            Map<String, Double> prices,
            Map<String, Material> materials,
            Map<String, Bar> versions,
            Map<Drafted, Picture> pictures) {

        private Known(IngredientTable table, Map<String, Double> prices) {
            this(table, prices, new ConcurrentHashMap<>(), new ConcurrentHashMap<>(), new ConcurrentHashMap<>());
        }
    }

    /** All that a picture hangs on beside what is known. */
    private record Drafted(Bar bar, Saved<Mould> mould, Bounds bounds) {}

    /**
     * What a list shows of a bar.
     *
     * @param stack null where it cannot be computed
     * @param worst the first call; null where there is none
     */
    public record Picture(BarStack stack, SectionDrawing section, Call worst) {

        public static final Picture NONE = new Picture(null, null, null);

        private static Picture of(BarStack stack) {
            return new Picture(
                    stack,
                    SectionDrawing.of(CrossSection.across(stack)),
                    BarCalls.of(stack).stream().findFirst().orElse(null));
        }
    }

    BarWorkings(Designs<Bar> bars, WorkshopStore workshop, Lots lots, Shelf shelf, OwnBounds own) {
        this.bars = bars;
        this.workshop = workshop;
        this.lots = lots;
        this.shelf = shelf;
        this.own = own;
    }

    /**
     * A bar with everything it points to.
     *
     * @param mould null for a bar without one
     * @param formulas by link, in the order of its layers
     */
    public record Worked(BarStack stack, Saved<Mould> mould, Map<String, NamedFormula> formulas) {}

    /**
     * Computes a bar.
     *
     * @throws InvalidInput if something it points to is missing or it cannot be drawn
     */
    public Worked work(Bar bar) {
        return work(bar, mould(bar, workshop::mould));
    }

    /** The same in a mould that need not be the workshop's. */
    public Worked work(Bar bar, Saved<Mould> mould) {
        return work(bar, mould, UnaryOperator.identity());
    }

    /**
     * The same with variants of its formulas.
     *
     * @param variant a formula as it is made this time; itself where nothing is changed
     */
    public Worked work(Bar bar, UnaryOperator<NamedFormula> variant) {
        return work(bar, mould(bar, workshop::mould), variant);
    }

    private Worked work(Bar bar, Saved<Mould> mould, UnaryOperator<NamedFormula> variant) {
        Map<String, Material> materials = new LinkedHashMap<>();
        Map<String, NamedFormula> formulas = new LinkedHashMap<>();
        Map<String, Material> all = known().materials;
        IngredientTable table = shelf.table();
        for (String of : bar.materials()) {
            Material material = all.computeIfAbsent(of, o -> material(o, table).orElse(null));
            if (material != null) {
                materials.put(of, material);
            }
            FormulaLink.in(of).flatMap(shelf::version).ifPresent(named -> {
                NamedFormula made = variant.apply(named);
                formulas.put(of, made);
                if (made != named) {
                    materials.put(of, finished(made, table));
                }
            });
        }
        return new Worked(BarStack.of(bar, parts(mould, materials).judgedBy(own.bounds())), mould, formulas);
    }

    private static Parts parts(Saved<Mould> saved, Map<String, Material> materials) {
        if (saved == null) {
            return Parts.of(materials);
        }
        Mould mould = saved.content();
        return new Parts(
                mould.cavity(), mould.volumeFactor(), mould.edgeRadiusMm(), mould.rows(), mould.columns(), materials);
    }

    private Known known() {
        IngredientTable table = shelf.table();
        Map<String, Double> prices = lots.pricePerKg();
        Known now = known;
        if (now.table != table || !prices.equals(now.prices)) {
            now = new Known(table, prices);
            known = now;
        }
        return now;
    }

    private Optional<Material> material(String of, IngredientTable table) {
        Optional<FormulaLink> link = FormulaLink.in(of);
        if (link.isEmpty()) {
            return table.find(of).map(i -> Material.of(i, known.prices.get(of)));
        }
        return shelf.version(link.get()).map(named -> finished(named, table));
    }

    /** A finished formula; it is taken at the sea-level stop, since the same water is left wherever it is cooked. */
    private Material finished(NamedFormula named, IngredientTable table) {
        Formula formula = named.formula();
        IngredientTable needs =
                shelf.needs(named.id(), named.name(), formula, table).table();
        FormulaBalance balance = FormulaBalance.of(formula, needs, Atmosphere.SEA_LEVEL_KPA);
        Ingredient finished = FormulaBook.ingredient(named, needs);
        Makeup makeup = Makeup.of(formula, balance, needs, known.prices);
        Double price = makeup.unpriced().isEmpty()
                ? Double.valueOf(1000 * makeup.cost() / balance.after().totalGrams())
                : null;
        return Material.of(named, finished, balance, price);
    }

    /** A draft whose mould was read with the others', drawn once for as long as nothing of it changes. */
    public Picture picture(Bar bar, Map<Long, Saved<Mould>> moulds) {
        Saved<Mould> mould = bar.body() instanceof Body.Moulded moulded ? moulds.get(moulded.mould()) : null;
        Map<Drafted, Picture> pictures = known().pictures;
        if (pictures.size() > MOST_PICTURES) {
            pictures.clear();
        }
        return pictures.computeIfAbsent(
                new Drafted(bar, mould, own.bounds()), drafted -> stack(bar, m -> Optional.ofNullable(mould))
                        .map(Picture::of)
                        .orElse(Picture.NONE));
    }

    /** A kept version computed with today's mould; empty where it cannot be. */
    public Optional<BarStack> version(long id, int number) {
        return version(id, number, workshop::mould);
    }

    /** The same for several bars, whose moulds were read together. */
    public Optional<BarStack> version(long id, int number, Map<Long, Saved<Mould>> moulds) {
        return version(id, number, mould -> Optional.ofNullable(moulds.get(mould)));
    }

    private Optional<BarStack> version(long id, int number, LongFunction<Optional<Saved<Mould>>> moulds) {
        Map<String, Bar> versions = known().versions;
        Bar kept = versions.get(id + ":" + number);
        if (kept == null) {
            Optional<Bar> found = bars.version(id, number).map(Designs.Version::content);
            if (found.isEmpty()) {
                return Optional.empty();
            }
            kept = found.get();
            versions.put(id + ":" + number, kept);
        }
        return stack(kept, moulds);
    }

    private Optional<BarStack> stack(Bar bar, LongFunction<Optional<Saved<Mould>>> moulds) {
        try {
            return Optional.of(work(bar, mould(bar, moulds)).stack());
        } catch (InvalidInput | Refusal | NewerRelease cannot) {
            return Optional.empty();
        }
    }

    private static Saved<Mould> mould(Bar bar, LongFunction<Optional<Saved<Mould>>> moulds) {
        return bar.body() instanceof Body.Moulded moulded
                ? moulds.apply(moulded.mould())
                        .orElseThrow(() -> new InvalidInput(
                                Fault.of("body.mould", String.valueOf(moulded.mould()), "Choose a mould.")))
                : null;
    }
}
