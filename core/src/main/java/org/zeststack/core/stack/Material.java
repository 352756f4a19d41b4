package org.zeststack.core.stack;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.formula.Density;
import org.zeststack.core.formula.Family;
import org.zeststack.core.formula.FormulaBalance;
import org.zeststack.core.formula.FreeWater;
import org.zeststack.core.formula.NamedFormula;
import org.zeststack.core.ingredient.Ingredient;
import org.zeststack.core.ingredient.Nature;
import org.zeststack.core.keeping.Neighbours;
import org.zeststack.core.naming.ChocolateName;
import org.zeststack.core.rule.Bound;
import org.zeststack.core.rule.Bounds;
import org.zeststack.core.temper.TemperWindow;

/**
 * What a layer is made of, as far as the stack must know it.
 *
 * @param of slug or link
 * @param pattern which colour and hatch draws it
 * @param density of the set or finished mass, with its pores
 * @param per100Grams composition of 100 g
 * @param waterActivity typical of dry goods, of the solution for wet ones; null where neither is known
 * @param dry whether it is dry goods that turn soft
 * @param chocolate kind of chocolate, as couverture or by what it is made of: dark, milk, white, blond, ruby; empty for others
 * @param couverture whether it is sold as couverture, and must be one
 * @param nature what it is to the rules that judge; with the risks of what is mixed into it
 * @param compound whether it is a coating without cocoa butter to temper
 * @param family the formula's kind; null for a plain ingredient
 * @param liquidFatFraction fat that is liquid at 20 °C over the whole mass
 * @param pricePerKg in the workshop's money; null where not known
 * @param windows tempering temperatures of its own sheet; null where its kind's are taken
 */
