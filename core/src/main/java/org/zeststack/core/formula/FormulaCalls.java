package org.zeststack.core.formula;

import static org.zeststack.core.quantity.Numbers.fixed;

import java.util.ArrayList;
import java.util.List;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.explain.Call;
import org.zeststack.core.ingredient.Nature;

/**
 * Judges a formula by what its family must be. Every bound is common practice, no source, unless it says otherwise.
 *
 * <p>One short method per kind of family; they stand together so that the bounds of one trade can be read side by side.
 *
 * <p>Ratios used: {@link #graining} for cooked sugar, {@link #firmness} for ganache, {@link #solidFat} for nut fillings.
 */
public final class FormulaCalls {

    private static final String PRACTICE = "Common practice, no source.";

    /** Least share of sugars that do not crystallise easily, below which a cooked mass grains. */
    static final double LEAST_DOCTOR = 0.20;

    private static final double USUAL_DOCTOR = 0.28;
    private static final double MOST_DOCTOR = 0.62;

    /** Firmness of a ganache below which it only fills, and from which it can be cut. */
    static final double ROLLS = 1.3;

    static final double CUTS = 1.9;

    private final Formula formula;
    private final FormulaBalance balance;
    private final Composition after;
    private final Makeup makeup;
    private final List<Call> calls = new ArrayList<>();

    private FormulaCalls(Formula formula, FormulaBalance balance, Makeup makeup) {
        this.formula = formula;
        this.balance = balance;
        after = balance.after();
        this.makeup = makeup;
    }

    /** The calls on a formula, the gravest first. */
    public static List<Call> of(Formula formula, FormulaBalance balance, Makeup makeup) {
        FormulaCalls judge = new FormulaCalls(formula, balance, makeup);
        judge.judge();
        judge.calls.sort(java.util.Comparator.comparing(Call::weight));
        return List.copyOf(judge.calls);
    }

    /**
     * Share of the sugars that keep sucrose from graining: (glucose-syrup solids + glucose + fructose + maltose) / (those +
     * sucrose), 0 to 1; 1 without sucrose.
     */
    public static double graining(Composition mass) {
        double doctor = mass.grams(Part.SYRUP_SOLIDS)
                + mass.grams(Part.GLUCOSE)
                + mass.grams(Part.FRUCTOSE)
                + mass.grams(Part.MALTOSE);
        double all = doctor + mass.grams(Part.SUCROSE);
        return all == 0 ? 1 : doctor / all;
    }

    /**
     * Firmness of a ganache: (cocoa butter + ½ dry non-fat cocoa) / (water + alcohol). Ours; it puts the usual proportions of
     * chocolate to cream in one order: dark 1 : 1 at 0.8, dark 2 : 1 at 1.6, milk 2.5 : 1 at 1.5, white 3 : 1 at 1.5.
     */
    public static double firmness(Composition mass) {
        double wet = mass.waterGrams() + mass.grams(Part.ALCOHOL);
        double hard = mass.grams(Part.COCOA_BUTTER) + 0.5 * mass.grams(Part.NONFAT_COCOA);
        return wet == 0 ? Double.POSITIVE_INFINITY : hard / wet;
    }

    /** What a ganache of a firmness is good for. */
    public static String use(double firmness) {
        return firmness < ROLLS ? "fills a shell" : firmness < CUTS ? "rolls" : "cuts";
    }

    private void judge() {
        if (!balance.moistureKnown()) {
            call(
                    Call.Weight.GOOD_TO_KNOW,
                    "moisture-unknown",
                    "It ends by eye: moisture, water activity and finished mass are not known until the pot is weighed.",
                    "between %s g, all water gone, and %s g, none gone"
                            .formatted(fixed(balance.leastGrams(), 0), fixed(balance.greatestGrams(), 0)));
        }
        switch (formula.family().kind()) {
            case CARAMEL -> caramel();
            case NOUGAT -> nougat();
            case GANACHE -> ganache();
            case NUT -> nut();
            case GEL -> gel();
            case DRY -> dry();
            case BISCUIT -> {
                biscuit();
                porous();
            }
            case KNEADED -> kneaded();
            case FONDANT -> fondant();
            case COATING -> coating();
            case OTHER -> {}
        }
    }

