package org.zeststack.web.api;

import java.nio.file.Files;
import java.nio.file.Path;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** No test: {@code ./zest record} writes the recorded answers of programs anew with it, those fields that were compared before. */
public class RecordAnswers extends DemoCalls {

    private static final JsonMapper PLAIN =
            JsonMapper.builder().enable(SerializationFeature.INDENT_OUTPUT).build();

    @Test
    public void writeThemAnew() throws Exception {
        ArrayNode calls = (ArrayNode) cases(RecordedAnswersTest.FILE);
        for (JsonNode call : calls) {
            JsonNode now = caller.answer(
                    call.get("path").asString(),
                    call.get("body").toString(),
                    call.get("status").asInt());
            ((ObjectNode) call).set("answer", asBefore(call.get("answer"), now));
        }
        Path file = Path.of("src/test/resources/org/zeststack/web/api", RecordedAnswersTest.FILE);
        Files.writeString(file, PLAIN.writeValueAsString(calls).replaceAll("(?m)^ +", "") + "\n");
    }

    private static JsonNode asBefore(JsonNode before, JsonNode now) {
        if (before instanceof ObjectNode object && now.isObject()) {
            object.propertyNames().stream().toList().forEach(name -> {
                if (now.has(name)) {
                    object.set(name, asBefore(object.get(name), now.get(name)));
                }
            });
            return object;
        }
        boolean same = before.isNumber()
                && now.isNumber()
                && Math.abs(before.asDouble() - now.asDouble())
                        <= RecordedAnswersTest.SAME * Math.max(1, Math.abs(before.asDouble()));
        return same ? before : now;
    }
}
