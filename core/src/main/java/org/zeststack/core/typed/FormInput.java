package org.zeststack.core.typed;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeFormatterBuilder;
import java.time.format.DateTimeParseException;
import java.time.format.ResolverStyle;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.zeststack.core.quantity.AmountText;
import org.zeststack.core.quantity.DegreesText;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.quantity.Numbers;
import org.zeststack.core.quantity.Range;
import org.zeststack.core.quantity.Say;

/**
 * One form as typed, the faults found in it and, after a clash of two savers, what the other one saved. Nothing typed is
 * ever dropped: the page is drawn again from here.
 */
public final class FormInput {

    private static final List<DateTimeFormatter> DAYS = List.of(
            DateTimeFormatter.ISO_LOCAL_DATE,
            new DateTimeFormatterBuilder()
                    .parseCaseInsensitive()
                    .appendPattern("[EEE ]d MMM uuuu")
                    .toFormatter(Locale.ENGLISH)
                    .withResolverStyle(ResolverStyle.STRICT),
            DateTimeFormatter.ofPattern("d.M.uuuu").withResolverStyle(ResolverStyle.STRICT));

    private final Map<String, String> typed;
    private final List<Fault> faults = new ArrayList<>();
    private Map<String, String> theirs = Map.of();
    private String theirName = "";

    /** What no field takes; each field has narrower bounds of its own. */
    public static final int LONGEST = 40_000;

    /** What no number with its unit takes. */
    private static final int BRIEF = 100;

    private FormInput(Map<String, String> typed) {
        this.typed = new LinkedHashMap<>();
        typed.forEach((field, text) -> this.typed.put(field, kept(field, text)));
    }

    /** Characters that nobody types, which no database keeps, are told and left out; quantities that we say ourselves stand as they are shown. */
    private String kept(String field, String said) {
        if (said == null) {
            return "";
        }
        String text = Say.metric(said);
        if (text.length() > LONGEST) {
            faults.add(Fault.of(
                    field,
                    shortened(text),
                    "%d characters; at most %d fit into a field.".formatted(text.length(), LONGEST)));
            return text.substring(0, LONGEST);
        }
        int odd = -1;
        for (int i = 0; i < text.length() && odd < 0; i++) {
            odd = isOdd(text, i) ? i : -1;
        }
        if (odd < 0) {
            return text;
        }
        faults.add(Fault.of(
                field,
                "",
                "Character %d is one that cannot be written down (U+%04X); it is left out."
                        .formatted(odd + 1, (int) text.charAt(odd))));
        StringBuilder clean = new StringBuilder();
        for (int i = 0; i < text.length(); i++) {
            if (!isOdd(text, i)) {
                clean.append(text.charAt(i));
            }
        }
        return clean.toString();
    }

    /** A control character that is no break of a line or tab, or half of a character. */
    private static boolean isOdd(String text, int i) {
        char c = text.charAt(i);
        if (Character.isISOControl(c)) {
            return c != '\n' && c != '\r' && c != '\t';
        }
        boolean low = Character.isLowSurrogate(c) && (i == 0 || !Character.isHighSurrogate(text.charAt(i - 1)));
        boolean high = Character.isHighSurrogate(c)
                && (i + 1 == text.length() || !Character.isLowSurrogate(text.charAt(i + 1)));
        return low || high;
    }

    public static FormInput of(Map<String, String> typed) {
        return new FormInput(typed);
    }

    /** What stands in a field. */
    public String text(String field) {
        return typed.getOrDefault(field, "");
    }

    public boolean has(String field) {
        return !text(field).isBlank();
    }

    public Map<String, String> typed() {
        return typed;
    }

    /** A number inside a range; NaN with a fault noted where it is none. */
    public double number(String field, Range range) {
        String text = text(field).strip();
        OptionalDouble number = AmountText.parse(text);
        if (number.isEmpty()) {
            String wrong = text.isEmpty() ? "Write a number" : "\u201c" + shortened(text) + "\u201d is not a number";
            faults.add(new Fault(
                    field,
                    text,
                    range.least(),
                    range.greatest(),
                    range.unit(),
                    "%s; permitted: %s.".formatted(wrong, range.inWords())));
            return Double.NaN;
        }
        if (!range.holds(number.getAsDouble())) {
            faults.add(Fault.outside(field, shortened(text), range));
            return Double.NaN;
        }
        return number.getAsDouble();
    }

    /** A temperature inside a range, in °C; it may be typed in °F with its letter, as printed recipes have it. */
    public double celsius(String field, Range range) {
        return celsius(field, range, DegreesText::parse);
    }

    /** Where a cook is stopped, in °C; it may be a range, which means its middle. */
    public double stop(String field, Range range) {
        return celsius(field, range, DegreesText::stop);
    }

    private double celsius(String field, Range range, Function<String, OptionalDouble> reader) {
        OptionalDouble celsius = reader.apply(text(field).strip());
        if (celsius.isEmpty()) {
            return number(field, range);
        }
        if (!range.holds(celsius.getAsDouble())) {
            faults.add(Fault.outside(field, shortened(text(field).strip()), range));
            return Double.NaN;
        }
        return celsius.getAsDouble();
    }

    /** A short text, such as a length with its unit; what is longer is told, and is none. */
    public String brief(String field) {
        String text = text(field);
        if (text.length() > BRIEF) {
            faults.add(
                    Fault.of(field, shortened(text), "%d characters; at most %d fit.".formatted(text.length(), BRIEF)));
            return "";
        }
        return text.strip();
    }

    /** A whole number inside a range; the range's least with a fault noted where it is none. */
    public int whole(String field, Range range) {
        double number = number(field, range);
        if (number != Math.rint(number)) {
            if (!Double.isNaN(number)) {
                faults.add(Fault.of(field, text(field), "Write a whole number, " + range.inWords() + "."));
            }
            return (int) range.least();
        }
        return (int) number;
    }

