package org.zeststack.web.api;

import static org.zeststack.web.api.SugarCalculators.AIR;
import static org.zeststack.web.api.SugarCalculators.INERT;
import static org.zeststack.web.api.SugarCalculators.OFFSET;
import static org.zeststack.web.api.SugarCalculators.STOP;
import static org.zeststack.web.api.SugarCalculators.mass;
import static org.zeststack.web.api.SugarCalculators.pressureKpa;
import static org.zeststack.web.api.SugarCalculators.sugar;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.zeststack.core.air.Atmosphere;
import org.zeststack.core.air.Steam;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.quantity.Range;
import org.zeststack.core.sugar.Cook;
import org.zeststack.core.sugar.CookProgress;
import org.zeststack.core.sugar.Rescue;
import org.zeststack.core.sugar.Stages;
import org.zeststack.core.water.Boiling;
import org.zeststack.core.water.Solution;

/** Calculators of a pot on the ring: where to stop, what stage, how long, and how to rescue it. */
final class PotCalculators {

    private static final String AS_AT_SEA_LEVEL = " as it would be at sea level";
    private static final ApiField STAGE_AT =
            ApiField.required("celsius", Cook.STOP_CELSIUS, "Temperature" + AS_AT_SEA_LEVEL);
    private static final ApiField NOW =
            ApiField.required("nowCelsius", Cook.STOP_CELSIUS, "Where it boils now," + AS_AT_SEA_LEVEL);
    private static final ApiField TARGET =
            ApiField.required("targetCelsius", Cook.STOP_CELSIUS, "Where it was to stop," + AS_AT_SEA_LEVEL);
    private static final ApiChoice WITH = new ApiChoice(
            "with",
            Stream.of(Rescue.With.values())
                    .map(w -> w.name().toLowerCase(Locale.ROOT))
                    .toList(),
            "What is poured back: water, or cream of 35 % fat");
    private static final ApiField SECONDS = ApiField.required("seconds", new Range(0, 86_400, "s"), "When it was read");
    private static final ApiField CELSIUS =
            ApiField.required("celsius", new Range(-50, 300, "°C"), "What the thermometer showed");
    private static final ApiRows READINGS =
            new ApiRows("readings", List.of(SECONDS, CELSIUS), 20_000, "Raw readings, in any order");

    private PotCalculators() {}

    static List<Calculator> all() {
        return List.of(
                Calculator.ofNumbers(
                        "/sugar/stop",
                        "At which reading to take a mass off here",
                        sugar(INERT, STOP, OFFSET),
                        AIR,
                        Map.of(
                                "stopCelsiusHere", ApiAnswer.number("True temperature of the same water here, °C"),
                                "stopReading", ApiAnswer.number("What the thermometer shows then, °C"),
                                "householdRuleCelsius",
                                        ApiAnswer.number("The stop less the drop of water's boiling point, °C"),
                                "waterBoilsHereCelsius", ApiAnswer.number("Where water boils here, °C")),
                        PotCalculators::stop),
                Calculator.ofNumbers(
                        "/sugar/stage",
                        "What stage a mass is at. The temperature is as at sea level, so where the pot stands makes no difference",
                        sugar(INERT, STAGE_AT),
                        AIR,
                        Map.of(
                                "printedName", ApiAnswer.text("By the printed temperatures; between two in a gap"),
                                "solidsName",
                                        ApiAnswer.textOrNull(
                                                "By dissolved solids; null where there is no water figure"),
                                "dissolvedSolidsFraction",
                                        ApiAnswer.numberOrNull(
                                                "Dissolved solids over them and water; null above 160 °C")),
                        PotCalculators::stage),
                new Calculator(
                        "/sugar/rescue",
                        "What to pour back into a mass cooked too far",
                        sugar(INERT, NOW, TARGET),
                        List.of(WITH),
                        List.of(),
                        AIR,
                        Map.of(
                                "addGrams", ApiAnswer.number("With so much more it boils at the target again, g"),
                                "restopCelsius",
                                        ApiAnswer.number("Where to take it off again," + AS_AT_SEA_LEVEL + ", °C")),
                        PotCalculators::rescue),
                new Calculator(
                        "/sugar/minutes-left",
                        "How long until a boiling mass stands at its stop. The composition is that at the first reading",
                        sugar(INERT, STOP, OFFSET),
                        List.of(),
                        List.of(READINGS),
                        AIR,
                        Map.of(
                                "minutes",
                                        ApiAnswer.numberOrNull("After the last reading; null where they do not tell"),
                                "lowMinutes", ApiAnswer.number("It is sooner once in twenty"),
                                "highMinutes", ApiAnswer.number("It is later once in twenty"),
                                "usedReadings", ApiAnswer.number("Readings that it rests on"),
                                "outliers", ApiAnswer.wholes("Numbers of the readings that were left out, from 0"),
                                "heatChanged",
                                        ApiAnswer.numberOrNull(
                                                "When the ring was turned last, s; null where it was not"),
                                "reason",
                                        ApiAnswer.oneOf(
                                                "Why there are no minutes",
                                                Stream.of(CookProgress.Reason.values())
                                                        .filter(r -> r != CookProgress.Reason.POURS)
                                                        .map(PotCalculators::word)
                                                        .toArray(String[]::new))),
                        PotCalculators::minutesLeft));
    }

