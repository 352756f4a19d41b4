package org.zeststack.web;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.demo.DemoPeople;
import org.zeststack.store.bench.Bench;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Keypad, logger and interface let the same readings in, ask about the same and refuse the same. */
public class ReadingDoorsTest extends WithDemo {

    private static final JsonMapper JSON = new JsonMapper();
    private static final String POT = "formula-1-v2";
    private static final String BOWL = "couverture-couverture-dark-66";

    private Visitor hand;
    private String csrf;
    private Bench bench;
    private Bench.Series pot;
    private Bench.Series bowl;

    @BeforeClass
    public void signIn() throws Exception {
        bench = app.bean(Bench.class);
        hand = new Visitor(app.url()).signIn("teo", "lantern-harbour");
        csrf = hand.csrf();
    }

    @BeforeMethod
    public void begin() {
        pot = series(POT, Bench.SeriesKind.COOK);
        bowl = series(BOWL, Bench.SeriesKind.TEMPER);
    }

    private Bench.Series series(String component, Bench.SeriesKind kind) {
        return bench.startSeries(
                        4,
                        component,
                        UUID.randomUUID(),
                        kind,
                        "",
                        1,
                        Instant.now().minusSeconds(600))
                .orElseThrow();
    }

    /** A door: takes one reading, and says what came of it. */
    private interface Door {
        String send(Bench.Series series, String at, String celsius, boolean sure) throws Exception;
    }

    private String keypad(Bench.Series series, String at, String celsius, boolean sure) throws Exception {
        HttpResponse<String> answer = hand.postJson(
                "/bench/series/" + series.id() + "/readings",
                "{\"readings\":[{\"key\":\"%s\",\"celsius\":\"%s\",\"at\":\"%s\"}],\"sure\":%s}"
                        .formatted(UUID.randomUUID(), celsius, at, sure),
                csrf);
        return said(answer);
    }

    private String logger(Bench.Series series, String at, String celsius, boolean sure) throws Exception {
        return said(hand.postJson(
                "/bench/series/" + series.id() + "/logger",
                "{\"text\":\"%s,%s\",\"sure\":%s}".formatted(at, celsius, sure),
                csrf));
    }

    private static String said(HttpResponse<String> answer) {
        return answer.statusCode() == 201
                ? "taken"
                : JSON.readTree(answer.body()).get("outcome").asString();
    }

