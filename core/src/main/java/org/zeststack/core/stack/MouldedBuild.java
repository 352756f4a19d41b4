package org.zeststack.core.stack;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;
import org.hipparchus.analysis.solvers.BrentSolver;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.Body;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.cavity.Calibrated;
import org.zeststack.core.cavity.Cavity;
import org.zeststack.core.cavity.Hollow;
import org.zeststack.core.cavity.LinedCavity;
import org.zeststack.core.formula.Density;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.quantity.Numbers;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.rule.Bound;
import org.zeststack.core.weighing.FillWindow;

/** Lays the layers of a bar in a mould's cavity. */
public final class MouldedBuild {

    private static final String BACK_THICKNESS = "back-thickness";

    private static final double BY_HAND = 0.05;

    private final Bar bar;
    private final Parts parts;
    private final Body.Moulded body;
    private final List<Pour.Deposit> deposits;
    private final List<String> keys;
    private final Cavity cavity;
    private final Hollow outer;

    MouldedBuild(Bar bar, Parts parts, Body.Moulded body, List<Pour.Deposit> deposits, List<String> keys) {
        this.bar = bar;
        this.parts = parts;
        this.body = body;
        this.deposits = deposits;
        this.keys = keys;
        this.cavity = parts.cavity();
        if (cavity == null) {
            throw new InvalidInput(Fault.of("body.mould", "", "Choose a mould."));
        }
        this.outer = measured(cavity, parts.edgeRadiusMm());
    }

    private Hollow measured(Hollow space, double radiusMm) {
        return parts.volumeFactor() == 1 && radiusMm <= 0
                ? space
                : new Calibrated(space, parts.volumeFactor(), Math.max(0, radiusMm), cavity.floorEdgeMm());
    }

    BarStack stack() {
        int shell = bar.first(LayerKind.SHELL);
        double shellMm = shell < 0 ? 0 : shellMm(deposits.get(shell));
        Hollow inside = shell < 0 ? outer : inside(shellMm);
        Pour pour = Pour.into(inside, poured(deposits));
        List<StackLayer> layers = half(deposits, pour, inside, shellMm);
        double lackingMl = pour.lackingMl();
        if (body.halves()) {
            List<Pour.Deposit> both = deposits.stream()
                    .filter(d -> !d.layer().handling().oneHalf())
                    .toList();
            Pour other = Pour.into(inside, poured(both));
            lackingMl = Math.max(lackingMl, other.lackingMl());
            layers = joined(layers, half(both, other, inside, shellMm));
        }
        Frame frame = new Frame.Moulded(
                cavity,
                outer,
                inside,
                shellMm,
                body.halves() ? 2 : 1,
                pour.emptyMm(),
                lackingMl,
                pour.lackingMm(),
                parts.rows(),
                parts.columns());
        return new BarStack(bar, parts, frame, layers);
    }

    private static List<Pour.Deposit> poured(List<Pour.Deposit> of) {
        return of.stream().filter(MouldedBuild::isPoured).toList();
    }

    /** Layers of one cavity. */
    private List<StackLayer> half(List<Pour.Deposit> of, Pour pour, Hollow inside, double shellMm) {
        List<StackLayer> layers = new ArrayList<>();
        for (Pour.Deposit deposit : of) {
            if (deposit.layer().kind() == LayerKind.SHELL) {
                layers.add(shell(deposit, shellMm, outer.volumeMl() - inside.volumeMl()));
            } else if (!isPoured(deposit)) {
                double at = deposit.layer().kind() == LayerKind.TOPPING ? cavity.depthMm() : 0;
                layers.add(LaidLayers.strewn(deposit, keys.get(deposit.index()), at));
            }
        }
        layers.addAll(poured(pour, inside));
        return layers;
    }

    /** Two halves as one piece; what is in one only counts once. */
    private static List<StackLayer> joined(List<StackLayer> one, List<StackLayer> other) {
        return one.stream()
                .map(l -> other.stream()
                        .filter(o -> o.index() == l.index())
                        .findFirst()
                        .map(l::plus)
                        .orElse(l))
                .toList();
    }

    private static boolean isPoured(Pour.Deposit deposit) {
        return switch (deposit.layer().kind()) {
            case SHELL, DECORATION, TOPPING -> false;
            default -> true;
        };
    }

    private Hollow inside(double shellMm) {
        return measured(cavity.lined(shellMm), parts.edgeRadiusMm() - shellMm);
    }

