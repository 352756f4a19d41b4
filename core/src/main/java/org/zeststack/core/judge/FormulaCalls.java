package org.zeststack.core.judge;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.explain.Call;
import org.zeststack.core.explain.Call.Weight;
import org.zeststack.core.formula.Family;
import org.zeststack.core.formula.Formula;
import org.zeststack.core.formula.FormulaBalance;
import org.zeststack.core.formula.Makeup;
import org.zeststack.core.formula.Proportions;
import org.zeststack.core.ingredient.Nature;
import org.zeststack.core.quantity.Measure;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.rule.Bound;
import org.zeststack.core.rule.Bounds;
import org.zeststack.core.rule.Rule;

/** Judges a formula by what its family must be: the gravest call first. Cooked sugar is judged by {@link SugarCalls}. */
public final class FormulaCalls {

    private final Formula formula;
    private final FormulaBalance balance;
    private final Composition after;
    private final Makeup makeup;
    private final Bounds bounds;
    private final List<Call> calls = new ArrayList<>();

    private FormulaCalls(Formula formula, FormulaBalance balance, Makeup makeup, Bounds bounds) {
        this.formula = formula;
        this.balance = balance;
        this.after = balance.after();
        this.makeup = makeup;
        this.bounds = bounds;
    }

    /** The calls on a formula, the gravest first. */
    public static List<Call> of(Formula formula, FormulaBalance balance, Makeup makeup, Bounds bounds) {
        FormulaCalls judge = new FormulaCalls(formula, balance, makeup, bounds);
        judge.judge();
        judge.calls.sort(Comparator.comparing(Call::weight));
        return List.copyOf(judge.calls);
    }

    Formula formula() {
        return formula;
    }

    FormulaBalance balance() {
        return balance;
    }

    Makeup makeup() {
        return makeup;
    }

    Bound bound(String code) {
        return bounds.of(code);
    }

    void add(Weight weight, String code, String message, String arithmetic) {
        calls.add(new Call(
                weight,
                code,
                message,
                arithmetic,
                Rule.of(Rule.About.FORMULA, code).source(bounds)));
    }

    static String percent(double share, int decimals) {
        return Say.percent(100 * share, decimals);
    }

    private void judge() {
        if (!balance.moistureKnown()) {
            add(
                    Weight.GOOD_TO_KNOW,
                    "moisture-unknown",
                    "It ends by eye: moisture, water activity and finished mass are not known until the pot is weighed.",
                    "between %s, all water gone, and %s, none gone"
                            .formatted(Say.grams(balance.leastGrams(), 0), Say.grams(balance.greatestGrams(), 0)));
        }
        Keeping keeping = Keeping.of(balance, bounds);
        add(keeping.weight(), keeping.code(), keeping.message(), keeping.arithmetic());
        SugarCalls sugar = new SugarCalls(this);
        switch (formula.family().kind()) {
            case CARAMEL -> sugar.caramel();
            case NOUGAT -> {
                switch (formula.family()) {
                    case NOUGAT_QUICK -> sugar.quick();
                    case NOUGAT_SLAB -> sugar.slab();
                    default -> sugar.nougat();
                }
            }
            case FONDANT -> sugar.fondant();
            case GANACHE -> ganache();
            case NUT -> nut();
            case GEL -> gel();
            case DRY -> {
                if (formula.family() == Family.PRALINE_DISC) {
                    praline();
                } else {
                    dry();
                }
            }
            case BINDER -> binder();
            case BISCUIT -> {
                biscuit(bound(formula.family() == Family.CRUMBLE ? "crumble-fat" : "biscuit-fat"));
                porous();
            }
            case KNEADED -> kneaded();
            case COATING -> coating();
            case OTHER -> {}
        }
    }

