package org.zeststack.app.design;

import static org.zeststack.core.typed.FormInput.shown;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.zeststack.app.words.Show;
import org.zeststack.core.method.Act;
import org.zeststack.core.method.Ending;
import org.zeststack.core.method.MethodStep;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.typed.FormInput;
import org.zeststack.core.typed.Rows;

/** Fields of a method's steps, {@code step.N.action} and so on, to text and back. */
public final class MethodFields {

    private static final int MOST_STEPS = 60;
    private static final List<String> PARTS =
            List.of("action", "cue", "caution", "tool", "setting", "takes", "right", "wrong");
    private static final String YES = "yes";
    private static final String NO = "no";

    private MethodFields() {}

    public static void put(Map<String, String> fields, List<MethodStep> method) {
        for (int i = 0; i < method.size(); i++) {
            put(fields, i, method.get(i));
        }
    }

    /** Writes a step into row {@code n}. */
    public static void put(Map<String, String> fields, int n, MethodStep step) {
        String f = "step." + n + ".";
        fields.put(f + "action", step.action());
        fields.put(f + "cue", step.cue());
        fields.put(f + "caution", step.caution());
        fields.put(f + "tool", step.tool());
        fields.put(f + "setting", step.setting());
        fields.put(f + "takes", String.join(", ", step.takes()));
        fields.put(f + "handsOff", step.handsOff() ? YES : "");
        fields.put(f + "stir", step.stir() == null ? "" : step.stir() ? YES : NO);
        fields.put(f + "restLeast", step.restLeastMinutes() == null ? "" : shown(step.restLeastMinutes()));
        fields.put(f + "restGreatest", step.restGreatestMinutes() == null ? "" : shown(step.restGreatestMinutes()));
        fields.put(f + "right", step.right());
        fields.put(f + "wrong", step.wrong());
        fields.put(f + "rightPhoto", step.rightPhoto() == null ? "" : String.valueOf(step.rightPhoto()));
        fields.put(f + "wrongPhoto", step.wrongPhoto() == null ? "" : String.valueOf(step.wrongPhoto()));
        fields.put(f + "does", step.acts() ? does(step) : "");
    }

    /** What a step does and what to, as the form has it. */
    public static String does(MethodStep step) {
        return (step.does() + " " + step.part()).strip();
    }

    /** Puts other steps in the place of those in the form. */
    public static void replace(FormInput form, List<MethodStep> method) {
        drop(form);
        put(form.typed(), method);
    }

    /** Rows of steps, with an empty one to write in. */
    public static List<Integer> rows(FormInput form) {
        List<Integer> rows = new ArrayList<>(Rows.used(form, "step"));
        int last = rows.isEmpty() ? -1 : rows.get(rows.size() - 1);
        if (last < 0 || form.has("step." + last + ".action") || form.has("step." + last + ".cue")) {
            rows.add(last + 1);
        }
        return rows;
    }

    /** Whether the steps written are those of one of {@code usual}, or none. */
    public static boolean untouched(FormInput form, List<List<MethodStep>> usual) {
        List<String> written = Rows.used(form, "step").stream()
                .map(n -> form.text("step." + n + ".action") + "|" + form.text("step." + n + ".cue"))
                .filter(step -> !step.equals("|"))
                .toList();
        return written.isEmpty()
                || usual.stream()
                        .map(steps -> steps.stream()
                                .map(step -> step.action() + "|" + step.cue())
                                .toList())
                        .anyMatch(written::equals);
    }

    /** Short for a list of steps, to tell whether somebody has touched it. */
    public static String mark(List<MethodStep> method) {
        return UUID.nameUUIDFromBytes(method.toString().getBytes(StandardCharsets.UTF_8))
                .toString();
    }

    public static void drop(FormInput form) {
        form.typed().keySet().removeIf(field -> field.startsWith("step."));
    }

