package org.zeststack.core.judge;

import static org.zeststack.core.stack.Bars.CARAMEL;
import static org.zeststack.core.stack.Bars.DARK;
import static org.zeststack.core.stack.Bars.PASTE;
import static org.zeststack.core.stack.Bars.TAPERED;
import static org.zeststack.core.stack.Bars.back;
import static org.zeststack.core.stack.Bars.codes;
import static org.zeststack.core.stack.Bars.moulded;
import static org.zeststack.core.stack.Bars.shell;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.DoublePredicate;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.Body;
import org.zeststack.core.bar.Build;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.cavity.TaperedCavity;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.explain.Call.Weight;
import org.zeststack.core.formula.Density;
import org.zeststack.core.formula.Family;
import org.zeststack.core.ingredient.Bulk;
import org.zeststack.core.ingredient.IngredientData;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.ingredient.Nature;
import org.zeststack.core.keeping.ShelfBand;
import org.zeststack.core.naming.ChocolateName;
import org.zeststack.core.stack.BarStack;
import org.zeststack.core.stack.Bars;
import org.zeststack.core.stack.Frame;
import org.zeststack.core.stack.Material;
import org.zeststack.core.stack.Parts;
import org.zeststack.core.stack.StackLayer;
import org.zeststack.core.temper.TemperWindow;
import org.zeststack.core.water.Solution;
import org.zeststack.core.water.WaterActivity;

/** Bars that lie beyond a bound, made of nothing but what the bound is about. */
final class BarProbes {

    private static final BarLayer FILL = BarLayer.rest(LayerKind.FILLING, CARAMEL);
    private static final String OWN = "own";

    private BarProbes() {}

