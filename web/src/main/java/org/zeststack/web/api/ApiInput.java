package org.zeststack.web.api;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Faults;
import tools.jackson.databind.JsonNode;

/** What one request gives. Every unknown, missing, misspelt or faulty field is told, all together. */
final class ApiInput {

    private final Map<String, Double> numbers = new TreeMap<>();
    private final Map<String, String> words = new TreeMap<>();
    private final Map<String, List<ApiInput>> rows = new TreeMap<>();
    private final Map<String, ApiInput> objects = new TreeMap<>();
    private final Set<String> flags = new TreeSet<>();

    private ApiInput() {}

    /**
     * Reads a JSON object.
     *
     * @throws org.zeststack.core.quantity.InvalidInput with every fault
     */
    static ApiInput read(JsonNode body, Calculator calculator) {
        Faults faults = new Faults();
        onlyFields(body, calculator.names(), faults);
        ApiInput input = numbers(body, calculator.fields(), faults);
        calculator.choices().forEach(choice -> input.take(choice, body.get(choice.name()), faults));
        calculator.rows().forEach(list -> input.take(list, body.get(list.name()), faults));
        calculator.objects().forEach(object -> input.take(object, body.get(object.name()), faults));
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

    private void take(ApiChoice choice, JsonNode node, Faults faults) {
        boolean absent = node == null || node.isNull();
        if (absent && choice.absent() != null) {
            words.put(choice.name(), choice.absent());
        } else if (node != null && node.isString() && choice.words().contains(node.stringValue())) {
            words.put(choice.name(), node.stringValue());
        } else {
            String what = absent ? "is missing" : "is not one of its words: " + node;
            faults.add(Fault.of(
                    choice.name(),
                    node == null ? "" : node.toString(),
                    "%s %s; permitted: %s.".formatted(choice.name(), what, String.join(", ", choice.words()))));
        }
    }

    private void take(ApiRows list, JsonNode node, Faults faults) {
        if (node == null || !node.isArray() || node.isEmpty() || node.size() > list.most()) {
            String given = node == null || !node.isArray() ? "" : String.valueOf(node.size());
            faults.add(
                    Fault.of(list.name(), given, "%s must be a list of 1 to %d.".formatted(list.name(), list.most())));
            return;
        }
        List<ApiInput> taken = new ArrayList<>();
        for (int i = 0; i < node.size(); i++) {
            Faults own = new Faults();
            if (node.get(i).isObject()) {
                onlyFields(node.get(i), list.names(), own);
                ApiInput row = numbers(node.get(i), list.fields(), own);
                for (String flag : list.flags()) {
                    row.take(flag, node.get(i).get(flag), own);
                }
                taken.add(row);
            } else {
                own.add(Fault.of("", node.get(i).toString(), "Each of " + list.name() + " must be one JSON object."));
            }
            String at = list.name() + "/" + i;
            own.list().forEach(f -> faults.add(f.at(f.field().isEmpty() ? at : at + "/" + f.field())));
        }
        rows.put(list.name(), taken);
    }

    private void take(String flag, JsonNode node, Faults faults) {
        if (node != null && !node.isNull() && !node.isBoolean()) {
            faults.add(Fault.of(flag, node.toString(), flag + " is true or false."));
        } else if (node != null && node.asBoolean(false)) {
            flags.add(flag);
        }
    }

    private void take(ApiObject object, JsonNode node, Faults faults) {
        if (node == null || node.isNull()) {
            return;
        }
        Faults own = new Faults();
        if (node.isObject()) {
            onlyFields(node, object.fields().stream().map(ApiField::name).toList(), own);
            objects.put(object.name(), numbers(node, object.fields(), own));
        } else {
            own.add(Fault.of("", node.toString(), object.name() + " must be one JSON object."));
        }
        own.list()
                .forEach(f -> faults.add(f.at(f.field().isEmpty() ? object.name() : object.name() + "/" + f.field())));
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

    boolean is(String flag) {
        return flags.contains(flag);
    }

    Optional<ApiInput> get(ApiObject object) {
        return Optional.ofNullable(objects.get(object.name()));
    }

    String get(ApiChoice choice) {
        return words.get(choice.name());
    }

    List<ApiInput> get(ApiRows list) {
        return rows.get(list.name());
    }

    double get(ApiField field) {
        return numbers.getOrDefault(field.name(), field.absent());
    }
}