    /** A number typed in percent, as a fraction; the range is that of the fraction. */
    public double percent(String field, Range fraction) {
        double percent = number(field, new Range(100 * fraction.least(), 100 * fraction.greatest(), "%"));
        // So that 11.2 % is 0.112 and not a hair less.
        return Double.isNaN(percent) ? percent : Math.round(percent * 1e10) / 1e12;
    }

    /** A day as it is written everywhere, 30 Nov 2026, with the day of the week or not; in figures too. Empty with a fault noted where it is none. */
    public Optional<LocalDate> day(String field) {
        String text = text(field).strip();
        for (DateTimeFormatter format : DAYS) {
            try {
                return Optional.of(LocalDate.parse(text, format));
            } catch (DateTimeParseException other) {
                // The next way of writing it.
            }
        }
        faults.add(Fault.of(field, shortened(text), "Write a day, for example 30 Nov 2026 or 2026-11-30."));
        return Optional.empty();
    }

    /** Text that must be there, of at most {@code most} characters. */
    public String required(String field, int most) {
        String text = text(field).strip();
        if (text.isEmpty()) {
            faults.add(Fault.of(field, "", "Write something here."));
        }
        return limited(field, most);
    }

    /** Text of at most {@code most} characters, or none; of a longer one, which is told, only as many are read. */
    public String limited(String field, int most) {
        String text = text(field).strip();
        if (text.length() > most) {
            faults.add(
                    Fault.of(field, shortened(text), "%d characters; at most %d fit.".formatted(text.length(), most)));
            return text.substring(0, most);
        }
        return text;
    }

    /** One of an enum's names; null with a fault noted where it is none. */
    public <E extends Enum<E>> E choice(String field, Class<E> type) {
        try {
            return Enum.valueOf(type, text(field));
        } catch (IllegalArgumentException e) {
            faults.add(Fault.of(field, text(field), "Choose one."));
            return null;
        }
    }

    /** The version the form was drawn from; −1, which no version has, where the form does not say. */
    public int lock() {
        try {
            return Integer.parseInt(text("lock"));
        } catch (NumberFormatException e) {
            return -1;
        }
    }

    /** Builds a value if nothing is wrong so far; its own complaints are noted too. */
    public <T> Optional<T> build(Supplier<T> value) {
        if (!faults.isEmpty()) {
            return Optional.empty();
        }
        try {
            return Optional.of(value.get());
        } catch (InvalidInput input) {
            faults.addAll(input.faults());
            return Optional.empty();
        }
    }

    public void add(Fault fault) {
        faults.add(fault);
    }

    public void addAll(List<Fault> more) {
        faults.addAll(more);
    }

    public List<Fault> faults() {
        return List.copyOf(faults);
    }

    public boolean faulty() {
        return !faults.isEmpty();
    }

    /** What is wrong with a field; empty text where nothing is. */
    public String fault(String field) {
        return faults.stream()
                .filter(f -> f.field().equals(field))
                .map(Fault::message)
                .findFirst()
                .orElse("");
    }

    /** Notes what somebody else saved meanwhile. */
    public void clash(String by, Map<String, String> saved) {
        theirName = by;
        theirs = Map.copyOf(saved);
    }

    /** Who saved meanwhile; empty where nobody did. */
    public String clashedWith() {
        return theirName;
    }

    /** What somebody else saved in a field, if it differs from what is typed here; null where not. */
    public String theirs(String field) {
        if (theirName.isEmpty()) {
            return null;
        }
        String other = theirs.getOrDefault(field, "");
        return other.strip().equals(text(field).strip()) ? null : other.isBlank() ? "(empty)" : other;
    }

    /** Fields that the other saver has and this form has not, such as lines added meanwhile. */
    public Map<String, String> onlyTheirs() {
        Map<String, String> only = new LinkedHashMap<>();
        theirs.forEach((field, text) -> {
            if (!typed.containsKey(field) && !text.isBlank()) {
                only.put(field, text);
            }
        });
        return only;
    }

    /** Everything that a page shows of a form. */
    public record Standing(
            Map<String, String> typed, List<Fault> faults, Map<String, String> theirs, String theirName) {}

    public Standing standing() {
        return new Standing(typed, faults, theirs, theirName);
    }

    /** The fields that begin with one of {@code prefixes}, what is wrong with them and what somebody else saved in them. */
    public FormInput part(List<String> prefixes) {
        Predicate<String> in = field -> {
            for (String prefix : prefixes) {
                if (field.startsWith(prefix)) {
                    return true;
                }
            }
            return false;
        };
        FormInput part = new FormInput(Map.of());
        copy(typed, in, part.typed);
        faults.stream().filter(fault -> in.test(fault.field())).forEach(part.faults::add);
        if (!theirName.isEmpty()) {
            part.theirName = theirName;
            part.theirs = copy(theirs, in, new HashMap<>());
        }
        return part;
    }

    private static Map<String, String> copy(Map<String, String> from, Predicate<String> in, Map<String, String> to) {
        from.forEach((field, text) -> {
            if (in.test(field)) {
                to.put(field, text);
            }
        });
        return to;
    }

    /** How much stands in it, in characters. */
    public int length() {
        return Stream.of(typed, theirs)
                .flatMap(fields -> fields.entrySet().stream())
                .mapToInt(field -> field.getKey().length() + field.getValue().length())
                .sum();
    }

    /** A number as a field shows it. */
    public static String shown(double number) {
        return Numbers.plain(number);
    }

    private static String shortened(String text) {
        return text.length() > 40 ? text.substring(0, 40) + "…" : text;
    }
}
