package org.zeststack.web.api;

import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Faults;
import tools.jackson.databind.JsonNode;

/** The numbers of one request. Every unknown, missing, misspelt or faulty field is told, all together. */
final class ApiInput {

    private final Map<String, Double> numbers = new TreeMap<>();

    private ApiInput() {}

    /**
     * Reads a JSON object.
     *
     * @throws org.zeststack.core.quantity.InvalidInput with every fault
     */
    static ApiInput read(JsonNode body, Calculator calculator) {
        List<ApiField> fields = calculator.fields();
        Faults faults = new Faults();
        onlyFields(body, fields.stream().map(ApiField::name).toList(), faults);
        ApiInput input = numbers(body, fields, faults);
        List<String> together =
                calculator.notTogether().stream().filter(body::hasNonNull).toList();
        if (together.size() > 1) {
            String message = "Give only one of " + String.join(" and ", together) + ".";
            together.forEach(name -> faults.add(Fault.of(name, body.get(name).toString(), message)));
        }
        faults.throwIfAny();
        return input;
    }

    /** Tells every field that has no meaning; a body that is no object ends the reading at once. */
    static void onlyFields(JsonNode body, List<String> names, Faults faults) {
        if (body == null || !body.isObject()) {
            faults.add(Fault.of("", "", "The request must be one JSON object."));
            faults.throwIfAny();
        }
        for (String name : body.propertyNames()) {
            if (!names.contains(name)) {
                faults.add(Fault.of(name, body.get(name).toString(), "Unknown field " + name + "."));
            }
        }
    }

    /** The numbers of an object; faults are noted. */
    static ApiInput numbers(JsonNode body, List<ApiField> fields, Faults faults) {
        ApiInput input = new ApiInput();
        fields.forEach(field -> input.take(field, body.get(field.name()), faults));
        return input;
    }

    private void take(ApiField field, JsonNode node, Faults faults) {
        if (node == null || node.isNull()) {
            if (field.absent() == null) {
                faults.add(bad(field, "", "is missing"));
            }
            return;
        }
        if (!node.isNumber()) {
            faults.add(bad(field, node.toString(), "is not a number: " + node));
        } else if (faults.within(field.name(), node.doubleValue(), field.range())) {
            numbers.put(field.name(), node.doubleValue());
        }
    }

    private static Fault bad(ApiField field, String given, String what) {
        return new Fault(
                field.name(),
                given,
                field.range().least(),
                field.range().greatest(),
                field.range().unit(),
                "%s %s; permitted: %s."
                        .formatted(field.name(), what, field.range().inWords()));
    }

    boolean has(String name) {
        return numbers.containsKey(name);
    }

    double get(ApiField field) {
        return numbers.getOrDefault(field.name(), field.absent());
    }
}
