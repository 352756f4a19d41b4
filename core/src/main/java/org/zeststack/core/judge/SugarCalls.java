package org.zeststack.core.judge;

import static org.zeststack.core.judge.FormulaCalls.percent;

import java.util.List;
import java.util.OptionalDouble;
import org.zeststack.core.air.Atmosphere;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.explain.Call.Weight;
import org.zeststack.core.formula.FormulaBalance;
import org.zeststack.core.formula.Proportions;
import org.zeststack.core.ingredient.Nature;
import org.zeststack.core.quantity.Measure;
import org.zeststack.core.quantity.Refusal;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.rule.Bound;
import org.zeststack.core.water.Boiling;
import org.zeststack.core.water.Solution;

/** Caramel, nougat and fondant: whether they grain, split or slump, and what they are like. */
final class SugarCalls {

    /** What a milk caramel is good for that was stopped within a bound; some stops are good for more than one thing. */
    private record Use(String stop, String words) {}

    private static final List<Use> USES = List.of(
            new Use("caramel-rolled", "rolled out between papers"),
            new Use("caramel-cavity", "in a cavity"),
            new Use("caramel-sawn", "sliced or sawn"),
            new Use("caramel-shaped", "formed by hand, chewy"));

    private final FormulaCalls calls;
    private final FormulaBalance balance;
    private final Composition after;

    SugarCalls(FormulaCalls calls) {
        this.calls = calls;
        this.balance = calls.balance();
        this.after = balance.after();
    }

    void caramel() {
        graining(true);
        double protein = after.grams(Part.PROTEIN) / after.totalGrams();
        split(balance.fatFraction(), protein);
        Bound lactose = calls.bound("caramel-lactose");
        double share = after.grams(Part.LACTOSE) / after.totalGrams();
        if (share > lactose.greatest()) {
            calls.add(
                    Weight.TAKE_CARE,
                    "lactose",
                    "Much milk sugar: it may turn sandy after some weeks.",
                    "lactose %s of the finished mass; %s is usual".formatted(percent(share, 1), lactose.words()));
        }
        if (balance.moistureKnown()
                && calls.formula().cooked()
                && protein >= calls.bound("caramel-milk").least()) {
            texture();
        }
    }

    private void split(double fat, double protein) {
        String arithmetic = "fat %s, protein %s of the finished mass".formatted(percent(fat, 1), percent(protein, 1));
        Bound most = calls.bound("caramel-fat");
        if (fat >= calls.bound("caramel-fat-alone").least()
                && protein < calls.bound("caramel-protein").least() * fat) {
            calls.add(
                    Weight.TAKE_CARE,
                    "fat-split",
                    "Much fat on little milk protein: it may split. Cream from the start, or milk powder, holds it.",
                    arithmetic);
        } else if (fat > most.greatest()) {
            calls.add(
                    Weight.TAKE_CARE,
                    "fat-split",
                    "More than %s fat: it may split when overcooked; whisk a little hot water in to rescue it."
                            .formatted(most.greatestWords()),
                    arithmetic);
        }
    }

    /** By the reading at which the finished mass would boil at sea level: what is stirred in after the stop counts. */
    private void texture() {
        OptionalDouble stop = boilsAt();
        if (stop.isEmpty()) {
            return;
        }
        double celsius = stop.getAsDouble();
        List<String> good = USES.stream()
                .filter(u -> calls.bound(u.stop).range().holds(celsius))
                .map(Use::words)
                .toList();
        String words = !good.isEmpty()
                ? "good " + String.join("; ", good)
                : celsius < calls.bound(USES.get(0).stop).least() ? "a sauce that runs" : "hard";
        calls.add(
                Weight.GOOD_TO_KNOW,
                "texture",
                "%s moisture, as stopped at %s: %s."
                        .formatted(percent(balance.moistureFraction(), 1), Say.celsius(celsius, 1), words),
                "water %s / finished %s; the finished mass boils at %s at sea level"
                        .formatted(
                                Say.grams(after.waterGrams(), 0),
                                Say.grams(after.totalGrams(), 0),
                                Say.celsius(celsius, 1)));
    }

    private OptionalDouble boilsAt() {
        try {
            return OptionalDouble.of(
                    Boiling.of(Solution.in(after), Atmosphere.SEA_LEVEL_KPA).celsius());
        } catch (Refusal refusal) {
            return OptionalDouble.empty();
        }
    }