    /** By code: whether a bar whose figure is so lies beyond the bound. */
    static Map<String, DoublePredicate> all() {
        Map<String, DoublePredicate> all = new HashMap<>();
        all.put(
                "back-thickness",
                mm -> told(moulded(TAPERED, shell(1.5), FILL, BarLayer.mm(LayerKind.BACK, DARK, mm)), "back-too-"));
        all.put("shell-thickness", mm -> told(moulded(TAPERED, shell(mm), FILL, back(2)), "shell-too-"));
        all.put("coat-thickness", mm -> told(coated(BarLayer.mm(LayerKind.COAT, DARK, mm)), "coat-too-"));
        all.put(
                "join-room",
                mm -> told(
                        Bars.of(
                                Bar.of(
                                        Build.MOULDED,
                                        new Body.Moulded(1, true),
                                        List.of(
                                                shell(2),
                                                BarLayer.mm(LayerKind.FILLING, CARAMEL, TAPERED.depthMm() - 2 - mm))),
                                TAPERED),
                        "empty-room"));
        all.put(
                "salt",
                share -> told(
                        filled(mass(
                                Map.of(Part.SALT, 100 * saltOfAll(share), Part.SUCROSE, 100 - 100 * saltOfAll(share)),
                                null,
                                0)),
                        "salt-high"));
        all.put("draft", degrees -> {
            double lean = 2 * 10 * Math.tan(Math.toRadians(degrees));
            BarStack stack =
                    Bars.moulded(new TaperedCavity(80, 40, 80 - lean, 40 - lean, 10), shell(1.5), FILL, back(2));
            return told(stack, "low-draft");
        });
        all.put(
                "offcuts",
                share -> told(
                        Bars.of(Bar.of(
                                Build.SLAB,
                                new Body.Slab(100, 100, 100 * (1 - share), 100, 0, 0, 0),
                                List.of(BarLayer.mm(LayerKind.FILLING, CARAMEL, 12)))),
                        "offcuts-high"));
        all.put("packed-pieces", share -> {
            BarLayer chocolate = BarLayer.rest(LayerKind.FILLING, DARK);
            double ml = moulded(TAPERED, chocolate).layers().get(0).volumeMl();
            double density = Bars.MATERIALS.get("almond-slivered").densityGramsPerMl();
            BarLayer in = BarLayer.grams(LayerKind.INCLUSION, "almond-slivered", share * ml * density);
            return told(moulded(TAPERED, chocolate, in), "inclusions-too-many");
        });
        all.put("loose-pieces", share -> {
            double ml = ((Frame.Moulded) moulded(TAPERED, shell(1.5)).frame())
                    .inside()
                    .volumeMl();
            double density = Bars.MATERIALS.get("almond-slivered").densityGramsPerMl();
            BarLayer in = BarLayer.grams(LayerKind.INCLUSION, "almond-slivered", share * ml * density);
            return told(moulded(TAPERED, shell(1.5), in), "overfull");
        });
        all.put("insert-clearance", clear -> {
            BarLayer.Insert probe = new BarLayer.Insert(BarLayer.Shape.BAR, 40, 10, 2, 0, 0, 0, 0);
            StackLayer rests = insert(probe).all(LayerKind.INSERT).get(0);
            double width = ((Frame.Moulded) insert(probe).frame())
                    .inside()
                    .outline(rests.fromMm())
                    .widthMm();
            return told(
                    insert(new BarLayer.Insert(BarLayer.Shape.BAR, 40, width - 2 * clear, 2, 0, 0, 0, 0)),
                    "insert-too-wide");
        });
        all.put("set-couverture", below -> {
            double top = TemperWindow.of("dark").work().greatest();
            return told(moulded(TAPERED, shell(1.5), FILL.at(top - below), back(2)), "poured-too-warm");
        });
        all.put(
                "set-untempered",
                celsius -> told(
                        finished(
                                moulded(TAPERED, shell(1.5), FILL.at(celsius), back(2))
                                        .bar(),
                                Bar.Finish.KEPT_COLD),
                        "poured-too-warm"));
        all.put(
                "set-compound",
                celsius -> told(
                        moulded(
                                TAPERED,
                                BarLayer.mm(LayerKind.SHELL, "compound-dark", 1.5),
                                FILL.at(celsius),
                                BarLayer.mm(LayerKind.BACK, "compound-dark", 2)),
                        "poured-too-warm"));
        all.put(
                "centre-warmth",
                celsius -> told(
                        centred(coated(BarLayer.mm(LayerKind.COAT, DARK, 1)).bar(), celsius), "centre-too-"));
        all.put(
                "compound-bowl",
                celsius -> told(
                        coated(
                                BarLayer.mm(LayerKind.FILLING, PASTE, 12),
                                BarLayer.mm(LayerKind.COAT, "compound-dark", 1).at(celsius)),
                        "bowl-hot"));
        all.put(
                "caramel-bowl",
                celsius -> told(
                        coated(BarLayer.mm(LayerKind.COAT, "compound-dark", 1).at(celsius)), "bowl-hot"));
        all.put("spirits-told", share -> !told(filled(spirit(share)), "spirits"));
        all.put("spirits-care", share -> !grave(filled(spirit(share)), "spirits", Weight.TAKE_CARE));
        all.put(
                "whole-nut",
                grams -> !told(
                        moulded(TAPERED, shell(1.5), FILL, BarLayer.pieces("hazelnut-roasted", 3, grams, 0.5), back(2)),
                        "whole-nuts-choking"));
        all.put("oil-told", share -> !told(filled(oily(share)), "oil-into-chocolate"));
        all.put("oil-care", share -> !grave(filled(oily(share)), "oil-into-chocolate", Weight.TAKE_CARE));
        all.put(
                "oil-held",
                share -> told(
                        filled(mass(
                                Map.of(
                                        Part.OTHER_FAT,
                                        40.0,
                                        Part.COCOA_BUTTER,
                                        100 * share,
                                        Part.SUCROSE,
                                        60 - 100 * share),
                                null,
                                0.4)),
                        "oil-into-chocolate"));
        all.put("short-dough-fat", fat -> grave(onBase(fat, 12), "crisp-beside-wet", Weight.TAKE_CARE));
        all.put(
                "softened-share",
                share -> grave(onBase(0.28, softenedMm() / share), "crisp-beside-wet", Weight.TAKE_CARE));
        all.put(
                "wet-neighbour",
                water -> !told(
                        filled(
                                mass(Map.of(Part.WATER, 100 * water, Part.SUCROSE, 100 - 100 * water), 0.5, 0),
                                BarLayer.grams(LayerKind.INCLUSION, "popping-candy", 1)),
                        "dry-beside-wet"));
        all.put(
                "crisp-coat",
                fat -> told(
                        moulded(
                                TAPERED,
                                shell(1.5),
                                FILL,
                                BarLayer.grams(LayerKind.INCLUSION, "rice-crisped", 0.5)
                                        .mixed(new BarLayer.Mix("cocoa-butter", fat, false)),
                                back(2)),
                        "crisp-beside-wet"));
        all.put("crisp-activity", activity -> told(besideRice(activity), "crisp-beside-wet"));
        all.put("soft-soon-activity", activity -> grave(besideRice(activity), "crisp-beside-wet", Weight.WILL_FAIL));
        all.put(
                "barrier-fat",
                fat -> told(
                        filled(
                                mass(
                                        Map.of(
                                                Part.OTHER_FAT,
                                                100 * fat,
                                                Part.WATER,
                                                1.0,
                                                Part.SUCROSE,
                                                99 - 100 * fat),
                                        0.7,
                                        0),
                                RICE),
                        "crisp-beside-wet"));
        all.put(
                "barrier-water",
                water -> told(
                        filled(
                                mass(
                                        Map.of(
                                                Part.OTHER_FAT,
                                                50.0,
                                                Part.WATER,
                                                100 * water,
                                                Part.SUCROSE,
                                                50 - 100 * water),
                                        0.7,
                                        0),
                                RICE),
                        "crisp-beside-wet"));
        all.put(
                "activity-uncertainty",
                off -> !told(
                        filled(mass(Map.of(Part.WATER, 20.0, Part.SUCROSE, 80.0), 0.85 - off, 0)), "keeps-days-only"));
        all.put("other-substances", share -> told(NamesTest.withAlmonds(share), "name-not-met"));
        all.put("crisp-in-chocolate", butter -> told(ContactTest.disc(butter), "crisp-beside-wet"));
        all.put("other-fats", share -> ChocolateName.kindOf(Composition.of(
                        Map.of(
                                Part.COCOA_BUTTER,
                                30.0,
                                Part.NONFAT_COCOA,
                                25.0,
                                Part.OTHER_FAT,
                                100 * share,
                                Part.SUCROSE,
                                45 - 100 * share),
                        42))
                .isEmpty());
        all.put("nothing-grows", a -> band(a).compareTo(ShelfBand.DRY) > 0);
        all.put("few-yeasts", a -> band(a).compareTo(ShelfBand.NEARLY_DRY) > 0);
        all.put("few-moulds", a -> band(a).compareTo(ShelfBand.BETWEEN) > 0);
        all.put("pathogens", a -> band(a).compareTo(ShelfBand.MOIST) > 0);
        all.put("grows-in-cold", a -> band(a).compareTo(ShelfBand.WET) > 0);
        all.put("grows-as-in-cream", a -> band(a).compareTo(ShelfBand.GROWS_IN_COLD) > 0);
        all.put(
                "dry-mass",
                water -> !told(
                        filled(mass(Map.of(Part.WATER, 100 * water, Part.SUCROSE, 100 - 100 * water), null, 0)),
                        "keeps-unknown"));
        all.put("keeps-clear", BarProbes::grains);
        all.put("melts-in-water", sugar -> told(besideCaramel(sugar), "crisp-beside-wet"));
        all.put("filled-chocolate", share -> {
            double centre = coated(BarLayer.grams(LayerKind.COAT, DARK, 1))
                    .layers()
                    .get(0)
                    .grams();
            Bar bar = coated(BarLayer.grams(LayerKind.COAT, DARK, centre * share / (1 - share)))
                    .bar();
            return told(
                    Bars.of(new Bar(
                            bar.build(),
                            bar.body(),
                            bar.layers(),
                            bar.finish(),
                            bar.storage(),
                            Bar.SoldAs.FILLED_CHOCOLATE,
                            null,
                            null,
                            null,
                            List.of())),
                    "name-not-met");
        });
        return all;
    }

