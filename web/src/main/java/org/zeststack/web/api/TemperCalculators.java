package org.zeststack.web.api;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.zeststack.core.air.DewPoint;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.quantity.Numbers;
import org.zeststack.core.quantity.Range;
import org.zeststack.core.temper.Bowl;
import org.zeststack.core.temper.CoolingCurve;
import org.zeststack.core.temper.Method;
import org.zeststack.core.temper.Seed;
import org.zeststack.core.temper.Slab;
import org.zeststack.core.temper.TemperVerdict;
import org.zeststack.core.temper.TemperWindow;

/** Calculators of tempering: seed, slab, verdict, cooling curve, and the air's dew point. */
final class TemperCalculators {

    private static final double EITHER = Double.NaN;
    private static final Range BOWL_CELSIUS = new Range(-20, 120, "°C");

    private static final ApiField GRAMS =
            ApiField.required("chocolateGrams", Seed.CHOCOLATE_GRAMS, "Melted couverture");
    private static final ApiField FROM = ApiField.required("fromCelsius", Seed.FROM_CELSIUS, "Where it stands");
    private static final ApiField TO = ApiField.required("toCelsius", Seed.TO_CELSIUS, "Where it is wanted");
    private static final ApiField SEED = ApiField.required("seedCelsius", Seed.SEED_CELSIUS, "Where the seed stands");
    private static final ApiField BUTTER =
            ApiField.required("cocoaButterFraction", Seed.COCOA_BUTTER, "Cocoa butter of the seed, as a fraction");
    private static final ApiField MELTED =
            ApiField.optional("meltedFraction", Seed.MELTED, 1, "Share of the seed that melts");
    private static final ApiField BOWL_GRAMS = ApiField.optional("bowlGrams", Bowl.GRAMS, 0, "The empty bowl");
    private static final ApiChoice BOWL = new ApiChoice(
            "bowlMaterial", words(Bowl.Material.values()), word(Bowl.Material.STEEL), "What the bowl is made of");

    private static final ApiField FRACTION =
            ApiField.required("slabFraction", Slab.FRACTION, "Share that is worked on the slab");
    private static final ApiField SLAB =
            ApiField.required("slabCelsius", Slab.SLAB_CELSIUS, "Where that stands when it comes back");
    private static final ApiField END =
            ApiField.optional("endCelsius", Slab.END_CELSIUS, EITHER, "Where both are wanted together");
    private static final ApiField KEPT =
            ApiField.optional("keptCelsius", Slab.KEPT_CELSIUS, EITHER, "Where the kept part stands");

    private static final ApiChoice FAMILY = new ApiChoice(
            "family", List.of("dark", "milk", "white", "blond", "ruby"), "", "Whose usual windows are taken");
    private static final ApiChoice METHOD =
            new ApiChoice("method", words(Method.values()), "How it is brought into temper");
    private static final String CONFIRMED = "confirmed";
    private static final ApiField SECONDS = ApiField.required("seconds", new Range(0, 86_400, "s"), "When it was read");
    private static final ApiField CELSIUS = ApiField.required("celsius", BOWL_CELSIUS, "True temperature");
    private static final ApiRows BOWL_READINGS = new ApiRows(
            "readings", List.of(SECONDS, CELSIUS), List.of(CONFIRMED), 20_000, "True temperatures, in any order");
    private static final ApiRows CURVE_READINGS = new ApiRows(
            "readings",
            List.of(SECONDS, CELSIUS),
            CoolingCurve.MOST_READINGS,
            "Temperatures of a sample in the cold, in any order");
    private static final ApiObject WINDOWS = new ApiObject(
            "windows",
            TemperWindow.Limits.NAMES.stream()
                    .map(n -> ApiField.required(
                            n, TemperWindow.Limits.CELSIUS, "Limit of a window, which counts as inside"))
                    .toList(),
            "The couverture's own windows, in the place of its family's");

    private static final ApiField AIR_CELSIUS = ApiField.required("celsius", DewPoint.CELSIUS, "The air");
    private static final ApiField HUMIDITY =
            ApiField.required("relativeHumidityPercent", DewPoint.RELATIVE_HUMIDITY_PERCENT, "Its relative humidity");

    private TemperCalculators() {}

