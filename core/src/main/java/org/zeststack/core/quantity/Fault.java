package org.zeststack.core.quantity;

/**
 * Something wrong with one thing a person or program gave, told so that it can be put right.
 *
 * @param field the field's name, for example {@code shellMm}
 * @param given what was given, as text; null where nothing was
 * @param least least permitted value; null where no range applies
 * @param greatest greatest permitted value; null where no range applies
 * @param unit unit of the range; empty where none
 * @param message what is wrong and what is permitted, in one sentence
 */
public record Fault(String field, String given, Double least, Double greatest, String unit, String message) {

    /** A fault without a range. */
    public static Fault of(String field, String given, String message) {
        return new Fault(field, given, null, null, "", message);
    }

    /** A value outside its range. */
    public static Fault outside(String field, String given, Range range) {
        return new Fault(
                field,
                given,
                range.least(),
                range.greatest(),
                range.unit(),
                "%s is outside %s.".formatted(given, range.inWords()));
    }

    /** The same fault under another field name. */
    public Fault at(String otherField) {
        return new Fault(otherField, given, least, greatest, unit, message);
    }
}
