package org.zeststack.store.json;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNull;
import static org.testng.Assert.expectThrows;

import org.jooq.JSONB;
import org.testng.annotations.Test;
import org.zeststack.core.explain.Call;
import org.zeststack.core.formula.Family;
import org.zeststack.core.formula.Finish;
import org.zeststack.core.formula.Formula;
import org.zeststack.core.formula.FormulaLine;

/** What earlier releases wrote is read by this one. */
public class OldFormulaTest {

    /** As the first release kept a formula: lines of ingredient, grams and role; steps of action, cue and caution. */
    private static final String FIRST = """
            {"family": "CARAMEL", "stopCelsius": 118.5, "handlingLossFraction": 0.04,
             "lines": [{"ingredient": "sugar", "grams": 540.0, "role": "POT"},
                       {"ingredient": "butter", "grams": 95.0, "role": "OFF_HEAT"}],
             "method": [{"action": "Boil", "cue": "gold", "caution": "It spits"}]}
            """;

    @Test
    public void formulasOfTheFirstRelease() {
        Formula formula = StoredJson.read(JSONB.valueOf(FIRST), Formula.class);
        assertEquals(formula.family(), Family.CARAMEL);
        assertEquals(formula.lines().get(1).role(), FormulaLine.Role.OFF_HEAT);
        assertFalse(formula.lines().get(0).toEffect());
        assertEquals(formula.lines().get(0).written(), "");
        assertEquals(formula.finish(), Finish.PLAIN);
        assertEquals(formula.method().get(0).tool(), "");
        assertFalse(formula.method().get(0).handsOff());
        assertEquals(StoredJson.read(StoredJson.write(formula), Formula.class), formula, "and kept anew");
    }

    @Test
    public void callsOfTheFirstReleases() {
        Call call = StoredJson.read(
                JSONB.valueOf("{\"weight\": \"TAKE_CARE\", \"code\": \"back-thick\", \"message\": \"Back\","
                        + " \"arithmetic\": \"1 + 1\", \"source\": \"practice\"}"),
                Call.class);
        assertNull(call.change());
    }

    @Test
    public void whatANewerReleaseWroteIsRefusedInsteadOfLost() {
        String newer = FIRST.replace("\"family\"", "\"planet\": \"Mars\", \"family\"");
        expectThrows(RuntimeException.class, () -> StoredJson.read(JSONB.valueOf(newer), Formula.class));
    }
}