    /** Thickness of the shell; by mass it is the one at which the emptied shell weighs that. */
    private double shellMm(Pour.Deposit deposit) {
        BarLayer layer = deposit.layer();
        String field = "layer." + deposit.index() + ".amount";
        if (layer.by() == BarLayer.By.MM) {
            try {
                cavity.lined(layer.amount() * layer.repeat());
            } catch (InvalidInput input) {
                throw new InvalidInput(input.faults().get(0).at(field));
            }
            return layer.amount() * layer.repeat();
        }
        double ml = Pour.massOf(deposit) / deposit.material().densityGramsPerMl();
        double least = LinedCavity.SHELL_MM.least();
        double greatest = Math.min(LinedCavity.SHELL_MM.greatest(), 0.999 * cavity.greatestShellMm());
        double thinnest = outer.volumeMl() - inside(least).volumeMl();
        double thickest = outer.volumeMl() - inside(greatest).volumeMl();
        if (!(ml >= thinnest && ml <= thickest)) {
            double density = deposit.material().densityGramsPerMl();
            throw new InvalidInput(new Fault(
                    field,
                    Numbers.plain(layer.amount()),
                    thinnest * density,
                    thickest * density,
                    "g",
                    "A shell of %s is not to be had in this cavity; permitted: %s to %s."
                            .formatted(
                                    Say.grams(layer.amount()),
                                    Say.bare(Say.grams(thinnest * density, 1)),
                                    Say.grams(thickest * density, 1))));
        }
        return new BrentSolver(1e-9)
                .solve(100, t -> outer.volumeMl() - inside(t).volumeMl() - ml, least, greatest);
    }

    private StackLayer shell(Pour.Deposit deposit, double shellMm, double ml) {
        double grams = ml * deposit.material().densityGramsPerMl();
        return layer(deposit, 0, shellMm, shellMm, ml, grams, fixed(grams));
    }

    private List<StackLayer> poured(Pour pour, Hollow inside) {
        List<Pour.Laid> laid = pour.laid();
        double net = laid.stream()
                .filter(MouldedBuild::isFilling)
                .mapToDouble(Pour.Laid::volumeMl)
                .sum();
        double[] bounds = {1, 1};
        Supplier<Bound> bound = () -> parts.bounds().of(BACK_THICKNESS);
        for (Pour.Laid back : laid) {
            if (back.deposit().layer().kind() == LayerKind.BACK && net > 0) {
                double top = inside.topMm();
                bounds[0] = 1
                        + signed(
                                        pour,
                                        back.fromMm(),
                                        top - back.deposit().layer().greatest(bound))
                                / net;
                bounds[1] = 1
                        + signed(
                                        pour,
                                        back.fromMm(),
                                        top - back.deposit().layer().least(bound))
                                / net;
            }
        }
        List<StackLayer> layers = new ArrayList<>();
        for (Pour.Laid one : laid) {
            FillWindow window = window(one, bounds);
            StackLayer layer = layer(
                    one.deposit(),
                    one.fromMm(),
                    one.toMm(),
                    one.toMm() - one.fromMm(),
                    one.volumeMl(),
                    one.grams(),
                    window);
            BarLayer.Insert insert = layer.design().insert();
            boolean disc = insert != null && insert.shape() == BarLayer.Shape.DISC;
            layers.add(
                    insert == null
                            ? layer
                            : LaidLayers.fromSheet(
                                    layer, insert.lengthMm(), insert.acrossMm(), insert.outlineMm2(), disc));
        }
        return layers;
    }

    /** Of a filling what the back allows; of what nobody closes, as a tablet, what is told apart by hand; of a porous insert its range. */
    private FillWindow window(Pour.Laid one, double[] bounds) {
        double grams = one.grams();
        Density density = one.deposit().material().density();
        if (isFilling(one)) {
            return bar.first(LayerKind.BACK) < 0
                    ? byHand(one.deposit().layer(), grams)
                    : new FillWindow(Math.max(0, bounds[0]) * grams, grams, Math.max(0, bounds[1]) * grams);
        }
        boolean weighed = one.deposit().layer().by() == BarLayer.By.GRAMS;
        if (one.deposit().layer().kind() == LayerKind.INSERT && !weighed && !density.known()) {
            return new FillWindow(
                    grams * density.least() / density.usual(), grams, grams * density.greatest() / density.usual());
        }
        return fixed(grams);
    }

    /** What is shaped or poured by hand may differ as far as the bar says, in grams, or else by a twentieth (common practice, no source). */
    static FillWindow byHand(BarLayer layer, double grams) {
        double each = layer.by() == BarLayer.By.MM && layer.amount() > 0 ? grams / layer.amount() : 1;
        double least = layer.leastMm() == null ? (1 - BY_HAND) * grams : layer.leastMm() * each;
        double greatest = layer.greatestMm() == null ? (1 + BY_HAND) * grams : layer.greatestMm() * each;
        return new FillWindow(least, grams, greatest);
    }

    /** Room gained when the fillings reach up to another level, mL; negative where it is lower. */
    private static double signed(Pour pour, double fromMm, double toMm) {
        return toMm >= fromMm ? pour.free(fromMm, toMm) : -pour.free(toMm, fromMm);
    }

    private static boolean isFilling(Pour.Laid laid) {
        LayerKind kind = laid.deposit().layer().kind();
        return kind == LayerKind.FILLING || kind == LayerKind.SHEET;
    }

    private static FillWindow fixed(double grams) {
        return new FillWindow(grams, grams, grams);
    }

    private StackLayer layer(
            Pour.Deposit deposit,
            double from,
            double to,
            double thickness,
            double ml,
            double grams,
            FillWindow window) {
        return new StackLayer(
                deposit.index(),
                keys.get(deposit.index()),
                deposit.layer(),
                deposit.material(),
                from,
                to,
                thickness,
                ml,
                grams,
                grams,
                window);
    }
}