    private void caramel() {
        doctor(true);
        double fat = 100 * balance.fatFraction();
        double protein = 100 * after.grams(Part.PROTEIN) / after.totalGrams();
        String arithmetic = "fat %s %%, protein %s %% of the finished mass".formatted(fixed(fat, 1), fixed(protein, 1));
        if (fat > 8 && protein < fat / 22) {
            call(
                    Call.Weight.TAKE_CARE,
                    "fat-split",
                    "Much fat on little milk protein: it may split. Cream from the start, or milk powder, holds it.",
                    arithmetic);
        } else if (fat > 30) {
            call(
                    Call.Weight.TAKE_CARE,
                    "fat-split",
                    "More than 30 % fat: it may split when overcooked; whisk a little hot water in to rescue it.",
                    arithmetic);
        }
        double lactose = 100 * after.grams(Part.LACTOSE) / after.totalGrams();
        if (lactose > 12) {
            call(
                    Call.Weight.TAKE_CARE,
                    "lactose",
                    "Much milk sugar: it may turn sandy after some weeks.",
                    "lactose %s %% of the finished mass; 12 %% is usual at most".formatted(fixed(lactose, 1)));
        }
        double moisture = 100 * balance.moistureFraction();
        if (balance.moistureKnown() && formula.cooked() && protein > 0.3) {
            String texture = moisture > 14
                    ? "a sauce that flows"
                    : moisture > 10 ? "soft, flows in a cavity" : moisture > 7 ? "chewy, keeps a shape" : "hard";
            call(
                    Call.Weight.GOOD_TO_KNOW,
                    "texture",
                    "%s %% moisture: %s.".formatted(fixed(moisture, 1), texture),
                    "water %s g / finished %s g".formatted(fixed(after.waterGrams(), 0), fixed(after.totalGrams(), 0)));
        }
    }

    private void doctor(boolean chewy) {
        Composition mass = balance.pot().totalGrams() > 0 ? balance.pot() : after;
        double sugars = mass.grams(Part.SUCROSE);
        if (sugars < 0.15 * (mass.totalGrams() - mass.waterGrams())) {
            return;
        }
        double share = graining(mass);
        double acid = mass.grams(Part.ACIDS);
        String arithmetic =
                "%s g of glucose syrup solids, glucose, fructose, maltose in %s g of these and sucrose = %s %%"
                        .formatted(
                                fixed(share * sugars / (1 - share), 0),
                                fixed(sugars / (1 - share), 0),
                                fixed(100 * share, 0));
        if (share < LEAST_DOCTOR) {
            boolean inverted = acid > 0.002 * sugars;
            call(
                    share < LEAST_DOCTOR / 2 && !inverted ? Call.Weight.WILL_FAIL : Call.Weight.TAKE_CARE,
                    "graining",
                    inverted
                            ? "Little glucose syrup: it leans on its acid to invert sugar, which is hard to repeat."
                            : "It will grain: too little glucose syrup or invert sugar against sucrose.",
                    arithmetic);
        } else if (share < USUAL_DOCTOR && chewy) {
            call(
                    Call.Weight.GOOD_TO_KNOW,
                    "graining",
                    "Just enough against graining; do not stir the cooling mass.",
                    arithmetic);
        } else if (share > MOST_DOCTOR) {
            call(
                    Call.Weight.TAKE_CARE,
                    "cold-flow",
                    "More glucose syrup and invert sugar than sucrose: sticky, flows when it lies.",
                    arithmetic);
        }
    }

    private void nougat() {
        doctor(false);
        boolean whites = makeup.kinds().contains(Nature.Kind.EGG_WHITE);
        if (formula.family() == Family.NOUGAT && !whites) {
            call(
                    Call.Weight.WILL_FAIL,
                    "no-whites",
                    "No egg white or albumen: nothing holds the air.",
                    "lines of egg white or albumen: none");
        }
        double sugar = after.dissolvedGrams();
        double protein = after.grams(Part.PROTEIN);
        double ratio = sugar == 0 ? 0 : 100 * protein / sugar;
        if (whites && ratio < 0.9) {
            call(
                    Call.Weight.TAKE_CARE,
                    "whites",
                    "Few whites for so much syrup: dense and hard.",
                    "protein %s g to dissolved sugars %s g = %s %%; 1 to 4 %% is usual"
                            .formatted(fixed(protein, 1), fixed(sugar, 0), fixed(ratio, 1)));
        }
        double moisture = 100 * balance.moistureFraction();
        if (balance.moistureKnown()) {
            call(
                    moisture > 12 ? Call.Weight.TAKE_CARE : Call.Weight.GOOD_TO_KNOW,
                    "dryness",
                    moisture > 12
                            ? "%s %% moisture: it will slump when cut; dry it further.".formatted(fixed(moisture, 1))
                            : "%s %% moisture: %s."
                                    .formatted(fixed(moisture, 1), moisture > 8 ? "soft" : "firm to hard"),
                    "water %s g / finished %s g; 5 to 9 %% is usual"
                            .formatted(fixed(after.waterGrams(), 0), fixed(after.totalGrams(), 0)));
        }
        if (formula.finish().overrunFraction() == 0) {
            call(
                    Call.Weight.GOOD_TO_KNOW,
                    "overrun",
                    "No air is written down: the density is that of the mass without air. Weigh a litre and enter it.",
                    "density %s g/mL".formatted(fixed(balance.densityGramsPerMl(), 2)));
        }
    }

