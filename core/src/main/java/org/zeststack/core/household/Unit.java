package org.zeststack.core.household;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;

/** What amounts are counted in. The avoirdupois ounce is 28.349523 g (NIST Handbook 44, Appendix C). */
enum Unit {
    MILLIGRAM(0.001, "mg|milligram"),
    GRAM(1, "g|gr|gm|gram|gramme"),
    KILOGRAM(1000, "kg|kilo|kilogram|kilogramme"),
    OUNCE(28.349523, "oz|ozs|ounce"),
    POUND(453.59237, "lb|lbs|pound"),
    ML(0, "ml|millilitre|milliliter|cc"),
    CL(0, "cl|centilitre|centiliter"),
    DL(0, "dl|decilitre|deciliter"),
    LITRE(0, "l|litre|liter|ltr"),
    CUP(0, "cup|c|cupful"),
    TABLESPOON(0, "tablespoon|tablespoonful|tbsp|tbs|tb|tblsp|tblspn|tbl"),
    DESSERTSPOON(0, "dessertspoon|dsp|dstspn"),
    TEASPOON(0, "teaspoon|teaspoonful|tsp|ts"),
    FLUID_OUNCE(0, "floz"),
    GILL(0, "gill"),
    PINT(0, "pint|pt"),
    QUART(0, "quart|qt"),
    GALLON(0, "gallon|gal"),
    PINCH(0, "pinch"),
    DASH(0, "dash"),
    SMIDGEN(0, "smidgen"),
    DROP(0, "drop"),
    STICK(0, "stick"),
    SHEET(0, "sheet|leaf|leave"),
    PIECE(0, "piece|pc|pcs"),
    TIN(0, "tin|can"),
    SACHET(0, "sachet|packet|package|pkg|pkt|envelope|pack|pouch"),
    BAG(0, "bag"),
    JAR(0, "jar|bottle|carton|tub|box|block|brick|container|pot"),
    BAR(0, "bar|square|slab"),
    CUBE(0, "cube"),
    VAGUE(
            0,
            "knob|handful|splash|drizzle|glug|dollop|sprinkle|sprinkling|few|some|little|bit|touch|blob|scoop|spoonful|spoon|glass|mug|shot|lump");

    private static final Map<String, Unit> BY_WORD = new HashMap<>();

    static {
        for (Unit unit : values()) {
            for (String word : unit.words) {
                BY_WORD.put(word, unit);
            }
        }
    }

    private final double grams;
    private final String[] words;

    Unit(double grams, String words) {
        this.grams = grams;
        this.words = words.split("\\|");
    }

    /** The unit that a folded, singular word stands for. */
    static Optional<Unit> of(String word) {
        return Optional.ofNullable(BY_WORD.get(word));
    }

    boolean isMass() {
        return grams > 0;
    }

    double grams() {
        return grams;
    }

    boolean isVolume() {
        return !Double.isNaN(Measures.METRIC.millilitres(this));
    }

    /** Whether kitchens of different countries measure it differently. */
    boolean ofTheKitchen() {
        return switch (this) {
            case CUP, TABLESPOON, DESSERTSPOON, TEASPOON, FLUID_OUNCE, GILL, PINT, QUART, GALLON -> true;
            default -> false;
        };
    }

    /** Whether the unit is a thing that things come in, so that a size may stand beside it. */
    boolean isContainer() {
        return switch (this) {
            case TIN, SACHET, BAG, JAR, BAR, STICK, SHEET, PIECE, CUBE, VAGUE -> true;
            default -> false;
        };
    }

    /** Whether it is only what a stated mass is sold in. */
    boolean isPackage() {
        return switch (this) {
            case TIN, SACHET, BAG, JAR, BAR -> true;
            default -> false;
        };
    }

    /** Name of the measure in an ingredient's household weights. */
    String measure() {
        return switch (this) {
            case TABLESPOON -> "tbsp";
            case TEASPOON -> "tsp";
            default -> word();
        };
    }

    String word() {
        return this == FLUID_OUNCE ? "fl oz" : words[0];
    }
}