    private void ganache() {
        if (after.grams(Part.COCOA_BUTTER) == 0) {
            add(
                    Weight.TAKE_CARE,
                    "no-chocolate",
                    "No cocoa butter: nothing sets this ganache.",
                    "cocoa butter " + Say.grams(0));
            return;
        }
        double firmness = Proportions.firmness(after);
        add(
                Weight.GOOD_TO_KNOW,
                "firmness",
                "Firmness %s: it %s.".formatted(Say.number(firmness, 2), Proportions.use(firmness, bounds)),
                "(%s cocoa butter + ½ × %s dry cocoa) / %s water and alcohol; rolls from %s, cuts from %s"
                        .formatted(
                                Say.grams(after.grams(Part.COCOA_BUTTER), 0),
                                Say.grams(after.grams(Part.NONFAT_COCOA), 0),
                                Say.grams(after.waterGrams() + after.grams(Part.ALCOHOL), 0),
                                bound("ganache-rolls").leastWords(),
                                bound("ganache-cuts").leastWords()));
        emulsion();
    }

    private void emulsion() {
        double fat = balance.fatFraction();
        double water = balance.moistureFraction();
        Bound most = bound("ganache-fat");
        Bound held = bound("ganache-fat-held");
        boolean wet = water > bound("dry-mass").least();
        if (fat > most.greatest() || wet && fat > held.greatest() * water) {
            add(
                    fat > bound("ganache-fat-splits").greatest() ? Weight.WILL_FAIL : Weight.TAKE_CARE,
                    "emulsion",
                    "Fat outweighs the water that must hold it: it will split. More liquid, or less butter and chocolate.",
                    "fat %s, water %s; up to %s fat and %s times the water is usual"
                            .formatted(percent(fat, 1), percent(water, 1), most.greatestWords(), held.greatestWords()));
        }
    }

    private void nut() {
        double solid = 1 - makeup.liquidFatFraction();
        Bound sets = bound("nut-solid");
        boolean slices = solid >= sets.least();
        add(
                formula.family() == Family.NUT_TEMPERED && !slices ? Weight.TAKE_CARE : Weight.GOOD_TO_KNOW,
                "solid-fat",
                slices
                        ? "%s of the fat is solid at %s: tempered, it sets sliceable."
                                .formatted(percent(solid, 0), Say.celsius(20))
                        : "%s of the fat is solid at %s: it stays soft or runny."
                                .formatted(percent(solid, 0), Say.celsius(20)),
                "1 − liquid fat / fat; nut oils are liquid, cocoa butter is %s solid; %s or more sets"
                        .formatted(Say.percent(78), sets.leastWords()));
        Bound dry = bound("nut-water");
        if (balance.moistureFraction() > dry.greatest()) {
            add(
                    Weight.TAKE_CARE,
                    "water-in-fat",
                    "Water in a nut filling thickens it and shortens its life.",
                    "water %s; %s is usual".formatted(percent(balance.moistureFraction(), 1), dry.words()));
        }
    }

    private void gel() {
        double brix = after.dissolvedSolidsFraction();
        Bound solids = bound("gel-solids");
        boolean thin = brix < solids.least();
        add(
                thin ? Weight.TAKE_CARE : Weight.GOOD_TO_KNOW,
                "brix",
                thin
                        ? "%s dissolved solids: too wet to keep, and a high-ester pectin will not set."
                                .formatted(percent(brix, 0))
                        : "%s dissolved solids.".formatted(percent(brix, 0)),
                "dissolved %s / (dissolved + water %s); %s is usual"
                        .formatted(
                                Say.grams(after.dissolvedGrams(), 0),
                                Say.grams(after.waterGrams(), 0),
                                solids.words()));
        double pectin = makeup.grams(Nature.Kind.PECTIN) / after.totalGrams();
        if (pectin + makeup.grams(Nature.Kind.GELLING) == 0) {
            add(
                    Weight.TAKE_CARE,
                    "gelling",
                    "No pectin, gelatine or agar: it thickens like jam at best.",
                    "gelling agents " + Say.grams(0));
        } else if (pectin > 0) {
            pectin(pectin, after.grams(Part.ACIDS) / after.totalGrams());
        }
    }

