package org.zeststack.core.judge;

import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.DoublePredicate;
import org.zeststack.core.air.Atmosphere;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Nutrition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.explain.Call;
import org.zeststack.core.explain.Call.Weight;
import org.zeststack.core.formula.Density;
import org.zeststack.core.formula.Family;
import org.zeststack.core.formula.Formula;
import org.zeststack.core.formula.FormulaBalance;
import org.zeststack.core.formula.FormulaPots;
import org.zeststack.core.formula.FreeWater;
import org.zeststack.core.formula.Makeup;
import org.zeststack.core.ingredient.Bulk;
import org.zeststack.core.ingredient.Nature;
import org.zeststack.core.naming.ChocolateName;
import org.zeststack.core.quantity.Zone;
import org.zeststack.core.stack.Bars;
import org.zeststack.core.water.Boiling;
import org.zeststack.core.water.Solution;
import org.zeststack.core.water.WaterActivity;

/** Masses that lie beyond a bound of formulas or of names, made of nothing but what the bound is about. */
final class FormulaProbes {

    /** A finished mass that is judged: its family, what is in it, and what else a rule asks. */
    static final class Mass {
        private final Family family;
        private final Map<Part, Double> grams = new EnumMap<>(Part.class);
        private final Map<Nature.Kind, Double> kinds = new EnumMap<>(Nature.Kind.class);
        private Double stop = 118.0;
        private double liquidFat;
        private double activity = 0.5;
        private Makeup.Grain grain = Makeup.Grain.NONE;

        Mass(Family family) {
            this.family = family;
        }

        Mass of(Part part, double share) {
            grams.put(part, 1000 * share);
            return this;
        }

        /** Fills the mass up to one kilogram. */
        Mass rest(Part part) {
            grams.remove(part);
            double sum = grams.values().stream().mapToDouble(g -> g).sum();
            grams.put(part, 1000 - sum);
            return this;
        }

        Mass kind(Nature.Kind kind, double share) {
            kinds.put(kind, 1000 * share);
            return this;
        }

        Mass liquidFat(double share) {
            liquidFat = share;
            return this;
        }

        /** Grain, the rest of the kilogram binding it. */
        Mass bound(double binder) {
            grain = new Makeup.Grain(1000 * (1 - binder), 5000, 1000 * binder, 700 * binder, 0);
            return this;
        }

        Mass activity(double ratio) {
            activity = ratio;
            return this;
        }

        Mass uncooked() {
            stop = null;
            return this;
        }

        Composition composition() {
            return Composition.of(grams, 42);
        }

        List<Call> calls() {
            Composition after = composition();
            Formula formula = new Formula(family, List.of(), stop, 0, List.of());
            FormulaBalance balance = new FormulaBalance(
                    after,
                    after,
                    new FormulaPots(after, List.of(), Optional.empty()),
                    Optional.empty(),
                    after,
                    1000,
                    1000,
                    true,
                    Density.exactly(1.3),
                    Bulk.MASSIVE,
                    FreeWater.of(new WaterActivity(activity, Zone.SUPPORTED)));
            Makeup makeup = new Makeup(
                    Nutrition.of(after, 0, 0),
                    0,
                    0,
                    liquidFat,
                    List.of(),
                    kinds,
                    Set.of(),
                    0,
                    List.of(),
                    Map.of(),
                    grain);
            return FormulaCalls.of(formula, balance, makeup, Bars.judgedBy);
        }

        boolean told(String code) {
            return calls().stream().anyMatch(c -> c.code().equals(code));
        }

        boolean told(String code, Weight weight) {
            return calls().stream().anyMatch(c -> c.code().equals(code) && c.weight() == weight);
        }

        boolean says(String code, String words) {
            return calls().stream()
                    .anyMatch(c -> c.code().equals(code) && c.message().contains(words));
        }
    }

    private FormulaProbes() {}

