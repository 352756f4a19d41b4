package org.zeststack.web.api;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.zeststack.app.bar.Assembling;
import org.zeststack.app.bar.LayerField;
import org.zeststack.app.bar.LayerFields;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.explain.Call;
import org.zeststack.core.judge.BarCalls;
import org.zeststack.core.judge.Keeping;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.quantity.Numbers;
import org.zeststack.core.rule.Bound;
import org.zeststack.core.stack.BarStack;
import org.zeststack.core.stack.StackLayer;
import org.zeststack.core.typed.FormInput;
import org.zeststack.core.workshop.Mould;
import org.zeststack.web.workshop.MouldFields;
import tools.jackson.databind.JsonNode;

/** A whole bar in, its layers, windows and calls out. The fields are those of the bar's page, and are read by the same code. */
@Component
class BarApi {

    static final Map<String, String> TOP = types("""
            word: build finish storage soldAs
            object: body cavity
            list: layers
            number: declaredGrams centreCelsius bowlMm
            """);
    static final Map<String, String> BODY = types("""
            word: kind form tool
            number: mould lengthMm widthMm pieceLengthMm pieceWidthMm kerfMm trimMm cornerMm strips perStrip heightMm
            number: grams gapMm pitchMm lanes slices endMm leastGrams greatestGrams
            fraction: crumbs
            boolean: halves
            text: cutter
            numbers: cuttersMm
            """);
    static final Map<String, String> CAVITY = types("""
            word: shape
            number: openingLengthMm openingWidthMm floorLengthMm floorWidthMm depthMm lengthMm widthMm radiusMm
            number: openingRadiusMm segments gapMm bridgeWidthMm bridgeDepthMm edgeRadiusMm waterGrams rows columns
            """);
    private static final Map<String, String> LAYER = LayerFields.ALL.stream()
            .collect(Collectors.toMap(LayerField::name, field -> field.type().word()));

    private static final Set<String> FACES = Set.of("bottom", "sides", "top");

    private final Assembling assembling;

    BarApi(Assembling assembling) {
        this.assembling = assembling;
    }

    /** Types of fields: a line for each type with the names that have it. */
    private static Map<String, String> types(String table) {
        Map<String, String> types = new LinkedHashMap<>();
        table.lines().map(line -> line.split(": ")).forEach(line -> {
            for (String name : line[1].split(" ")) {
                types.put(name, line[0]);
            }
        });
        return types;
    }

    Map<String, Object> assemble(JsonNode body) {
        Faults faults = new Faults();
        Map<String, String> fields = new LinkedHashMap<>();
        take(body, TOP, "", "", fields, faults);
        boolean inline = body.path("cavity").isObject();
        if (inline) {
            fields.put("body.kind", "MOULD");
            fields.put("body.mould", "0");
        }
        if (body.path("body").isObject()) {
            take(body.get("body"), BODY, "body/", "body.", fields, faults);
        }
        layers(body.path("layers"), fields, faults);
        Optional<Mould> mould = inline ? mould(body.get("cavity"), faults) : Optional.empty();
        faults.throwIfAny();
        try {
            return answer(assembling.assemble(fields, mould));
        } catch (InvalidInput input) {
            throw new InvalidInput(
                    input.faults().stream().map(f -> f.at(pointer(f.field()))).toList());
        }
    }

    /** Writes the members of an object as the form's fields; what has no meaning or another type is told. */
    private static void take(
            JsonNode node,
            Map<String, String> types,
            String pointer,
            String prefix,
            Map<String, String> fields,
            Faults faults) {
        Faults own = new Faults();
        ApiInput.onlyFields(node, List.copyOf(types.keySet()), own);
        own.list().forEach(f -> faults.add(f.at(pointer + f.field())));
        for (String name : node.propertyNames()) {
            JsonNode value = node.get(name);
            String type = types.get(name);
            if (type == null || value.isNull() || type.equals("object") || type.equals("list")) {
                continue;
            }
            Optional<String> text = text(value, type);
            if (text.isEmpty()) {
                faults.add(Fault.of(pointer + name, value.toString(), "%s is no %s.".formatted(name, type)));
            } else {
                fields.put(prefix + name, text.get());
            }
        }
    }

    private static Optional<String> text(JsonNode value, String type) {
        return switch (type) {
            case "number" -> value.isNumber() ? Optional.of(Numbers.plain(value.doubleValue())) : Optional.empty();
            case "fraction" ->
                value.isNumber() ? Optional.of(Numbers.plain(100 * value.doubleValue())) : Optional.empty();
            case "boolean" -> value.isBoolean() ? Optional.of(value.booleanValue() ? "yes" : "") : Optional.empty();
            case "numbers" ->
                value.isArray()
                        ? Optional.of(
                                value.valueStream().map(JsonNode::asString).collect(Collectors.joining("; ")))
                        : Optional.empty();
            case "word" ->
                value.isString()
                        ? Optional.of(value.asString().toUpperCase(Locale.ROOT).replace('-', '_'))
                        : Optional.empty();
            default -> value.isString() ? Optional.of(value.asString()) : Optional.empty();
        };
    }