    /** The band of what is told of a piece, the uncertainty taken away before it is added. */
    private static ShelfBand band(double activity) {
        double off = Bars.judgedBy.of("activity-uncertainty").greatest();
        return Keeping.of(filled(mass(Map.of(Part.WATER, 20.0, Part.SUCROSE, 80.0), activity - off, 0)))
                .life()
                .band();
    }

    /** Whether a wet thing of so much syrup over sucrose is taken to grain: drier in its solution, its water is freer. */
    private static boolean grains(double ratio) {
        Map<Part, Double> hundred =
                Map.of(Part.WATER, 10.0, Part.SUCROSE, 90 / (1 + ratio), Part.GLUCOSE, 90 * ratio / (1 + ratio));
        IngredientData data = IngredientData.of(IngredientTable.shipped().get("honey"));
        Material own = Material.of(
                new IngredientData(
                                OWN,
                                OWN,
                                hundred,
                                42,
                                0,
                                0,
                                0.0,
                                "",
                                Nature.PLAIN,
                                1.3,
                                Bulk.MASSIVE,
                                0,
                                null,
                                Map.of(),
                                List.of(),
                                List.of(),
                                data.basis(),
                                Map.of(),
                                "",
                                "",
                                null)
                        .ingredient(),
                null);
        double clear = WaterActivity.at25(Solution.in(own.per100Grams())).ratio();
        return Math.abs(own.waterActivity() - clear) > 1e-6;
    }

