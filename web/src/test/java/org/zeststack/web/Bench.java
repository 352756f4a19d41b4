package org.zeststack.web;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.BoundingBox;
import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.testng.annotations.Test;
import org.zeststack.app.bar.Assembling;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.judge.BarCalls;
import org.zeststack.core.stack.BarStack;
import org.zeststack.core.workshop.Mould;
import org.zeststack.demo.DemoPeople;
import org.zeststack.store.TestDatabase;
import org.zeststack.store.workshop.WorkshopStore;

/** Measures as ratios within one run. Run by {@code ./zest bench}, never with the tests; prints {@code name: value}. */
public class Bench {

    private static final Pattern CSRF = Pattern.compile("name=\"_csrf\" value=\"([^\"]+)\"");
    private static final Pattern META = Pattern.compile("name=\"csrf\" content=\"([^\"]+)\"");
    private static final int TURNS = 4;
    private static final int SECONDS = 2;
    private static final int HANDS = 8;
    private static final int DRAG_SECONDS = 5;

    private final HttpClient client =
            HttpClient.newBuilder().cookieHandler(new CookieManager()).build();

    private static void say(String name, double amount) {
        System.out.printf(Locale.ROOT, "%s: %.2f%n", name, amount);
    }

    @Test
    public void measure() throws Exception {
        try (TestApp app = TestApp.demo()) {
            signIn(app);
            String barForm = barForm(app);
            HttpRequest bare =
                    HttpRequest.newBuilder(URI.create(app.url() + "/hello")).build();
            HttpRequest page =
                    HttpRequest.newBuilder(URI.create(app.url() + "/bars/5")).build();
            HttpRequest recompute = HttpRequest.newBuilder(URI.create(app.url() + "/bars/5/compute"))
                    .header("Content-Type", "application/x-www-form-urlencoded")
                    .POST(BodyPublishers.ofString(barForm))
                    .build();
            HttpRequest bareApi = api(app, "/api/v1/cavity/tapered", CAVITY);
            HttpRequest formula = HttpRequest.newBuilder(URI.create(app.url() + "/formulas/1/compute"))
                    .header("X-Requested-With", "fetch")
                    .header("Content-Type", "application/x-www-form-urlencoded")
                    .POST(BodyPublishers.ofString(longFormula(app)))
                    .build();
            HttpRequest search = HttpRequest.newBuilder(URI.create(app.url() + "/store-room/search?q=couv"))
                    .header("X-Requested-With", "fetch")
                    .build();
            HttpRequest assemble = api(app, "/api/v1/bar/assemble", SEVEN);
            HttpRequest parse = api(app, "/api/v1/formula/parse", PARSE);
            for (HttpRequest request : List.of(bare, page, recompute, bareApi, formula, search, parse, assemble)) {
                perSecond(request);
            }
            double bareRate = perSecond(bare);
            double pageRate = perSecond(page);
            double recomputeRate = perSecond(recompute);
            say("bare page requests per second", bareRate);
            say("bar page to bare page, rate ratio", pageRate / bareRate);
            say("recompute call to bare page, rate ratio", recomputeRate / bareRate);
            double apiRate = perSecond(bareApi);
            say("bare interface calls per second", apiRate);
            say("bare interface call to recompute of a 25-line formula, rate ratio", ratio(bareApi, formula));
            say("bare interface call to library search per keystroke, rate ratio", ratio(bareApi, search));
            say("bare interface call to reading 12 household lines, rate ratio", ratio(bareApi, parse));
            say("bare interface call to assembling a bar of 7 layers, rate ratio", ratio(bareApi, assemble));
            core(app);
            Page drag = app.signedIn("runa");
            double stubbed = median(drag, true);
            double real = median(drag, false);
            say("frames over 50 ms in a drag with the recompute stubbed, per cent", stubbed);
            say("frames over 50 ms in a drag, per cent", real);
        }
        say("start-up seconds", startUp());
    }

    private void signIn(TestApp app) throws Exception {
        Matcher csrf = CSRF.matcher(get(app.url() + "/sign-in"));
        csrf.find();
        DemoPeople owner = DemoPeople.ALL.get(0);
        client.send(
                HttpRequest.newBuilder(URI.create(app.url() + "/sign-in"))
                        .header("Content-Type", "application/x-www-form-urlencoded")
                        .POST(BodyPublishers.ofString(form(Map.of(
                                "username", owner.login(), "password", owner.password(), "_csrf", csrf.group(1)))))
                        .build(),
                BodyHandlers.ofString());
    }

    private static final String CAVITY = """
            {"openingLengthMm": 90, "openingWidthMm": 30, "floorLengthMm": 84, "floorWidthMm": 24, "depthMm": 12, "shellMm": 1.5,
             "backMm": 2, "backLeastMm": 1, "backGreatestMm": 3, "shellGramsPerMl": 1.27, "fillingGramsPerMl": 1.3}
            """;
    private static final String PARSE =
            "{\"text\": \"" + "1 \u00bd cups heavy cream\\n2 sticks unsalted butter\\na pinch of salt\\n".repeat(4)
                    + "\", \"measures\": \"us\"}";

