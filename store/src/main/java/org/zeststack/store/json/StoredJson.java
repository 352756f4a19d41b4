package org.zeststack.store.json;

import org.jooq.JSONB;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** Records of the core to {@code jsonb} and back. Unknown fields of a newer version fail instead of getting lost. */
public final class StoredJson {

    private static final JsonMapper MAPPER = JsonMapper.builder()
            .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
            .build();

    private StoredJson() {}

    public static JSONB write(Object body) {
        return JSONB.valueOf(MAPPER.writeValueAsString(body));
    }

    public static <T> T read(JSONB json, Class<T> type) {
        return MAPPER.readValue(json.data(), type);
    }
}
