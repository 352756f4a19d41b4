package org.zeststack.web.api;

import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.format.DateTimeParseException;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Faults;
import org.zeststack.store.bench.Bench;
import org.zeststack.web.bench.ReadingBounds;
import tools.jackson.databind.JsonNode;

/** The door through which thermometers send what they read of a pot. */
@Component
class CookApi {

    private static final int LONGEST_KEY = 80;
    private static final ApiField CELSIUS =
            ApiField.required("celsius", ReadingBounds.CELSIUS, "What the thermometer shows");
    private static final List<String> NAMES = List.of("at", "celsius", "key");

    private final Bench bench;
    private final Clock clock;

    CookApi(Bench bench, Clock clock) {
        this.bench = bench;
        this.clock = clock;
    }

    /**
     * What came of readings.
     *
     * @param accepted how many were new
     * @param known how many were there already
     * @param refused how many were read after the end
     */
    record Taken(int accepted, int known, int refused) {

        boolean isOver() {
            return refused > 0 && accepted + known == 0;
        }
    }

    /**
     * Readings of one cook or bowl, in any order; one that is sent again under its key counts once.
     *
     * @return empty where there is none of that kind
     */
    Optional<Taken> readings(long series, Bench.SeriesKind kind, JsonNode body) {
        Faults faults = new Faults();
        ApiInput.onlyFields(body, List.of("readings"), faults);
        List<Bench.Reading> readings = readings(body.path("readings"), faults);
        faults.throwIfAny();
        if (bench.series(series).filter(s -> s.kind() == kind).isEmpty()) {
            return Optional.empty();
        }
        Bench.Came came = bench.addReadings(series, readings, clock.instant());
        return Optional.of(new Taken(came.accepted(), came.known(), came.refused()));
    }

    private List<Bench.Reading> readings(JsonNode list, Faults faults) {
        List<Bench.Reading> readings = new ArrayList<>();
        if (!list.isArray() || list.isEmpty() || list.size() > ReadingBounds.MOST) {
            faults.add(Fault.of(
                    "readings",
                    list.isArray() ? String.valueOf(list.size()) : "",
                    "readings must be a list of 1 to " + ReadingBounds.MOST + "."));
            return readings;
        }
        Instant now = clock.instant();
        for (int i = 0; i < list.size(); i++) {
            String at = "readings/" + i;
            Faults own = new Faults();
            Optional<Bench.Reading> reading = reading(list.get(i), now, own);
            own.list().forEach(f -> faults.add(f.at(f.field().isEmpty() ? at : at + "/" + f.field())));
            reading.ifPresent(readings::add);
        }
        return readings;
    }

    private static Optional<Bench.Reading> reading(JsonNode one, Instant now, Faults faults) {
        if (!one.isObject()) {
            faults.add(Fault.of("", one.toString(), "A reading is an object of at, celsius and key."));
            return Optional.empty();
        }
        ApiInput.onlyFields(one, NAMES, faults);
        ApiInput numbers = ApiInput.numbers(one, List.of(CELSIUS), faults);
        Instant at = at(one.path("at"), now, faults);
        JsonNode key = one.path("key");
        if (!key.isString() || key.stringValue().isBlank() || key.stringValue().length() > LONGEST_KEY) {
            faults.add(Fault.of("key", key.toString(), "key must be a text of 1 to " + LONGEST_KEY + " characters."));
        }
        return faults.isEmpty()
                ? Optional.of(new Bench.Reading(
                        key(key.stringValue()), at, (int) Math.round(numbers.get(CELSIUS) * 1000), false))
                : Optional.empty();
    }

    private static Instant at(JsonNode node, Instant now, Faults faults) {
        try {
            Instant at = OffsetDateTime.parse(node.asString("")).toInstant();
            if (!ReadingBounds.late(at, now)) {
                return ReadingBounds.notAhead(at, now);
            }
        } catch (DateTimeParseException e) {
            // told below
        }
        faults.add(Fault.of(
                "at",
                node.toString(),
                "at must be a moment of the last day, for example " + now.truncatedTo(ChronoUnit.SECONDS) + "."));
        return now;
    }

    /** Keys that are no UUID are made one, always the same. */
    private static UUID key(String text) {
        try {
            return UUID.fromString(text);
        } catch (IllegalArgumentException e) {
            return UUID.nameUUIDFromBytes(text.getBytes(StandardCharsets.UTF_8));
        }
    }
}
