package org.zeststack.web.api;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNotNull;
import static org.testng.Assert.assertTrue;

import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.app.people.TokenText;
import org.zeststack.demo.DemoPeople;
import org.zeststack.store.people.Tokens;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The calculators as a program sees them. */
public class ApiTest extends DemoCalls {

    private static final String CAVITY = "{\"openingLengthMm\":118,\"openingWidthMm\":32,\"floorLengthMm\":112,"
            + "\"floorWidthMm\":26,\"depthMm\":14,\"shellMm\":%s,\"backMm\":2,\"backLeastMm\":1,\"backGreatestMm\":3,"
            + "\"shellGramsPerMl\":1.27,\"fillingGramsPerMl\":1.3}";
    private static final String CARAMEL = "{\"waterGrams\":744.2,\"sucroseGrams\":1000,\"glucoseSyrupSolidsGrams\":560,"
            + "\"lactoseGrams\":32,\"inertGrams\":483.8,\"stopCelsius\":118%s}";

    private static final String MASS = "{\"waterGrams\":744.2,\"sucroseGrams\":1000,\"glucoseSyrupSolidsGrams\":560,"
            + "\"lactoseGrams\":32,\"inertGrams\":483.8";
    private static final String STAGE = MASS + ",\"celsius\":%s}";
    private static final String RESCUE = MASS + ",\"nowCelsius\":%s,\"targetCelsius\":118,\"with\":\"%s\"}";
    private static final String MINUTES = MASS + ",\"stopCelsius\":118,\"readings\":[%s]}";

    private static final String SEED =
            "{\"chocolateGrams\":%s,\"fromCelsius\":46,\"toCelsius\":32,\"seedCelsius\":20,\"cocoaButterFraction\":%s%s}";
    private static final String SLAB = "{\"slabFraction\":0.6666666666666667,\"slabCelsius\":%s,\"%s\":%s}";

    private final HttpClient client = HttpClient.newHttpClient();
    private final JsonMapper json = new JsonMapper();

    private HttpResponse<String> post(String path, String token, String body) throws Exception {
        return caller.post(path, token, body);
    }

    private static void near(double got, double expected, double tolerance, String why) {
        assertEquals(got, expected, tolerance, why);
    }

    private JsonNode answer(String path, String body, int status) throws Exception {
        return caller.answer(path, body, status);
    }

    /** The verdict over HTTP says what the rules say; what each fault is said of. */
    @Test
    public void aBowlIsJudgedByItsMethod() throws Exception {
        String readings = "\"readings\":[{\"seconds\":0,\"celsius\":46},{\"seconds\":60,\"celsius\":31},"
                + "{\"seconds\":120,\"celsius\":33,\"confirmed\":true}]}";
        JsonNode lost = answer("/temper/verdict", "{\"family\":\"dark\",\"method\":\"seed\"," + readings, 200);
        assertEquals(lost.get("verdict").asString(), "lost");
        assertEquals(lost.get("since").doubleValue(), 120, 0);
        assertEquals(lost.get("step").asString(), "work");
        JsonNode cooling = answer("/temper/verdict", "{\"family\":\"dark\",\"method\":\"slab\"," + readings, 200);
        assertEquals(cooling.get("verdict").asString(), "cooling", "never down at 28");
        assertTrue(cooling.get("since").isNull());
        String own = "{\"windows\":{\"meltLeast\":45,\"meltGreatest\":50,\"coolLeast\":28,\"coolGreatest\":%s,"
                + "\"workLeast\":30,\"workGreatest\":33},\"method\":\"seed\",";
        assertEquals(
                answer("/temper/verdict", own.formatted(29) + readings, 200)
                        .get("verdict")
                        .asString(),
                "working");
        assertEquals(pointers("/temper/verdict", own.formatted(27) + readings), List.of("/windows/coolLeast"));
        assertEquals(pointers("/temper/verdict", "{\"method\":\"seed\"," + readings), List.of("/family"));
        assertEquals(
                pointers("/temper/verdict", "{\"family\":\"dark\",\"method\":\"sous-vide\"," + readings),
                List.of("/method"));
        assertEquals(
                pointers(
                        "/temper/verdict",
                        "{\"family\":\"dark\",\"method\":\"seed\"," + readings.replace("true", "\"yes\"")),
                List.of("/readings/2/confirmed"));
        assertEquals(pointers("/temper/slab", "{\"slabFraction\":0.5,\"slabCelsius\":27}"), List.of("/endCelsius"));
        assertEquals(pointers("/temper/seed", SEED.formatted(1000, 1.2, "")), List.of("/cocoaButterFraction"));
    }

