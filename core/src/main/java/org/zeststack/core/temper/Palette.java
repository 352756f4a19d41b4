package org.zeststack.core.temper;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.zeststack.core.quantity.AmountText;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.quantity.Range;

/**
 * A colour mixed at home of coloured cocoa butters, by parts.
 *
 * @param parts what goes in, in the order written
 */
public record Palette(List<Shade> parts) {

    public static final Range GRAMS = new Range(0.05, 1000, "g");
    public static final Range MOULDS = new Range(1, 1000, "moulds");
    public static final Range KEEPS = new Range(0, 500, "g");
    private static final Range PARTS = new Range(0.01, 1000, "parts");
    private static final int MOST = 12;

    /** One of its colours. */
    public record Shade(String name, double parts, double grams) {}

    /**
     * Reads {@code 3 red}, one to a line or parted by semicolons, and shares the grams out.
     *
     * @throws InvalidInput on field {@code palette} where a line is no amount and a name
     */
    public static Palette of(String text, double totalGrams) {
        List<Shade> read = new ArrayList<>();
        for (String line : text.split("[\n;]")) {
            if (!line.isBlank()) {
                read.add(shade(line.strip()));
            }
        }
        if (read.isEmpty() || read.size() > MOST) {
            throw new InvalidInput(
                    Fault.of("palette", text, "Write 1 to %d colours, for example 3 red.".formatted(MOST)));
        }
        double all = read.stream().mapToDouble(Shade::parts).sum();
        return new Palette(read.stream()
                .map(s -> new Shade(s.name, s.parts, totalGrams * s.parts / all))
                .toList());
    }

    private static Shade shade(String line) {
        int space = line.indexOf(' ');
        OptionalDouble parts = space < 0 ? OptionalDouble.empty() : AmountText.parse(line.substring(0, space));
        if (parts.isEmpty() || !PARTS.holds(parts.getAsDouble())) {
            throw new InvalidInput(
                    Fault.of("palette", line, "“%s”: write parts and a name, for example 3 red.".formatted(line)));
        }
        return new Shade(line.substring(space + 1).strip(), parts.getAsDouble(), 0);
    }
}