    private static Map<String, Object> stop(ApiInput input) {
        double pressure = pressureKpa(input);
        Cook cook = Cook.to(mass(input, input.get(INERT)), input.get(STOP), pressure);
        Map<String, Object> answer = new LinkedHashMap<>();
        answer.put("stopCelsiusHere", cook.stopCelsiusHere());
        answer.put("stopReading", cook.stopCelsiusHere() + input.get(OFFSET));
        answer.put("householdRuleCelsius", cook.householdRuleCelsius());
        answer.put("waterBoilsHereCelsius", Steam.boilingCelsius(pressure));
        return answer;
    }

    private static Map<String, Object> stage(ApiInput input) {
        double celsius = input.get(STAGE_AT);
        Map<String, Object> answer = new LinkedHashMap<>();
        answer.put("printedName", Stages.nameAt(celsius));
        boolean known = celsius <= Boiling.GREATEST_CELSIUS;
        Double solids = known ? solids(mass(input, input.get(INERT)), celsius) : null;
        answer.put("solidsName", known ? Stages.nameOf(solids) : null);
        answer.put("dissolvedSolidsFraction", solids);
        return answer;
    }

    /** Until it boils all its water is there. */
    private static double solids(Composition mass, double celsius) {
        double first = Boiling.celsius(Solution.in(mass), mass.waterGrams(), Atmosphere.SEA_LEVEL_KPA);
        Composition at = celsius <= first
                ? mass
                : Cook.to(mass, celsius, Atmosphere.SEA_LEVEL_KPA).after();
        return at.dissolvedSolidsFraction();
    }

    private static Map<String, Object> rescue(ApiInput input) {
        Rescue rescue = Rescue.of(
                mass(input, input.get(INERT)),
                input.get(NOW),
                input.get(TARGET),
                Rescue.With.valueOf(input.get(WITH).toUpperCase(Locale.ROOT)));
        return Map.of("addGrams", rescue.addGrams(), "restopCelsius", rescue.targetCelsius());
    }

    private static Map<String, Object> minutesLeft(ApiInput input) {
        Cook cook = Cook.to(mass(input, input.get(INERT)), input.get(STOP), pressureKpa(input));
        CookProgress progress = new CookProgress(cook);
        List<ApiInput> readings = input.get(READINGS);
        List<Integer> inOrder = IntStream.range(0, readings.size())
                .boxed()
                .sorted(Comparator.comparingDouble(i -> readings.get(i).get(SECONDS)))
                .toList();
        List<Integer> outliers = new ArrayList<>();
        for (int i : inOrder) {
            double shown = readings.get(i).get(CELSIUS);
            CookProgress.Point point =
                    new CookProgress.Point(readings.get(i).get(SECONDS) / 60, shown - input.get(OFFSET));
            if (progress.add(point, shown) == CookProgress.Taken.WILD) {
                outliers.add(i);
            }
        }
        Collections.sort(outliers);
        CookProgress.State state = progress.state();
        Map<String, Object> answer = new LinkedHashMap<>();
        if (state.minutesLeft().isEmpty()) {
            answer.put("minutes", null);
            answer.put("reason", word(state.reason().orElseThrow()));
            return answer;
        }
        CookProgress.MinutesLeft left = state.minutesLeft().get();
        answer.put("minutes", left.minutes());
        answer.put("lowMinutes", left.least());
        answer.put("highMinutes", left.greatest());
        answer.put("usedReadings", state.usedReadings());
        answer.put("outliers", outliers);
        answer.put(
                "heatChanged",
                state.heatChangedMinute().isPresent()
                        ? 60 * state.heatChangedMinute().getAsDouble()
                        : null);
        return answer;
    }

    private static String word(CookProgress.Reason reason) {
        return reason.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
