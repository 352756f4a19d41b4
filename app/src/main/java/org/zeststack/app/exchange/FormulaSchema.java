package org.zeststack.app.exchange;

import com.networknt.schema.Error;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;
import org.zeststack.core.quantity.Fault;
import tools.jackson.databind.JsonNode;

/** The published schema of our own format, which every document that comes in must meet before anything of it is looked at. */
public final class FormulaSchema {

    private static final String PLACE = "/static/assets/schema/formula-1.json";
    private static final int MOST_TOLD = 8;
    private static final int SHOWN = 40;
    private static final Schema SCHEMA = load();

    private FormulaSchema() {}

    private static Schema load() {
        try (InputStream stream = FormulaSchema.class.getResourceAsStream(PLACE)) {
            return SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                    .getSchema(stream);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** What does not meet it, with its place and value; at most the first {@value #MOST_TOLD}. */
    public static List<Fault> faults(JsonNode document) {
        return SCHEMA.validate(document).stream()
                .limit(MOST_TOLD)
                .map(FormulaSchema::fault)
                .toList();
    }

    private static Fault fault(Error error) {
        String place = error.getInstanceLocation().toString();
        JsonNode node = error.getInstanceNode();
        String value = node == null || node.isContainer() ? "" : node.toString();
        String shown = value.length() > SHOWN ? value.substring(0, SHOWN) + "…" : value;
        return Fault.of(
                "text",
                shown,
                "%s%s: %s."
                        .formatted(
                                place.isEmpty() ? "The document" : place,
                                shown.isEmpty() ? "" : " is " + shown,
                                error.getMessage()));
    }
}
