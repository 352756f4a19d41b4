package org.zeststack.web.bench;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.server.ResponseStatusException;
import org.zeststack.app.Missing;
import org.zeststack.app.bench.LoggerLines;
import org.zeststack.app.bench.ReadingDoor;
import org.zeststack.app.bench.SimulatedDevices;
import org.zeststack.app.bench.Writing;
import org.zeststack.core.bench.EntryKind;
import org.zeststack.core.bench.Moments;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.quantity.Range;
import org.zeststack.core.typed.FormInput;
import org.zeststack.store.bench.Bench;
import org.zeststack.store.bench.Devices;
import org.zeststack.store.bench.KeyTaken;
import org.zeststack.store.rule.OwnBounds;
import org.zeststack.web.security.SignedIn;

/** Where devices write: entries, series and readings. What is sent twice counts once. */
@RestController
class BenchDoor {

    private static final double SIMULATED_SCALE = 20;
    private static final Range SPEED = new Range(1, 60, "times");

    private final Bench bench;
    private final ReadingDoor door;
    private final OwnBounds own;
    private final Writing writing;
    private final Devices devices;
    private final Clock clock;

    BenchDoor(Bench bench, ReadingDoor door, OwnBounds own, Writing writing, Devices devices, Clock clock) {
        this.bench = bench;
        this.door = door;
        this.own = own;
        this.writing = writing;
        this.devices = devices;
        this.clock = clock;
    }

    /**
     * What came of something sent.
     *
     * @param clockOffSeconds what is asked: whether the clock behind it is ahead by so much; null where that is not asked
     */
    record Answer(String outcome, String message, List<Fault> faults, Long clockOffSeconds) {

        static ResponseEntity<Answer> of(HttpStatus status, String outcome, String message) {
            return ResponseEntity.status(status).body(new Answer(outcome, message, List.of(), null));
        }

        /** Possible, but not likely: kept when it is sent again with {@code sure}. */
        static ResponseEntity<Answer> asked(Fault doubt) {
            return clockAsked(doubt, null);
        }

        static ResponseEntity<Answer> clockAsked(Fault doubt, Long clockOffSeconds) {
            return ResponseEntity.unprocessableContent()
                    .body(new Answer("question", "Not written down yet: is it so?", List.of(doubt), clockOffSeconds));
        }

        /** Entries belong to who wrote them, whoever is signed in when they are sent. */
        static ResponseEntity<Answer> anothers(String by) {
            return of(
                    HttpStatus.FORBIDDEN,
                    "anothers",
                    "%s wrote this: it is sent when %s is signed in again.".formatted(word(by), word(by)));
        }

        static ResponseEntity<Answer> faulty(FormInput form) {
            return faulty(form.faults(), "Not written down.");
        }

        static ResponseEntity<Answer> faulty(List<Fault> faults, String message) {
            return ResponseEntity.unprocessableContent().body(new Answer("faulty", message, faults, null));
        }
    }

    /**
     * Who is signed in, with what a page needs to go on after signing in elsewhere, and the time, by which devices correct their own.
     *
     * @param me sign-in name
     * @param csrf the token that requests carry now
     */
    record Hello(String me, String csrf, long millis) {}

    @GetMapping("/hello")
    Hello hello(@AuthenticationPrincipal SignedIn me, CsrfToken csrf) {
        return new Hello(me.login(), csrf.getToken(), clock.millis());
    }

    /**
     * What a device has not sent yet.
     *
     * @param gone whether its page was left
     */
    record SentDevice(UUID device, String name, Integer unsent, Boolean gone) {}

    /** Devices tell what waits on them, so that whoever closes the run knows. */
    @PostMapping("/bench/{id}/device")
    ResponseEntity<Answer> device(
            @PathVariable long id, @RequestBody SentDevice sent, @AuthenticationPrincipal SignedIn me) {
        if (sent.device() == null || sent.unsent() == null || sent.unsent() < 0) {
            throw new ResponseStatusException(
                    HttpStatus.BAD_REQUEST, "A device tells its key and how much it has not sent.");
        }
        var device = new Devices.Device(
                sent.device(),
                word(sent.name()),
                me.name(),
                sent.unsent(),
                Boolean.TRUE.equals(sent.gone()),
                clock.instant());
        if (!devices.heard(id, device)) {
            throw new Missing("This run");
        }
        return Answer.of(HttpStatus.OK, "accepted", "");
    }

    /** Something that was written down stands under this key already. */
    @ExceptionHandler
    ResponseEntity<Answer> taken(KeyTaken taken) {
        return Answer.of(HttpStatus.CONFLICT, "conflict", taken.getMessage());
    }

