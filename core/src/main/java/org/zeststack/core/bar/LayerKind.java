package org.zeststack.core.bar;

import static org.zeststack.core.bar.BarLayer.By.GRAMS;
import static org.zeststack.core.bar.BarLayer.By.MILLIGRAMS;
import static org.zeststack.core.bar.BarLayer.By.MM;
import static org.zeststack.core.bar.BarLayer.By.PIECES;
import static org.zeststack.core.bar.BarLayer.By.REST;
import static org.zeststack.core.bar.BarLayer.By.SHARE;

import java.util.List;
import java.util.Set;

/**
 * What a layer is, and all that follows from it: where it belongs, how its amount may be given, what else may be said of it and
 * what it usually is. Design, page and API ask it here; a new kind is one row, and one builder that lays it.
 */
public enum LayerKind {
    DECORATION(
            "decoration",
            Place.ON_THE_MOULD,
            false,
            false,
            Ways.STREWN,
            Set.of(Field.BOUNDS, Field.TECHNIQUE),
            Usual.SPRAYED),
    SHELL("shell", Place.LINING, false, true, Ways.SPREAD, Set.of(), Usual.couverture(1.5)),
    FOOT("foot", Place.UNDER, true, false, Ways.SPREAD, Set.of(), Usual.couverture(0.8)),
    BASE("base", Place.UNDER, true, false, Ways.SPREAD, Set.of(Field.CUT_FROM), Usual.of("biscuit-shortbread", MM, 7)),
    SHEET(
            "sheet",
            Place.WITHIN,
            true,
            false,
            Ways.POURED,
            Set.of(Field.CUT_FROM, Field.TECHNIQUE),
            Usual.couverture(1)),
    FILLING("filling", Place.WITHIN, true, false, Ways.POURED, Set.of(Field.CUT_FROM), Usual.of("gianduja", MM, 4)),
    INSERT(
            "insert",
            Place.WITHIN,
            false,
            false,
            Ways.SPREAD,
            Set.of(Field.SIZE, Field.CUT_FROM),
            Usual.of("wafer-sheet", MM, 0)),
    INCLUSION(
            "inclusion",
            Place.WITHIN,
            false,
            false,
            Ways.STREWN,
            Set.of(Field.EACH, Field.EMBEDDED),
            Usual.of("cocoa-nibs", GRAMS, 1)),
    BACK("back", Place.CLOSING, true, true, Ways.POURED, Set.of(Field.BOUNDS), Usual.couverture(2)),
    VENEER("veneer", Place.OVER, true, false, Ways.SPREAD, Set.of(), Usual.couverture(2)),
    COAT("coat", Place.CLOSING, false, false, Ways.SPREAD, Set.of(Field.FACES), Usual.couverture(1)),
    TOPPING(
            "topping",
            Place.ON_TOP,
            false,
            false,
            Ways.STREWN,
            Set.of(Field.EACH, Field.TECHNIQUE),
            Usual.of("sea-salt-flakes", GRAMS, 0.2));

    /** Where a layer belongs, in the order of the work. */
    private enum Place {
        ON_THE_MOULD,
        LINING,
        UNDER,
        WITHIN,
        OVER,
        CLOSING,
        ON_TOP
    }

    /** What may be said of a layer beside what it is made of and how much of it there is. */
    public enum Field {
        SIZE,
        EACH,
        EMBEDDED,
        FACES,
        BOUNDS,
        TECHNIQUE,
        CUT_FROM
    }

    /** How amounts are given, the usual way first. */
    private static final class Ways {
        private static final List<BarLayer.By> SPREAD = List.of(MM, GRAMS);
        private static final List<BarLayer.By> POURED = List.of(MM, GRAMS, REST);
        private static final List<BarLayer.By> STREWN = List.of(GRAMS, PIECES, MILLIGRAMS, SHARE);
    }

    /** What a layer is when it is added. */
    private record Usual(String of, BarLayer.By by, double amount) {
        private static final Usual SPRAYED = of("coloured-butter-white", MILLIGRAMS, 60);

        private static Usual of(String of, BarLayer.By by, double amount) {
            return new Usual(of, by, amount);
        }

        private static Usual couverture(double mm) {
            return new Usual("couverture-dark-62", MM, mm);
        }
    }

    private static final BarLayer.Insert USUAL_SIZE = new BarLayer.Insert(BarLayer.Shape.BAR, 60, 15, 3, 0, 0.5, 0, 0);

    private final String words;
    private final Place place;
    private final boolean level;
    private final boolean once;
    private final List<BarLayer.By> ways;
    private final Set<Field> fields;
    private final Usual usual;

    LayerKind(
            String words,
            Place place,
            boolean level,
            boolean once,
            List<BarLayer.By> ways,
            Set<Field> fields,
            Usual usual) {
        this.words = words;
        this.place = place;
        this.level = level;
        this.once = once;
        this.ways = ways;
        this.fields = fields;
        this.usual = usual;
    }

    public String words() {
        return words;
    }

    /** Whether it lies between two levels of the stack. */
    public boolean level() {
        return level;
    }

    /** Whether a bar has it only once. */
    public boolean once() {
        return once;
    }

    /** How its amount may be given, the usual way first. */
    public List<BarLayer.By> ways() {
        return ways;
    }

    /** What else may be said of it. */
    public Set<Field> fields() {
        return fields;
    }

    public boolean has(Field field) {
        return fields.contains(field);
    }

    /** Whether its amount is asked for when it is given so: what has a size is as high as it is, and the rest is what is left. */
    public boolean amountAsked(BarLayer.By by) {
        return by != REST && !(by == MM && has(Field.SIZE));
    }

    /** Whether it is laid before another kind. */
    public boolean before(LayerKind other) {
        return place.compareTo(other.place) < 0;
    }

    /** A layer as it is added, with usual amounts. */
    public BarLayer usual() {
        BarLayer layer = BarLayer.plain(this, usual.of, usual.by, usual.amount);
        return has(Field.SIZE) ? layer.with(USUAL_SIZE) : layer;
    }
}