    private List<String> pointers(String path, String body) throws Exception {
        List<String> pointers = new ArrayList<>();
        answer(path, body, 400)
                .get("errors")
                .forEach(e -> pointers.add(e.get("pointer").asString()));
        return pointers;
    }

    @DataProvider
    public Object[][] figures() {
        String table = "handbook table of boiling points of sucrose solutions, value from memory";
        String prismoid = "prismoidal formula";
        String model = "this model";
        String sucrose = "{\"waterGrams\":%s,\"sucroseGrams\":%s}";
        return new Object[][] {
            // path, body, field, expected, tolerance, provenance
            {"/sugar/boiling-point", sucrose.formatted(40, 60), "boilingCelsius", 103.0, 0.6, table},
            {"/sugar/boiling-point", sucrose.formatted(10, 90), "boilingCelsius", 122.4, 1.5, "Starzak and Peacock 1997"
            },
            {"/sugar/boiling-point", "{\"waterGrams\":9}", "boilingCelsius", 99.974, 0.01, "IAPWS"},
            {"/sugar/boiling-point", "{\"waterGrams\":9,\"altitudeMetres\":1600}", "boilingCelsius", 94.65, 0.1, "ICAO"
            },
            {"/sugar/cook", CARAMEL.formatted(""), "waterGrams", 186.0, 1.86, model},
            {"/sugar/cook", CARAMEL.formatted(""), "waterActivityAt25", 0.51, 0.0051, model},
            {"/sugar/cook", CARAMEL.formatted(",\"altitudeMetres\":1600"), "stopCelsiusHere", 112.2, 0.3, model},
            {"/sugar/cook", CARAMEL.formatted(",\"thermometerOffsetKelvin\":0.8"), "stopReading", 118.8, 1e-6, model},
            {"/sugar/stop", CARAMEL.formatted(",\"altitudeMetres\":1600"), "stopCelsiusHere", 112.2, 0.3, model},
            {"/sugar/stop", CARAMEL.formatted(",\"altitudeMetres\":1600"), "householdRuleCelsius", 112.7, 0.1, "B10"},
            {"/sugar/stop", CARAMEL.formatted(",\"altitudeMetres\":1600"), "waterBoilsHereCelsius", 94.65, 0.1, "ICAO"},
            {"/sugar/stop", CARAMEL.formatted(",\"thermometerOffsetKelvin\":-1.2"), "stopReading", 116.8, 1e-6, model},
            {"/sugar/stage", STAGE.formatted(118), "dissolvedSolidsFraction", 0.895, 0.009, model},
            {"/sugar/stage", STAGE.formatted(60), "dissolvedSolidsFraction", 1592 / 2336.2, 1e-9, "as it went in"},
            {"/sugar/rescue", RESCUE.formatted(122, "water"), "restopCelsius", 118, 1e-6, "as asked"},
            {"/temper/seed", SEED.formatted(1000, 0.36, ""), "seedGrams", 349.4, 0.5, "heat balance by hand"},
            {"/temper/seed", SEED.formatted(200, 0.36, ""), "seedGrams", 70, 1, "heat balance by hand"},
            {
                "/temper/seed",
                SEED.formatted(1000, 0.36, ",\"bowlGrams\":600,\"bowlMaterial\":\"glass\""),
                "seedGrams",
                456,
                2,
                "heat balance with the bowl"
            },
            {"/temper/slab", SLAB.formatted(27, "endCelsius", 31), "keptCelsius", 39, 1e-6, "mixing arithmetic"},
            {"/temper/slab", SLAB.formatted(27, "keptCelsius", 48), "endCelsius", 34, 1e-6, "mixing arithmetic"},
            {
                "/air/dew-point",
                "{\"celsius\":25,\"relativeHumidityPercent\":50}",
                "dewPointCelsius",
                13.85,
                0.1,
                "WMO No. 8"
            },
            {"/cavity/tapered", CAVITY.formatted("1.5"), "cavityMl", 46.73, 0.01, prismoid},
            {"/cavity/tapered", CAVITY.formatted("1.5"), "shellMl", 9.86, 0.02, prismoid},
            {"/cavity/tapered", CAVITY.formatted("1.5"), "fillingLeastGrams", 35.3, 0.1, prismoid},
            {"/cavity/tapered", CAVITY.formatted("1.5"), "fillingGreatestGrams", 43.6, 0.1, prismoid},
            {
                "/cavity/half-cylinder",
                shape("\"lengthMm\":100,\"radiusMm\":10"),
                "cavityMl",
                50 * Math.PI / 10,
                1e-9,
                "π r² l / 2"
            },
            {
                "/cavity/dome",
                shape("\"openingRadiusMm\":15,\"depthMm\":15"),
                "cavityMl",
                2.25 * Math.PI,
                1e-9,
                "2/3 π r³"
            },
            {
                "/cavity/round",
                shape("\"openingWidthMm\":40,\"floorWidthMm\":30,\"depthMm\":12"),
                "cavityMl",
                3.7 * Math.PI,
                1e-9,
                "π h (D² + D d + d²) / 12"
            },
            {
                "/cavity/hexagonal",
                shape("\"openingWidthMm\":40,\"floorWidthMm\":40,\"depthMm\":10"),
                "cavityMl",
                8 * Math.sqrt(3),
                1e-9,
                "√3/2 w² h"
            },
            {
                "/cavity/half-ellipsoid",
                shape("\"lengthMm\":60,\"widthMm\":30,\"depthMm\":12"),
                "cavityMl",
                3.6 * Math.PI,
                1e-9,
                "2/3 π a b c"
            },
            {
                "/slab/cut",
                "{\"lengthMm\":300,\"widthMm\":240,\"pieceLengthMm\":300,\"pieceWidthMm\":120}",
                "pieces",
                2,
                0,
                "24 × 30 cm halved: two of 12 × 30 cm, common practice, no source"
            },
            {
                "/slab/cut",
                "{\"lengthMm\":330.2,\"widthMm\":228.6,\"pieceLengthMm\":57.15,\"pieceWidthMm\":33.02}",
                "pieces",
                40,
                0,
                "9 × 13 in in four strips of ten, common practice, no source"
            },
            {
                "/slab/cutters",
                "{\"lengthMm\":100,\"widthMm\":100,\"diameterMm\":10}",
                "squarePieces",
                100,
                0,
                "ten by ten"
            },
            {
                "/slab/cutters",
                "{\"lengthMm\":100,\"widthMm\":100,\"diameterMm\":10}",
                "hexagonalPieces",
                105,
                0,
                "11 staggered rows of ten and nine"
            },
        };
    }

