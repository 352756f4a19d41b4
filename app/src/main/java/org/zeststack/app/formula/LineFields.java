package org.zeststack.app.formula;

import static org.zeststack.core.typed.FormInput.shown;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.springframework.stereotype.Component;
import org.zeststack.app.shelf.Names;
import org.zeststack.app.shelf.Shelf;
import org.zeststack.core.formula.Family;
import org.zeststack.core.formula.Formula;
import org.zeststack.core.formula.FormulaLine;
import org.zeststack.core.formula.UsualPlace;
import org.zeststack.core.household.HouseholdLine;
import org.zeststack.core.household.Measures;
import org.zeststack.core.household.Recipe;
import org.zeststack.core.quantity.AmountText;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Range;
import org.zeststack.core.typed.FormInput;

/**
 * Fields of one line: a name as typed, the slug or link it stands for, an amount as typed, the place that its family suggested,
 * and the guesses that nobody has confirmed yet.
 */
@Component
public class LineFields {

    private static final String BAR = " | ";
    private static final Range STEP = new Range(1, 60, "");
    private static final Range PIECE = new Range(0.01, 5000, "g");

    private final Shelf shelf;
    private final Names names;

    LineFields(Shelf shelf, Names names) {
        this.shelf = shelf;
        this.names = names;
    }

    /** Writes a line into row {@code n}. */
    public void put(Map<String, String> fields, int n, FormulaLine line) {
        String f = "line." + n + ".";
        fields.put(f + "ingredient", names.of(line.ingredient()));
        fields.put(f + "slug", line.ingredient());
        fields.put(f + "grams", shown(line.grams()));
        fields.put(f + "role", line.role().name());
        fields.put(f + "effect", line.toEffect() ? "yes" : "");
        fields.put(f + "upTo", line.upToGrams() == null ? "" : shown(line.upToGrams()));
        fields.put(f + "step", line.step() == null ? "" : String.valueOf(line.step()));
        pieces(fields, f, line.pieces(), line.grams());
        fields.put(f + "written", line.written());
        fields.put(f + "guesses", String.join(BAR, line.guesses()));
        fields.put(f + "others", "");
    }

    /** Writes a household line into row {@code n}; what is not known stays empty and is asked for, its place is the family's usual. */
    public void put(Map<String, String> fields, int n, HouseholdLine read) {
        String f = "line." + n + ".";
        String bare = read.source().strip();
        fields.put(f + "ingredient", read.ingredient() == null ? bare : names.of(read.ingredient()));
        fields.put(f + "slug", read.ingredient() == null ? "" : read.ingredient());
        fields.put(f + "grams", grams(read));
        Optional<FormulaLine.Role> usual =
                read.optional() ? Optional.empty() : usualPlace(fields.get("family"), read.ingredient());
        FormulaLine.Role role = usual.orElse(read.optional() ? FormulaLine.Role.OPTIONAL : FormulaLine.Role.POT);
        fields.put(f + "role", role.name());
        fields.put(f + "effect", read.toEffect() ? "yes" : "");
        fields.put(f + "step", "");
        pieces(fields, f, read.pieces(), read.grams());
        fields.put(f + "written", bare);
        fields.put(f + "placed", usual.map(Enum::name).orElse(""));
        fields.put(f + "guesses", String.join(BAR, read.guesses()));
        fields.put(f + "others", String.join(" ", read.others()));
    }

    /** Counted pieces and what one weighs, which a workshop may know better. */
    private static void pieces(Map<String, String> fields, String f, Double pieces, Double grams) {
        boolean counted = pieces != null && pieces > 0 && grams != null;
        String each = counted ? shown(Math.round(100 * grams / pieces) / 100.0) : "";
        fields.put(f + "pieces", pieces == null ? "" : shown(pieces));
        fields.put(f + "each", each);
        fields.put(f + "eachWas", each);
    }