    private static HttpRequest api(TestApp app, String path, String body) {
        return HttpRequest.newBuilder(URI.create(app.url() + path))
                .header("Content-Type", "application/json")
                .header("Authorization", "Bearer " + DemoPeople.TOKEN)
                .POST(BodyPublishers.ofString(body))
                .build();
    }

    /** Twenty-five lines and a dozen steps, as the page would post them while somebody types. */
    private String longFormula(TestApp app) throws Exception {
        Matcher csrf = META.matcher(get(app.url() + "/formulas/1"));
        csrf.find();
        Map<String, String> fields = new java.util.LinkedHashMap<>();
        fields.put("_csrf", csrf.group(1));
        fields.put("name", "Long");
        fields.put("family", "CARAMEL");
        fields.put("stopCelsius", "118");
        fields.put("handlingLossFraction", "3");
        List<String> names =
                List.of("Sugar (white)", "Glucose syrup DE 42", "Cream 35 % fat", "Butter 82 % fat", "Honey");
        List<String> slugs = List.of("sugar", "glucose-syrup-42", "cream-35", "butter", "honey");
        for (int i = 0; i < 25; i++) {
            String line = "line." + i + ".";
            fields.put(line + "ingredient", names.get(i % 5));
            fields.put(line + "slug", slugs.get(i % 5));
            fields.put(line + "grams", String.valueOf(20 + i));
            fields.put(line + "role", "POT");
        }
        for (int i = 0; i < 12; i++) {
            fields.put("step." + i + ".action", "Stir");
            fields.put("step." + i + ".cue", "118 \u00b0C; 20 min");
        }
        return form(fields);
    }

    /** The form of a demo bar as its page would post it. */
    private String barForm(TestApp app) throws Exception {
        Map<String, String> fields = new java.util.LinkedHashMap<>();
        Page page = app.signedIn("runa");
        page.navigate("/bars/5");
        @SuppressWarnings("unchecked")
        List<List<String>> entries = (List<List<String>>) page.evaluate(
                "() => [...new FormData(document.getElementById('bar'))].map(([n, v]) => [n, String(v)])");
        page.context().close();
        entries.forEach(e -> fields.put(e.get(0), e.get(1)));
        Matcher csrf = META.matcher(get(app.url() + "/bars/5"));
        csrf.find();
        fields.put("_csrf", csrf.group(1));
        return form(fields);
    }

    /** A bar of seven layers in a mould of the workshop. */
    private static final String SEVEN = """
            {"build": "moulded", "body": {"kind": "mould", "mould": 1},
             "layers": [{"kind": "decoration", "of": "coloured-butter-red", "by": "milligrams", "amount": 60},
                        {"kind": "shell", "of": "couverture-dark-66", "by": "mm", "amount": 1.6},
                        {"kind": "filling", "of": "formula:1:2", "by": "mm", "amount": 3},
                        {"kind": "inclusion", "of": "hazelnut-roasted", "by": "pieces", "amount": 3, "eachGrams": 1.1},
                        {"kind": "insert", "of": "rye-wafer", "by": "mm", "lengthMm": 80, "widthMm": 14, "heightMm": 2.5,
                         "sinkMm": 0.5, "mixOf": "cocoa-butter", "mixFraction": 0.15},
                        {"kind": "filling", "of": "formula:2:1", "by": "rest"},
                        {"kind": "back", "of": "couverture-milk-38", "by": "mm", "amount": 1.8}]}
            """;

    /**
     * Drags the back up and down at 60 moves a second for a few seconds.
     *
     * @return frames that took more than 50 ms, in per cent of all
     */
    private static double slowFrames(Page page, boolean stubbed) {
        page.unroute("**/compute");
        page.navigate("/bars/4");
        if (stubbed) {
            page.route("**/compute", route -> route.fulfill(new Route.FulfillOptions().setBody("")));
        }
        BoundingBox box =
                page.locator(".handle[data-field='layer.3.amount'] .knob").boundingBox();
        double x = box.x + box.width / 2;
        double y = box.y + box.height / 2;
        page.mouse().move(x, y);
        page.mouse().down();
        page.evaluate("() => { window.frames_ = []; let last = performance.now();"
                + " const f = (t) => { window.frames_.push(t - last); last = t; requestAnimationFrame(f); };"
                + " requestAnimationFrame(f); }");
        long began = System.nanoTime();
        int moves = DRAG_SECONDS * 60;
        for (int i = 0; i < moves; i++) {
            page.mouse().move(x, y + 22 * Math.sin(i / 12.0));
            long due = began + (i + 1) * TimeUnit.SECONDS.toNanos(1) / 60;
            while (System.nanoTime() < due) {
                Thread.onSpinWait();
            }
        }
        page.mouse().up();
        Object share = page.evaluate("() => 100 * window.frames_.filter((f) => f > 50).length / window.frames_.length");
        return ((Number) share).doubleValue();
    }

    private static double median(Page page, boolean stubbed) {
        double[] runs = new double[3];
        for (int i = 0; i < runs.length; i++) {
            runs[i] = slowFrames(page, stubbed);
        }
        java.util.Arrays.sort(runs);
        return runs[1];
    }

