package org.zeststack.store.sheet;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.expectThrows;

import org.jooq.JSONB;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.sheet.BenchStep;
import org.zeststack.store.TestRun;
import org.zeststack.store.json.StoredJson;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Sheets say the form that they are written in and are read by it; whole ones of every release are read elsewhere. */
public class WrittenSheetTest {

    @Test
    public void todaysSheetIsReadAsItWasWritten() {
        JSONB written = WrittenSheet.write(TestRun.sheet());
        assertEquals(StoredJson.tree(written).get("schemaVersion").asInt(), 5);
        assertEquals(WrittenSheet.read(written), TestRun.sheet());
    }

    @Test
    public void aFormOfANewerReleaseIsToldAndNotGuessedAt() {
        ObjectNode newer = StoredJson.tree(WrittenSheet.write(TestRun.sheet()));
        newer.put("schemaVersion", 6);
        newer.put("clock", "unheard of");
        NewerSheet told = expectThrows(NewerSheet.class, () -> WrittenSheet.read(JSONB.valueOf(newer.toString())));
        assertEquals(told.form(), 6);
    }

    /** Today's form says everything: what it leaves out was lost, and nobody fills it in. */
    @Test
    public void nothingIsFilledInWhereTodaysFormLacksIt() {
        ObjectNode torn = StoredJson.tree(WrittenSheet.write(TestRun.sheet()));
        ((ObjectNode) torn.at("/pieces/carriers")).remove("spare");
        expectThrows(RuntimeException.class, () -> WrittenSheet.read(JSONB.valueOf(torn.toString())));
    }

    @DataProvider
    public Object[][] before() {
        return new Object[][] {
            {"{}", "/laid", "[]"},
            {"{\"laid\": null}", "/laid", "[]"},
            {"{\"moulds\": {}}", "/moulds", "{\"carrier\":\"mould\",\"spareBare\":true,\"spare\":0}"},
            {
                "{\"moulds\": {\"carrier\": \"slab\", \"spareBare\": false, \"spare\": 3}}",
                "/moulds",
                "{\"carrier\":\"slab\",\"spareBare\":false,\"spare\":3}"
            },
            {
                "{\"layers\": [{}, {\"perPiece\": 2, \"mixedFraction\": 0.1}]}",
                "/layers/1",
                "{\"perPiece\":2,\"mixedFraction\":0.1,\"technique\":\"\",\"mixed\":\"\"}"
            },
            {"{\"layers\": [{}]}", "/layers/0/perPiece", "1"},
            {"{\"layers\": [{}]}", "/layers/0/mixedFraction", "0.0"},
            {"{\"laid\": [{\"deposit\": {}}]}", "/laid/0/deposit/kept", "0.0"},
            {"{\"laid\": [{\"deposit\": {\"kept\": 2.5}}]}", "/laid/0/deposit/kept", "2.5"},
            {"{\"steps\": [{\"how\": null}]}", "/steps/0/how", "{}"},
            {"{\"steps\": [{\"how\": {\"action\": \"Boil\"}}]}", "/steps/0/how/action", "\"Boil\""},
        };
    }

    @Test(dataProvider = "before")
    public void whatAFormOfBeforeLeftOutIsFilledIn(String sheet, String place, String meant) {
        ObjectNode written = StoredJson.tree(JSONB.valueOf(sheet));
        FormBefore4.complete(written);
        assertEquals(written.at(place).toString(), meant);
    }

    private static JsonNode formula(String said) {
        ObjectNode sheet = StoredJson.tree(JSONB.valueOf("{\"formulas\": [{\"lines\": [{\"grams\": 7}], "
                + "\"depositGrams\": 950, \"usableGrams\": 1000, " + said + "}]}"));
        FormBefore4.complete(sheet);
        return sheet.at("/formulas/0");
    }

    @Test
    public void aBatchCalledItsFinishedMassUsable() {
        JsonNode cooked = formula("\"stopCelsius\": 118");
        assertEquals(cooked.get("finishedGrams").asDouble(), 1000.0);
        assertEquals(cooked.get("mostFinishedGrams").asDouble(), 1000.0);
        assertEquals(cooked.get("usableGrams").asDouble(), 950.0);
        assertEquals(cooked.get("deposit").toString(), "{\"pieces\":950.0,\"offcuts\":0.0,\"spare\":0.0,\"kept\":0.0}");
        assertEquals(cooked.get("ending").asString(), "READING");
        assertEquals(cooked.get("batches").asInt() + cooked.get("taken").size(), 1);
        assertEquals(cooked.at("/lines/0/mostGrams").asDouble(), 7.0);
        assertEquals(cooked.at("/lines/0/toEffect").asBoolean(), false);
        assertEquals(formula("\"stopCelsius\": null").get("ending").asString(), "MIXED");
        assertEquals(formula("\"airFraction\": 0.4").get("airFraction").asDouble(), 0.4);
    }

