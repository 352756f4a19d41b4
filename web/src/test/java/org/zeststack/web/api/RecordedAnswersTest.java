package org.zeststack.web.api;

import static org.testng.Assert.assertEquals;

import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/**
 * Sixty calls and what was answered before runs, coats and porous goods were set right: programs must get the same numbers wherever
 * none of that is in play. Fields that came later are not compared. An answer that changes on purpose is recorded anew, with the
 * reason in the commit.
 */
public class RecordedAnswersTest extends DemoCalls {

    static final double SAME = 1e-9;
    static final String FILE = "recorded-answers.json";

    @DataProvider
    public Object[][] calls() throws Exception {
        JsonNode calls = cases(FILE);
        Object[][] rows = new Object[calls.size()][];
        for (int i = 0; i < rows.length; i++) {
            rows[i] = new Object[] {i, calls.get(i)};
        }
        assertEquals(rows.length, 60);
        return rows;
    }

    @Test(dataProvider = "calls")
    public void isAnsweredAsBefore(int number, JsonNode call) throws Exception {
        JsonNode now = caller.answer(
                call.get("path").asString(),
                call.get("body").toString(),
                call.get("status").asInt());
        same(call.get("answer"), now, number + call.get("path").asString());
    }

    private static void same(JsonNode before, JsonNode now, String where) {
        if (before.isObject()) {
            before.propertyNames().forEach(name -> same(before.get(name), now.path(name), where + "/" + name));
        } else if (before.isArray()) {
            assertEquals(now.size(), before.size(), where);
            for (int i = 0; i < before.size(); i++) {
                same(before.get(i), now.get(i), where + "/" + i);
            }
        } else if (before.isNumber()) {
            double was = before.asDouble();
            assertEquals(now.asDouble(), was, SAME * Math.max(1, Math.abs(was)), where);
        } else {
            assertEquals(now.asString(), before.asString(), where);
        }
    }
}
