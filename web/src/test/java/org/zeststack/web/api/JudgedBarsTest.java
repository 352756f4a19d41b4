package org.zeststack.web.api;

import static org.testng.Assert.assertEquals;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/**
 * Thirty bars that a master of the trade would let pass and thirty with planted faults, judged by someone who had not seen the rules.
 * A good one must be quiet, every planted fault named with its weight, and nothing said that is not there.
 */
public class JudgedBarsTest extends DemoCalls {

    private static final String GOOD_TO_KNOW = "good-to-know";

    /**
     * Where we see it otherwise. Reckoned with flat faces there are 24.3 % of chocolate; a coat of one thickness goes round the edges
     * too, which makes it 25.4 %, and the name is met.
     */
    private static final Map<String, List<String>> ARGUED = Map.of(
            "marzipan bar with 24.3 % chocolate sold as filled chocolate", List.of("wants will-fail name-not-met"));

    @DataProvider
    public Object[][] bars() throws Exception {
        JsonNode bars = cases("judged-bars.json");
        Object[][] rows = new Object[bars.size()][];
        for (int i = 0; i < rows.length; i++) {
            rows[i] = new Object[] {bars.get(i).get("name").asString(), bars.get(i)};
        }
        assertEquals(rows.length, 60);
        return rows;
    }

    @Test(dataProvider = "bars")
    public void isJudgedAsAMasterWould(String name, JsonNode judged) throws Exception {
        List<String> wrong = wrong(judged);
        assertEquals(wrong, ARGUED.getOrDefault(name, List.of()), name);
    }

    private List<String> wrong(JsonNode judged) throws Exception {
        JsonNode calls = caller.answer("/bar/assemble", judged.get("bar").toString(), 200)
                .get("calls");
        List<String> wrong = new ArrayList<>();
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
                wrong.add("must not say " + call.get("weight").asString() + " " + code + ": "
                        + call.get("message").asString() + " ["
                        + call.get("arithmetic").asString() + "]");
            }
        }
        return wrong;
    }
}
