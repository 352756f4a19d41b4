package org.zeststack.core.method;

/** What a step does to the masses: with it sheet, bench and clock know where grams, readings and waits belong. */
public enum Act {
    /** Anything the hands do that nothing is measured at. */
    HAND("by hand"),
    /** Everything of a formula is weighed out. */
    WEIGH("weigh out"),
    /** The pot goes to the stop reading, or to the sign that it is cooked to by eye. */
    COOK("cook to the stop"),
    /** Lines go into the pot while it cooks. */
    ADD("pour into the pot"),
    /** What goes into a second pot is cooked to the step's own reading. */
    SECOND_POT("cook in a second pot"),
    /** Whites or cream are whipped while pots cook. */
    WHISK("whisk meanwhile"),
    /** The joined mass is dried on the heat. */
    DRY("dry on the heat"),
    /** What came of a formula is put on the scale. */
    YIELD("weigh what came of it"),
    /** A bowl is brought into temper. */
    TEMPER("temper"),
    /** A bowl is melted and not tempered. */
    MELT("melt, not tempered"),
    /** Something is stirred into all of a bowl: colour, or fat that thins it. */
    TINT("stir into the bowl"),
    /** A layer is lined, poured, laid, piped, dipped or strewn. */
    LAY("lay"),
    /** A slab, tray or sheet is cut to pieces. */
    CUT("cut the pieces"),
    /** Pieces are looked at and counted. */
    COUNT("look, sort and count");

    private final String words;

    Act(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