    @Test
    public void aBatchThatSaysItsFinishedMassIsLeftAsItIs() {
        JsonNode said = formula("\"finishedGrams\": 1010, \"ending\": \"EYE\", \"deposit\": {\"pieces\": 900}");
        assertEquals(said.get("usableGrams").asDouble(), 1000.0);
        assertEquals(said.get("ending").asString(), "EYE");
        assertEquals(said.at("/deposit/pieces").asDouble(), 900.0);
        assertEquals(said.at("/deposit/kept").asDouble(), 0.0);
    }

    @Test
    public void aMeltedCouvertureKnewOnlyWhatComesBack() {
        for (double melt : new double[] {800, 700}) {
            ObjectNode sheet = StoredJson.tree(JSONB.valueOf(
                    "{\"couvertures\": [{\"usedGrams\": 200, \"meltGrams\": " + melt + ", \"comesBackGrams\": 590}]}"));
            FormBefore4.complete(sheet);
            JsonNode said = sheet.at("/couvertures/0");
            assertEquals(said.get("scrapedGrams").asDouble(), Math.max(0, melt - 790));
            assertEquals(
                    said.get("bowlGrams").asDouble() + said.get("pouredGrams").asDouble(), 590.0);
            assertEquals(said.at("/deposit/pieces").asDouble(), 200.0);
        }
    }

    /** A step of before methods were worked has figures only. */
    @Test
    public void aStepWithoutAMethodIsReadAsItStands() {
        BenchStep step = StoredJson.read(
                JSONB.valueOf(
                        "{\"id\": \"cook:formula-1-v1\", \"kind\": \"COOK\", \"component\": \"formula-1-v1\","
                                + " \"layer\": \"\", \"title\": \"Cook\", \"detail\": \"117 °C\", \"caution\": \"\", \"how\": {}}"),
                BenchStep.class);
        assertEquals(step.how().action() + step.how().tool() + step.how().takes(), "[]");
    }