    /** Another weight of one piece changes the grams; other grams change what one weighs. */
    private static void weighed(FormInput form, String f) {
        String each = form.text(f + "each").strip();
        OptionalDouble pieces = AmountText.parse(form.text(f + "pieces"));
        if (pieces.isEmpty() || each.isEmpty()) {
            return;
        }
        if (!each.equals(form.text(f + "eachWas").strip())) {
            FormInput one = FormInput.of(Map.of(f + "each", each));
            double weight = one.number(f + "each", PIECE);
            form.addAll(one.faults());
            if (!one.faulty()) {
                form.typed().put(f + "grams", shown(Math.round(100 * weight * pieces.getAsDouble()) / 100.0));
                form.typed().put(f + "eachWas", each);
            }
            return;
        }
        OptionalDouble grams = AmountText.parse(form.text(f + "grams"));
        if (grams.isPresent() && pieces.getAsDouble() > 0) {
            String now = shown(Math.round(100 * grams.getAsDouble() / pieces.getAsDouble()) / 100.0);
            form.typed().put(f + "each", now);
            form.typed().put(f + "eachWas", now);
        }
    }

    private Optional<FormulaLine.Role> usualPlace(String family, String slug) {
        return Arrays.stream(Family.values())
                .filter(f -> f.name().equals(family) && slug != null)
                .findFirst()
                .flatMap(f -> shelf.table().find(slug).flatMap(i -> UsualPlace.of(f, i)));
    }

    /** Grams of a household line as a field has them; empty where they are not known. */
    static String grams(HouseholdLine read) {
        return read.grams() == null ? "" : shown(Math.round(read.grams() * 100) / 100.0);
    }

    static String joined(List<String> guesses) {
        return String.join(BAR, guesses);
    }

    /**
     * Puts row {@code n} where a recipe's method says. What does not bear boiling is marked where the method boils it.
     *
     * @param before how many steps stand before those of the recipe
     */
    void place(Map<String, String> fields, int n, Recipe.Place place, int before) {
        String f = "line." + n + ".";
        boolean cooked = place.where() != Recipe.Where.OFF_HEAT;
        Optional<FormulaLine.Role> usual = usualPlace(fields.get("family"), fields.get(f + "slug"));
        if (FormulaLine.Role.OPTIONAL.name().equals(fields.get(f + "role"))) {
            return;
        }
        FormulaLine.Role role = cooked
                ? FormulaLine.Role.POT
                : usual.filter(r -> r == FormulaLine.Role.WARM).orElse(FormulaLine.Role.OFF_HEAT);
        fields.put(f + "role", role.name());
        fields.put(f + "placed", "");
        fields.put(f + "step", place.step() < 0 ? "" : String.valueOf(before + place.step() + 1));
        if (cooked && usual.isPresent()) {
            List<String> guesses = new ArrayList<>(guesses(fields.get(f + "guesses")));
            guesses.add("boils with the others, as the method says; usually it goes in "
                    + usual.get().words());
            fields.put(f + "guesses", joined(guesses));
        }
    }

    /** Puts row {@code n} where the family that is chosen now usually has it, unless somebody has chosen its place. */
    void placeAnew(Map<String, String> fields, int n) {
        String f = "line." + n + ".";
        String role = fields.getOrDefault(f + "role", "");
        String placed = fields.getOrDefault(f + "placed", "");
        boolean chosen = placed.isEmpty() ? !role.equals(FormulaLine.Role.POT.name()) : !placed.equals(role);
        if (chosen || !fields.getOrDefault(f + "step", "").isBlank()) {
            return;
        }
        Optional<FormulaLine.Role> usual = usualPlace(fields.get("family"), fields.get(f + "slug"));
        fields.put(f + "role", usual.orElse(FormulaLine.Role.POT).name());
        fields.put(f + "placed", usual.map(Enum::name).orElse(""));
    }