    private void ganache() {
        double firmness = firmness(after);
        if (after.grams(Part.COCOA_BUTTER) == 0) {
            call(
                    Call.Weight.TAKE_CARE,
                    "no-chocolate",
                    "No cocoa butter: nothing sets this ganache.",
                    "cocoa butter 0 g");
            return;
        }
        call(
                Call.Weight.GOOD_TO_KNOW,
                "firmness",
                "Firmness %s: it %s.".formatted(fixed(firmness, 2), use(firmness)),
                "(%s g cocoa butter + ½ × %s g dry cocoa) / %s g water and alcohol; rolls from 1.3, cuts from 1.9"
                        .formatted(
                                fixed(after.grams(Part.COCOA_BUTTER), 0),
                                fixed(after.grams(Part.NONFAT_COCOA), 0),
                                fixed(after.waterGrams() + after.grams(Part.ALCOHOL), 0)));
        double fat = 100 * balance.fatFraction();
        double water = 100 * balance.moistureFraction();
        if (fat > 42 || fat > 2.4 * water && water > 3) {
            call(
                    fat > 48 ? Call.Weight.WILL_FAIL : Call.Weight.TAKE_CARE,
                    "emulsion",
                    "Fat outweighs the water that must hold it: it will split. More liquid, or less butter and chocolate.",
                    "fat %s %%, water %s %%; up to 42 %% fat and 2.4 times the water is usual"
                            .formatted(fixed(fat, 1), fixed(water, 1)));
        }
        balance.activity()
                .filter(a -> a.ratio() > 0.85)
                .ifPresent(a -> call(
                        Call.Weight.TAKE_CARE,
                        "keeping",
                        "It keeps days, not weeks: bacteria can grow above 0.85. A laboratory's number decides.",
                        "a_w %s at 25 °C; 0.85 is the limit of 21 CFR 114.3".formatted(fixed(a.ratio(), 2))));
    }

    private void nut() {
        double solid = 100 * (1 - makeup.liquidFatFraction());
        double water = 100 * balance.moistureFraction();
        boolean sets = solid >= 22;
        call(
                formula.family() == Family.NUT_TEMPERED && !sets ? Call.Weight.TAKE_CARE : Call.Weight.GOOD_TO_KNOW,
                "solid-fat",
                sets
                        ? "%s %% of the fat is solid at 20 °C: tempered, it sets sliceable.".formatted(fixed(solid, 0))
                        : "%s %% of the fat is solid at 20 °C: it stays soft or runny.".formatted(fixed(solid, 0)),
                "1 − liquid fat / fat; nut oils are liquid, cocoa butter is 78 % solid; 22 % or more sets");
        if (water > 3) {
            call(
                    Call.Weight.TAKE_CARE,
                    "water-in-fat",
                    "Water in a nut filling thickens it and shortens its life.",
                    "water %s %%; under 3 %% is usual".formatted(fixed(water, 1)));
        }
    }

    private void gel() {
        double brix = 100 * after.dissolvedSolidsFraction();
        call(
                brix < 60 ? Call.Weight.TAKE_CARE : Call.Weight.GOOD_TO_KNOW,
                "brix",
                brix < 60
                        ? "%s %% dissolved solids: too wet to keep, and a high-ester pectin will not set."
                                .formatted(fixed(brix, 0))
                        : "%s %% dissolved solids.".formatted(fixed(brix, 0)),
                "dissolved %s g / (dissolved + water %s g); 65 to 76 %% is usual"
                        .formatted(fixed(after.dissolvedGrams(), 0), fixed(after.waterGrams(), 0)));
        double pectin = 100 * grams("pectin") / after.totalGrams();
        double gelatine =
                100 * (grams("gelatine-powder") + grams("gelatine-leaf") + grams("agar")) / after.totalGrams();
        if (pectin + gelatine == 0) {
            call(
                    Call.Weight.TAKE_CARE,
                    "gelling",
                    "No pectin, gelatine or agar: it thickens like jam at best.",
                    "gelling agents 0 g");
        } else if (pectin > 0) {
            double acid = 100 * after.grams(Part.ACIDS) / after.totalGrams();
            boolean odd = pectin < 0.6 || pectin > 2.5 || acid < 0.3;
            call(
                    odd ? Call.Weight.TAKE_CARE : Call.Weight.GOOD_TO_KNOW,
                    "pectin",
                    "Pectin %s %%, acid %s %%: %s."
                            .formatted(
                                    fixed(pectin, 1),
                                    fixed(acid, 1),
                                    pectin < 0.6
                                            ? "it will hardly set"
                                            : pectin > 2.5
                                                    ? "it will be tough"
                                                    : acid < 0.3 ? "pectin wants acid to set" : "it sets"),
                    "0.8 to 1.8 % pectin and 0.4 to 1.2 % acid are usual; the pectin's own sheet wins");
        }
    }