    /** By code: whether a mass whose figure is so lies beyond the bound. */
    static Map<String, DoublePredicate> all() {
        Map<String, DoublePredicate> all = new HashMap<>();
        sugar(all);
        all.put("ganache-rolls", f -> ganache(f).says("firmness", "fills"));
        all.put("ganache-cuts", f -> !ganache(f).says("firmness", "cuts"));
        all.put("ganache-fat", fat -> fat(fat, 0.3).told("emulsion"));
        all.put("ganache-fat-splits", fat -> fat(fat, 0.3).told("emulsion", Weight.WILL_FAIL));
        all.put("ganache-fat-held", ratio -> fat(0.1 * ratio, 0.1).told("emulsion"));
        all.put("nut-solid", solid -> new Mass(Family.NUT_TEMPERED)
                .rest(Part.OTHER_FAT)
                .liquidFat(1 - solid)
                .told("solid-fat", Weight.TAKE_CARE));
        all.put("nut-water", w -> new Mass(Family.NUT_PASTE)
                .of(Part.WATER, w)
                .rest(Part.OTHER_FAT)
                .told("water-in-fat"));
        all.put(
                "gel-solids",
                s -> new Mass(Family.GEL).of(Part.SUCROSE, s).rest(Part.WATER).told("brix", Weight.TAKE_CARE));
        all.put("gel-pectin", p -> gel(p, 0.006).told("pectin", Weight.TAKE_CARE));
        all.put("gel-acid", a -> gel(0.012, a).told("pectin", Weight.TAKE_CARE));
        all.put(
                "crunch-water",
                w -> new Mass(Family.CRUNCH).of(Part.WATER, w).rest(Part.STARCH).told("crunch-wet"));
        all.put("crunch-fat", f -> new Mass(Family.CRUNCH)
                .of(Part.MILK_FAT, f)
                .rest(Part.STARCH)
                .told("crunch-bare"));
        all.put("biscuit-fat", ratio -> new Mass(Family.BISCUIT_ROLLED)
                .of(Part.STARCH, 0.3)
                .of(Part.MILK_FAT, 0.3 * ratio)
                .rest(Part.SUCROSE)
                .told("short", Weight.TAKE_CARE));
        all.put("crumble-fat", ratio -> new Mass(Family.CRUMBLE)
                .of(Part.STARCH, 0.3)
                .of(Part.MILK_FAT, 0.3 * ratio)
                .rest(Part.SUCROSE)
                .told("short", Weight.TAKE_CARE));
        all.put("praline-water", w -> moist(Family.PRALINE_DISC, w).told("glass", Weight.TAKE_CARE));
        all.put("binder-share", b -> moist(Family.PUFFED, 0.02).bound(b).told("binder", Weight.TAKE_CARE));
        all.put("binder-water", w -> moist(Family.PUFFED, w).bound(0.5).told("grain-soft"));
        all.put("bakes-out", w -> !new Mass(Family.BISCUIT_ROLLED)
                .of(Part.WATER, w)
                .rest(Part.STARCH)
                .told("baked-loss"));
        all.put("kneaded-water", w -> new Mass(Family.KNEADED)
                .of(Part.WATER, w)
                .rest(Part.SUCROSE)
                .told("kneading", Weight.TAKE_CARE));
        all.put("coating-water", w -> new Mass(Family.COATING_MIX)
                .of(Part.WATER, w)
                .rest(Part.SUCROSE)
                .told("seizes"));
        names(all);
        return all;
    }

    private static void sugar(Map<String, DoublePredicate> all) {
        all.put(
                "graining",
                share -> grains(share).told("graining", Weight.TAKE_CARE)
                        || grains(share).told("graining", Weight.WILL_FAIL)
                        || grains(share).told("cold-flow"));
        all.put("graining-sure", share -> grains(share).told("graining", Weight.WILL_FAIL));
        all.put(
                "graining-milk",
                protein ->
                        grains(0.15).of(Part.PROTEIN, protein).rest(Part.WATER).told("graining", Weight.TAKE_CARE));
        all.put(
                "graining-in-milk",
                share -> inMilk(share).told("graining", Weight.WILL_FAIL)
                        || inMilk(share).told("graining", Weight.TAKE_CARE));
        all.put("sucrose-dissolved", ratio -> new Mass(Family.CARAMEL)
                .of(Part.SUCROSE, 0.2 * ratio)
                .of(Part.WATER, 0.2)
                .rest(Part.MILK_FAT)
                .told("graining"));
        all.put(
                "inverting-acid",
                acid -> grains(0.05).of(Part.ACIDS, acid * 0.8 * 0.95).told("graining", Weight.WILL_FAIL));
        all.put("sugar-to-grain", share -> !new Mass(Family.CARAMEL)
                .of(Part.WATER, 0.05)
                .of(Part.SUCROSE, 0.95 * share)
                .rest(Part.MILK_FAT)
                .told("graining"));
        all.put("caramel-fat-alone", fat -> !milk(fat, 0).told("fat-split"));
        all.put("caramel-protein", ratio -> milk(0.2, 0.2 * ratio).told("fat-split"));
        all.put("caramel-fat", fat -> milk(fat, 0.1).told("fat-split"));
        all.put("caramel-lactose", share -> new Mass(Family.CARAMEL)
                .of(Part.LACTOSE, share)
                .rest(Part.SYRUP_SOLIDS)
                .told("lactose"));
        all.put("caramel-milk", protein -> !milk(0.05, protein).told("texture"));
        all.put("caramel-rolled", t -> !stopped(t).says("texture", "rolled out between papers"));
        all.put("caramel-cavity", t -> !stopped(t).says("texture", "in a cavity"));
        all.put("caramel-sawn", t -> !stopped(t).says("texture", "sliced or sawn"));
        all.put("caramel-shaped", t -> !stopped(t).says("texture", "formed by hand"));
        all.put("nougat-whites", ratio -> new Mass(Family.NOUGAT)
                .of(Part.SUCROSE, 0.4)
                .of(Part.SYRUP_SOLIDS, 0.4)
                .of(Part.PROTEIN, 0.8 * ratio)
                .rest(Part.WATER)
                .kind(Nature.Kind.EGG_WHITE, 0.05)
                .told("whites"));
        all.put("nougat-soft", w -> !moist(Family.NOUGAT, w).says("dryness", "soft"));
        all.put("nougat-moisture", w -> moist(Family.NOUGAT, w).told("dryness", Weight.TAKE_CARE));
        all.put("quick-water", w -> moist(Family.NOUGAT_QUICK, w).told("quick-set", Weight.TAKE_CARE));
        all.put("slab-water", w -> moist(Family.NOUGAT_SLAB, w).told("chew", Weight.TAKE_CARE));
        all.put("fondant-firm", w -> !moist(Family.FONDANT, w).says("fondant", "firm fondant"));
        all.put("fondant-soft", w -> moist(Family.FONDANT, w).says("fondant", "syrup"));
    }