    private static void layers(JsonNode layers, Map<String, String> fields, Faults faults) {
        if (!layers.isArray() || layers.isEmpty() || layers.size() > Bar.MOST_LAYERS) {
            faults.add(Fault.of("layers", "", "layers must be a list of 1 to %d layers.".formatted(Bar.MOST_LAYERS)));
            return;
        }
        for (int i = 0; i < layers.size(); i++) {
            JsonNode layer = layers.get(i);
            if (!layer.isObject()) {
                faults.add(Fault.of("layers/" + i, layer.toString(), "A layer is an object."));
                continue;
            }
            String f = "layer." + i + ".";
            take(layer, LAYER, "layers/" + i + "/", f, fields, faults);
            rename(fields, f + "of", f + "slug");
            rename(fields, f + "mixOf", f + "mix.slug");
            if (FACES.stream().noneMatch(layer::has)) {
                FACES.forEach(face -> fields.put(f + face, "yes"));
            }
        }
    }

    private static void rename(Map<String, String> fields, String from, String to) {
        String text = fields.remove(from);
        if (text != null) {
            fields.put(to, text);
        }
    }

    private static Optional<Mould> mould(JsonNode cavity, Faults faults) {
        Map<String, String> fields = new LinkedHashMap<>(Map.of("rows", "1", "columns", "1", "owned", "1"));
        take(cavity, CAVITY, "cavity/", "", fields, faults);
        FormInput form = FormInput.of(fields);
        Optional<Mould> mould = MouldFields.read(form);
        form.faults().forEach(f -> faults.add(f.at("cavity/" + f.field())));
        return mould;
    }

    /** A field of the form as a pointer into the request. */
    private static String pointer(String field) {
        return field.replaceFirst("^layer\\.([0-9]+)\\.mix\\.ingredient$", "layers/$1/mixOf")
                .replaceFirst("^layer\\.([0-9]+)\\.ingredient$", "layers/$1/of")
                .replaceFirst("^layer\\.([0-9]+)\\.", "layers/$1/")
                .replaceFirst("^body\\.", "body/");
    }

    /** One layer as programs get it. */
    record Laid(
            String key,
            String kind,
            String of,
            String name,
            double fromMm,
            double toMm,
            double thicknessMm,
            double volumeMl,
            double grams,
            double laidGrams,
            double leastGrams,
            double greatestGrams) {

        static Laid of(StackLayer l) {
            return new Laid(
                    l.key(),
                    l.kind().words(),
                    l.design().of(),
                    l.name(),
                    l.fromMm(),
                    l.toMm(),
                    l.thicknessMm(),
                    l.volumeMl(),
                    l.grams(),
                    l.laidGrams(),
                    l.window().leastGrams(),
                    l.window().greatestGrams());
        }
    }

    /** How long it keeps as programs get it. */
    record Keeps(int leastDays, int greatestDays, boolean onlyCold) {

        /** Null where it is not known. */
        static Keeps of(Keeping keeping) {
            return keeping.known()
                    ? new Keeps(
                            keeping.life().leastDays(),
                            keeping.life().greatestDays(),
                            keeping.life().cold())
                    : null;
        }
    }

    /** One call as programs get it. */
    record Judged(String weight, String code, String message, String arithmetic, String source, Call.Change change) {

        static Judged of(Call c) {
            String weight = c.weight().name().toLowerCase(Locale.ROOT).replace('_', '-');
            return new Judged(weight, c.code(), c.message(), c.arithmetic(), c.source(), c.change());
        }
    }

    private static Map<String, Object> answer(BarStack stack) {
        Map<String, Object> answer = new LinkedHashMap<>();
        answer.put("pieceGrams", stack.pieceGrams());
        answer.put("chocolateFraction", stack.chocolateShare());
        answer.put("piecesOfOne", stack.frame().piecesOfOne());
        answer.put("offcutFraction", stack.frame().offcutFraction());
        answer.put("allergens", stack.allergens());
        answer.put("layers", stack.layers().stream().map(Laid::of).toList());
        answer.put("keeps", Keeps.of(Keeping.of(stack)));
        answer.put("calls", BarCalls.of(stack).stream().map(Judged::of).toList());
        answer.put(
                "ownBounds", stack.bounds().ownAsked().stream().map(Bound::code).toList());
        return answer;
    }
}
