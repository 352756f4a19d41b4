package org.zeststack.core.temper;

import static org.testng.Assert.assertEquals;

import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.quantity.Range;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Eighty sequences of readings, decided by hand by somebody who had not seen the rules' code; the rules are common practice, no source. */
public class TemperSequencesTest {

    @DataProvider
    public Object[][] sequences() throws IOException {
        try (InputStream file = TemperSequencesTest.class.getResourceAsStream("temper-sequences.json")) {
            List<Object[]> rows = new ArrayList<>();
            new JsonMapper()
                    .readTree(file)
                    .forEach(c -> rows.add(new Object[] {c.get("name").stringValue(), c}));
            assertEquals(rows.size(), 80);
            return rows.toArray(Object[][]::new);
        }
    }

    private static TemperWindow window(JsonNode sequence) {
        JsonNode own = sequence.get("windows");
        return own == null
                ? TemperWindow.of(sequence.get("family").stringValue())
                : new TemperWindow("own", range(own, "melt"), range(own, "cool"), range(own, "work"));
    }

    private static Range range(JsonNode own, String name) {
        return new Range(
                own.get(name + "Least").doubleValue(),
                own.get(name + "Greatest").doubleValue(),
                "°C");
    }

    static String word(Enum<?> constant) {
        return constant.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    @Test(dataProvider = "sequences")
    public void isJudgedAsByHand(String name, JsonNode sequence) {
        List<TemperVerdict.Reading> readings = new ArrayList<>();
        sequence.get("readings")
                .forEach(r -> readings.add(new TemperVerdict.Reading(
                        r.get("seconds").doubleValue(),
                        r.get("celsius").doubleValue(),
                        r.has("confirmed") && r.get("confirmed").booleanValue())));
        Method method = Method.valueOf(
                sequence.get("method").stringValue().toUpperCase(Locale.ROOT).replace('-', '_'));
        TemperVerdict.State state = TemperVerdict.of(window(sequence), method, readings);
        String why = name + ": " + sequence.get("why").stringValue();
        assertEquals(word(state.verdict()), sequence.get("verdict").stringValue(), why);
        assertEquals(word(state.step()), sequence.get("step").stringValue(), why);
        JsonNode since = sequence.get("since");
        assertEquals(
                state.since().isPresent() ? state.since().getAsDouble() : -1,
                since.isNull() ? -1 : since.doubleValue(),
                why);
        List<Double> spikes = new ArrayList<>();
        sequence.get("spikes").forEach(s -> spikes.add(s.doubleValue()));
        assertEquals(state.spikes(), spikes, why);
    }
}