    /**
     * An entry as sent: fields as typed.
     *
     * @param by sign-in name of who wrote it; null where the page does not say
     */
    record Sent(
            UUID key,
            EntryKind kind,
            Map<String, String> fields,
            String component,
            String device,
            Instant at,
            UUID corrects,
            String by) {}

    @PostMapping("/bench/{id}/entries")
    ResponseEntity<Answer> entry(@PathVariable long id, @RequestBody Sent sent, @AuthenticationPrincipal SignedIn me) {
        if (isAnothers(sent.by(), me)) {
            return Answer.anothers(sent.by());
        }
        var entry = new Writing.Entry(
                sent.key(),
                sent.kind(),
                sent.fields() == null ? Map.of() : sent.fields(),
                word(sent.component()),
                word(sent.device()),
                sent.at(),
                sent.corrects());
        Writing.Written written = writing.write(id, entry, me.name());
        return switch (written.outcome()) {
            case ACCEPTED -> Answer.of(HttpStatus.CREATED, "accepted", "");
            case LATE ->
                Answer.of(
                        HttpStatus.CREATED,
                        "late",
                        "The run was closed meanwhile: this is kept in its ledger as late.");
            case KNOWN -> Answer.of(HttpStatus.OK, "known", "");
            case CONFLICT ->
                Answer.of(HttpStatus.CONFLICT, "conflict", "Something else was written down under the same key.");
            case REFUSED ->
                Answer.of(
                        HttpStatus.GONE,
                        "refused",
                        "This run is not on the bench, or the entry to take back is not there.");
            case FAULTY -> Answer.faulty(written.faults(), "Not written down.");
            case ASKED -> Answer.asked(written.faults().get(0));
        };
    }

    private static boolean isAnothers(String by, SignedIn me) {
        return by != null && !by.equals(me.login());
    }

    private static String word(String text) {
        return text == null ? "" : text.substring(0, Math.min(80, text.length()));
    }

    /**
     * A series to start.
     *
     * @param speed how many times as fast a simulated device goes; null for the usual one
     */
    record NewSeries(
            UUID key, String component, Bench.SeriesKind kind, SimulatedDevices.Device simulation, Double speed) {}

    @PostMapping("/bench/{id}/series")
    ResponseEntity<Map<String, Long>> startSeries(@PathVariable long id, @RequestBody NewSeries sent) {
        if (sent.key() == null || sent.kind() == null) {
            throw new ResponseStatusException(HttpStatus.BAD_REQUEST, "A series needs a key and a kind.");
        }
        boolean simulated = sent.simulation() != null;
        double speed = sent.speed() == null ? SIMULATED_SCALE : sent.speed();
        if (!SPEED.holds(speed)) {
            throw new ResponseStatusException(HttpStatus.BAD_REQUEST, "A simulated device goes 1 to 60 times as fast.");
        }
        return bench.startSeries(
                        id,
                        word(sent.component()),
                        sent.key(),
                        sent.kind(),
                        simulated ? sent.simulation().name() : "",
                        simulated ? speed : 1,
                        clock.instant())
                .map(series -> ResponseEntity.status(HttpStatus.CREATED).body(Map.of("series", series.id())))
                .orElseThrow(() -> new Missing("This component"));
    }

    /** A reading as typed or as an instrument sent it. */
    record SentReading(UUID key, String celsius, Instant at, Boolean confirmed) {}

    /**
     * Readings, oldest first.
     *
     * @param sure whether the person has been asked about an unlikely one and stands by it
     * @param by sign-in name of who read them; null where the page does not say
     */
    record SentReadings(List<SentReading> readings, Boolean sure, String by) {}

