package org.zeststack.store.json;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import org.jooq.JSONB;
import org.testng.annotations.Test;
import org.zeststack.core.method.Act;
import org.zeststack.core.method.MethodStep;
import org.zeststack.core.run.RunSheet;

/** Parts of sheets as earlier releases froze them: they are read, and say the same. */
public class OldSheetTest {

    @Test
    public void aBatchCalledItsFinishedMassUsable() {
        RunSheet.FormulaBatch batch = StoredJson.read(JSONB.valueOf("""
                        {"key": "formula-1-v1", "name": "caramel", "version": 1, "material": "caramel", "depositGrams": 950,
                         "usableGrams": 1000, "factor": 1.5, "rawGrams": 1200, "lines": [], "potGrams": {},
                         "dextroseEquivalent": 42, "stopCelsius": 118, "stopCelsiusHere": 116, "stopReading": 116.8,
                         "method": [], "why": {"title": "why", "lines": [], "source": "then"}}
                        """), RunSheet.FormulaBatch.class);
        assertEquals(batch.finishedGrams(), Double.valueOf(1000));
        assertEquals(batch.usableGrams(), 950.0);
        assertEquals(batch.deposit(), new RunSheet.Deposit(950, 0, 0));
        assertEquals(batch.ending(), RunSheet.Ending.READING);
        assertTrue(batch.taken().isEmpty());
    }

    @Test
    public void aMeltedCouvertureKnewOnlyWhatComesBack() {
        RunSheet.CouvertureBatch melt = StoredJson.read(JSONB.valueOf("""
                        {"key": "couverture-dark", "name": "dark", "kind": "dark", "usedGrams": 200, "meltGrams": 800,
                         "comesBackGrams": 590, "why": {"title": "why", "lines": [], "source": "then"}}
                        """), RunSheet.CouvertureBatch.class);
        assertEquals(melt.scrapedGrams(), Double.valueOf(10));
        assertEquals(melt.bowlGrams() + melt.pouredGrams(), 590.0);
    }

    @Test
    public void aTargetWasForOneCavityAndOneComponent() {
        RunSheet.LayerTarget target = StoredJson.read(JSONB.valueOf("""
                        {"key": "filling-1", "component": "formula-1-v1", "kind": "FILLING", "name": "caramel",
                         "material": "caramel", "thicknessMm": 10.5,
                         "window": {"leastGrams": 35, "targetGrams": 39, "greatestGrams": 43}}
                        """), RunSheet.LayerTarget.class);
        assertEquals(target.perPiece(), Integer.valueOf(1));
        assertEquals(target.shareOf("formula-1-v1"), 1.0);
    }

    /** Sheets frozen before methods were worked: their steps have figures only, and their formula is weighed where it is cooked. */
    @Test
    public void stepsWithoutAMethodAreReadAsTheyStand() {
        RunSheet.BenchStep step = StoredJson.read(JSONB.valueOf("""
                {"id": "cook:formula-1-v1", "kind": "COOK", "component": "formula-1-v1", "layer": "", "title": "Cook caramel",
                 "detail": "Take the pot off at 117 °C on the probe. Then weigh it.", "caution": "burns"}"""), RunSheet.BenchStep.class);
        assertEquals(step.how(), new MethodStep("", "", ""));
        assertEquals(step.how().does(), Act.HAND);
        MethodStep told = StoredJson.read(
                JSONB.valueOf("{\"action\": \"Boil\", \"cue\": \"118 °C\", \"caution\": \"hot\"}"), MethodStep.class);
        assertEquals(told, new MethodStep("Boil", "118 °C", "hot"));
        MethodStep cooks = told.doing(Act.COOK, "");
        assertEquals(StoredJson.read(StoredJson.write(cooks), MethodStep.class), cooks, "and kept anew");
    }
}
