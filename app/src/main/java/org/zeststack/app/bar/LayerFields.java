package org.zeststack.app.bar;

import static org.zeststack.app.bar.LayerField.Group.BOUNDS;
import static org.zeststack.app.bar.LayerField.Group.CUT_FROM;
import static org.zeststack.app.bar.LayerField.Group.EACH;
import static org.zeststack.app.bar.LayerField.Group.EMBEDDED;
import static org.zeststack.app.bar.LayerField.Group.FACES;
import static org.zeststack.app.bar.LayerField.Group.HALVES;
import static org.zeststack.app.bar.LayerField.Group.LAYER;
import static org.zeststack.app.bar.LayerField.Group.LEVEL;
import static org.zeststack.app.bar.LayerField.Group.MORE;
import static org.zeststack.app.bar.LayerField.Group.SIZE;
import static org.zeststack.app.bar.LayerField.Group.TECHNIQUE;
import static org.zeststack.app.bar.LayerField.Type.BOOLEAN;
import static org.zeststack.app.bar.LayerField.Type.FRACTION;
import static org.zeststack.app.bar.LayerField.Type.NUMBER;
import static org.zeststack.app.bar.LayerField.Type.TEXT;
import static org.zeststack.app.bar.LayerField.Type.WORD;

import java.util.List;
import java.util.Map;
import java.util.function.BiConsumer;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.BarLayer.By;
import org.zeststack.core.bar.BarLayer.Insert;
import org.zeststack.core.bar.BarLayer.Shape;
import org.zeststack.core.bar.CutFrom;
import org.zeststack.core.bar.Handling;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.bar.Technique;
import org.zeststack.core.quantity.Range;
import org.zeststack.core.slab.SlabCut;
import org.zeststack.core.typed.FormInput;

/** The fields of a layer's row: {@code layer.N.amount}, {@code layer.N.technique} and so on, a line each, in the order of the page. */
public final class LayerFields {

    static final String YES = "yes";

