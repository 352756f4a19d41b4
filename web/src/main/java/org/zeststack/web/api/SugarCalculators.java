package org.zeststack.web.api;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.zeststack.core.air.Atmosphere;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.quantity.Range;
import org.zeststack.core.quantity.Refusal;
import org.zeststack.core.sugar.Cook;
import org.zeststack.core.water.Boiling;
import org.zeststack.core.water.Solution;

/** Calculators of boiling sugar, and the fields that all of sugar has in common. */
final class SugarCalculators {

    private static final Range GRAMS = new Range(0, 10_000_000, "g");
    private static final ApiField WATER = ApiField.required("waterGrams", GRAMS, "Water in the mass");
    private static final ApiField DE = ApiField.optional(
            "dextroseEquivalent",
            new Range(20, 98, "DE"),
            Composition.USUAL_DE,
            "Dextrose equivalent of the glucose-syrup solids");
    private static final ApiField ALTITUDE = ApiField.optional(
            "altitudeMetres", Atmosphere.ALTITUDE_METRES, 0, "Altitude; not together with pressureKpa");
    private static final ApiField PRESSURE = ApiField.optional(
            "pressureKpa",
            Atmosphere.PRESSURE_KPA,
            Atmosphere.SEA_LEVEL_KPA,
            "Air pressure; neither this nor altitudeMetres means sea level");
    static final List<String> AIR = List.of("altitudeMetres", "pressureKpa");
    private static final Map<Part, ApiField> SOLUTES = solutes();
    static final ApiField INERT =
            ApiField.optional("inertGrams", GRAMS, 0, "Fat, protein and other solids that carry no boiling rise");
    static final ApiField STOP =
            ApiField.required("stopCelsius", Cook.STOP_CELSIUS, "Stop temperature as at sea level");
    static final ApiField OFFSET = ApiField.optional(
            "thermometerOffsetKelvin", new Range(-20, 20, "K"), 0, "What the thermometer reads less the truth");

    private SugarCalculators() {}

    static List<Calculator> all() {
        return List.of(
                Calculator.ofNumbers(
                        "/sugar/boiling-point",
                        "Where a sugar solution boils",
                        sugar(),
                        AIR,
                        Map.of(
                                "boilingCelsius", ApiAnswer.number("Boiling point, °C"),
                                "waterActivityAtBoiling", ApiAnswer.number("Water activity there, 0 to 1"),
                                "pressureKpa", ApiAnswer.number("Pressure it boils under, kPa"),
                                "zone", ApiAnswer.oneOf("How sure", "supported", "estimate")),
                        SugarCalculators::boilingPoint),
                Calculator.ofNumbers(
                        "/sugar/cook",
                        "What is left of a mass cooked to a stop temperature",
                        sugar(INERT, STOP, OFFSET),
                        AIR,
                        Map.of(
                                "waterGrams", ApiAnswer.number("Water left, g"),
                                "cookedGrams", ApiAnswer.number("Cooked mass, g"),
                                "moistureFraction", ApiAnswer.number("Water over cooked mass"),
                                "dissolvedSolidsFraction",
                                        ApiAnswer.number("Dissolved solids over dissolved solids and water"),
                                "yieldFraction", ApiAnswer.number("Cooked mass over raw mass"),
                                "zone", ApiAnswer.oneOf("How sure", "supported", "estimate"),
                                "plusMinusMoisture", ApiAnswer.number("How far the moisture may be off"),
                                "waterActivityAt25",
                                        ApiAnswer.numberOrNull("Water activity at 25 °C, null where the model refuses"),
                                "stopCelsiusHere", ApiAnswer.number("True temperature of the same water here, °C"),
                                "stopReading", ApiAnswer.number("What the thermometer shows then, °C")),
                        SugarCalculators::cook));
    }

    private static Map<Part, ApiField> solutes() {
        Map<Part, ApiField> fields = new EnumMap<>(Part.class);
        fields.put(Part.SUCROSE, ApiField.optional("sucroseGrams", GRAMS, 0, "Sucrose"));
        fields.put(
                Part.SYRUP_SOLIDS,
                ApiField.optional("glucoseSyrupSolidsGrams", GRAMS, 0, "Dry solids of glucose syrup"));
        fields.put(Part.GLUCOSE, ApiField.optional("glucoseGrams", GRAMS, 0, "Glucose"));
        fields.put(Part.FRUCTOSE, ApiField.optional("fructoseGrams", GRAMS, 0, "Fructose"));
        fields.put(Part.LACTOSE, ApiField.optional("lactoseGrams", GRAMS, 0, "Lactose"));
        fields.put(Part.MALTOSE, ApiField.optional("maltoseGrams", GRAMS, 0, "Maltose"));
        return fields;
    }

    static List<ApiField> sugar(ApiField... more) {
        List<ApiField> fields = new ArrayList<>(List.of(WATER));
        fields.addAll(SOLUTES.values());
        fields.add(DE);
        fields.add(ALTITUDE);
        fields.add(PRESSURE);
        fields.addAll(List.of(more));
        return List.copyOf(fields);
    }

    static double pressureKpa(ApiInput input) {
        return input.has("pressureKpa") ? input.get(PRESSURE) : Atmosphere.pressureKpa(input.get(ALTITUDE));
    }

    static Composition mass(ApiInput input, double inertGrams) {
        Map<Part, Double> grams = new EnumMap<>(Part.class);
        grams.put(Part.WATER, input.get(WATER));
        SOLUTES.forEach((part, field) -> grams.put(part, input.get(field)));
        grams.put(Part.OTHER_FAT, inertGrams);
        return Composition.of(grams, input.get(DE));
    }

    private static Map<String, Object> boilingPoint(ApiInput input) {
        Boiling boiling = Boiling.of(Solution.in(mass(input, 0)), pressureKpa(input));
        Map<String, Object> answer = new LinkedHashMap<>();
        answer.put("boilingCelsius", boiling.celsius());
        answer.put("waterActivityAtBoiling", boiling.activity().ratio());
        answer.put("pressureKpa", boiling.pressureKpa());
        answer.put("zone", boiling.activity().zone().name().toLowerCase(Locale.ROOT));
        return answer;
    }

    private static Map<String, Object> cook(ApiInput input) {
        Cook cook = Cook.to(mass(input, input.get(INERT)), input.get(STOP), pressureKpa(input));
        Map<String, Object> answer = new LinkedHashMap<>();
        answer.put("waterGrams", cook.after().waterGrams());
        answer.put("cookedGrams", cook.cookedGrams());
        answer.put("moistureFraction", cook.moistureFraction());
        answer.put("dissolvedSolidsFraction", cook.after().dissolvedSolidsFraction());
        answer.put("yieldFraction", cook.yieldFraction());
        answer.put("zone", cook.zone().name().toLowerCase(Locale.ROOT));
        answer.put("plusMinusMoisture", cook.plusMinusMoisture());
        answer.put("waterActivityAt25", activity(cook));
        answer.put("stopCelsiusHere", cook.stopCelsiusHere());
        answer.put("stopReading", cook.stopCelsiusHere() + input.get(OFFSET));
        return answer;
    }

    /** The rest of the answer holds even where the curve at 25 °C ends. */
    private static Double activity(Cook cook) {
        try {
            return cook.waterActivityAt25().ratio();
        } catch (Refusal refusal) {
            return null;
        }
    }
}