    /** A cavity without inside worth speaking of: only its own volume is looked at. */
    private static String shape(String dimensions) {
        return "{" + dimensions + ",\"shellMm\":1,\"backMm\":1,\"backLeastMm\":1,\"backGreatestMm\":2,"
                + "\"shellGramsPerMl\":1.27,\"fillingGramsPerMl\":1.3}";
    }

    @Test(dataProvider = "figures")
    public void givesThePublishedFigures(
            String path, String body, String field, double expected, double tolerance, String provenance)
            throws Exception {
        double given = answer(path, body, 200).get(field).doubleValue();
        assertTrue(Math.abs(given - expected) <= tolerance, field + " " + given + " (" + provenance + ")");
    }

    @DataProvider
    public Object[][] faults() {
        return new Object[][] {
            {"/sugar/boiling-point", "{}", List.of("/waterGrams")},
            {"/sugar/boiling-point", "{\"waterGrams\":-1}", List.of("/waterGrams")},
            {"/sugar/boiling-point", "{\"waterGrams\":1e99}", List.of("/waterGrams")},
            {"/sugar/boiling-point", "{\"waterGrams\":\"NaN\"}", List.of("/waterGrams")},
            {"/sugar/boiling-point", "{\"waterGrams\":\"1,5\"}", List.of("/waterGrams")},
            {"/sugar/boiling-point", "{\"waterGrams\":\"½\",\"sugar\":1}", List.of("/sugar", "/waterGrams")},
            {"/sugar/boiling-point", "{\"waterGrams\":1,\"dextroseEquivalent\":5}", List.of("/dextroseEquivalent")},
            {"/sugar/boiling-point", "{\"waterGrams\":1,\"waterGrams\":2}", List.of("")},
            {"/sugar/boiling-point", "{\"waterGrams\":", List.of("")},
            {"/sugar/boiling-point", "7", List.of("")},
            {
                "/sugar/cook",
                CARAMEL.formatted(",\"altitudeMetres\":1,\"pressureKpa\":101,\"stopp\":1"),
                List.of("/stopp", "/altitudeMetres", "/pressureKpa")
            },
            {"/sugar/cook", CARAMEL.formatted("").replace("118", "95"), List.of("/stopCelsius")},
            {"/sugar/rescue", RESCUE.formatted(118, "water"), List.of("/nowCelsius")},
            {"/sugar/rescue", RESCUE.formatted(122, "milk"), List.of("/with")},
            {"/sugar/rescue", MASS + ",\"nowCelsius\":122}", List.of("/targetCelsius", "/with")},
            {"/sugar/minutes-left", MASS + ",\"stopCelsius\":118}", List.of("/readings")},
            {"/sugar/minutes-left", MINUTES.formatted(""), List.of("/readings")},
            {
                "/sugar/minutes-left",
                MINUTES.formatted("{\"seconds\":1,\"celsius\":90},{\"seconds\":-1,\"celsius\":\"x\",\"k\":1},7"),
                List.of("/readings/1/k", "/readings/1/seconds", "/readings/1/celsius", "/readings/2")
            },
            {"/cavity/tapered", CAVITY.formatted("14.5"), List.of("/shellMm")},
            {"/cavity/tapered", CAVITY.formatted("-2"), List.of("/shellMm")},
            {
                "/cavity/tapered",
                CAVITY.formatted("1.5").replace("\"floorWidthMm\":26", "\"floorWidthMm\":40"),
                List.of("/floorWidthMm")
            },
            {"/cavity/tapered", CAVITY.formatted("1.5").replace("\"backMm\":2", "\"backMm\":13"), List.of("/backMm")},
            {"/cavity/dome", shape("\"openingRadiusMm\":15,\"depthMm\":20"), List.of("/depthMm")},
            {
                "/slab/cut",
                "{\"lengthMm\":100,\"widthMm\":100,\"pieceLengthMm\":300,\"pieceWidthMm\":20}",
                List.of("/pieceLengthMm")
            },
            {"/slab/cutters", "{\"lengthMm\":100,\"widthMm\":100}", List.of("/diameterMm")},
        };
    }

