package org.zeststack.core.typed;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import org.zeststack.core.quantity.Fault;

/** Numbered rows of a form: fields {@code WHAT.N.NAME}. */
public final class Rows {

    /** More rows than this are not looked at: no form has so many, and each kind of row has a narrower bound of its own. */
    public static final int MOST = 100;

    private Rows() {}

    /** Numbers of the rows that a form has fields of, in order; those after the first {@value #MOST} are told and left out. */
    public static List<Integer> used(FormInput form, String what) {
        TreeSet<Integer> rows = new TreeSet<>();
        String prefix = what + ".";
        for (String field : form.typed().keySet()) {
            int end = field.startsWith(prefix) ? field.indexOf('.', prefix.length()) : -1;
            if (end > prefix.length() && end <= prefix.length() + 4) {
                String number = field.substring(prefix.length(), end);
                if (number.chars().allMatch(c -> c >= '0' && c <= '9')) {
                    rows.add(Integer.parseInt(number));
                }
            }
        }
        if (rows.size() > MOST) {
            String told = "%d rows; at most %d are read.".formatted(rows.size(), MOST);
            if (!form.fault(what).equals(told)) {
                form.add(Fault.of(what, String.valueOf(rows.size()), told));
            }
            return rows.stream().limit(MOST).toList();
        }
        return List.copyOf(rows);
    }

    /** What is read counts its rows without the empty ones of the form; a fault goes back to the row typed. */
    public static Fault atRow(Fault fault, String what, List<Integer> rows) {
        String[] parts = fault.field().split("\\.", 3);
        return parts.length < 3 || !parts[0].equals(what)
                ? fault
                : fault.at(what + "." + rows.get(Integer.parseInt(parts[1])) + "." + parts[2]);
    }

    public static void drop(FormInput form, String what, int row) {
        form.typed().keySet().removeIf(field -> field.startsWith(what + "." + row + "."));
    }

    /** Makes room for a row: the one there and all after it move down by one. */
    public static void insert(FormInput form, String what, int row) {
        List<Integer> rows = used(form, what);
        for (int i = rows.size() - 1; i >= 0 && rows.get(i) >= row; i--) {
            move(form.typed(), what + "." + rows.get(i) + ".", what + "." + (rows.get(i) + 1) + ".");
        }
    }

    private static void move(Map<String, String> typed, String from, String to) {
        Map<String, String> moved = new LinkedHashMap<>();
        typed.forEach((field, text) -> {
            if (field.startsWith(from)) {
                moved.put(to + field.substring(from.length()), text);
            }
        });
        typed.keySet().removeIf(field -> field.startsWith(from));
        typed.putAll(moved);
    }

    /** Puts a row before the one above it. */
    public static void up(FormInput form, String what, int row) {
        List<Integer> rows = used(form, what);
        int at = rows.indexOf(row);
        if (at > 0) {
            swap(form.typed(), what + "." + row + ".", what + "." + rows.get(at - 1) + ".");
        }
    }

    private static void swap(Map<String, String> typed, String one, String other) {
        Map<String, String> moved = new LinkedHashMap<>();
        typed.forEach((field, text) -> {
            if (field.startsWith(one)) {
                moved.put(other + field.substring(one.length()), text);
            } else if (field.startsWith(other)) {
                moved.put(one + field.substring(other.length()), text);
            }
        });
        typed.keySet().removeIf(field -> field.startsWith(one) || field.startsWith(other));
        typed.putAll(moved);
    }
}
