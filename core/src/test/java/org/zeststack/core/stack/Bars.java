package org.zeststack.core.stack;

import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.Body;
import org.zeststack.core.bar.Build;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.cavity.Cavity;
import org.zeststack.core.cavity.TaperedCavity;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.explain.Call;
import org.zeststack.core.formula.Density;
import org.zeststack.core.formula.Family;
import org.zeststack.core.ingredient.Bulk;
import org.zeststack.core.ingredient.Ingredient;
import org.zeststack.core.ingredient.IngredientData;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.ingredient.Nature;
import org.zeststack.core.judge.BarCalls;
import org.zeststack.core.rule.Bounds;

/** Bars that several tests assemble. Check values only; never demo data. */
public final class Bars {

    public static final TaperedCavity TAPERED = new TaperedCavity(118, 32, 112, 26, 14);
    public static final String DARK = "couverture-dark-66";
    public static final String MILK = "couverture-milk-38";

    /** A filling of 1.30 g/mL as the check values have it: wet, without allergens. */
    public static final String CARAMEL = "formula:1:1";

    public static final String PASTE = "formula:2:1";

    /** A caramel cooked by eye: it holds water, and nobody knows how free it is. */
    public static final String BY_EYE = "formula:3:1";

    public static final Map<String, Material> MATERIALS = materials();

    /** What a bar of these is judged by; whoever changes it puts it back. */
    public static Bounds judgedBy = Bounds.shipped();

    private Bars() {}

    private static Map<String, Material> materials() {
        Map<String, Material> all = IngredientTable.shipped().all().stream()
                .collect(Collectors.toMap(Ingredient::slug, i -> Material.of(i, 10.0)));
        Composition wet = Composition.of(Map.of(Part.SUCROSE, 60.0, Part.SYRUP_SOLIDS, 30.0, Part.WATER, 10.0), 42);
        all.put(CARAMEL, mass(CARAMEL, "caramel", 1.30, wet, 0.52, Family.Kind.CARAMEL));
        all.put(BY_EYE, mass(BY_EYE, "caramel", 1.30, wet, null, Family.Kind.CARAMEL));
        Composition fat = Composition.of(Map.of(Part.OTHER_FAT, 30.0, Part.COCOA_BUTTER, 10.0, Part.SUCROSE, 60.0), 42);
        all.put(PASTE, mass(PASTE, "nut-paste", 1.10, fat, null, Family.Kind.NUT));
        return all;
    }

    public static Material mass(
            String of, String pattern, double density, Composition hundred, Double activity, Family.Kind kind) {
        return new Material(
                of,
                pattern,
                pattern,
                Density.exactly(density),
                hundred,
                activity,
                false,
                "",
                false,
                Nature.PLAIN,
                false,
                kind,
                0.1,
                List.of(),
                "",
                10.0,
                null);
    }

    /** A workshop's own, composed as a shipped one, under a name that no rule knows. */
    public static Material own(String like, Nature nature, Bulk bulk, Map<String, Ingredient.Measure> measures) {
        IngredientData data = IngredientData.of(IngredientTable.shipped().get(like));
        return Material.of(
                new IngredientData(
                                "own",
                                "Our own",
                                data.gramsIn100(),
                                data.dextroseEquivalent(),
                                data.saturates(),
                                data.liquidFat(),
                                data.sodium(),
                                data.couverture(),
                                nature,
                                data.densityGramsPerMl(),
                                bulk,
                                data.dryActivity(),
                                data.wetActivity(),
                                measures,
                                List.of(),
                                List.of(),
                                data.basis(),
                                Map.of(),
                                "",
                                "",
                                null)
                        .ingredient(),
                null);
    }

    public static BarStack of(Bar bar, Cavity cavity) {
        return BarStack.of(bar, Parts.of(cavity, MATERIALS).judgedBy(judgedBy));
    }

    public static BarStack of(Bar bar) {
        return BarStack.of(bar, Parts.of(MATERIALS).judgedBy(judgedBy));
    }

    public static BarStack moulded(Cavity cavity, BarLayer... layers) {
        return of(Bar.of(Build.MOULDED, new Body.Moulded(1, false), List.of(layers)), cavity);
    }

    /** A dark shell, the caramel of 1.30 g/mL as the rest, a dark back of 1 to 3 mm. */
    public static BarStack plain(double shellMm, double backMm) {
        return moulded(TAPERED, shell(shellMm), BarLayer.rest(LayerKind.FILLING, CARAMEL), back(backMm));
    }

    public static BarLayer shell(double mm) {
        return BarLayer.mm(LayerKind.SHELL, DARK, mm);
    }

    public static BarLayer back(double mm) {
        return BarLayer.mm(LayerKind.BACK, DARK, mm).between(1, 3);
    }

    public static List<String> codes(BarStack stack) {
        return BarCalls.of(stack).stream().map(Call::code).toList();
    }

    /** Codes of the calls that say something is wrong. */
    public static List<String> faults(BarStack stack) {
        return BarCalls.of(stack).stream()
                .filter(c -> c.weight() != Call.Weight.GOOD_TO_KNOW)
                .map(Call::code)
                .toList();
    }

    public static Call call(BarStack stack, String code) {
        return BarCalls.of(stack).stream()
                .filter(c -> c.code().equals(code))
                .findFirst()
                .orElseThrow(() -> new AssertionError("no call " + code + " among " + codes(stack)));
    }

    public static StackLayer layer(BarStack stack, String key) {
        return stack.layers().stream()
                .filter(l -> l.key().equals(key))
                .findFirst()
                .orElseThrow();
    }
}
