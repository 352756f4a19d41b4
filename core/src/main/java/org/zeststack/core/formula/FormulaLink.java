package org.zeststack.core.formula;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.zeststack.core.component.Component;

/**
 * A version of another formula, as a line points to it: {@code formula:12:3} is version 3 of formula 12.
 *
 * @param formula the formula's id
 * @param version counts from 1
 */
public record FormulaLink(long formula, int version) {

    private static final String PREFIX = "formula:";
    private static final Pattern TEXT = Pattern.compile(PREFIX + "([0-9]{1,15}):([0-9]{1,6})");

    /** The link that a line's ingredient is, or empty where it is a plain ingredient. */
    public static Optional<FormulaLink> in(String ingredient) {
        if (!ingredient.startsWith(PREFIX)) {
            return Optional.empty();
        }
        Matcher matcher = TEXT.matcher(ingredient);
        return matcher.matches()
                ? Optional.of(new FormulaLink(Long.parseLong(matcher.group(1)), Integer.parseInt(matcher.group(2))))
                : Optional.empty();
    }

    public String text() {
        return PREFIX + formula + ":" + version;
    }

    /** What a run makes of it. */
    public Component.Made component() {
        return new Component.Made(formula, version);
    }
}