    private void pectin(double pectin, double acid) {
        Bound much = bound("gel-pectin");
        Bound sour = bound("gel-acid");
        String fault = pectin < much.least()
                ? "it will hardly set"
                : pectin > much.greatest()
                        ? "it will be tough"
                        : acid < sour.least()
                                ? "pectin wants acid to set"
                                : acid > sour.greatest() ? "so much acid sets it in the pan, and it weeps" : "";
        add(
                fault.isEmpty() ? Weight.GOOD_TO_KNOW : Weight.TAKE_CARE,
                "pectin",
                "Pectin %s, acid %s: %s."
                        .formatted(percent(pectin, 1), percent(acid, 1), fault.isEmpty() ? "it sets" : fault),
                "%s pectin and %s acid are usual; the pectin's own sheet wins".formatted(much.words(), sour.words()));
    }

    private void dry() {
        Bound dry = bound("crunch-water");
        if (balance.moistureFraction() > dry.greatest()) {
            add(
                    Weight.TAKE_CARE,
                    "crunch-wet",
                    "%s water: the crunch will go soft. Bind it with fat or chocolate, not with syrup or cream."
                            .formatted(percent(balance.moistureFraction(), 1)),
                    "water %s / %s; %s stays crisp"
                            .formatted(
                                    Say.grams(after.waterGrams(), 1), Say.grams(after.totalGrams(), 0), dry.words()));
        }
        Bound fat = bound("crunch-fat");
        if (formula.family() == Family.CRUNCH && balance.fatFraction() < fat.least()) {
            add(
                    Weight.GOOD_TO_KNOW,
                    "crunch-bare",
                    "Little fat around the crumb: beside caramel or ganache it takes up water.",
                    "fat %s; %s keeps water out".formatted(percent(balance.fatFraction(), 0), fat.words()));
        }
    }

    /** Cooked sugar spread thin: glass, as long as no water comes to it. */
    private void praline() {
        double water = balance.moistureFraction();
        Bound glass = bound("praline-water");
        boolean damp = water > glass.greatest();
        add(
                damp ? Weight.TAKE_CARE : Weight.GOOD_TO_KNOW,
                "glass",
                damp
                        ? "%s water: it bends and sticks instead of breaking. Cook it further."
                                .formatted(percent(water, 1))
                        : "%s water: it breaks like glass. Seal it at once: it draws water from the air."
                                .formatted(percent(water, 1)),
                "water %s / %s; %s is brittle"
                        .formatted(Say.grams(after.waterGrams(), 1), Say.grams(after.totalGrams(), 0), glass.words()));
    }

