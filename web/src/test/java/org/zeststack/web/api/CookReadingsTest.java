package org.zeststack.web.api;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.store.bench.Bench;
import tools.jackson.databind.JsonNode;

/** A thermometer that sends what it reads of a pot. */
public class CookReadingsTest extends DemoCalls {

    private static final int RUN = 4;
    private static final String POT = "formula-1-v2";

    private Bench bench;
    private long cook;

    @BeforeMethod
    public void start() {
        bench = app.bean(Bench.class);
        cook = bench.startSeries(RUN, POT, UUID.randomUUID(), Bench.SeriesKind.COOK, "", 1, Instant.now())
                .orElseThrow()
                .id();
    }

    private JsonNode send(String readings, int status) throws Exception {
        return caller.answer("/cooks/" + cook + "/readings", "{\"readings\":[" + readings + "]}", status);
    }

    private static String reading(int secondsAgo, double celsius, String key) {
        return "{\"at\":\"%s\",\"celsius\":%s,\"key\":\"%s\"}"
                .formatted(Instant.now().minusSeconds(secondsAgo), celsius, key);
    }

    @Test
    public void countOnceInAnyOrder() throws Exception {
        String first = reading(20, 101.5, "probe-7/1");
        String second = reading(10, 101.9, "probe-7/2");
        JsonNode taken = send(second, 200);
        assertEquals(taken.toString(), "{\"accepted\":1,\"known\":0,\"refused\":0}");
        assertEquals(send(first + "," + second, 200).toString(), "{\"accepted\":1,\"known\":1,\"refused\":0}");
        assertEquals(send(first + "," + second, 200).toString(), "{\"accepted\":0,\"known\":2,\"refused\":0}");
        List<Bench.Reading> kept = bench.readingsAfter(cook, 0).readings();
        assertEquals(kept.stream().map(Bench.Reading::celsius).toList(), List.of(101.5, 101.9));
    }

    @Test
    public void anotherReadingOfTheSameKeyIsToldAndNothingIsKept() throws Exception {
        String first = reading(20, 101.5, "probe-7/1");
        send(first, 200);
        JsonNode told = send(reading(5, 99, "probe-7/2") + "," + first.replace("101.5", "101.6"), 409);
        assertTrue(told.get("detail").asString().startsWith("Something else was written down under the same key."));
        assertEquals(bench.readingsAfter(cook, 0).readings().size(), 1);
    }

    @DataProvider
    public Object[][] faults() {
        String good = reading(1, 100, "a");
        return new Object[][] {
            {"", List.of("/readings")},
            {"7", List.of("/readings/0")},
            {good.replace("100", "900"), List.of("/readings/0/celsius")},
            {good.replace("100.0", "\"100\""), List.of("/readings/0/celsius")},
            {good.replace("100.0", "100,\"unit\":\"F\""), List.of("/readings/0/unit")},
            {good + "," + good.replace("\"a\"", "\"\""), List.of("/readings/1/key")},
            {good.replace("T", " "), List.of("/readings/0/at")},
            {reading(100_000, 100, "b"), List.of("/readings/0/at")},
            {"{}", List.of("/readings/0/celsius", "/readings/0/at", "/readings/0/key")},
        };
    }

    @Test(dataProvider = "faults")
    public void tellEveryFaultAndKeepNothing(String readings, List<String> pointers) throws Exception {
        List<String> told = new ArrayList<>();
        send(readings, 400).get("errors").forEach(e -> told.add(e.get("pointer").asString()));
        assertEquals(told, pointers);
        assertTrue(bench.readingsAfter(cook, 0).readings().isEmpty());
    }

    @Test
    public void anotherCookATemperAndAnEndedCookTakeNothing() throws Exception {
        String good = "{\"readings\":[" + reading(1, 100, "a") + "]}";
        caller.answer("/cooks/999999/readings", good, 404);
        caller.answer("/cooks/x/readings", good, 404);
        long bowl = bench.startSeries(
                        RUN,
                        "couverture-couverture-dark-66",
                        UUID.randomUUID(),
                        Bench.SeriesKind.TEMPER,
                        "",
                        1,
                        Instant.now())
                .orElseThrow()
                .id();
        caller.answer("/cooks/" + bowl + "/readings", good, 404);
        caller.answer("/tempers/" + cook + "/readings", good, 404);
        String warm = good.replace("100", "31");
        assertEquals(
                caller.answer("/tempers/" + bowl + "/readings", warm, 200)
                        .get("accepted")
                        .intValue(),
                1);
        assertEquals(
                caller.answer("/tempers/" + bowl + "/readings", warm, 200)
                        .get("known")
                        .intValue(),
                1);
        bench.endSeries(cook, Instant.now().minusSeconds(5));
        assertEquals(send(reading(1, 100, "a"), 409).get("title").asString(), "This cook has ended");
        assertEquals(caller.post("/cooks/" + cook + "/readings", "guess", good).statusCode(), 401);
    }
}