    @DataProvider
    public Object[][] sideBySide() {
        String pots = "\"pots\": {\"start\": 1, \"pours\": [{\"step\": \"p\", \"atCelsius\": 130, \"reading\": 130.8},"
                + " {\"step\": \"q\", \"atCelsius\": null, \"reading\": null}], \"second\": {\"stopCelsius\": 121,"
                + " \"stopCelsiusHere\": 119.5, \"stopReading\": 120, \"cookedGrams\": 180}, \"bowl\": null}";
        String formula =
                "{\"formulas\": [{\"key\": \"k\", \"version\": 2, \"depositGrams\": 9, \"usableGrams\": 8, \"factor\": 7,"
                        + " \"rawGrams\": 6, \"lines\": [], \"potGrams\": {\"WATER\": 5}, \"dextroseEquivalent\": 42,"
                        + " \"stopCelsius\": 118, \"stopCelsiusHere\": 115.5, \"stopReading\": 116.3, \"finishedGrams\": 4,"
                        + " \"mostFinishedGrams\": 4.5, \"deposit\": {}, \"taken\": {}, \"waterGrams\": 3, \"ending\": \"READING\","
                        + " \"batches\": 2, \"sharedOut\": \"why\", \"airFraction\": 0.1, \"cookedGrams\": 2.5, \"fat\": null, "
                        + pots + "}]}";
        String unread =
                "{\"formulas\": [{\"stopCelsius\": null, \"stopCelsiusHere\": null, \"stopReading\": null, \"pots\": null}]}";
        String layers = "{\"layers\": [{\"key\": \"a\", \"component\": \"c\", \"mixed\": \"m\", \"mixedFraction\": 0.3,"
                + " \"technique\": \"BRUSH\", \"wholeGrams\": 12.5}, {\"component\": \"c\", \"mixed\": \"\","
                + " \"mixedFraction\": 0, \"technique\": \"\"}]}";
        String couverture =
                "{\"couvertures\": [{\"kind\": \"dark\", \"usedGrams\": 1, \"meltGrams\": 2, \"comesBackGrams\": 3,"
                        + " \"deposit\": {}, \"scrapedGrams\": 4, \"pouredGrams\": 5, \"bowlGrams\": 6, \"tint\": null,"
                        + " \"cocoaButterFraction\": 0.36, \"windows\": null, \"allergens\": [\"milk\"]}]}";
        String head =
                "{\"barName\": \"b\", \"barVersion\": 3, \"piecesWanted\": 10, \"piecesToMake\": 11, \"moulds\": {\"fills\": 1},"
                        + " \"allowances\": {}, \"pressureKpa\": 93, \"thermometerName\": \"t\", \"thermometer\": {}, \"section\": {},"
                        + " \"pieceGrams\": 53}";
        return new Object[][] {
            {head, "/bar/name", "\"b\""},
            {head, "/bar/version", "3"},
            {head, "/bar/pieceGrams", "53"},
            {head, "/pieces/wanted", "10"},
            {head, "/pieces/toMake", "11"},
            {head, "/pieces/carriers", "{\"fills\":1}"},
            {head, "/gauge/pressureKpa", "93"},
            {head, "/gauge/name", "\"t\""},
            {head, "/barName", ""},
            {layers, "/bar/layers/0/laid/component", "\"c\""},
            {layers, "/bar/layers/0/laid/mixed", "{\"component\":\"m\",\"fraction\":0.3}"},
            {layers, "/bar/layers/0/laid/technique", "\"BRUSH\""},
            {layers, "/bar/layers/0/wholeGrams", "12.5"},
            {layers, "/bar/layers/1/laid/mixed", "null"},
            {layers, "/bar/layers/1/laid/technique", "null"},
            {layers, "/bar/layers/1/wholeGrams", "null"},
            {formula, "/formulas/0/uses/usableGrams", "8"},
            {formula, "/formulas/0/out/factor", "7"},
            {formula, "/formulas/0/out/grams", "6"},
            {formula, "/formulas/0/out/waterGrams", "3"},
            {formula, "/formulas/0/out/batches", "2"},
            {formula, "/formulas/0/out/sharedOut", "\"why\""},
            {formula, "/formulas/0/finished/leastGrams", "4"},
            {formula, "/formulas/0/finished/mostGrams", "4.5"},
            {formula, "/formulas/0/finished/by", "\"READING\""},
            {formula, "/formulas/0/finished/airFraction", "0.1"},
            {formula, "/formulas/0/finished/fat", "null"},
            {formula, "/formulas/0/cooking/pot/grams/WATER", "5"},
            {formula, "/formulas/0/cooking/pot/dextroseEquivalent", "42"},
            {formula, "/formulas/0/cooking/stop/seaLevel", "118"},
            {formula, "/formulas/0/cooking/stop/here", "115.5"},
            {formula, "/formulas/0/cooking/stop/reading", "116.3"},
            {formula, "/formulas/0/cooking/cookedGrams", "2.5"},
            {formula, "/formulas/0/cooking/plan/pours/0/at/seaLevel", "130"},
            {formula, "/formulas/0/cooking/plan/pours/0/at/reading", "130.8"},
            {formula, "/formulas/0/cooking/plan/pours/1/at", "null"},
            {formula, "/formulas/0/cooking/plan/second/stop/here", "119.5"},
            {formula, "/formulas/0/cooking/plan/second/cookedGrams", "180"},
            {formula, "/formulas/0/version", ""},
            {unread, "/formulas/0/cooking/stop", "null"},
            {unread, "/formulas/0/cooking/plan", "null"},
            {couverture, "/couvertures/0/of/kind", "\"dark\""},
            {couverture, "/couvertures/0/of/cocoaButterFraction", "0.36"},
            {couverture, "/couvertures/0/of/allergens", "[\"milk\"]"},
            {couverture, "/couvertures/0/melt/grams", "2"},
            {couverture, "/couvertures/0/melt/scrapedGrams", "4"},
            {couverture, "/couvertures/0/melt/pouredGrams", "5"},
            {couverture, "/couvertures/0/melt/bowlGrams", "6"},
            {couverture, "/couvertures/0/usedGrams", ""},
        };
    }

    /** What stood side by side in form 4 stands in its group, and nowhere else. */
    @Test(dataProvider = "sideBySide")
    public void whatStoodSideBySideIsPutInItsGroup(String sheet, String place, String meant) {
        ObjectNode written = StoredJson.tree(JSONB.valueOf(sheet));
        Form4.regroup(written);
        JsonNode there = written.at(place);
        assertEquals(there.isMissingNode() ? "" : there.toString(), meant);
    }
}