    public static final List<LayerField> ALL = List.of(
            apart("kind", WORD, layer -> layer.kind().name()).among(LayerKind.values()),
            apart("of", TEXT, layer -> null),
            apart("by", WORD, layer -> layer.by().name()).among(By.values()),
            LayerField.of("amount", NUMBER, LAYER, LayerFields::amount, LayerFields::takeAmount),
            LayerField.of("shape", WORD, SIZE, insert(i -> i.shape().name()), LayerFields::takeShape)
                    .among(Shape.values()),
            size("lengthMm", "Length or ø, trimmed", Insert.SIDE_MM, Insert::lengthMm, (d, n) -> d.insert.lengthMm(n)),
            sizeOf(
                    "widthMm",
                    "Width",
                    Insert.SIDE_MM,
                    Insert::widthMm,
                    d -> !d.is(Shape.DISC),
                    (d, n) -> d.insert.widthMm(n)),
            size("heightMm", "Height", Insert.HEIGHT_MM, Insert::heightMm, (d, n) -> d.insert.heightMm(n)),
            sizeOrNone(
                    "spreadMm",
                    "Largest is longer by",
                    Insert.SPREAD_MM,
                    Insert::spreadMm,
                    (d, n) -> d.insert.spreadMm(n)),
            sizeOrNone("sinkMm", "Pressed in", Insert.SINK_MM, Insert::sinkMm, (d, n) -> d.insert.sinkMm(n)),
            sizeOrNone(
                    "rawLengthMm", "Raw length", Insert.RAW_MM, Insert::rawLengthMm, (d, n) -> d.insert.rawLengthMm(n)),
            sizeOf(
                    "areaMm2",
                    "Area, free outline",
                    Insert.AREA_MM2,
                    Insert::areaMm2,
                    d -> d.is(Shape.FREE),
                    (d, n) -> d.insert.areaMm2(n)),
            LayerField.of("eachGrams", NUMBER, EACH, l -> shown(orNone(l.eachGrams())), LayerFields::takeEach)
                    .as("One weighs", "g")
                    .within(BarLayer.EACH_GRAMS),
            share(
                    "embedded",
                    EMBEDDED,
                    "Lies inside",
                    BarLayer.SHARE,
                    BarLayer::embedded,
                    (d, n) -> d.layer.embedded(n)),
            yes("bottom", FACES, "bottom", l -> l.coated().bottom(), (d, y) -> d.faces.bottom(y)),
            yes("sides", FACES, "sides", l -> l.coated().sides(), (d, y) -> d.faces.sides(y)),
            yes("top", FACES, "top", l -> l.coated().top(), (d, y) -> d.faces.top(y)),
            yes("wholeSlab", FACES, "before cutting", l -> l.coated().wholeSlab(), (d, y) -> d.faces.wholeSlab(y)),
            yes("bareEnds", FACES, "ends bare", l -> l.coated().bareEnds(), (d, y) -> d.faces.bareEnds(y)),
            word(
                    "technique",
                    TECHNIQUE,
                    Technique.class,
                    handling(Handling::technique),
                    (d, t) -> d.handling.technique(t)),
            share(
                    "misses",
                    TECHNIQUE,
                    "lands beside",
                    Handling.MISSES,
                    handling(Handling::missesFraction),
                    (d, n) -> d.handling.missesFraction(n)),
            number(
                    "keepsGrams",
                    TECHNIQUE,
                    "tool keeps",
                    Handling.KEEPS_GRAMS,
                    handling(Handling::keepsGrams),
                    (d, n) -> d.handling.keepsGrams(n)),
            whole(
                    "level",
                    LEVEL,
                    "Only in size number",
                    Handling.LEVEL,
                    handling(Handling::level),
                    (d, n) -> d.handling.level(n)),
            word("cover", LEVEL, Handling.Cover.class, handling(Handling::cover), (d, c) -> d.handling.cover(c)),
            yes("oneHalf", HALVES, "in one half only", handling(Handling::oneHalf), (d, y) -> d.handling.oneHalf(y)),
            sheet("sheetLengthMm", "Sheet, length", SlabCut.SLAB_MM, CutFrom::lengthMm, (d, n) -> d.sheet.lengthMm(n)),
            sheet("sheetWidthMm", "width", SlabCut.SLAB_MM, CutFrom::widthMm, (d, n) -> d.sheet.widthMm(n)),
            sheetOrNone("sheetGapMm", "between two", SlabCut.KERF_MM, CutFrom::gapMm, (d, n) -> d.sheet.gapMm(n)),
            sheetOrNone("sheetTrimMm", "trimmed a side", SlabCut.TRIM_MM, CutFrom::trimMm, (d, n) -> d.sheet.trimMm(n)),
            share(
                    "spare",
                    CUT_FROM,
                    "Spare, some break",
                    Handling.SPARE,
                    l -> orNone(l.handling().spareFraction()),
                    (d, n) -> d.handling.spareFraction(n)),
            bound("leastMm", "Least", BarLayer::leastMm, (d, n) -> d.layer.leastMm(n)),
            bound("greatestMm", "Greatest", BarLayer::greatestMm, (d, n) -> d.layer.greatestMm(n)),
            apart("mixOf", TEXT, layer -> null),
            LayerField.of("mixFraction", FRACTION, MORE, LayerFields::mixPercent, LayerFields::untouched)
                    .as("of it", "%")
                    .within(BarLayer.SHARE),
            LayerField.of("marbled", BOOLEAN, MORE, LayerFields::marbled, LayerFields::untouched)
                    .as("seen as marbling", ""),
            number("celsius", MORE, "Laid at", BarLayer.CELSIUS, BarLayer::celsius, (d, n) -> d.layer.celsius(n)),
            whole("repeat", MORE, "Times", BarLayer.REPEAT, BarLayer::repeat, (d, n) -> d.layer.repeat(n)));