    private static BarStack besideCaramel(double sugar) {
        Material crisp = new Material(
                OWN,
                OWN,
                "crunch",
                Density.exactly(0.5),
                Composition.of(Map.of(Part.SUCROSE, 100 * sugar, Part.STARCH, 100 - 100 * sugar), 42),
                0.2,
                true,
                "",
                false,
                Nature.PLAIN,
                false,
                null,
                0,
                List.of(),
                "",
                null,
                null);
        Map<String, Material> materials = new HashMap<>(Bars.MATERIALS);
        materials.put(OWN, crisp);
        List<BarLayer> layers = List.of(shell(1.5), FILL, BarLayer.grams(LayerKind.INCLUSION, OWN, 1), back(2));
        return BarStack.of(
                Bar.of(Build.MOULDED, new Body.Moulded(1, false), layers),
                Parts.of(TAPERED, materials).judgedBy(Bars.judgedBy));
    }

    private static final BarLayer RICE = BarLayer.grams(LayerKind.INCLUSION, "rice-crisped", 0.5);

    private static BarStack besideRice(double activity) {
        return filled(mass(Map.of(Part.WATER, 20.0, Part.SUCROSE, 80.0), activity, 0), RICE);
    }

    private static Material spirit(double share) {
        return mass(Map.of(Part.ALCOHOL, 100 * share, Part.SUCROSE, 100 - 100 * share), null, 0);
    }

    private static Material oily(double share) {
        return mass(Map.of(Part.OTHER_FAT, 60.0, Part.SUCROSE, 40.0), null, share);
    }

    private static Material mass(Map<Part, Double> grams, Double activity, double liquidFat) {
        return new Material(
                OWN,
                OWN,
                "fruit",
                Density.exactly(1.2),
                Composition.of(grams, 42),
                activity,
                false,
                "",
                false,
                Nature.PLAIN,
                false,
                Family.Kind.OTHER,
                liquidFat,
                List.of(),
                "",
                null,
                null);
    }