    @PostMapping("/bench/series/{series}/readings")
    ResponseEntity<Answer> readings(
            @PathVariable long series, @RequestBody SentReadings sent, @AuthenticationPrincipal SignedIn me) {
        if (isAnothers(sent.by(), me)) {
            return Answer.anothers(sent.by());
        }
        Bench.Series of = bench.series(series).orElseThrow(() -> new Missing("This series"));
        List<SentReading> readings = sent.readings() == null ? List.of() : sent.readings();
        FormInput all = FormInput.of(Map.of());
        if (readings.isEmpty()
                || readings.size() > ReadingDoor.MOST
                || readings.stream().anyMatch(Objects::isNull)) {
            all.add(Fault.of(
                    "readings", String.valueOf(readings.size()), "Send 1 to " + ReadingDoor.MOST + " readings."));
            return Answer.faulty(all);
        }
        Instant now = clock.instant();
        Moments moments = new Moments(own.bounds());
        boolean sure = Boolean.TRUE.equals(sent.sure());
        List<ReadingDoor.Given> given = new ArrayList<>();
        for (SentReading one : readings) {
            FormInput form = FormInput.of(Map.of("celsius", one.celsius() == null ? "" : one.celsius()));
            double celsius = form.celsius("celsius", door.celsius());
            if (one.key() == null) {
                form.add(Fault.of("key", "", "A reading needs a key."));
            }
            all.addAll(form.faults());
            Optional<Fault> doubt = sure || one.at() == null ? Optional.empty() : moments.doubt(one.at(), now);
            if (doubt.isPresent()) {
                return Answer.asked(doubt.get());
            }
            given.add(new ReadingDoor.Given(
                    one.key(),
                    moments.asOf(one.at(), now).orElse(null),
                    celsius,
                    Boolean.TRUE.equals(one.confirmed())));
        }
        return all.faulty() ? Answer.faulty(all) : answered(door.take(of, given, sure), "celsius");
    }

    /** @param field beside which faults are told */
    private static ResponseEntity<Answer> answered(ReadingDoor.Taken taken, String field) {
        if (taken.doubt().isPresent()) {
            return Answer.asked(taken.doubt().get().fault());
        }
        if (!taken.faults().isEmpty()) {
            return Answer.faulty(
                    taken.faults().stream().map(t -> t.fault().at(field)).toList(), "Not written down.");
        }
        return came(taken.came());
    }

    private static ResponseEntity<Answer> came(Bench.Came came) {
        if (came.refused() > 0 && came.accepted() + came.known() == 0) {
            return Answer.of(HttpStatus.GONE, "refused", "This was read after its series had ended.");
        }
        String after = came.refused() == 0 ? "" : ", %d from after the end left out".formatted(came.refused());
        return Answer.of(HttpStatus.CREATED, "accepted", came.accepted() + " new" + after);
    }

    /**
     * Lines of a logger.
     *
     * @param sure whether the person stands by what was asked about
     * @param clockOffSeconds how far the logger's clock is ahead, as the person agreed to; null where it is right
     */
    record SentLog(String text, Boolean sure, Long clockOffSeconds) {}

    @PostMapping("/bench/series/{series}/logger")
    ResponseEntity<Answer> logger(@PathVariable long series, @RequestBody SentLog sent) {
        Bench.Series of = bench.series(series).orElseThrow(() -> new Missing("This series"));
        Faults faults = new Faults();
        List<LoggerLines.Line> lines =
                LoggerLines.read(sent.text() == null ? "" : sent.text(), of.startedAt(), door.celsius(), faults);
        if (!faults.isEmpty()) {
            return Answer.faulty(faults.list(), "Nothing was taken in.");
        }
        Duration off = Duration.ofSeconds(sent.clockOffSeconds() == null ? 0 : sent.clockOffSeconds());
        List<ReadingDoor.Given> given =
                lines.stream().map(line -> line.given(off)).toList();
        ReadingDoor.Taken taken = door.take(of, given, Boolean.TRUE.equals(sent.sure()));
        if (taken.came() != null) {
            return came(taken.came());
        }
        if (taken.doubt().isEmpty()) {
            return Answer.faulty(
                    taken.faults().stream().map(t -> ofLine(lines, t)).toList(), "Nothing was taken in.");
        }
        Fault asked = ofLine(lines, taken.doubt().get());
        if (taken.clockOff() == null) {
            return Answer.asked(asked);
        }
        String apart = Moments.words(taken.clockOff().abs());
        String clock = " If the logger's clock is %s %s, its %d readings are taken in %s %s."
                .formatted(
                        apart,
                        taken.clockOff().isNegative() ? "slow" : "fast",
                        lines.size(),
                        apart,
                        taken.clockOff().isNegative() ? "later" : "earlier");
        return Answer.clockAsked(
                Fault.of("text", asked.given(), asked.message() + clock),
                taken.clockOff().toSeconds());
    }

    private static Fault ofLine(List<LoggerLines.Line> lines, ReadingDoor.Told told) {
        return Fault.of(
                "text",
                told.fault().given(),
                "Line %d: %s"
                        .formatted(
                                lines.get(told.number()).number(), told.fault().message()));
    }

    @PostMapping("/bench/series/{series}/end")
    ResponseEntity<Answer> endSeries(@PathVariable long series) {
        bench.endSeries(series, clock.instant());
        return Answer.of(HttpStatus.OK, "accepted", "");
    }
}