    private String get(String url) throws Exception {
        return client.send(HttpRequest.newBuilder(URI.create(url)).build(), BodyHandlers.ofString())
                .body();
    }

    private static String form(Map<String, String> fields) {
        return fields.entrySet().stream()
                .map(f -> f.getKey() + "=" + URLEncoder.encode(f.getValue(), StandardCharsets.UTF_8))
                .collect(Collectors.joining("&"));
    }

    /** Rate of one request over that of another, taken in turns so that a machine with other work on it favours neither. */
    private double ratio(HttpRequest one, HttpRequest other) throws Exception {
        double ones = 0;
        double others = 0;
        for (int turn = 0; turn < TURNS; turn++) {
            ones += perSecond(one);
            others += perSecond(other);
        }
        return ones / others;
    }

    /** Requests answered per second by a few hands at once; any answer but 200 is a fault. */
    private double perSecond(HttpRequest request) throws Exception {
        AtomicInteger answered = new AtomicInteger();
        long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(SECONDS);
        ExecutorService hands = Executors.newFixedThreadPool(HANDS);
        Callable<Void> work = () -> {
            while (System.nanoTime() < end) {
                HttpResponse<String> response = client.send(request, BodyHandlers.ofString());
                if (response.statusCode() != 200) {
                    throw new IllegalStateException(response.statusCode() + " for " + request.uri());
                }
                answered.incrementAndGet();
            }
            return null;
        };
        for (var done : hands.invokeAll(java.util.Collections.nCopies(HANDS, work))) {
            done.get();
        }
        hands.shutdown();
        return answered.get() / (double) SECONDS;
    }

    private static void core(TestApp app) {
        Mould mould = app.bean(WorkshopStore.class).mould(1).orElseThrow().content();
        BarStack worked = app.bean(Assembling.class).assemble(seven(), Optional.of(mould));
        Bar bar = worked.bar();
        int rounds = 0;
        double sum = 0;
        for (int phase = 0; phase < 2; phase++) {
            long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(2);
            rounds = 0;
            while (System.nanoTime() < end) {
                BarStack stack = BarStack.of(bar, worked.parts());
                sum += stack.pieceGrams() + BarCalls.of(stack).size();
                rounds++;
            }
        }
        say("assembles of 7 layers with their calls per second in the core on one thread", sum > 0 ? rounds / 2.0 : 0);
    }

    private static Map<String, String> seven() {
        String[] layers = {
            "DECORATION coloured-butter-red MILLIGRAMS 60",
            "SHELL couverture-dark-66 MM 1.6",
            "FILLING formula:1:2 MM 3",
            "INCLUSION hazelnut-roasted PIECES 3",
            "INSERT rye-wafer MM 0",
            "FILLING formula:2:1 REST 0",
            "BACK couverture-milk-38 MM 1.8",
        };
        Map<String, String> fields =
                new java.util.LinkedHashMap<>(Map.of("build", "MOULDED", "body.kind", "MOULD", "body.mould", "1"));
        for (int i = 0; i < layers.length; i++) {
            String[] words = layers[i].split(" ");
            String f = "layer." + i + ".";
            fields.put(f + "kind", words[0]);
            fields.put(f + "slug", words[1]);
            fields.put(f + "by", words[2]);
            fields.put(f + "amount", words[3]);
        }
        fields.put("layer.3.eachGrams", "1.1");
        fields.putAll(Map.of("layer.4.lengthMm", "80", "layer.4.widthMm", "14", "layer.4.heightMm", "2.5"));
        return fields;
    }

    /** From the start of the packed application on a migrated database to its first answer. */
    private double startUp() throws Exception {
        TestDatabase database = TestDatabase.fresh();
        int port;
        try (java.net.ServerSocket socket = new java.net.ServerSocket(0)) {
            port = socket.getLocalPort();
        }
        ProcessBuilder builder = new ProcessBuilder(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-XX:TieredStopAtLevel=1",
                "-XX:SharedArchiveFile=target/app/zest.jsa",
                "-jar",
                "target/app/zest.jar",
                "serve");
        builder.directory(Path.of("..").toFile());
        builder.environment().put("ZEST_PORT", String.valueOf(port));
        builder.environment()
                .put(
                        "ZEST_DATABASE_URL",
                        database.url().replace("jdbc:postgresql://", "postgresql://" + database.user() + ":@"));
        long began = System.nanoTime();
        Process process = builder.redirectOutput(ProcessBuilder.Redirect.DISCARD)
                .redirectError(ProcessBuilder.Redirect.DISCARD)
                .start();
        try {
            while (!answers(port)) {
                TimeUnit.MILLISECONDS.sleep(50);
            }
            return (System.nanoTime() - began) / 1e9;
        } finally {
            process.destroy();
            process.waitFor();
        }
    }

    private boolean answers(int port) throws InterruptedException {
        try {
            return client.send(
                                    HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + "/welcome"))
                                            .build(),
                                    BodyHandlers.ofString())
                            .statusCode()
                    == 200;
        } catch (java.io.IOException e) {
            return false;
        }
    }
}