    @Test(dataProvider = "faults")
    public void tellsEveryFaultWithItsPointer(String path, String body, List<String> pointers) throws Exception {
        JsonNode problem = answer(path, body, 400);
        List<String> told = new ArrayList<>();
        problem.get("errors").forEach(e -> {
            told.add(e.get("pointer").stringValue());
            assertFalse(e.get("message").stringValue().isBlank());
        });
        assertEquals(told, pointers);
    }

    @Test
    public void aStageIsNamedInBothWays() throws Exception {
        JsonNode gap = answer("/sugar/stage", STAGE.formatted(117), 200);
        assertEquals(gap.get("printedName").asString(), "between soft ball and firm ball");
        assertEquals(gap.get("solidsName").asString(), "firm ball");
        JsonNode high = answer("/sugar/stage", STAGE.formatted(170), 200);
        assertEquals(high.get("printedName").asString(), "past hard crack");
        assertTrue(
                high.get("solidsName").isNull()
                        && high.get("dissolvedSolidsFraction").isNull(),
                high.toString());
    }

    @Test
    public void whatIsPouredBackIsWhatBoiledOff() throws Exception {
        double meant = answer("/sugar/cook", CARAMEL.formatted(""), 200)
                .get("waterGrams")
                .doubleValue();
        double left = answer("/sugar/cook", CARAMEL.formatted("").replace("118", "122"), 200)
                .get("waterGrams")
                .doubleValue();
        double water = answer("/sugar/rescue", RESCUE.formatted(122, "water"), 200)
                .get("addGrams")
                .doubleValue();
        near(water, meant - left, 1e-5, "property: rescue inverts overshoot");
        double cream = answer("/sugar/rescue", RESCUE.formatted(122, "cream35"), 200)
                .get("addGrams")
                .doubleValue();
        assertTrue(cream > water / 0.585 && cream < 1.1 * water / 0.585, cream + " g of cream");
    }

