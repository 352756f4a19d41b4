package org.zeststack.core.household;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/**
 * Brings an amount that stands behind its name to the front: {@code sugar: 250 g}, {@code almonds, 400 g, toasted},
 * {@code yolks, 2}.
 */
final class TurnAround {

    private static final Set<String> SEPARATORS = Set.of(",", ";", ":", "-");

    /** A number behind one of these belongs to the name, unless a measure follows it. */
    private static final Set<String> NAMING = Set.of("de", "type", "no", "nr");

    private static final Set<String> TIMES = Set.of("x", "\u00d7", "*");

    private TurnAround() {}

    /**
     * An amount among the tokens.
     *
     * @param more the measure of a bare number at its end, as in {@code 1 kg 200}; empty for none
     */
    private record Found(int from, int to, boolean measured, String more) {}

    /** The tokens with the amount first; as they were where it stands there already or nowhere. */
    static List<String> of(List<String> written) {
        List<String> first = Words.dashed(written, "-");
        if (first.isEmpty() || first.get(0).matches("[0-9.,]+") || new AmountReader().read(new Cursor(first))) {
            return first;
        }
        // Behind a name a dash with room around it parts name and amount, and is no range.
        List<String> tokens = Words.dashed(written, ":");
        Found best = null;
        for (int i = 1; i < tokens.size() && (best == null || !best.measured); i++) {
            Found found = at(tokens, i);
            if (found != null && (best == null || found.measured)) {
                best = found;
            }
        }
        return best == null ? tokens : turned(tokens, best);
    }

    private static Found at(List<String> tokens, int i) {
        if (tokens.get(i - 1).equals("/")) {
            return null;
        }
        Cursor cursor = new Cursor(tokens);
        cursor.back(i);
        AmountReader reader = new AmountReader();
        if (!reader.read(cursor)) {
            return null;
        }
        Measured main = reader.main();
        boolean number = tokens.subList(i, cursor.mark()).stream().anyMatch(t -> t.matches(".*[0-9].*"));
        if (NAMING.contains(Words.folded(tokens.get(i - 1))) && !main.isMass() && !main.isVolume()) {
            return null;
        }
        boolean bare = tokens.get(cursor.mark() - 1).matches("[0-9]{1,3}")
                && !reader.terms().isEmpty();
        String more = bare ? reader.terms().get(0).measured().unit().word() : "";
        boolean measured = main.unit() != null && (number || main.unit() != Unit.VAGUE);
        boolean separated = SEPARATORS.contains(tokens.get(i - 1));
        boolean ends = cursor.atEnd() || SEPARATORS.contains(cursor.raw(0));
        boolean counted = main.unit() == null && number && (separated || cursor.atEnd()) && (ends || separated);
        return measured || counted ? new Found(i, cursor.mark(), measured, more) : null;
    }

    private static boolean joins(String token) {
        return SEPARATORS.contains(token) || TIMES.contains(token);
    }

    private static List<String> turned(List<String> tokens, Found found) {
        List<String> turned = new ArrayList<>(tokens.subList(found.from, found.to));
        if (!found.more.isEmpty()) {
            turned.add(found.more);
        }
        List<String> name = new ArrayList<>(tokens.subList(0, found.from));
        while (!name.isEmpty() && joins(name.get(name.size() - 1))) {
            name.remove(name.size() - 1);
        }
        turned.addAll(name);
        List<String> rest = tokens.subList(found.to, tokens.size());
        if (!rest.isEmpty() && !SEPARATORS.contains(rest.get(0))) {
            turned.add(",");
        }
        turned.addAll(rest);
        return turned;
    }
}
