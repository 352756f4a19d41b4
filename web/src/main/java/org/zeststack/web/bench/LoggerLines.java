package org.zeststack.web.bench;

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
import org.zeststack.store.bench.Bench;

/**
 * Reads the lines of a logger: a moment and a temperature, parted by a comma, semicolon or tab. The moment is in seconds from the first
 * reading of the cook, or a date and time with its zone. A first line of words is taken for the head. The same line twice counts once.
 */
public final class LoggerLines {

    static final int MOST_LINES = 10_000;

    private static final int MOST_TOLD = 5;
    private static final double LONGEST_SECONDS = 86_400;

    private LoggerLines() {}

    /** The readings; faults name line and value. */
    static List<Bench.Reading> read(String text, Instant startedAt, Instant now, Faults faults) {
        List<String> lines =
                text.lines().map(String::strip).filter(l -> !l.isEmpty()).toList();
        if (lines.isEmpty() || lines.size() > MOST_LINES) {
            String message = "Give 1 to %d lines; there are %d.".formatted(MOST_LINES, lines.size());
            faults.add(Fault.of("text", String.valueOf(lines.size()), message));
            return List.of();
        }
        List<Bench.Reading> readings = new ArrayList<>();
        int told = 0;
        for (int i = head(lines.get(0)) ? 1 : 0; i < lines.size(); i++) {
            Bench.Reading reading = reading(lines.get(i), startedAt, now);
            if (reading != null) {
                readings.add(reading);
            } else if (told++ < MOST_TOLD) {
                String shown =
                        lines.get(i).substring(0, Math.min(60, lines.get(i).length()));
                faults.add(Fault.of(
                        "text",
                        shown,
                        "Line %d, “%s”: needs a moment and %s, for example 35,102.4."
                                .formatted(i + 1, shown, ReadingBounds.CELSIUS.inWords())));
            }
        }
        if (readings.isEmpty() && told == 0) {
            faults.add(Fault.of("text", "", "There is no reading below the head."));
        }
        return readings;
    }

    /** Temperatures by second from the first line on, with no cook to belong to. */
    public static Map<Double, Double> celsiusBySecond(String text, Faults faults) {
        List<Bench.Reading> readings = read(text, Instant.EPOCH, Instant.MAX.minus(Duration.ofDays(1)), faults);
        Map<Double, Double> celsius = new LinkedHashMap<>();
        Instant first = readings.isEmpty() ? Instant.EPOCH : readings.get(0).at();
        readings.forEach(r -> celsius.put(Duration.between(first, r.at()).toMillis() / 1000.0, r.celsius()));
        return celsius;
    }

    private static boolean head(String line) {
        return line.chars().noneMatch(Character::isDigit);
    }

    private static Bench.Reading reading(String line, Instant startedAt, Instant now) {
        String[] cells = cells(line);
        if (cells.length != 2) {
            return null;
        }
        Instant at = moment(cells[0], startedAt);
        OptionalDouble celsius = DegreesText.parse(cells[1]);
        if (at == null || celsius.isEmpty() || !ReadingBounds.CELSIUS.holds(celsius.getAsDouble())) {
            return null;
        }
        int milli = (int) Math.round(celsius.getAsDouble() * 1000);
        Instant kept = ReadingBounds.notAhead(at, now);
        UUID key = UUID.nameUUIDFromBytes((at + " " + milli).getBytes(StandardCharsets.UTF_8));
        return new Bench.Reading(key, kept, milli, false);
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
            return text.length() > 40
                    ? null
                    : OffsetDateTime.parse(text.replace(' ', 'T')).toInstant();
        } catch (DateTimeException e) {
            return null;
        }
    }
}