    /** Readings of a pot that warms 8 K a minute to its boil and then rises ever faster, one in 5 s; the 100th is wild. */
    private static String readings(double minutes, double each) {
        StringBuilder list = new StringBuilder();
        for (int i = 0; i * each <= minutes * 60; i++) {
            double minute = i * each / 60;
            double celsius =
                    minute < 10.4 ? 20 + 8 * minute : 103.2 + 0.35 * (minute - 10.4) * (1 + (minute - 10.4) / 8);
            list.append(i == 0 ? "" : ",")
                    .append("{\"seconds\":%s,\"celsius\":%s}".formatted(i * each, i == 150 ? celsius - 9 : celsius));
        }
        return list.toString();
    }

    @Test
    public void minutesLeftHaveTheirIntervalAndTheirOutliers() throws Exception {
        JsonNode left = answer("/sugar/minutes-left", MINUTES.formatted(readings(18, 5)), 200);
        double minutes = left.get("minutes").doubleValue();
        assertTrue(minutes > 3 && minutes < 15, left.toString());
        assertTrue(left.get("lowMinutes").doubleValue() < minutes
                && left.get("highMinutes").doubleValue() > minutes);
        assertEquals(left.get("outliers").toString(), "[150]");
        assertTrue(
                left.get("usedReadings").intValue() > 60
                        && left.get("heatChanged").isNull(),
                left.toString());
        String cold = "{\"seconds\":0,\"celsius\":20}";
        JsonNode none = answer("/sugar/minutes-left", MINUTES.formatted(cold), 200);
        assertTrue(none.get("minutes").isNull());
        assertEquals(none.get("reason").asString(), "not-boiling");
        String past = "{\"seconds\":9,\"celsius\":119}," + cold;
        assertEquals(
                answer("/sugar/minutes-left", MINUTES.formatted(past), 200)
                        .get("reason")
                        .asString(),
                "past");
        String few = "{\"seconds\":0,\"celsius\":105},{\"seconds\":5,\"celsius\":105}";
        assertEquals(
                answer("/sugar/minutes-left", MINUTES.formatted(few), 200)
                        .get("reason")
                        .asString(),
                "too-few");
    }

    @Test
    public void theOrderOfReadingsDoesNotMatter() throws Exception {
        List<String> list = new ArrayList<>(List.of(readings(18, 5).split("(?<=}),")));
        JsonNode inOrder = answer("/sugar/minutes-left", MINUTES.formatted(String.join(",", list)), 200);
        java.util.Collections.reverse(list);
        JsonNode backwards = answer("/sugar/minutes-left", MINUTES.formatted(String.join(",", list)), 200);
        assertEquals(backwards.get("minutes"), inOrder.get("minutes"));
        assertEquals(backwards.get("outliers").get(0).intValue(), list.size() - 1 - 150);
    }

    @Test
    public void aStopBelowTheBoilNamesTheBoil() throws Exception {
        JsonNode error = answer("/sugar/cook", CARAMEL.formatted("").replace("118", "95"), 400)
                .get("errors")
                .get(0);
        double least = error.get("least").doubleValue();
        assertTrue(least > 101 && least < 106, "first boiling point " + least);
        assertTrue(error.get("message").stringValue().contains("first boiling point"));
    }

    @Test
    public void whatTheModelRefusesIsA422WithItsReason() throws Exception {
        JsonNode hot = answer("/sugar/cook", CARAMEL.formatted("").replace("118", "177"), 422);
        assertTrue(hot.get("detail").stringValue().contains("160 °C"));
        assertNotNull(answer("/sugar/boiling-point", "{\"waterGrams\":0,\"sucroseGrams\":5}", 422)
                .get("detail"));
    }