    /** Reads row {@code n}; faults are noted under its fields. */
    Optional<FormulaLine> read(FormInput form, int n) {
        String f = "line." + n + ".";
        String slug = slug(form, f);
        weighed(form, f);
        FormulaLine.Role role = form.choice(f + "role", FormulaLine.Role.class);
        Double typedPieces = form.has(f + "pieces")
                ? AmountText.parse(form.text(f + "pieces")).orElse(0)
                : null;
        Amount amount = amount(form, f, slug);
        Integer step = form.has(f + "step") ? Integer.valueOf(form.whole(f + "step", STEP)) : null;
        if (slug == null || amount == null || role == null) {
            return Optional.empty();
        }
        Double pieces =
                amount.pieces != null ? amount.pieces : typedPieces != null && typedPieces > 0 ? typedPieces : null;
        boolean effect = form.text(f + "effect").equals("yes");
        Double upTo =
                effect && form.has(f + "upTo") ? Double.valueOf(form.number(f + "upTo", Formula.LINE_GRAMS)) : null;
        List<String> guesses = new ArrayList<>(guesses(form.text(f + "guesses")));
        // Where somebody has chosen another place, it is no guess any more.
        if (form.text(f + "placed").equals(role.name())) {
            guesses.add("usually goes in " + role.words());
        }
        return Optional.of(new FormulaLine(
                slug,
                amount.grams,
                role,
                pieces,
                effect,
                step,
                form.limited(f + "written", 300),
                amount.guesses.isEmpty() ? guesses : amount.guesses,
                upTo));
    }

    public static List<String> guesses(String field) {
        return field.isBlank() ? List.of() : List.of(field.split(" \\| "));
    }

    private record Amount(double grams, Double pieces, List<String> guesses) {}

    /** Grams, or an amount in any measure that a line may have. */
    private Amount amount(FormInput form, String f, String slug) {
        String typed = form.brief(f + "grams");
        if (typed.isEmpty() && form.has(f + "grams")) {
            return null;
        }
        OptionalDouble plain = AmountText.parse(typed.replaceFirst("(?<=[0-9])\\s*g$", ""));
        if (plain.isPresent() && Formula.LINE_GRAMS.holds(plain.getAsDouble())) {
            return new Amount(plain.getAsDouble(), null, List.of());
        }
        boolean effect = form.text(f + "effect").equals("yes");
        if (plain.isPresent() || typed.isEmpty() || slug == null) {
            FormInput one = FormInput.of(Map.of(f + "grams", typed.replaceFirst("(?<=[0-9])\\s*g$", "")));
            double grams = one.number(f + "grams", Formula.LINE_GRAMS);
            if (one.faulty() && typed.isEmpty() && effect) {
                form.add(Fault.of(f + "grams", "", "Write the grams to start from; the bench notes what was used."));
            } else {
                form.addAll(one.faults());
            }
            return one.faulty() ? null : new Amount(grams, null, List.of());
        }
        HouseholdLine read = shelf.reader().read(typed + " " + names.of(slug), measures(form), slug);
        if (read.grams() == null || !Formula.LINE_GRAMS.holds(read.grams())) {
            String why = read.guesses().isEmpty() ? "" : " " + read.guesses().get(0) + ".";
            form.add(new Fault(
                    f + "grams",
                    typed,
                    Formula.LINE_GRAMS.least(),
                    Formula.LINE_GRAMS.greatest(),
                    "g",
                    "\u201c%s\u201d is no amount of it in grams; permitted: %s.%s"
                            .formatted(typed, Formula.LINE_GRAMS.inWords(), why)));
            return null;
        }
        return new Amount(read.grams(), read.pieces(), read.guesses());
    }

    public static Measures measures(FormInput form) {
        Measures own = own(form);
        return own == null ? Measures.METRIC : own;
    }

    /** The measures that the form says; null where it says none. */
    static Measures own(FormInput form) {
        return Arrays.stream(Measures.values())
                .filter(m -> m.name().equals(form.text("measures")))
                .findFirst()
                .orElse(null);
    }

    /** What the typed name stands for; null with a fault noted where it is nothing known. */
    private String slug(FormInput form, String f) {
        String typed = form.text(f + "ingredient").strip();
        String slug = form.text(f + "slug").strip();
        Optional<String> found = names.slug(typed, slug);
        if (found.isEmpty()) {
            String message = typed.isEmpty()
                    ? "Choose an ingredient."
                    : "\u201c%s\u201d is not in the store room: choose from the list or add it there.".formatted(typed);
            form.add(Fault.of(f + "ingredient", typed, message));
        }
        return found.orElse(null);
    }
}
