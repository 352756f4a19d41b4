package org.zeststack.core.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.zeststack.core.explain.Call;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.judge.BarCalls;
import org.zeststack.core.picture.CrossSection;
import org.zeststack.core.sheet.CouvertureBatch;
import org.zeststack.core.sheet.FormulaBatch;
import org.zeststack.core.sheet.Gauge;
import org.zeststack.core.sheet.LaidBatch;
import org.zeststack.core.sheet.LaidFrom;
import org.zeststack.core.sheet.LayerTarget;
import org.zeststack.core.sheet.Pieces;
import org.zeststack.core.sheet.PlannedBar;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.core.sheet.WeighingLine;
import org.zeststack.core.stack.BarStack;
import org.zeststack.core.stack.Material;
import org.zeststack.core.stack.StackLayer;

/**
 * Turns an order into a run sheet.
 *
 * <p>Slabs, trays and sheets are made whole, so whole ones are planned: what is laid before the cut is laid for every piece they give,
 * and the pieces beyond those to make are spare.
 */
public final class RunPlanner {

    private final RunOrder order;
    private final IngredientTable ingredients;
    private final Pieces pieces;
    private final LaidMasses masses;

    private RunPlanner(RunOrder order, IngredientTable ingredients) {
        this.order = order;
        this.ingredients = ingredients;
        pieces = CarrierPlan.of(order);
        masses = new LaidMasses(order, pieces);
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
        List<FormulaBatch> formulas = new FormulaPlanner(order, ingredients, pieces, masses).all();
        List<CouvertureBatch> bowls = new BowlPlanner(order, ingredients, pieces.toMake(), masses).all();
        List<LaidBatch> laid = laid();
        RunSheet planned = new RunSheet(
                bar(),
                pieces,
                new Gauge(order.place().pressureKpa(), order.thermometerName(), order.thermometer()),
                formulas,
                bowls,
                laid,
                weighing(formulas, bowls, laid),
                calls(),
                List.of());
        return planned.with(StepList.of(order, ingredients, planned, masses));
    }

    private List<Call> calls() {
        List<Call> calls = new ArrayList<>(BarCalls.of(order.bar()));
        CarrierPlan.call(order, pieces).ifPresent(calls::add);
        return List.copyOf(calls);
    }

    private PlannedBar bar() {
        BarStack bar = order.bar();
        return new PlannedBar(
                order.barName(),
                order.barVersion(),
                CrossSection.across(bar),
                bar.pieceGrams(),
                bar.layers().stream().map(this::target).toList());
    }

    private LayerTarget target(StackLayer l) {
        int perPiece = order.bar().cavities(l);
        return new LayerTarget(
                l.key(),
                l.kind(),
                l.name(),
                l.pattern(),
                l.thicknessMm(),
                new LaidFrom(
                        masses.of(l),
                        masses.mixed(l),
                        Optional.ofNullable(l.design().handling().technique())),
                l.window().times(1.0 / perPiece),
                perPiece,
                order.bar().bar().onCarrier(l.index()) && l.grams() > 0
                        ? OptionalDouble.of(l.laidGrams() * pieces.carriers().cavities())
                        : OptionalDouble.empty());
    }

    /** Plain ingredients that are laid as they are. */
    private List<LaidBatch> laid() {
        List<LaidBatch> batches = new ArrayList<>();
        masses.plain()
                .forEach((laid, of) -> batches.add(new LaidBatch(laid.key(), of.name(), masses.deposit(laid.key()))));
        return List.copyOf(batches);
    }

    private List<WeighingLine> weighing(
            List<FormulaBatch> formulas, List<CouvertureBatch> bowls, List<LaidBatch> laid) {
        Map<String, Material> materials = order.bar().parts().materials();
        WeighingList list = new WeighingList();
        formulas.forEach(list::add);
        bowls.forEach(b -> list.add(b, materials.get(b.slug()).name()));
        laid.forEach(list::add);
        return list.lines();
    }
}