    private String program(Bench.Series series, String at, String celsius, boolean sure) throws Exception {
        String kind = series.kind() == Bench.SeriesKind.COOK ? "cooks" : "tempers";
        HttpResponse<String> answer = HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(
                                        URI.create(app.url() + "/api/v1/" + kind + "/" + series.id() + "/readings"))
                                .header("Authorization", "Bearer " + DemoPeople.TOKEN)
                                .header("Content-Type", "application/json")
                                .POST(BodyPublishers.ofString(
                                        "{\"readings\":[{\"key\":\"%s\",\"celsius\":%s,\"at\":\"%s\"}],\"sure\":%s}"
                                                .formatted(UUID.randomUUID(), celsius, at, sure)))
                                .build(),
                        BodyHandlers.ofString());
        return answer.statusCode() == 200 ? "taken" : answer.body().contains("sure: true") ? "question" : "faulty";
    }

    @DataProvider
    public Object[][] readings() {
        return new Object[][] {
            // in the pot?, seconds from now, celsius, what all doors say, and what they say to somebody who stands by
            // it
            {true, -5, "101.5", "taken", "taken"},
            {true, 110, "101.5", "taken", "taken"},
            {true, -5, "200", "question", "taken"},
            {true, -5, "200.1", "faulty", "faulty"},
            {true, -5, "-10.1", "faulty", "faulty"},
            {true, -5, "160", "question", "taken"},
            {false, -5, "31.2", "taken", "taken"},
            {false, -5, "55", "taken", "taken"},
            {false, -5, "55.1", "question", "taken"},
            {false, -5, "88", "question", "taken"},
            {true, -86_400 - 590, "101.5", "taken", "taken"},
            {true, -86_400 - 610, "101.5", "faulty", "faulty"},
        };
    }

    @Test(dataProvider = "readings")
    public void haveOneSetOfRules(boolean inPot, int seconds, String celsius, String said, String sure)
            throws Exception {
        Bench.Series series = inPot ? pot : bowl;
        if (inPot) {
            bench.addReadings(
                    series.id(),
                    List.of(new Bench.Reading(UUID.randomUUID(), Instant.now().minusSeconds(60), 100_000, false)),
                    Instant.now());
        }
        String at = Instant.now().plusSeconds(seconds).toString();
        for (Door door : List.<Door>of(this::logger, this::program)) {
            assertEquals(door.send(series, at, celsius, false), said);
        }
        boolean old = seconds < -12 * 3600;
        assertEquals(keypad(series, at, celsius, false), old && !said.equals("taken") || old ? "question" : said);
        assertEquals(keypad(series, at, celsius, true), sure);
        assertEquals(logger(series, at, celsius, true), sure);
        assertEquals(program(series, at, celsius, true), sure);
    }

    /** An hour ahead: the time is never another one; for a whole file the clock is offered as off. */
    @Test
    public void aTimeIsKeptOrRefused() throws Exception {
        String ahead = Instant.now().plusSeconds(3600).toString();
        assertEquals(logger(pot, ahead, "101", true), "faulty");
        assertEquals(program(pot, ahead, "101", true), "faulty");
        assertEquals(keypad(pot, ahead, "101", false), "question", "as of now, where a hand says so");
        for (String never : List.of(
                "1970-01-01T00:00:00Z",
                "+200000000-01-01T00:00:00Z",
                "-200000000-01-01T00:00:00Z",
                "+999999999-12-31T00:00:00Z")) {
            assertEquals(logger(pot, never, "101", true), "faulty", never);
            assertEquals(program(pot, never, "101", true), "faulty", never);
            assertEquals(keypad(pot, never, "101", false), "question", never);
        }
        assertTrue(bench.readingsAfter(pot.id(), 0).readings().isEmpty());
    }

    @Test
    public void fortyLinesAnHourAheadKeepTheirDistances() throws Exception {
        Instant first = Instant.now().plusSeconds(3600).minusSeconds(195);
        String lines = IntStream.range(0, 40)
                .mapToObj(i -> first.plusSeconds(5L * i) + "," + String.format(Locale.ROOT, "%.1f", 100 + i / 10.0))
                .collect(Collectors.joining("\\n"));
        String url = "/bench/series/" + pot.id() + "/logger";
        HttpResponse<String> asked = hand.postJson(url, "{\"text\":\"" + lines + "\"}", csrf);
        JsonNode said = JSON.readTree(asked.body());
        assertEquals(said.get("outcome").asString(), "question");
        String message = said.get("faults").get(0).get("message").asString();
        assertTrue(
                message.contains("If the logger's clock is 60 min fast, its 40 readings are taken in 60 min earlier."),
                message);
        long off = said.get("clockOffSeconds").asLong();
        HttpResponse<String> taken = hand.postJson(
                url, "{\"text\":\"%s\",\"sure\":true,\"clockOffSeconds\":%d}".formatted(lines, off), csrf);
        assertEquals(taken.statusCode(), 201, taken.body());
        List<Bench.Reading> kept = bench.readingsAfter(pot.id(), 0).readings();
        assertEquals(kept.size(), 40);
        assertEquals(Duration.between(kept.get(0).at(), kept.get(39).at()), Duration.ofSeconds(195));
        assertTrue(Duration.between(kept.get(39).at(), Instant.now()).abs().getSeconds() < 60);
    }

    @Test
    public void tenThousandLinesComeIn() throws Exception {
        String lines = IntStream.range(0, 10_000)
                .mapToObj(i -> i / 20.0 + "," + String.format(Locale.ROOT, "%.1f", 60 + i / 1000.0))
                .collect(Collectors.joining("\\n"));
        assertTrue(lines.length() > 79_000, "" + lines.length());
        HttpResponse<String> taken =
                hand.postJson("/bench/series/" + pot.id() + "/logger", "{\"text\":\"" + lines + "\"}", csrf);
        assertEquals(taken.statusCode(), 201, taken.body());
        assertEquals(bench.readingsAfter(pot.id(), 0).readings().size(), 10_000);
        HttpResponse<String> curve = hand.postFile(
                "/temper/curve", "file", "log.csv", lines.replace("\\n", "\n").getBytes(), csrf);
        assertEquals(curve.statusCode(), 200);
        assertTrue(!curve.body().contains("characters"), "a file is longer than what anybody types");
    }

    @Test
    public void whatIsNoReadingIsTold() throws Exception {
        String url = "/bench/series/" + pot.id() + "/readings";
        for (String body :
                List.of("{\"readings\":[null]}", "{\"readings\":[]}", "{\"readings\":null}", "{\"readings\":[{}]}")) {
            assertEquals(hand.postJson(url, body, csrf).statusCode(), 422, body);
        }
        for (String at : List.of(
                "+1000000000-12-31T00:00:00Z",
                "-1000000000-01-01T00:00:00Z",
                "+999999999-12-31T23:59:59Z",
                "1e300",
                "9223372036854775807")) {
            String entry =
                    "{\"key\":\"%s\",\"kind\":\"NOTE\",\"fields\":{\"text\":\"x\",\"sure\":\"no\"},\"at\":\"%s\"}"
                            .formatted(UUID.randomUUID(), at);
            int status = hand.postJson("/bench/4/entries", entry, csrf).statusCode();
            assertTrue(status == 400 || status == 422, status + " for " + at);
            String reading = "{\"readings\":[{\"key\":\"%s\",\"celsius\":\"100\",\"at\":\"%s\"}]}"
                    .formatted(UUID.randomUUID(), at);
            int read = hand.postJson(url, reading, csrf).statusCode();
            assertTrue(read == 400 || read == 422, read + " for " + at);
        }
    }
}
