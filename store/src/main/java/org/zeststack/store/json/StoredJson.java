package org.zeststack.store.json;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.util.Optional;
import org.jooq.JSONB;
import org.zeststack.core.bar.Body;
import org.zeststack.core.cavity.Cavity;
import org.zeststack.core.cavity.Dome;
import org.zeststack.core.cavity.FrustumCavity;
import org.zeststack.core.cavity.HalfCylinder;
import org.zeststack.core.cavity.HalfEllipsoid;
import org.zeststack.core.cavity.SegmentRow;
import org.zeststack.core.cavity.TaperedCavity;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.exc.InvalidFormatException;
import tools.jackson.databind.exc.InvalidTypeIdException;
import tools.jackson.databind.exc.UnrecognizedPropertyException;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Records of the core to {@code jsonb} and back. Unknown fields of a newer version fail instead of getting lost. */
public final class StoredJson {

    /** Bodies and cavities are told apart by a word of their own; the core knows nothing of JSON. */
    @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
    @JsonSubTypes({
        @JsonSubTypes.Type(value = Body.Moulded.class, name = "moulded"),
        @JsonSubTypes.Type(value = Body.Slab.class, name = "slab"),
        @JsonSubTypes.Type(value = Body.Tray.class, name = "tray"),
        @JsonSubTypes.Type(value = Body.Shaped.class, name = "shaped"),
        @JsonSubTypes.Type(value = Body.Sheet.class, name = "sheet"),
        @JsonSubTypes.Type(value = Body.Plate.class, name = "plate"),
        @JsonSubTypes.Type(value = Body.Spread.class, name = "spread")
    })
    private interface BodyKinds {}

    /** Only a cavity's own dimensions are kept; everything else follows from them. */
    @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "shape")
    @JsonSubTypes({
        @JsonSubTypes.Type(value = TaperedCavity.class, name = "tapered"),
        @JsonSubTypes.Type(value = HalfCylinder.class, name = "half-cylinder"),
        @JsonSubTypes.Type(value = Dome.class, name = "dome"),
        @JsonSubTypes.Type(value = HalfEllipsoid.class, name = "half-ellipsoid"),
        @JsonSubTypes.Type(value = FrustumCavity.class, name = "frustum"),
        @JsonSubTypes.Type(value = SegmentRow.class, name = "segment-row")
    })
    private interface CavityShapes {}

    private static final JsonMapper MAPPER = JsonMapper.builder()
            .addMixIn(Body.class, BodyKinds.class)
            .addMixIn(Cavity.class, CavityShapes.class)
            .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
            .build();

    private StoredJson() {}

    public static JSONB write(Object body) {
        return JSONB.valueOf(MAPPER.writeValueAsString(body));
    }

    /** An object as it is written, to be read further by whoever knows its form. */
    public static ObjectNode tree(JSONB json) {
        return (ObjectNode) MAPPER.readTree(json.data());
    }

    public static <T> T read(JsonNode tree, Class<T> type) {
        return MAPPER.treeToValue(tree, type);
    }

    /** What was written, if this release knows every field, kind and choice in it; empty where a newer one wrote it. */
    public static <T> Optional<T> known(JSONB json, Class<T> type) {
        try {
            return Optional.of(read(json, type));
        } catch (UnrecognizedPropertyException | InvalidTypeIdException | InvalidFormatException newer) {
            return Optional.empty();
        }
    }

    public static <T> T read(JSONB json, Class<T> type) {
        return MAPPER.readValue(json.data(), type);
    }
}
