package org.zeststack.core.bar;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.zeststack.core.quantity.CsvTable;

/**
 * Ways of bringing a layer on, and what they take beyond what stays on the piece: a share lands beside it, and brush, gun, bag or tray keep
 * some of every run. The figures are usual ones until somebody weighs their own (common practice, no source).
 */
public enum Technique {
    SPECKLE("speckled"),
    LINE("lined"),
    BRUSH("brushed"),
    SPRAY("sprayed"),
    WIPE("wiped in"),
    TRANSFER("printed on by transfer"),
    LEAF("leaf"),
    DRIZZLE("drizzled"),
    STREW("strewn"),
    DUST("dusted"),
    ROLL("rolled in"),
    BAND("bent round as a band"),
    TEXTURED("spread on a textured sheet");

    /** What a technique usually takes. */
    private record Usual(Set<LayerKind> on, String tool, boolean liquid, double missesFraction, double keepsGrams) {}

    private static final Map<Technique, Usual> TABLE = load();

    private final String words;

    Technique(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }

    /** Kinds of layer that are brought on so. */
    public Set<LayerKind> on() {
        return TABLE.get(this).on();
    }

    /** Ways in which a kind of layer is brought on; none where only its amount is said. */
    public static List<Technique> of(LayerKind kind) {
        return Arrays.stream(values()).filter(t -> t.on().contains(kind)).toList();
    }

    public String tool() {
        return TABLE.get(this).tool();
    }

    /** Whether it wants its chocolate or fat molten. */
    public boolean liquid() {
        return TABLE.get(this).liquid();
    }

    /** Usual share of what is used that lands beside the piece, 0 to 0.9. */
    public double missesFraction() {
        return TABLE.get(this).missesFraction();
    }

    /** What its tool usually keeps of a run, g. */
    public double keepsGrams() {
        return TABLE.get(this).keepsGrams();
    }

    private static Map<Technique, Usual> load() {
        Map<Technique, Usual> table = new EnumMap<>(Technique.class);
        for (CsvTable.Row row : CsvTable.load(Technique.class, "techniques.csv").rows()) {
            table.put(
                    valueOf(row.text("technique")),
                    new Usual(
                            row.words("on").stream()
                                    .map(kind -> row.constant(kind, LayerKind.class))
                                    .collect(Collectors.toUnmodifiableSet()),
                            row.text("tool"),
                            row.text("liquid").equals("yes"),
                            row.number("misses_percent") / 100,
                            row.number("keeps_g")));
        }
        return table;
    }
}