    /** What was never boiled clear holds its sugar in grains from the start: nobody is warned of that. */
    private void graining(boolean chewy) {
        boolean boiled = calls.formula().boiled();
        if (!boiled) {
            return;
        }
        Composition mass = balance.pot().totalGrams() > 0 ? balance.pot() : after;
        double sucrose = mass.grams(Part.SUCROSE);
        if (sucrose < calls.bound("sugar-to-grain").least() * (mass.totalGrams() - mass.waterGrams())) {
            return;
        }
        double share = Proportions.graining(mass);
        Bound doctor = calls.bound("graining");
        String arithmetic = "%s of glucose syrup solids, glucose, fructose, maltose in %s of these and sucrose = %s"
                .formatted(
                        Say.grams(share * sucrose / (1 - share), 0),
                        Say.grams(sucrose / (1 - share), 0),
                        percent(share, 0));
        boolean dissolved = balance.moistureKnown()
                && after.grams(Part.SUCROSE) <= calls.bound("sucrose-dissolved").greatest() * after.waterGrams();
        if (dissolved && share < doctor.usual()) {
            return;
        }
        boolean milk = after.grams(Part.PROTEIN) >= calls.bound("graining-milk").least() * after.totalGrams();
        if (milk
                && share < doctor.usual()
                && share >= calls.bound("graining-in-milk").least()) {
            calls.add(
                    Weight.GOOD_TO_KNOW,
                    "graining",
                    "Its milk keeps grain back; do not stir the cooling mass.",
                    "%s; protein %s of the finished mass"
                            .formatted(arithmetic, percent(after.grams(Part.PROTEIN) / after.totalGrams(), 1)));
        } else if (share < doctor.least()) {
            boolean inverted =
                    mass.grams(Part.ACIDS) >= calls.bound("inverting-acid").least() * sucrose;
            boolean sure = share < calls.bound("graining-sure").least();
            calls.add(
                    sure && !inverted ? Weight.WILL_FAIL : Weight.TAKE_CARE,
                    "graining",
                    inverted
                            ? "Little glucose syrup: it leans on its acid to invert sugar, which is hard to repeat."
                            : "It will grain: too little glucose syrup or invert sugar against sucrose.",
                    arithmetic);
        } else if (share < doctor.usual() && chewy) {
            calls.add(
                    Weight.GOOD_TO_KNOW,
                    "graining",
                    "Just enough against graining; do not stir the cooling mass.",
                    arithmetic);
        } else if (share > doctor.greatest()) {
            calls.add(
                    Weight.TAKE_CARE,
                    "cold-flow",
                    "More glucose syrup and invert sugar than sucrose: sticky, flows when it lies.",
                    arithmetic);
        }
    }

    void nougat() {
        graining(false);
        whites();
        double moisture = balance.moistureFraction();
        if (balance.moistureKnown()) {
            Bound usual = calls.bound("nougat-moisture");
            boolean slumps = moisture > usual.greatest();
            calls.add(
                    slumps ? Weight.TAKE_CARE : Weight.GOOD_TO_KNOW,
                    "dryness",
                    slumps
                            ? "%s moisture: it will slump when cut; dry it further.".formatted(percent(moisture, 1))
                            : "%s moisture: %s."
                                    .formatted(
                                            percent(moisture, 1),
                                            moisture
                                                            >= calls.bound("nougat-soft")
                                                                    .least()
                                                    ? "soft"
                                                    : "firm to hard"),
                    "water %s / finished %s; %s is usual"
                            .formatted(
                                    Say.grams(after.waterGrams(), 0), Say.grams(after.totalGrams(), 0), usual.words()));
        }
        if (calls.formula().finish().overrunFraction() == 0) {
            calls.add(
                    Weight.GOOD_TO_KNOW,
                    "overrun",
                    "No air is written down: the density is that of the mass without air. Weigh a litre and enter it.",
                    "density %s".formatted(Say.of(balance.densityGramsPerMl(), 2, Measure.GRAMS_PER_MILLILITRE)));
        }
    }

    /** Marshmallow cream and fat: it sets by itself, and by how wet it is. */
    void quick() {
        wet("quick-set", "quick-water", "dry and crumbly", "light and soft, it cuts cold", "it will not hold an edge");
    }

    /** A boiled slab beaten with fat: chewed, not whipped on whites. */
    void slab() {
        graining(false);
        wet("chew", "slab-water", "hard to bite", "chewy", "sticky, it flows when it lies");
    }

    private void wet(String code, String band, String below, String inside, String above) {
        if (!balance.moistureKnown()) {
            return;
        }
        double water = balance.moistureFraction();
        Bound usual = calls.bound(band);
        boolean dry = water < usual.least();
        boolean soft = water > usual.greatest();
        calls.add(
                dry || soft ? Weight.TAKE_CARE : Weight.GOOD_TO_KNOW,
                code,
                "%s water: %s.".formatted(percent(water, 1), dry ? below : soft ? above : inside),
                "water %s / finished %s; %s is usual"
                        .formatted(Say.grams(after.waterGrams(), 0), Say.grams(after.totalGrams(), 0), usual.words()));
    }

    private void whites() {
        double whites = calls.makeup().grams(Nature.Kind.EGG_WHITE);
        if (whites == 0) {
            calls.add(
                    Weight.WILL_FAIL,
                    "no-whites",
                    "No egg white or albumen: nothing holds the air.",
                    "lines of egg white or albumen: none");
            return;
        }
        double sugar = after.dissolvedGrams();
        double protein = after.grams(Part.PROTEIN);
        double ratio = sugar == 0 ? 0 : protein / sugar;
        Bound usual = calls.bound("nougat-whites");
        if (ratio < usual.least()) {
            calls.add(
                    Weight.TAKE_CARE,
                    "whites",
                    "Few whites for so much syrup: dense and hard.",
                    "protein %s to dissolved sugars %s = %s; %s is usual"
                            .formatted(
                                    Say.grams(protein, 1), Say.grams(sugar, 0), Say.number(ratio, 3), usual.words()));
        }
    }

    /** It is grain, and meant to be. */
    void fondant() {
        double water = balance.moistureFraction();
        Bound firm = calls.bound("fondant-firm");
        Bound soft = calls.bound("fondant-soft");
        calls.add(
                Weight.GOOD_TO_KNOW,
                "fondant",
                "%s water: %s."
                        .formatted(
                                percent(water, 1),
                                water > soft.greatest()
                                        ? "a syrup"
                                        : water > firm.greatest() ? "a soft cream" : "a firm fondant"),
                "firm %s, soft %s".formatted(firm.words(), soft.words()));
    }
}
