package org.zeststack.web.api;

import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.zeststack.app.bench.ReadingDoor;
import org.zeststack.core.bench.Moments;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Faults;
import org.zeststack.store.bench.Bench;
import tools.jackson.databind.JsonNode;

/** The door through which thermometers send what they read of a pot. */
@Component
class CookApi {

    private static final int LONGEST_KEY = 80;
    private static final List<String> NAMES = List.of("at", "celsius", "key");

    private final Bench bench;
    private final ReadingDoor door;
    private final Clock clock;

    CookApi(Bench bench, ReadingDoor door, Clock clock) {
        this.bench = bench;
        this.door = door;
        this.clock = clock;
    }

    /** What a thermometer shows; bounds may be the workshop's own. */
    ApiField celsius() {
        return ApiField.required("celsius", door.celsius(), "What the thermometer shows");
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
        ApiInput.onlyFields(body, List.of("readings", "sure"), faults);
        JsonNode sure = body.path("sure");
        if (!sure.isMissingNode() && !sure.isBoolean()) {
            faults.add(Fault.of("sure", sure.toString(), "sure must be true or false."));
        }
        List<ReadingDoor.Given> readings = readings(body.path("readings"), faults);
        faults.throwIfAny();
        Optional<Bench.Series> of = bench.series(series).filter(s -> s.kind() == kind);
        if (of.isEmpty()) {
            return Optional.empty();
        }
        ReadingDoor.Taken taken = door.take(of.get(), readings, sure.asBoolean(false));
        taken.faults().forEach(told -> faults.add(placed(told, "")));
        taken.doubt().ifPresent(told -> faults.add(placed(told, said(taken.clockOff()))));
        faults.throwIfAny();
        Bench.Came came = taken.came();
        return Optional.of(new Taken(came.accepted(), came.known(), came.refused()));
    }

    private static String said(Duration clockOff) {
        return clockOff == null
                ? " Nothing was taken in; send it with sure: true where it is so."
                : " All of these would do if its clock is %s %s: set it."
                        .formatted(Moments.words(clockOff.abs()), clockOff.isNegative() ? "slow" : "fast");
    }

    private static Fault placed(ReadingDoor.Told told, String more) {
        Fault fault = told.fault();
        return new Fault(
                "readings/" + told.number() + "/" + fault.field(),
                fault.given(),
                fault.least(),
                fault.greatest(),
                fault.unit(),
                fault.message() + more);
    }

    private List<ReadingDoor.Given> readings(JsonNode list, Faults faults) {
        List<ReadingDoor.Given> readings = new ArrayList<>();
        if (!list.isArray() || list.isEmpty() || list.size() > ReadingDoor.MOST) {
            faults.add(Fault.of(
                    "readings",
                    list.isArray() ? String.valueOf(list.size()) : "",
                    "readings must be a list of 1 to " + ReadingDoor.MOST + "."));
            return readings;
        }
        Instant now = clock.instant();
        ApiField celsius = celsius();
        for (int i = 0; i < list.size(); i++) {
            String at = "readings/" + i;
            Faults own = new Faults();
            Optional<ReadingDoor.Given> reading = reading(list.get(i), celsius, now, own);
            own.list().forEach(f -> faults.add(f.at(f.field().isEmpty() ? at : at + "/" + f.field())));
            reading.ifPresent(readings::add);
        }
        return readings;
    }

    private static Optional<ReadingDoor.Given> reading(JsonNode one, ApiField celsius, Instant now, Faults faults) {
        if (!one.isObject()) {
            faults.add(Fault.of("", one.toString(), "A reading is an object of at, celsius and key."));
            return Optional.empty();
        }
        ApiInput.onlyFields(one, NAMES, faults);
        ApiInput numbers = ApiInput.numbers(one, List.of(celsius), faults);
        Instant at = at(one.path("at"), now, faults);
        JsonNode key = one.path("key");
        if (!key.isString() || key.stringValue().isBlank() || key.stringValue().length() > LONGEST_KEY) {
            faults.add(Fault.of("key", key.toString(), "key must be a text of 1 to " + LONGEST_KEY + " characters."));
        }
        return faults.isEmpty()
                ? Optional.of(new ReadingDoor.Given(key(key.stringValue()), at, numbers.get(celsius), false))
                : Optional.empty();
    }

    private static Instant at(JsonNode node, Instant now, Faults faults) {
        try {
            return OffsetDateTime.parse(node.asString("")).toInstant();
        } catch (DateTimeException e) {
            faults.add(Fault.of(
                    "at",
                    node.toString(),
                    "at must be a moment, for example " + now.truncatedTo(ChronoUnit.SECONDS) + "."));
            return now;
        }
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