    private static BarStack filled(Material own, BarLayer... in) {
        Map<String, Material> materials = new HashMap<>(Bars.MATERIALS);
        materials.put(OWN, own);
        List<BarLayer> layers = new ArrayList<>(List.of(shell(1.5), BarLayer.rest(LayerKind.FILLING, OWN)));
        layers.addAll(List.of(in));
        layers.add(back(2));
        return BarStack.of(
                Bar.of(Build.MOULDED, new Body.Moulded(1, false), layers),
                Parts.of(TAPERED, materials).judgedBy(Bars.judgedBy));
    }

    /** A baked base of so much fat and so thick under soft caramel. */
    private static BarStack onBase(double fat, double mm) {
        Map<String, Material> materials = new HashMap<>(Bars.MATERIALS);
        materials.put(
                OWN,
                new Material(
                        OWN,
                        OWN,
                        "biscuit",
                        Density.exactly(1),
                        Composition.of(
                                Map.of(Part.MILK_FAT, 100 * fat, Part.STARCH, 97 - 100 * fat, Part.WATER, 3.0), 42),
                        0.25,
                        true,
                        "",
                        false,
                        Nature.PLAIN,
                        false,
                        Family.Kind.DRY,
                        0,
                        List.of(),
                        "",
                        null,
                        null));
        materials.put("soft", mass(Map.of(Part.WATER, 8.0, Part.SUCROSE, 92.0), 0.51, 0));
        return BarStack.of(
                Bar.of(
                        Build.TRAY,
                        new Body.Tray(300, 200, 4, 10, 0, 0),
                        List.of(
                                BarLayer.mm(LayerKind.BASE, OWN, mm),
                                BarLayer.mm(LayerKind.FILLING, "soft", 5),
                                BarLayer.mm(LayerKind.VENEER, DARK, 2))),
                Parts.of(TAPERED, materials).judgedBy(Bars.judgedBy));
    }

    /** How deep soft caramel softens a short dough while that bar keeps. */
    private static double softenedMm() {
        return Bars.judgedBy.of("softens-in-a-week").greatest()
                * Math.sqrt(Keeping.of(onBase(0.28, 12)).life().greatestDays() / 7.0);
    }

    /** Share of salt in the filling that makes that share of the whole piece. */
    private static double saltOfAll(double share) {
        BarStack stack = filled(mass(Map.of(Part.SUCROSE, 100.0), null, 0));
        return share
                * stack.pieceGrams()
                / stack.layers().stream()
                        .filter(l -> l.kind() == LayerKind.FILLING)
                        .mapToDouble(StackLayer::grams)
                        .sum();
    }

    private static BarStack insert(BarLayer.Insert insert) {
        return moulded(
                TAPERED,
                shell(1.5),
                BarLayer.mm(LayerKind.FILLING, PASTE, 4),
                BarLayer.mm(LayerKind.INSERT, "wafer-sheet", 0).with(insert),
                BarLayer.rest(LayerKind.FILLING, PASTE),
                back(2));
    }

    private static BarStack coated(BarLayer coat) {
        return coated(BarLayer.mm(LayerKind.FILLING, CARAMEL, 12), coat);
    }

    private static BarStack coated(BarLayer centre, BarLayer coat) {
        return Bars.of(Bar.of(Build.SLAB, new Body.Slab(300, 200, 60, 25, 0, 0, 0), List.of(centre, coat)));
    }

    private static BarStack centred(Bar b, double celsius) {
        return Bars.of(new Bar(
                b.build(), b.body(), b.layers(), b.finish(), b.storage(), b.soldAs(), null, celsius, null, List.of()));
    }

    private static BarStack finished(Bar b, Bar.Finish finish) {
        return Bars.of(
                new Bar(
                        b.build(),
                        b.body(),
                        b.layers(),
                        finish,
                        Bar.Storage.FRIDGE,
                        b.soldAs(),
                        null,
                        null,
                        null,
                        List.of()),
                TAPERED);
    }

    private static boolean told(BarStack stack, String code) {
        return codes(stack).stream().anyMatch(c -> c.startsWith(code));
    }

    private static boolean grave(BarStack stack, String code, Weight weight) {
        return BarCalls.of(stack).stream().anyMatch(c -> c.code().equals(code) && c.weight() == weight);
    }
}