public record Material(
        String of,
        String name,
        String pattern,
        Density density,
        Composition per100Grams,
        Double waterActivity,
        boolean dry,
        String chocolate,
        boolean couverture,
        Nature nature,
        boolean compound,
        Family.Kind family,
        double liquidFatFraction,
        List<String> allergens,
        String caution,
        Double pricePerKg,
        TemperWindow.Limits windows) {

    private static final Bound DRY_MASS = Bounds.shipped().of("dry-mass");

    /** Dry non-fat cocoa in 100 g from which a compound is a dark one. */
    private static final double DARK_COCOA_GRAMS = 10;

    public Material {
        allergens = List.copyOf(allergens);
    }

    /** A plain ingredient. */
    public static Material of(Ingredient ingredient, Double pricePerKg) {
        Composition hundred = ingredient.per100Grams();
        boolean couverture = ingredient.isCouverture();
        boolean dry = ingredient.dryActivity() > 0 && !couverture;
        return new Material(
                ingredient.slug(),
                ingredient.name(),
                pattern(ingredient),
                Density.of(ingredient),
                hundred,
                dry
                        ? Double.valueOf(ingredient.dryActivity())
                        : ingredient.wetActivity() > 0
                                ? Double.valueOf(ingredient.wetActivity())
                                : FreeWater.in(hundred).ratio().orElse(null),
                dry,
                couverture
                        ? ingredient.couverture()
                        : dry || ingredient.nature().kind() != Nature.Kind.PLAIN ? "" : ChocolateName.kindOf(hundred),
                couverture,
                ingredient.nature(),
                ingredient.nature().kind() == Nature.Kind.COMPOUND,
                null,
                ingredient.liquidFatPer100Grams() / 100,
                ingredient.allergens(),
                ingredient.caution(),
                pricePerKg,
                ingredient.windows());
    }

    /**
     * A finished formula.
     *
     * @param finished the formula as an ingredient
     */
    public static Material of(NamedFormula formula, Ingredient finished, FormulaBalance balance, Double pricePerKg) {
        Family family = formula.formula().family();
        boolean crunch = family.kind() == Family.Kind.DRY
                || family.kind() == Family.Kind.BISCUIT
                || family.kind() == Family.Kind.COATING;
        return new Material(
                finished.slug(),
                formula.name(),
                family.material(),
                balance.density(),
                finished.per100Grams(),
                balance.freeWater().ratio().orElse(null),
                crunch && balance.freeWater().typical().isPresent(),
                family.kind() == Family.Kind.COATING || family.kind() == Family.Kind.OTHER
                        ? ChocolateName.kindOf(finished.per100Grams())
                        : "",
                false,
                finished.nature(),
                false,
                family.kind(),
                finished.liquidFatPer100Grams() / 100,
                finished.allergens(),
                finished.caution(),
                pricePerKg,
                null);
    }

    private static String pattern(Ingredient ingredient) {
        if (ingredient.isCouverture()) {
            return ingredient.couverture();
        }
        if (ingredient.nature().kind() == Nature.Kind.COMPOUND) {
            double cocoa = ingredient.per100Grams().grams(Part.NONFAT_COCOA);
            return cocoa >= DARK_COCOA_GRAMS ? "dark" : cocoa > 1 ? "milk" : "white";
        }
        if (ingredient.nature().kind() == Nature.Kind.COLOURED_BUTTER) {
            return "coloured";
        }
        if (ingredient.allergens().contains("nuts") || ingredient.allergens().contains("peanuts")) {
            return "nut-paste";
        }
        return ingredient.dryActivity() > 0 ? "crunch" : "fruit";
    }

    /** This with {@code fraction} of another in it. */
    public Material with(Material other, BarLayer.Mix mix) {
        double f = mix.fraction();
        Density mixed = new Density(
                mixed(f, density.least(), other.density.least()),
                mixed(f, density.usual(), other.density.usual()),
                mixed(f, density.greatest(), other.density.greatest()));
        Set<String> both = new TreeSet<>(allergens);
        both.addAll(other.allergens);
        boolean plain = !chocolate.isEmpty()
                && (other.isButter() || other.nature.kind() == Nature.Kind.COLOUR || other.isChocolate());
        Composition both100 = per100Grams
                .times((1 - f) * 100 / per100Grams.totalGrams())
                .plus(other.per100Grams.times(f * 100 / other.per100Grams.totalGrams()));
        boolean staysDry = dry && (other.dry || !other.holdsWater());
        boolean unknown = activityUnknown() || other.activityUnknown();
        return new Material(
                of,
                name + (mix.marbled() ? " marbled with " : " with ") + other.name,
                pattern,
                mixed,
                both100,
                staysDry
                        ? Double.valueOf(wetter(other))
                        : unknown ? null : FreeWater.in(both100).ratio().orElse(null),
                staysDry,
                plain ? chocolate : "",
                couverture && plain,
                nature.with(other.nature),
                compound || other.compound,
                family,
                (1 - f) * liquidFatFraction + f * other.liquidFatFraction,
                List.copyOf(both),
                caution.isEmpty() ? other.caution : caution,
                pricePerKg == null || other.pricePerKg == null
                        ? null
                        : Double.valueOf((1 - f) * pricePerKg + f * other.pricePerKg),
                windows);
    }

    private double wetter(Material other) {
        return other.waterActivity == null ? waterActivity : Math.max(waterActivity, other.waterActivity);
    }

    private static double mixed(double fraction, double one, double other) {
        return 1 / ((1 - fraction) / one + fraction / other);
    }

    /** Density that is reckoned with. */
    public double densityGramsPerMl() {
        return density.usual();
    }

    public boolean isChocolate() {
        return !chocolate.isEmpty();
    }

    /** Where it is melted out, cooled to and worked; empty for what is no chocolate. */
    public Optional<TemperWindow> window() {
        return isChocolate() ? Optional.of(TemperWindow.of(chocolate, windows)) : Optional.empty();
    }

    /** Whether it tempers or coats: couverture, or a compound in its place. */
    public boolean isCoating() {
        return isChocolate() || compound || isButter();
    }

    /** Whether it is a mass of fat that is melted to coat with, though it is neither chocolate nor called compound. */
    public boolean melts(Bounds bounds) {
        return family == null && new Neighbours(bounds).isBarrier(fatFraction(), waterFraction());
    }

    private boolean isButter() {
        return nature.kind() == Nature.Kind.COCOA_BUTTER || nature.kind() == Nature.Kind.COLOURED_BUTTER;
    }

    public double fatFraction() {
        return per100Grams.grams(Part::isFat) / per100Grams.totalGrams();
    }

    /** Whether it holds water of which nobody knows how free it is. */
    public boolean activityUnknown() {
        return waterActivity == null && holdsWater();
    }

    /** Whether there is enough water in it for something to grow in. */
    public boolean holdsWater() {
        return waterFraction() >= DRY_MASS.least();
    }

    public double waterFraction() {
        return per100Grams.waterGrams() / per100Grams.totalGrams();
    }

    /** Dissolving solids over mass. */
    public double sugarFraction() {
        return per100Grams.grams(Part::dissolves) / per100Grams.totalGrams();
    }

    public boolean isBakery() {
        return family == Family.Kind.BISCUIT || nature.kind() == Nature.Kind.BAKERY;
    }
}