    @Test
    public void otherAddressesAndTypesGetProblemsToo() throws Exception {
        assertEquals(answer("/sugar/nougat", "{}", 404).get("title").stringValue(), "No such calculator");
        HttpResponse<String> plain = client.send(
                HttpRequest.newBuilder(URI.create(app.url() + "/api/v1/sugar/cook"))
                        .header("Content-Type", "text/plain")
                        .header("Authorization", "Bearer " + DemoPeople.TOKEN)
                        .POST(BodyPublishers.ofString("{}"))
                        .build(),
                BodyHandlers.ofString());
        assertEquals(plain.statusCode(), 415);
        assertEquals(plain.headers().firstValue("Content-Type").orElse(""), "application/problem+json");
    }

    @Test
    public void tokensAreNeededAndCanBeRevoked() throws Exception {
        assertEquals(post("/sugar/cook", "guess", "{}").statusCode(), 401);
        Tokens tokens = app.bean(Tokens.class);
        String token = TokenText.random();
        tokens.add("scale", TokenText.hash(token), false, new Tokens.Maker("runa", "Runa"), Instant.now());
        assertEquals(post("/cavity/tapered", token, CAVITY.formatted("1.5")).statusCode(), 200);
        tokens.revoke(tokens.findValid(TokenText.hash(token)).orElseThrow().id(), Instant.now());
        assertEquals(post("/cavity/tapered", token, CAVITY.formatted("1.5")).statusCode(), 401);
    }

    @Test
    public void theDemoTokenIsRefusedWhenTheRequestCameFromElsewhere() throws Exception {
        HttpResponse<String> response = client.send(
                HttpRequest.newBuilder(URI.create(app.url() + "/api/v1/cavity/tapered"))
                        .header("Content-Type", "application/json")
                        .header("X-Forwarded-For", "192.0.2.7")
                        .header("Authorization", "Bearer " + DemoPeople.TOKEN)
                        .POST(BodyPublishers.ofString(CAVITY.formatted("1.5")))
                        .build(),
                BodyHandlers.ofString());
        assertEquals(response.statusCode(), 401);
    }

    /** B09: our model, 1 %; here through the interface, with the store room's own cream and butter. */
    private static final String B09 = """
            {"lines": [{"ingredient": "sugar", "grams": 1000}, {"ingredient": "glucose-syrup-42", "grams": 700},
              {"ingredient": "cream-35", "grams": 1000}, {"ingredient": "butter", "grams": 120}],
             "stopCelsius": 118, "lossFraction": 0.03, "wantGrams": 6000%s}
            """;

    @Test
    public void aFormulaIsScaledThroughItsLosses() throws Exception {
        JsonNode scaled = answer("/formula/scale", B09.formatted(""), 200);
        double factor = scaled.get("factor").doubleValue();
        near(scaled.get("usableGrams").doubleValue(), 6000, 1e-6, "as wanted");
        near(scaled.get("cookedGrams").doubleValue(), 6000 / 0.97, 1e-6, "loss inverted");
        near(scaled.get("pouredGrams").doubleValue(), 2820 * factor, 1e-6, "everything weighed out");
        near(scaled.get("cookedGrams").doubleValue() / factor, 2263, 0.01 * 2263, "B09");
        near(scaled.at("/lines/0/grams").doubleValue(), 1000 * factor, 1e-6, "every line alike");
        JsonNode hill = answer("/formula/scale", B09.formatted(", \"altitudeMetres\": 1600"), 200);
        near(hill.get("factor").doubleValue(), factor, 1e-9, "the same water is left at any altitude");
        JsonNode cold = answer(
                "/formula/scale", "{\"lines\": [{\"ingredient\": \"sugar\", \"grams\": 50}], \"wantGrams\": 100}", 200);
        near(cold.get("factor").doubleValue(), 2, 1e-12, "not cooked");
    }

    @Test
    public void faultsOfAScalingAreToldTogether() throws Exception {
        JsonNode problem = answer(
                "/formula/scale",
                "{\"lines\": [{\"ingredient\": \"sugr\", \"grams\": -1, \"x\": 1}, 7], \"lossFraction\": 2, \"wnt\": 1}",
                400);
        java.util.Set<String> pointers = new java.util.TreeSet<>();
        problem.get("errors").forEach(e -> pointers.add(e.get("pointer").asString()));
        assertEquals(
                pointers,
                java.util.Set.of(
                        "/lines/0/ingredient",
                        "/lines/0/grams",
                        "/lines/0/x",
                        "/lines/1",
                        "/lossFraction",
                        "/wantGrams",
                        "/wnt"));
        assertEquals(
                answer("/formula/scale", B09.formatted("").replace("118", "177"), 422)
                        .get("status")
                        .intValue(),
                422);
        assertEquals(
                answer("/formula/scale", B09.formatted("").replace("118", "90"), 400)
                        .at("/errors/0/pointer")
                        .asString(),
                "/stopCelsius");
    }