    static List<Calculator> all() {
        return List.of(
                new Calculator(
                        "/temper/seed",
                        "How much seed brings a melted bowl down into its window",
                        List.of(GRAMS, FROM, TO, SEED, BUTTER, MELTED, BOWL_GRAMS),
                        List.of(BOWL),
                        List.of(),
                        List.of(),
                        Map.of(
                                "seedGrams", ApiAnswer.number("To stir in, g"),
                                "seedPerMelted", ApiAnswer.number("That over the melted couverture"),
                                "seedPerTotal", ApiAnswer.number("That over both")),
                        TemperCalculators::seed),
                Calculator.ofNumbers(
                        "/temper/slab",
                        "How warm the kept part must be when the slab comes back, or where both land",
                        List.of(FRACTION, SLAB, END, KEPT),
                        List.of("endCelsius", "keptCelsius"),
                        Map.of(
                                "keptCelsius", ApiAnswer.number("Where endCelsius is given, °C"),
                                "endCelsius", ApiAnswer.number("Where keptCelsius is given, °C")),
                        TemperCalculators::slab),
                new Calculator(
                        "/temper/verdict",
                        "What the readings of a bowl say by its method's own course",
                        List.of(),
                        List.of(FAMILY, METHOD),
                        List.of(BOWL_READINGS),
                        List.of(WINDOWS),
                        List.of("family", "windows"),
                        Map.of(
                                "step", ApiAnswer.oneOf("What it is in", array(TemperVerdict.Step.values())),
                                "verdict", ApiAnswer.oneOf("What is said of it", array(TemperVerdict.Verdict.values())),
                                "since", ApiAnswer.numberOrNull("First reading of the loss, s; null unless lost"),
                                "spikes", ApiAnswer.numbers("Seconds of readings that count for nothing"),
                                "reason", ApiAnswer.text("What was read against which limit"),
                                "next", ApiAnswer.text("What to do")),
                        TemperCalculators::verdict),
                new Calculator(
                        "/temper/cooling-curve",
                        "What the curve of a setting sample says of the temper",
                        List.of(),
                        List.of(),
                        List.of(CURVE_READINGS),
                        List.of(),
                        Map.of(
                                "inflectionSeconds", ApiAnswer.number("When it is held up most, s"),
                                "inflectionCelsius", ApiAnswer.number("Where it stands then, °C"),
                                "slopeKelvinPerMinute", ApiAnswer.number("Its slope then"),
                                "judgement",
                                        ApiAnswer.oneOf(
                                                "Rising more than %s K/min is under, falling more is over"
                                                        .formatted(Numbers.plain(CoolingCurve.FLAT_KELVIN_PER_MINUTE)),
                                                array(CoolingCurve.Judgement.values()))),
                        TemperCalculators::coolingCurve),
                Calculator.ofNumbers(
                        "/air/dew-point",
                        "Where air sweats on what is colder",
                        List.of(AIR_CELSIUS, HUMIDITY),
                        List.of(),
                        Map.of("dewPointCelsius", ApiAnswer.number("°C")),
                        input -> Map.of(
                                "dewPointCelsius", DewPoint.celsius(input.get(AIR_CELSIUS), input.get(HUMIDITY)))));
    }

    private static Map<String, Object> seed(ApiInput input) {
        Bowl bowl = new Bowl(
                input.get(BOWL_GRAMS), Bowl.Material.valueOf(input.get(BOWL).toUpperCase(Locale.ROOT)));
        Seed seed = Seed.of(
                new Seed.Melt(input.get(GRAMS), input.get(FROM), input.get(TO), bowl),
                input.get(SEED),
                input.get(BUTTER),
                input.get(MELTED));
        return Map.of("seedGrams", seed.grams(), "seedPerMelted", seed.perMelted(), "seedPerTotal", seed.perTotal());
    }

    private static Map<String, Object> slab(ApiInput input) {
        if (input.has(END.name())) {
            return Map.of("keptCelsius", Slab.keptCelsius(input.get(FRACTION), input.get(SLAB), input.get(END)));
        }
        if (!input.has(KEPT.name())) {
            throw new InvalidInput(Fault.of("endCelsius", "", "Give endCelsius or keptCelsius."));
        }
        return Map.of("endCelsius", Slab.endCelsius(input.get(FRACTION), input.get(SLAB), input.get(KEPT)));
    }

    private static Map<String, Object> verdict(ApiInput input) {
        Method method =
                Method.valueOf(input.get(METHOD).toUpperCase(Locale.ROOT).replace('-', '_'));
        TemperVerdict.State state = TemperVerdict.of(
                window(input),
                method,
                input.get(BOWL_READINGS).stream()
                        .map(r -> new TemperVerdict.Reading(r.get(SECONDS), r.get(CELSIUS), r.is(CONFIRMED)))
                        .toList());
        Map<String, Object> answer = new LinkedHashMap<>();
        answer.put("step", word(state.step()));
        answer.put("verdict", word(state.verdict()));
        answer.put("since", state.since().isPresent() ? state.since().getAsDouble() : null);
        answer.put("spikes", state.spikes());
        answer.put("reason", state.reason());
        answer.put("next", state.next());
        return answer;
    }

    private static TemperWindow window(ApiInput input) {
        if (input.get(WINDOWS).isEmpty()) {
            if (input.get(FAMILY).isEmpty()) {
                throw new InvalidInput(Fault.of("family", "", "Give family or windows."));
            }
            return TemperWindow.of(input.get(FAMILY));
        }
        ApiInput own = input.get(WINDOWS).get();
        TemperWindow.Limits limits =
                TemperWindow.Limits.of(WINDOWS.fields().stream().map(own::get).toList());
        Faults faults = new Faults();
        limits.check(faults);
        if (!faults.isEmpty()) {
            throw new InvalidInput(faults.list().stream()
                    .map(f -> f.at("windows/" + f.field()))
                    .toList());
        }
        return TemperWindow.own(limits);
    }

    private static Map<String, Object> coolingCurve(ApiInput input) {
        Map<Double, Double> readings = new TreeMap<>();
        input.get(CURVE_READINGS).forEach(r -> readings.put(r.get(SECONDS), r.get(CELSIUS)));
        CoolingCurve curve = CoolingCurve.of(readings);
        Map<String, Object> answer = new LinkedHashMap<>();
        answer.put("inflectionSeconds", curve.inflectionSeconds());
        answer.put("inflectionCelsius", curve.inflectionCelsius());
        answer.put("slopeKelvinPerMinute", curve.slopeKelvinPerMinute());
        answer.put("judgement", word(curve.judgement()));
        return answer;
    }

    private static String word(Enum<?> constant) {
        return constant.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    private static String[] array(Enum<?>... constants) {
        return Stream.of(constants).map(TemperCalculators::word).toArray(String[]::new);
    }

    private static List<String> words(Enum<?>... constants) {
        return List.of(array(constants));
    }
}