    /** Small fields of each group, as the page shows them. */
    public static final Map<String, List<LayerField>> SMALL = ALL.stream()
            .filter(field -> !field.label().isEmpty())
            .collect(Collectors.groupingBy(field -> field.group().name()));

    private LayerFields() {}

    public static void put(Map<String, String> fields, String prefix, BarLayer layer) {
        ALL.forEach(field -> field.put(fields, prefix, layer));
    }

    public static void take(FormInput form, String prefix, LayerDraft draft) {
        ALL.forEach(field -> field.take(form, prefix, draft));
    }

    /** Read before the others, or with a second field. */
    private static LayerField apart(String name, LayerField.Type type, Function<BarLayer, String> shown) {
        return LayerField.of(name, type, LAYER, shown, LayerFields::untouched);
    }

    private static void untouched(FormInput form, String prefix, LayerDraft draft) {}

    private static LayerField number(
            String name,
            LayerField.Group group,
            String label,
            Range range,
            Function<BarLayer, Double> of,
            BiConsumer<LayerDraft, Double> to) {
        return LayerField.of(name, NUMBER, group, l -> shown(of.apply(l)), (form, f, d) -> {
                    if (form.has(f + name)) {
                        to.accept(d, form.number(f + name, range));
                    }
                })
                .as(label, range.unit())
                .within(range);
    }

    private static LayerField whole(
            String name,
            LayerField.Group group,
            String label,
            Range range,
            Function<BarLayer, Integer> of,
            BiConsumer<LayerDraft, Integer> to) {
        return LayerField.of(name, NUMBER, group, l -> shown(orNone(of.apply(l))), (form, f, d) -> {
                    if (form.has(f + name)) {
                        to.accept(d, form.whole(f + name, range));
                    }
                })
                .as(label, "")
                .within(range);
    }

    /** A share, in % on the page. */
    private static LayerField share(
            String name,
            LayerField.Group group,
            String label,
            Range fraction,
            Function<BarLayer, Double> of,
            BiConsumer<LayerDraft, Double> to) {
        return LayerField.of(name, FRACTION, group, l -> percent(of.apply(l)), (form, f, d) -> {
                    if (form.has(f + name)) {
                        to.accept(d, form.percent(f + name, fraction));
                    }
                })
                .as(label, "%")
                .within(fraction);
    }

    private static LayerField yes(
            String name,
            LayerField.Group group,
            String label,
            Function<BarLayer, Boolean> of,
            BiConsumer<LayerDraft, Boolean> to) {
        return LayerField.of(
                        name,
                        BOOLEAN,
                        group,
                        l -> of.apply(l) ? YES : "",
                        (form, f, d) -> to.accept(d, form.text(f + name).equals(YES)))
                .as(label, "");
    }

    private static <E extends Enum<E>> LayerField word(
            String name,
            LayerField.Group group,
            Class<E> type,
            Function<BarLayer, E> of,
            BiConsumer<LayerDraft, E> to) {
        return LayerField.of(
                        name,
                        WORD,
                        group,
                        l -> of.apply(l) == null ? "" : of.apply(l).name(),
                        (form, f, d) -> {
                            if (form.has(f + name)) {
                                to.accept(d, form.choice(f + name, type));
                            }
                        })
                .among(type.getEnumConstants());
    }

    private static LayerField size(
            String name, String label, Range range, ToDoubleFunction<Insert> of, BiConsumer<LayerDraft, Double> to) {
        return sizeOf(name, label, range, of, draft -> true, to);
    }

    /** A size that only some shapes have. */
    private static LayerField sizeOf(
            String name,
            String label,
            Range range,
            ToDoubleFunction<Insert> of,
            Predicate<LayerDraft> has,
            BiConsumer<LayerDraft, Double> to) {
        return sized(name, label, range, of, (form, f, d) -> {
            if (has.test(d)) {
                to.accept(d, form.number(f + name, range));
            }
        });
    }