    private double grams(String slug) {
        return formula.lines().stream()
                .filter(l -> l.counts() && l.ingredient().equals(slug))
                .mapToDouble(FormulaLine::grams)
                .sum();
    }

    private void dry() {
        double water = 100 * balance.moistureFraction();
        if (water > 5) {
            call(
                    Call.Weight.TAKE_CARE,
                    "crunch-wet",
                    "%s %% water: the crunch will go soft. Bind it with fat or chocolate, not with syrup or cream."
                            .formatted(fixed(water, 1)),
                    "water %s g / %s g; under 3 %% stays crisp"
                            .formatted(fixed(after.waterGrams(), 1), fixed(after.totalGrams(), 0)));
        }
        double fat = 100 * balance.fatFraction();
        if (formula.family() == Family.CRUNCH && fat < 15) {
            call(
                    Call.Weight.GOOD_TO_KNOW,
                    "crunch-bare",
                    "Little fat around the crumb: beside caramel or ganache it takes up water.",
                    "fat %s %%".formatted(fixed(fat, 0)));
        }
    }

    private void biscuit() {
        double flour = balance.before().grams(Part.STARCH);
        double fat = balance.before().grams(Part::isFat);
        if (flour > 0) {
            double ratio = fat / flour;
            call(
                    ratio < 0.3 || ratio > 1.6 ? Call.Weight.TAKE_CARE : Call.Weight.GOOD_TO_KNOW,
                    "short",
                    ratio < 0.3
                            ? "Little fat on the starch: hard rather than short."
                            : ratio > 1.6
                                    ? "So much fat that it spreads and crumbles."
                                    : "Short and firm enough to cut.",
                    "fat %s g / starch %s g = %s; 0.4 to 1.2 is usual"
                            .formatted(fixed(fat, 0), fixed(flour, 0), fixed(ratio, 2)));
        }
        if (formula.finish().bakedLossFraction() == 0
                && balance.before().waterGrams() > 0.05 * balance.before().totalGrams()) {
            call(
                    Call.Weight.GOOD_TO_KNOW,
                    "baked-loss",
                    "No loss in the oven is written down: weigh it raw and baked once.",
                    "water %s %% raw"
                            .formatted(fixed(
                                    100
                                            * balance.before().waterGrams()
                                            / balance.before().totalGrams(),
                                    1)));
        }
    }

    private void porous() {
        if (formula.finish().overrunFraction() == 0) {
            call(
                    Call.Weight.GOOD_TO_KNOW,
                    "porous",
                    "The density is that of the mass without its pores: weigh a piece of known size and enter the air.",
                    "density %s g/mL without air".formatted(fixed(balance.densityGramsPerMl(), 2)));
        }
    }

    private void kneaded() {
        double water = 100 * balance.moistureFraction();
        call(
                water > 14 || water < 4 ? Call.Weight.TAKE_CARE : Call.Weight.GOOD_TO_KNOW,
                "kneading",
                "%s %% water: %s."
                        .formatted(
                                fixed(water, 1),
                                water > 14
                                        ? "too soft to hold an edge"
                                        : water < 4 ? "it will crumble" : "kneads and presses"),
                "5 to 12 % is usual");
    }

    private void fondant() {
        doctor(false);
        double water = 100 * balance.moistureFraction();
        call(
                Call.Weight.GOOD_TO_KNOW,
                "fondant",
                "%s %% water: %s."
                        .formatted(
                                fixed(water, 1),
                                water > 20 ? "a syrup" : water > 13 ? "a soft cream" : "a firm fondant"),
                "firm 8 to 12 %, soft 13 to 18 %");
    }

    private void coating() {
        double water = 100 * balance.moistureFraction();
        if (water > 2) {
            call(
                    Call.Weight.WILL_FAIL,
                    "seizes",
                    "Wet parts in a coating: the chocolate will seize.",
                    "water %s %%; dry grain brings under 2 %%".formatted(fixed(water, 1)));
        }
    }

    private void call(Call.Weight weight, String code, String message, String arithmetic) {
        calls.add(new Call(weight, code, message, arithmetic, PRACTICE));
    }
}