    /** Reads the steps; faults are noted. */
    public static List<MethodStep> read(FormInput form) {
        List<MethodStep> method = new ArrayList<>();
        written(form).forEach(row -> method.add(step(form, "step." + row + ".")));
        if (method.size() > MOST_STEPS) {
            form.add(Fault.of("steps", String.valueOf(method.size()), "At most " + MOST_STEPS + " steps."));
        }
        return method;
    }

    /** Rows that a step is written in, as they come in the method. */
    public static List<Integer> written(FormInput form) {
        return Rows.used(form, "step").stream()
                .filter(row -> PARTS.stream().anyMatch(part -> form.has("step." + row + "." + part)))
                .toList();
    }

    private static MethodStep step(FormInput form, String f) {
        Double least = rest(form, f + "restLeast");
        Double greatest = rest(form, f + "restGreatest");
        if (least != null && greatest != null && least > greatest) {
            form.add(Fault.of(f + "restLeast", form.text(f + "restLeast"), "The least wait is above the greatest."));
        }
        return new MethodStep(
                form.limited(f + "action", 600),
                form.limited(f + "cue", Ending.LONGEST_CUE),
                form.limited(f + "caution", 300),
                form.limited(f + "tool", 120),
                form.limited(f + "setting", 120),
                form.text(f + "handsOff").equals(YES),
                least,
                greatest,
                form.limited(f + "right", 200),
                form.limited(f + "wrong", 200),
                photo(form.text(f + "rightPhoto")),
                photo(form.text(f + "wrongPhoto")),
                act(form.text(f + "does")),
                part(form.text(f + "does")),
                MethodStep.takes(form.limited(f + "takes", 120)),
                stir(form.text(f + "stir")));
    }

    private static Boolean stir(String said) {
        return said.equals(YES) ? Boolean.TRUE : said.equals(NO) ? Boolean.FALSE : null;
    }

    private static Act act(String does) {
        String name = does.split(" ", 2)[0];
        return Arrays.stream(Act.values())
                .filter(a -> a.name().equals(name))
                .findFirst()
                .orElse(Act.HAND);
    }

    private static String part(String does) {
        return does.length() <= 120 && does.contains(" ") ? does.split(" ", 2)[1] : "";
    }

    private static Long photo(String id) {
        return id.matches("[0-9]{1,15}") ? Long.valueOf(id) : null;
    }

    /** A wait in minutes; hours and days are understood too. */
    private static Double rest(FormInput form, String field) {
        if (!form.has(field)) {
            return null;
        }
        List<Ending> endings = Ending.read(form.text(field));
        boolean told = endings.size() == 1
                && endings.get(0).kind() == Ending.Kind.MINUTES
                && !endings.get(0).words().equals("overnight");
        return told
                ? Double.valueOf(endings.get(0).least())
                : Double.valueOf(form.number(field, MethodStep.REST_MINUTES));
    }

    /** The signs of each step's cue, in words. */
    public static Map<Integer, String> notes(FormInput form) {
        Map<Integer, String> notes = new LinkedHashMap<>();
        for (int row : rows(form)) {
            notes.put(
                    row,
                    Ending.read(form.text("step." + row + ".cue")).stream()
                            .map(MethodFields::words)
                            .distinct()
                            .collect(Collectors.joining(" · ")));
        }
        return notes;
    }

    private static String words(Ending ending) {
        if (!ending.numbered()) {
            return ending.kind().words();
        }
        boolean range = ending.greatest() > ending.least();
        Show show = Show.INSTANCE;
        return switch (ending.kind()) {
            case READING ->
                "reading " + (range ? show.number(ending.least(), 1) + "–" : "") + show.celsius(ending.greatest());
            case MINUTES ->
                "time " + (range ? show.minutes(ending.least()) + "–" : "") + show.minutes(ending.greatest());
            case WEIGHT -> "weight " + show.grams(ending.least());
            default -> ending.kind().words();
        };
    }
}