    /** A boiled mass with that share of its sugars against graining. */
    static Mass grains(double share) {
        return new Mass(Family.CARAMEL)
                .of(Part.SYRUP_SOLIDS, 0.8 * share)
                .of(Part.SUCROSE, 0.8 * (1 - share))
                .rest(Part.WATER);
    }

    private static Mass inMilk(double share) {
        return grains(share).of(Part.PROTEIN, 0.04).rest(Part.WATER);
    }

    private static Mass milk(double fat, double protein) {
        return new Mass(Family.CARAMEL)
                .of(Part.MILK_FAT, fat)
                .of(Part.PROTEIN, protein)
                .of(Part.SYRUP_SOLIDS, 0.2)
                .of(Part.WATER, 0.1)
                .rest(Part.SUCROSE);
    }

    /** A milk caramel that boils there at sea level. */
    static Mass stopped(double celsius) {
        Mass mass = new Mass(Family.CARAMEL)
                .of(Part.SUCROSE, 0.35)
                .of(Part.SYRUP_SOLIDS, 0.35)
                .of(Part.PROTEIN, 0.03)
                .rest(Part.WATER);
        double left = Boiling.waterLeftGrams(Solution.in(mass.composition()), celsius, Atmosphere.SEA_LEVEL_KPA);
        return mass.of(Part.WATER, left / 1000);
    }

    private static Mass moist(Family family, double water) {
        return new Mass(family)
                .of(Part.WATER, water)
                .of(Part.SYRUP_SOLIDS, 0.4)
                .kind(Nature.Kind.EGG_WHITE, 0.05)
                .rest(Part.SUCROSE);
    }

    private static Mass ganache(double firmness) {
        return new Mass(Family.GANACHE)
                .uncooked()
                .of(Part.WATER, 0.2)
                .of(Part.COCOA_BUTTER, 0.2 * firmness)
                .rest(Part.SUCROSE);
    }

    private static Mass fat(double fat, double water) {
        return new Mass(Family.GANACHE)
                .uncooked()
                .of(Part.WATER, water)
                .of(Part.COCOA_BUTTER, fat)
                .rest(Part.SUCROSE);
    }

    private static Mass gel(double pectin, double acid) {
        return new Mass(Family.GEL)
                .of(Part.SUCROSE, 0.7)
                .of(Part.ACIDS, acid)
                .kind(Nature.Kind.PECTIN, pectin)
                .rest(Part.WATER);
    }

    /** For each name each part that it asks for, alone. */
    private static void names(Map<String, DoublePredicate> all) {
        Map<String, Part> parts = Map.of(
                "dry-cocoa", Part.COCOA_BUTTER,
                "cocoa-butter", Part.COCOA_BUTTER,
                "nonfat-cocoa", Part.NONFAT_COCOA,
                "dry-milk", Part.LACTOSE,
                "milk-fat", Part.MILK_FAT,
                "cocoa-and-milk-fat", Part.COCOA_BUTTER);
        Map<String, String> words = Map.of(
                "dry-cocoa", "dry cocoa",
                "cocoa-butter", "cocoa butter",
                "nonfat-cocoa", "dry non-fat cocoa",
                "dry-milk", "dry milk",
                "milk-fat", "milk fat",
                "cocoa-and-milk-fat", "fat of cocoa and milk");
        Map<String, ChocolateName> names = Map.of(
                "chocolate", ChocolateName.CHOCOLATE,
                "couverture", ChocolateName.COUVERTURE,
                "milk", ChocolateName.MILK,
                "milk-couverture", ChocolateName.MILK_COUVERTURE,
                "white", ChocolateName.WHITE);
        names.forEach(
                (name, of) ->
                        parts.forEach(
                                (part, made) -> {
                                    String code = "name-" + name + "-" + part;
                                    if (Bars.judgedBy.find(code).isPresent()) {
                                        all.put(code, share -> of
                                                .lacks(new Mass(Family.OTHER)
                                                        .of(made, share)
                                                        .rest(Part.SUCROSE)
                                                        .composition())
                                                .stream()
                                                .anyMatch(l -> l.startsWith(words.get(part) + " ")));
                                    }
                                }));
    }
}
