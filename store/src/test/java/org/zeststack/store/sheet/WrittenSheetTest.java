package org.zeststack.store.sheet;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.expectThrows;

import org.jooq.JSONB;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.run.RunSheet;
import org.zeststack.store.TestRun;
import org.zeststack.store.json.StoredJson;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Sheets say the form that they are written in and are read by it; whole ones of every release are read elsewhere. */
public class WrittenSheetTest {

    @Test
    public void todaysSheetIsReadAsItWasWritten() {
        JSONB written = WrittenSheet.write(TestRun.sheet());
        assertEquals(StoredJson.tree(written).get("schemaVersion").asInt(), 4);
        assertEquals(WrittenSheet.read(written), TestRun.sheet());
    }

    @Test
    public void aFormOfANewerReleaseIsToldAndNotGuessedAt() {
        ObjectNode newer = StoredJson.tree(WrittenSheet.write(TestRun.sheet()));
        newer.put("schemaVersion", 5);
        newer.put("clock", "unheard of");
        NewerSheet told = expectThrows(NewerSheet.class, () -> WrittenSheet.read(JSONB.valueOf(newer.toString())));
        assertEquals(told.form(), 5);
    }

    /** Today's form says everything: what it leaves out was lost, and nobody fills it in. */
    @Test
    public void nothingIsFilledInWhereTodaysFormLacksIt() {
        ObjectNode torn = StoredJson.tree(WrittenSheet.write(TestRun.sheet()));
        ((ObjectNode) torn.get("moulds")).remove("spare");
        expectThrows(RuntimeException.class, () -> WrittenSheet.read(JSONB.valueOf(torn.toString())));
        torn.put("schemaVersion", 3);
        assertEquals(WrittenSheet.read(JSONB.valueOf(torn.toString())).moulds().spare(), 0, "a form of before may");
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
        RunSheet.BenchStep step = StoredJson.read(
                JSONB.valueOf(
                        "{\"id\": \"cook:formula-1-v1\", \"kind\": \"COOK\", \"component\": \"formula-1-v1\","
                                + " \"layer\": \"\", \"title\": \"Cook\", \"detail\": \"117 °C\", \"caution\": \"\", \"how\": {}}"),
                RunSheet.BenchStep.class);
        assertEquals(step.how().action() + step.how().tool() + step.how().takes(), "[]");
    }
}