    private static LayerField sizeOrNone(
            String name, String label, Range range, ToDoubleFunction<Insert> of, BiConsumer<LayerDraft, Double> to) {
        return sized(name, label, range, of, (form, f, d) -> {
            if (form.has(f + name)) {
                to.accept(d, form.number(f + name, range));
            }
        });
    }

    private static LayerField sized(
            String name, String label, Range range, ToDoubleFunction<Insert> of, LayerField.Taking taking) {
        return LayerField.of(name, NUMBER, SIZE, insert(i -> shown(orNone(of.applyAsDouble(i)))), taking)
                .as(label, range.unit())
                .within(range);
    }

    private static LayerField sheet(
            String name, String label, Range range, ToDoubleFunction<CutFrom> of, BiConsumer<LayerDraft, Double> to) {
        return sheetField(name, label, range, of, (form, f, d) -> {
            d.cut = cut(form, f);
            if (d.cut) {
                to.accept(d, BodyFields.mm(form, f + name, range));
            }
        });
    }

    private static LayerField sheetOrNone(
            String name, String label, Range range, ToDoubleFunction<CutFrom> of, BiConsumer<LayerDraft, Double> to) {
        return sheetField(name, label, range, of, (form, f, d) -> to.accept(d, BodyFields.or(form, f + name, range)));
    }

    private static LayerField sheetField(
            String name, String label, Range range, ToDoubleFunction<CutFrom> of, LayerField.Taking taking) {
        Function<BarLayer, String> shown = l -> {
            CutFrom sheet = l.handling().cutFrom();
            return sheet == null ? "" : shown(of.applyAsDouble(sheet));
        };
        return LayerField.of(name, NUMBER, CUT_FROM, shown, taking)
                .as(label, range.unit())
                .within(range);
    }

    /** A sheet of its own is there when one of its sides is. */
    private static boolean cut(FormInput form, String f) {
        return form.has(f + "sheetLengthMm") || form.has(f + "sheetWidthMm");
    }

    /** A bound of its own, in what the amount is given in. */
    private static LayerField bound(
            String name, String label, Function<BarLayer, Double> of, BiConsumer<LayerDraft, Double> to) {
        return LayerField.of(name, NUMBER, BOUNDS, l -> shown(of.apply(l)), (form, f, d) -> {
                    if (form.has(f + name)) {
                        to.accept(d, form.number(f + name, d.range()));
                    }
                })
                .as(label, "");
    }

    private static <T> Function<BarLayer, T> handling(Function<Handling, T> of) {
        return layer -> of.apply(layer.handling());
    }

    private static Function<BarLayer, String> insert(Function<Insert, String> of) {
        return layer -> layer.insert() == null ? null : of.apply(layer.insert());
    }

    private static String amount(BarLayer layer) {
        return layer.by() == By.REST ? "" : shown(layer.amount());
    }

    private static void takeAmount(FormInput form, String f, LayerDraft d) {
        d.layer.amount(d.kind().amountAsked(d.by()) ? form.number(f + "amount", d.range()) : 0);
    }

    private static void takeEach(FormInput form, String f, LayerDraft d) {
        if (d.by() == By.PIECES) {
            d.layer.eachGrams(form.number(f + "eachGrams", BarLayer.EACH_GRAMS));
        }
    }

    private static void takeShape(FormInput form, String f, LayerDraft d) {
        d.insert.shape(form.has(f + "shape") ? form.choice(f + "shape", Shape.class) : Shape.BAR);
    }

    private static String mixPercent(BarLayer layer) {
        return layer.mix() == null ? "" : percent(layer.mix().fraction());
    }

    private static String marbled(BarLayer layer) {
        return layer.mix() != null && layer.mix().marbled() ? YES : "";
    }

    private static Double orNone(double number) {
        return number == 0 ? null : number;
    }

    private static String percent(Double fraction) {
        return fraction == null ? "" : FormInput.shown(100 * fraction);
    }

    static String shown(Double number) {
        return number == null ? "" : FormInput.shown(number);
    }
}