    /** Grain and what binds it, by mass and by the room between the pieces. */
    private void binder() {
        Makeup.Grain grain = makeup.grain();
        if (grain.meltedGrams() > 0) {
            add(
                    Weight.TAKE_CARE,
                    "binder",
                    "%s of grain stand in the pot, where it loses its air and becomes part of the binder: fold it in."
                            .formatted(Say.grams(grain.meltedGrams(), 0)),
                    "porous grain folded in %s, in the pot %s"
                            .formatted(Say.grams(grain.grams(), 0), Say.grams(grain.meltedGrams(), 0)));
        }
        if (grain.grams() == 0 && grain.meltedGrams() > 0) {
            return;
        }
        if (grain.grams() == 0) {
            add(
                    Weight.GOOD_TO_KNOW,
                    "binder",
                    "No grain is in it yet: it is all binder.",
                    "porous grain " + Say.grams(0));
            return;
        }
        Bound usual = bound("binder-share");
        double share = grain.binderGrams() / after.totalGrams();
        boolean bare = share < usual.least();
        boolean heavy = share > usual.greatest();
        add(
                bare || heavy ? Weight.TAKE_CARE : Weight.GOOD_TO_KNOW,
                "binder",
                "The binder is %s of it and fills %s of the room between the grains: %s."
                        .formatted(
                                percent(share, 0),
                                percent(grain.filled(), 0),
                                bare
                                        ? "it falls apart when it is cut"
                                        : heavy ? "dense and hard, the grain drowns" : "it holds and stays light"),
                "%s of grain lies in %s loose; %s of binder are %s; %s by mass is usual"
                        .formatted(
                                Say.grams(grain.grams(), 0),
                                Say.of(grain.looseMl(), 0, Measure.MILLILITRES),
                                Say.grams(grain.binderGrams(), 0),
                                Say.of(grain.binderMl(), 0, Measure.MILLILITRES),
                                usual.words()));
        Bound dry = bound("binder-water");
        if (balance.moistureKnown() && balance.moistureFraction() > dry.greatest()) {
            add(
                    Weight.TAKE_CARE,
                    "grain-soft",
                    "%s water: the grain will go soft. Boil the binder further, or bind with chocolate."
                            .formatted(percent(balance.moistureFraction(), 1)),
                    "water %s / %s; %s stays crisp"
                            .formatted(
                                    Say.grams(after.waterGrams(), 1), Say.grams(after.totalGrams(), 0), dry.words()));
        }
    }

    private void biscuit(Bound usual) {
        Composition raw = balance.before();
        double starch = raw.grams(Part.STARCH);
        double fat = raw.grams(Part::isFat);
        if (starch > 0) {
            double ratio = fat / starch;
            boolean hard = ratio < usual.least();
            boolean spreads = ratio > usual.greatest();
            add(
                    hard || spreads ? Weight.TAKE_CARE : Weight.GOOD_TO_KNOW,
                    "short",
                    hard
                            ? "Little fat on the starch: hard rather than short."
                            : spreads ? "So much fat that it spreads and crumbles." : "Short and firm enough to cut.",
                    "fat %s / starch %s = %s; %s is usual"
                            .formatted(Say.grams(fat, 0), Say.grams(starch, 0), Say.number(ratio, 2), usual.words()));
        }
        double water = raw.waterGrams() / raw.totalGrams();
        if (formula.finish().bakedLossFraction() == 0
                && water >= bound("bakes-out").least()) {
            add(
                    Weight.GOOD_TO_KNOW,
                    "baked-loss",
                    "No loss in the oven is written down: weigh it raw and baked once.",
                    "water %s raw".formatted(percent(water, 1)));
        }
    }

    private void porous() {
        if (formula.finish().overrunFraction() == 0) {
            add(
                    Weight.GOOD_TO_KNOW,
                    "porous",
                    "The density is that of the mass without its pores: weigh a piece of known size and enter the air.",
                    "density %s without air"
                            .formatted(Say.of(balance.densityGramsPerMl(), 2, Measure.GRAMS_PER_MILLILITRE)));
        }
    }

    private void kneaded() {
        double water = balance.moistureFraction();
        Bound usual = bound("kneaded-water");
        boolean soft = water > usual.greatest();
        boolean crumbles = water < usual.least();
        add(
                soft || crumbles ? Weight.TAKE_CARE : Weight.GOOD_TO_KNOW,
                "kneading",
                "%s water: %s."
                        .formatted(
                                percent(water, 1),
                                soft
                                        ? "too soft to hold an edge"
                                        : crumbles ? "it will crumble" : "kneads and presses"),
                usual.words() + " is usual");
    }

    private void coating() {
        Bound dry = bound("coating-water");
        if (balance.moistureFraction() > dry.greatest()) {
            add(
                    Weight.WILL_FAIL,
                    "seizes",
                    "Wet parts in a coating: the chocolate will seize.",
                    "water %s; dry grain brings %s".formatted(percent(balance.moistureFraction(), 1), dry.words()));
        }
    }
}
