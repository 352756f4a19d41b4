package org.zeststack.web.api;

import jakarta.servlet.http.HttpServletRequest;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.web.HttpMediaTypeNotSupportedException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.quantity.Refusal;
import org.zeststack.store.bench.Bench;
import org.zeststack.store.bench.KeyTaken;
import org.zeststack.web.page.Release;
import tools.jackson.databind.JsonNode;

/** Answers programs. Numbers go out unrounded; faults as RFC 9457 problem details, all at once. */
@RestController
@RequestMapping("/api/v1")
class ApiController {

    private final Map<String, Calculator> calculators = Calculators.all().stream()
            .collect(Collectors.toMap(c -> "/api/v1" + c.path(), Function.identity(), (a, b) -> a, LinkedHashMap::new));

    private final FormulaApi formulas;
    private final BarApi bars;
    private final CookApi cooks;
    private final Release release;

    ApiController(FormulaApi formulas, BarApi bars, CookApi cooks, Release release) {
        this.formulas = formulas;
        this.bars = bars;
        this.cooks = cooks;
        this.release = release;
    }

    @PostMapping({"/sugar/{what}", "/cavity/{what}", "/slab/{what}", "/temper/{what}", "/air/{what}"})
    Object calculate(HttpServletRequest request, @RequestBody JsonNode body) {
        Calculator calculator = calculators.get(request.getServletPath());
        if (calculator == null) {
            return nothing(request);
        }
        return calculator.compute().apply(ApiInput.read(body, calculator));
    }

    @PostMapping("/bar/assemble")
    Map<String, Object> assemble(@RequestBody JsonNode body) {
        return bars.assemble(body);
    }

    @PostMapping("/cooks/{id:[0-9]{1,18}}/readings")
    Object readings(@PathVariable long id, @RequestBody JsonNode body, HttpServletRequest request) {
        return taken(cooks.readings(id, Bench.SeriesKind.COOK, body), "This cook has ended", request);
    }

    @PostMapping("/tempers/{id:[0-9]{1,18}}/readings")
    Object temperReadings(@PathVariable long id, @RequestBody JsonNode body, HttpServletRequest request) {
        return taken(cooks.readings(id, Bench.SeriesKind.TEMPER, body), "This bowl has ended", request);
    }

    private Object taken(Optional<CookApi.Taken> taken, String ended, HttpServletRequest request) {
        if (taken.isPresent() && taken.get().isOver()) {
            return problem(HttpStatus.CONFLICT, ended, "Its readings are closed.", List.of());
        }
        return taken.isPresent() ? taken.get() : nothing(request);
    }

    @PostMapping("/formula/parse")
    Map<String, Object> parse(@RequestBody JsonNode body) {
        return formulas.parse(body);
    }

    @PostMapping("/formula/scale")
    Map<String, Object> scale(@RequestBody JsonNode body) {
        return formulas.scale(body);
    }

    @GetMapping("/ingredients")
    Map<String, Object> ingredients() {
        return formulas.ingredients();
    }

    @GetMapping("/openapi.json")
    Map<String, Object> openApi() {
        return OpenApi.describe(
                release.number(), calculators.values(), cooks.celsius().range());
    }

    /** Any other address or method below the interface. */
    @RequestMapping("/**")
    ResponseEntity<ProblemDetail> nothing(HttpServletRequest request) {
        String detail =
                request.getMethod() + " " + request.getServletPath() + " is not here; see /api/v1/openapi.json.";
        return problem(HttpStatus.NOT_FOUND, "No such calculator", detail, List.of());
    }

    /** One fault of a request. */
    record Told(String pointer, String value, Double least, Double greatest, String unit, String message) {

        static Told of(Fault fault) {
            return new Told(
                    fault.field().isEmpty() ? "" : "/" + fault.field(),
                    fault.given(),
                    fault.least(),
                    fault.greatest(),
                    fault.unit(),
                    fault.message());
        }
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> faulty(InvalidInput input) {
        List<Told> told = new ArrayList<>();
        input.faults().forEach(fault -> told.add(Told.of(fault)));
        return problem(HttpStatus.BAD_REQUEST, "The request has faults", input.getMessage(), told);
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> refused(Refusal refusal) {
        return problem(HttpStatus.UNPROCESSABLE_CONTENT, "No number can be given", refusal.getMessage(), List.of());
    }

    /** Nothing of the request is kept. */
    @ExceptionHandler
    ResponseEntity<ProblemDetail> taken(KeyTaken taken) {
        String keys = taken.keys().stream().map(Object::toString).collect(Collectors.joining(", "));
        String detail = taken.getMessage() + " As they are kept here, they are " + keys + ".";
        return problem(HttpStatus.CONFLICT, "Another reading has this key", detail, List.of());
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> unreadable(HttpMessageNotReadableException e) {
        String message = "The request is not readable as JSON.";
        return problem(
                HttpStatus.BAD_REQUEST, "The request has faults", message, List.of(Told.of(Fault.of("", "", message))));
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> notJson(HttpMediaTypeNotSupportedException e) {
        String detail = "Send application/json.";
        return problem(HttpStatus.UNSUPPORTED_MEDIA_TYPE, "Not JSON", detail, List.of());
    }

    private static ResponseEntity<ProblemDetail> problem(
            HttpStatus status, String title, String detail, List<Told> errors) {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, detail);
        problem.setTitle(title);
        problem.setProperty("errors", errors);
        return ResponseEntity.status(status)
                .contentType(MediaType.APPLICATION_PROBLEM_JSON)
                .body(problem);
    }
}
