package org.zeststack.web.bench;

import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.util.UriComponentsBuilder;
import org.zeststack.app.bench.SimulatedDevices;
import org.zeststack.core.bench.EntryKind;
import org.zeststack.store.bench.Bench;
import org.zeststack.web.page.Page;
import org.zeststack.web.security.SignedIn;

/** The bench's forms where no script runs: each is a page that goes out and comes back. */
@Page
class PlainWriting {

    /** What the address says, not the fields. */
    private static final List<String> OF_ADDRESS = List.of("kind", "corrects", "once", "from", "_csrf");

    /** Fields that say of what an entry is; they are sent again as they are. */
    private static final Set<String> OF_WHAT =
            Set.of("component", "layer", "step", "ingredient", "sign", "outcome", "photo", "sure", "clockOffSeconds");

    private final BenchDoor door;

    PlainWriting(BenchDoor door) {
        this.door = door;
    }

    @PostMapping("/bench/{id}/write")
    String entry(
            @PathVariable long id,
            @RequestParam EntryKind kind,
            @RequestParam(required = false) UUID corrects,
            @RequestParam(defaultValue = "") String from,
            @RequestParam Map<String, String> typed,
            @AuthenticationPrincipal SignedIn me,
            Model model,
            HttpServletResponse response) {
        Map<String, String> fields = fields(typed);
        // Some forms name it in their fields too: the same, and once.
        String component = fields.getOrDefault("component", "");
        var sent = new BenchDoor.Sent(UUID.randomUUID(), kind, fields, component, "", null, corrects, null);
        return answered(id, from, door.entry(id, sent, me), fields, model, response);
    }

    @PostMapping("/bench/{id}/series/{series}/write")
    String reading(
            @PathVariable long id,
            @PathVariable long series,
            @RequestParam(defaultValue = "") String from,
            @RequestParam Map<String, String> typed,
            @AuthenticationPrincipal SignedIn me,
            Model model,
            HttpServletResponse response) {
        Map<String, String> fields = fields(typed);
        var reading = new BenchDoor.SentReading(
                UUID.randomUUID(), fields.getOrDefault("celsius", ""), null, fields.containsKey("confirmed"));
        var sent = new BenchDoor.SentReadings(List.of(reading), "yes".equals(fields.get("sure")), null);
        return answered(id, from, door.readings(series, sent, me), fields, model, response);
    }

    @PostMapping("/bench/{id}/series/start")
    String start(
            @PathVariable long id,
            @RequestParam String component,
            @RequestParam Bench.SeriesKind kind,
            @RequestParam(required = false) SimulatedDevices.Device simulation,
            @RequestParam(required = false) Double speed,
            @RequestParam(defaultValue = "") String from) {
        door.startSeries(id, new BenchDoor.NewSeries(UUID.randomUUID(), component, kind, simulation, speed));
        return "redirect:" + back(id, from);
    }

    @PostMapping("/bench/{id}/series/{series}/stop")
    String stop(@PathVariable long id, @PathVariable long series, @RequestParam(defaultValue = "") String from) {
        door.endSeries(series);
        return "redirect:" + back(id, from);
    }

    @PostMapping("/bench/{id}/series/{series}/log")
    String log(
            @PathVariable long id,
            @PathVariable long series,
            @RequestParam(defaultValue = "") String text,
            @RequestParam(required = false) Long clockOffSeconds,
            @RequestParam(defaultValue = "") String sure,
            @RequestParam(defaultValue = "") String from,
            Model model,
            HttpServletResponse response) {
        ResponseEntity<BenchDoor.Answer> answer =
                door.logger(series, new BenchDoor.SentLog(text, sure.equals("yes"), clockOffSeconds));
        Map<String, String> fields = new TreeMap<>(Map.of("text", text));
        Long off = answer.getBody().clockOffSeconds() == null
                ? clockOffSeconds
                : answer.getBody().clockOffSeconds();
        if (off != null) {
            fields.put("clockOffSeconds", off.toString());
        }
        return answered(id, from, answer, fields, model, response);
    }

    private static Map<String, String> fields(Map<String, String> typed) {
        Map<String, String> fields = new TreeMap<>(typed);
        OF_ADDRESS.forEach(fields::remove);
        return fields;
    }

    private static String back(long run, String from) {
        return UriComponentsBuilder.fromPath("/bench/{run}")
                .queryParam("step", "{step}")
                .build(run, from)
                .toString();
    }

    private static String answered(
            long run,
            String from,
            ResponseEntity<BenchDoor.Answer> answer,
            Map<String, String> fields,
            Model model,
            HttpServletResponse response) {
        String back = back(run, from);
        if (answer.getStatusCode().is2xxSuccessful()) {
            return "redirect:" + back;
        }
        response.setStatus(answer.getStatusCode().value());
        model.addAttribute("answer", answer.getBody());
        model.addAttribute("ofWhat", OF_WHAT);
        model.addAttribute("fields", fields);
        model.addAttribute("back", back);
        return "bench/not-written";
    }
}