    @Test
    public void householdLinesBecomeGramsWithEveryGuessMarked() throws Exception {
        JsonNode lines = answer(
                        "/formula/parse",
                        "{\"text\": \"1 cup firmly packed brown sugar\\n\\n8 tablespoons butter\\na knob of butter\\n250 g zorbium\", \"measures\": \"us\"}",
                        200)
                .get("lines");
        assertEquals(lines.size(), 4);
        // U01, U02: printed kitchen equivalents, common practice, no source.
        near(lines.at("/0/grams").doubleValue(), 205, 9, "U01; printed as 198 g and as 213 g");
        assertEquals(lines.at("/0/ingredient").asString(), "brown-sugar");
        near(lines.at("/1/grams").doubleValue(), 113.4, 0.5, "U02");
        assertEquals(lines.at("/1/guesses").size(), 0);
        assertEquals(lines.at("/1/unit").asString(), "tablespoon");
        org.testng.Assert.assertTrue(
                lines.at("/2/grams").isNull() && lines.at("/2/guesses").size() > 0);
        org.testng.Assert.assertTrue(lines.at("/3/ingredient").isNull());
        near(lines.at("/3/grams").doubleValue(), 250, 1e-9, "grams are known all the same");
        assertEquals(
                answer("/formula/parse", "{\"text\": 5, \"measures\": \"cubits\"}", 400)
                        .get("errors")
                        .size(),
                2);
    }

    @Test
    public void theIngredientsAreListedWithWhatTheyAreMadeOf() throws Exception {
        HttpResponse<String> response = client.send(
                HttpRequest.newBuilder(URI.create(app.url() + "/api/v1/ingredients"))
                        .header("Authorization", "Bearer " + DemoPeople.TOKEN)
                        .build(),
                BodyHandlers.ofString());
        JsonNode ingredients = json.readTree(response.body()).get("ingredients");
        org.testng.Assert.assertTrue(ingredients.size() >= 160, "at least 160");
        for (JsonNode ingredient : ingredients) {
            double sum = 0;
            for (JsonNode grams : ingredient.get("composition")) {
                sum += grams.doubleValue();
            }
            near(sum, 100, 1, ingredient.get("slug").asString());
        }
    }

    @Test
    public void theDescriptionNamesEveryCalculatorWithItsRanges() throws Exception {
        HttpResponse<String> response = client.send(
                HttpRequest.newBuilder(URI.create(app.url() + "/api/v1/openapi.json"))
                        .build(),
                BodyHandlers.ofString());
        JsonNode paths = json.readTree(response.body()).get("paths");
        assertEquals(paths.size(), 25);
        JsonNode shell = paths.get("/api/v1/cavity/tapered")
                .at("/post/requestBody/content/application~1json/schema/properties/shellMm");
        assertEquals(shell.get("minimum").doubleValue(), 0.2);
        JsonNode layer = paths.get("/api/v1/bar/assemble")
                .at("/post/requestBody/content/application~1json/schema/properties/layers/items/properties");
        assertEquals(layer.at("/keepsGrams/maximum").doubleValue(), 2000);
        assertEquals(layer.at("/keepsGrams/description").asString(), "tool keeps, g");
        assertEquals(layer.at("/spare/maximum").doubleValue(), 0.5, "a share is sent as one, not in %");
        assertTrue(layer.at("/by/enum").toString().contains("\"milligrams\""));
        JsonNode cook = answer("/sugar/cook", CARAMEL.formatted(""), 200);
        JsonNode described =
                paths.get("/api/v1/sugar/cook").at("/post/responses/200/content/application~1json/schema/properties");
        assertEquals(new java.util.TreeSet<>(described.propertyNames()), new java.util.TreeSet<>(cook.propertyNames()));
    }
}
