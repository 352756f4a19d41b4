package org.zeststack.app.bench;

import java.nio.charset.StandardCharsets;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.UUID;
import org.zeststack.core.quantity.AmountText;
import org.zeststack.core.quantity.DegreesText;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.quantity.Range;

/**
 * Reads the lines of a logger: a moment and a temperature, parted by a comma, semicolon or tab. The moment is in seconds from the first
 * reading of the cook, or a date and time with its zone. A first line of words is taken for the head. The same line twice counts once.
 */
public final class LoggerLines {

    static final int MOST_LINES = 10_000;
    /** Lines have some ten characters; what is longer is judged before it is looked into. */
    static final int MOST_CHARACTERS = 60 * MOST_LINES;

    private static final int MOST_TOLD = 5;
    private static final int SHOWN = 60;
    private static final double LONGEST_SECONDS = 86_400;
    /** What clocks of our time say; anything else is no moment. */
    private static final Instant EARLIEST = Instant.parse("1970-01-01T00:00:00Z");

    private static final Instant LATEST = Instant.parse("2200-01-01T00:00:00Z");

    private LoggerLines() {}

    /** A line that says something, by its number in the text. */
    public record Line(int number, Instant at, double celsius) {

        /** The reading, by a clock that is ahead by so much. The same line is the same reading, whatever its clock is thought to be. */
        public ReadingDoor.Given given(Duration ahead) {
            UUID key = UUID.nameUUIDFromBytes((at + " " + Math.round(1000 * celsius)).getBytes(StandardCharsets.UTF_8));
            return new ReadingDoor.Given(key, at.minus(ahead), celsius, false);
        }
    }

    /** The lines; faults name line and value. */
    public static List<Line> read(String text, Instant startedAt, Range celsius, Faults faults) {
        if (text.length() > MOST_CHARACTERS) {
            faults.add(Fault.of(
                    "text", "", "%d characters; at most %d are read.".formatted(text.length(), MOST_CHARACTERS)));
            return List.of();
        }
        List<String> lines =
                text.lines().map(String::strip).filter(l -> !l.isEmpty()).toList();
        if (lines.isEmpty() || lines.size() > MOST_LINES) {
            String message = "Give 1 to %d lines; there are %d.".formatted(MOST_LINES, lines.size());
            faults.add(Fault.of("text", String.valueOf(lines.size()), message));
            return List.of();
        }
        List<Line> read = new ArrayList<>();
        int told = 0;
        for (int i = head(lines.get(0)) ? 1 : 0; i < lines.size() && told < MOST_TOLD; i++) {
            Line line = line(i + 1, lines.get(i), startedAt, celsius);
            if (line != null) {
                read.add(line);
            } else {
                told++;
                String shown =
                        lines.get(i).substring(0, Math.min(SHOWN, lines.get(i).length()));
                faults.add(Fault.of(
                        "text",
                        shown,
                        "Line %d, \u201c%s\u201d: needs a moment and %s, for example 35,102.4."
                                .formatted(i + 1, shown, celsius.inWords())));
            }
        }
        if (read.isEmpty() && told == 0) {
            faults.add(Fault.of("text", "", "There is no reading below the head."));
        }
        return read;
    }

    /** Temperatures by second from the first line on, with no cook to belong to. */
    public static Map<Double, Double> celsiusBySecond(String text, Range range, Faults faults) {
        List<Line> lines = read(text, Instant.EPOCH, range, faults);
        Map<Double, Double> celsius = new LinkedHashMap<>();
        Instant first = lines.isEmpty() ? Instant.EPOCH : lines.get(0).at();
        lines.forEach(line -> celsius.put(Duration.between(first, line.at()).toMillis() / 1000.0, line.celsius()));
        return celsius;
    }

    private static boolean head(String line) {
        return line.chars().noneMatch(Character::isDigit);
    }

    private static Line line(int number, String line, Instant startedAt, Range range) {
        String[] cells = cells(line);
        if (cells.length != 2) {
            return null;
        }
        Instant at = moment(cells[0], startedAt);
        OptionalDouble celsius = DegreesText.parse(cells[1]);
        return at == null || celsius.isEmpty() || !range.holds(celsius.getAsDouble())
                ? null
                : new Line(number, at, celsius.getAsDouble());
    }

    /** Parted by tabs or semicolons, in which numbers may have a decimal comma, or else by a comma. */
    private static String[] cells(String line) {
        for (String mark : List.of("\t", ";", ",")) {
            if (line.contains(mark)) {
                String[] cells = line.split(mark, -1);
                for (int i = 0; i < cells.length; i++) {
                    cells[i] = cells[i].strip();
                }
                return cells;
            }
        }
        return new String[0];
    }

    private static Instant moment(String text, Instant startedAt) {
        OptionalDouble seconds = AmountText.parse(text);
        if (seconds.isPresent()) {
            double s = seconds.getAsDouble();
            return s >= 0 && s <= LONGEST_SECONDS ? startedAt.plusMillis(Math.round(1000 * s)) : null;
        }
        try {
            Instant at = text.length() > 40
                    ? null
                    : OffsetDateTime.parse(text.replace(' ', 'T')).toInstant();
            return at == null || at.isBefore(EARLIEST) || at.isAfter(LATEST) ? null : at;
        } catch (DateTimeException e) {
            return null;
        }
    }
}
