package org.zeststack.web;

import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Page;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import org.zeststack.core.bench.EntryKind;
import org.zeststack.demo.DemoPeople;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * A few thousand inputs that mean harm, over every form, question, bench call, import and call of programs, at a demo that the start
 * command started; always the same ones. None may be a fault of the server, take seconds, name a class or leave memory behind.
 * {@code ./zest hostile} sends {@value #ALL}.
 */
public class Hostile {

    static final int ALL = 3000;
    /** After so many everything is loaded, and memory is compared with what it was then. */
    private static final int WARM = 200;

    private static final int SEED = 14;
    private static final long SLOWEST_MILLIS = 2000;

    private static final Pattern CLASS_NAME = Pattern.compile(
            "\\b(?:java|javax|jakarta|org|com|tools|net)\\.[a-z]+\\.[\\w.$]+|\\b[A-Z]\\w*(?:Exception|Error)\\b|\\bat [\\w.]+\\([A-Z]\\w+\\.java");

    /** Addresses that ask something, with the names of what they ask. */
    private static final List<String> QUESTIONS = List.of(
            "/store-room?q=",
            "/store-room/search?q=",
            "/runs?q=&by=&page=",
            "/bars?q=&page=",
            "/formulas?q=&page=",
            "/formulas/compare?a=&b=",
            "/bars/new/drawn?build=&of=&widthMm=&mould=&weight=",
            "/bench/4?step=",
            "/bench/4/panel?step=",
            "/bench/4/curve/1?edition=&from=",
            "/temper?couverture=&grams=&room=&method=",
            "/temper/balance?couverture=&grams=&celsius=&seedCelsius=&bowl=&bowlGrams=",
            "/temper/coating?couverture=&coatMm=",
            "/temper/setting?couverture=&thickMm=",
            "/temper/colour?parts=&grams=&palette=",
            "/store-room/lots/new?of=",
            "/store-room/lots/1?stopCelsius=",
            "/sign-in?to=&wait=",
            "/ledger?q=&page=",
            "/bench/4/events?seen=");

    private static final List<String> PATHS = List.of(
            "/bars/%s",
            "/formulas/%s",
            "/runs/%s",
            "/bench/%s",
            "/ledger/%s",
            "/photos/%s",
            "/store-room/lots/%s",
            "/store-room/ingredients/%s",
            "/workshop/moulds/%s",
            "/workshop/rules/%s",
            "/bench/4/curve/%s",
            "/formulas/1/versions/%s",
            "/bars/%s/drawing.svg",
            "/rehearse/%s",
            "/assets/%s",
            "/webjars/%s",
            "/%s",
            "/formulas/%s.json",
            "/bench/series/%s/readings");

    private final JsonMapper json = JsonMapper.builder().build();
    private final HttpClient client = HttpClient.newBuilder()
            .connectTimeout(Duration.ofSeconds(5))
            .followRedirects(HttpClient.Redirect.NEVER)
            .build();

    private Started server;
    private String cookies;
    private String csrf;
    private List<PageForms.Form> forms;
    private List<Call> calls;

    /** A call of a program with a body that is right. */
    private record Call(String path, JsonNode body) {}

    /** One input, and what it was. */
    private record Sent(String what, HttpRequest request) {}

    @BeforeClass
    public void open() throws Exception {
        server = Started.demo();
        Page page = TestApp.signedIn(server.url(), "runa");
        forms = PageForms.of(page);
        page.navigate("/bars");
        csrf = page.locator("meta[name=csrf]").getAttribute("content");
        cookies = page.context().cookies().stream()
                .map(c -> c.name + "=" + c.value)
                .collect(Collectors.joining("; "));
        page.context().close();
        calls = calls();
    }

    @AfterClass(alwaysRun = true)
    public void close() throws Exception {
        server.close();
    }

    /** Bodies that are right, made from the description of the interface. */
    private List<Call> calls() {
        List<Call> all = new ArrayList<>();
        JsonNode paths = json.readTree(get("/api/v1/openapi.json").body()).get("paths");
        paths.propertyNames().forEach(path -> {
            JsonNode schema = paths.get(path)
                    .path("post")
                    .path("requestBody")
                    .path("content")
                    .path("application/json")
                    .path("schema");
            if (schema.isObject()) {
                String real = path.startsWith("/api") ? path : "/api/v1" + path;
                all.add(new Call(real.replaceAll("\\{[^}]*}", "1"), example(schema, 0)));
            }
        });
        ObjectNode entry = json.createObjectNode();
        entry.put("key", UUID.randomUUID().toString());
        entry.put("component", "formula-1-v2");
        entry.put("device", "tablet");
        ObjectNode fields = entry.putObject("fields");
        List.of("text", "grams", "step", "layer", "grossGrams", "celsius", "component", "outcome", "pieces")
                .forEach(name -> fields.put(name, "1"));
        for (EntryKind kind : EntryKind.values()) {
            all.add(new Call("/bench/4/entries", entry.deepCopy().put("kind", kind.name())));
        }
        all.add(new Call(
                "/bench/4/series", json.readTree("{\"key\":null,\"component\":\"x\",\"kind\":\"COOK\",\"speed\":1}")));
        all.add(new Call(
                "/bench/series/1/readings",
                json.readTree("{\"readings\":[{\"key\":\"%s\",\"celsius\":\"100\",\"at\":null}],\"sure\":true}"
                        .formatted(UUID.randomUUID()))));
        all.add(new Call("/bench/series/1/logger", json.readTree("{\"text\":\"0,100\\n1,101\"}")));
        all.add(new Call(
                "/bench/4/device", json.readTree("{\"device\":null,\"name\":\"x\",\"unsent\":1,\"gone\":false}")));
        return all;
    }

    private JsonNode example(JsonNode schema, int depth) {
        String type = schema.path("type").asString("");
        if (schema.has("enum")) {
            return schema.get("enum").get(0);
        }
        if (type.equals("object") || schema.has("properties")) {
            ObjectNode object = json.createObjectNode();
            JsonNode properties = schema.path("properties");
            if (depth < 6) {
                properties.propertyNames().forEach(n -> object.set(n, example(properties.get(n), depth + 1)));
            }
            return object;
        }
        if (type.equals("array")) {
            return json.createArrayNode().add(example(schema.path("items"), depth + 1));
        }
        if (type.equals("string")) {
            return json.getNodeFactory()
                    .stringNode(schema.path("format").asString("").isEmpty() ? "Sugar 100 g" : "2026-11-27T08:00:00Z");
        }
        return json.getNodeFactory().numberNode(schema.path("minimum").asDouble(1) + 1);
    }

    private HttpRequest.Builder to(String path) {
        HttpRequest.Builder request =
                HttpRequest.newBuilder(URI.create(server.url() + path)).timeout(Duration.ofSeconds(100));
        return path.startsWith("/api/")
                ? request.header("Authorization", "Bearer " + DemoPeople.TOKEN)
                : request.header("Cookie", cookies).header("X-CSRF-TOKEN", csrf);
    }

    private HttpResponse<String> get(String path) {
        try {
            return client.send(to(path).build(), BodyHandlers.ofString());
        } catch (IOException e) {
            throw new IllegalStateException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    private static final String[] WORDS =
            ("| |\u0000|a\u0000b|\u0007|\u202e|\u2028|\ud83c\udf6b|\ud800|null|NaN|-NaN|Infinity|1e999|"
                            + "-1e999|1e-999|-0|0|-1|1.7976931348623157E308|4.9e-324|9223372036854775808|2147483648|1/0|0/0|"
                            + "1 1/0|½½|1,000|1.000.000,5|12,5,3|2026-02-30|0000-00-00|9999-12-31|99999-01-01|"
                            + "+999999999-12-31|-999999999-01-01|31 Feb 2026|1.1.0|<script>alert(1)</script>|"
                            + "\"><img src=x onerror=alert(1)>|' or 1=1 --|${7*7}|#{T(Runtime)}|__proto__|../../etc/passwd|"
                            + "%00|%c0%ae|{{7*7}}|formula:1:1|formula:999999:1|formula:1:999999999999|true|[]|{}|GOOD|gram|°C|"
                            + "212 °F|-999 °F|1e5 °C|=cmd()|@x|Sugar|100 g sugar|a:b:c:d|act:9999999999|drop:-1|apply:99")
                    .split("\\|");

    /** What long words are made of. */
    private static final String[] PIECES =
            ("a|1| |1 |1,|1/2 |(|()|)(|- |a, |and |or |1 a |.|a.|½ |\n|1 g sugar\n|a. A|to 1 |until |1-|"
                            + "1 to |0.|= |:|a:\n|%|9|sugar and |each of a and |;|\t|é|\u0301|x1|makes 1 ")
                    .split("\\|");

    private static String longWord(Random random) {
        int length = new int[] {200, 2_000, 20_001, 120_000}[random.nextInt(4)];
        String piece = PIECES[random.nextInt(PIECES.length)];
        return piece.repeat(length / piece.length() + 1).substring(0, length) + (random.nextBoolean() ? "!" : "");
    }

    private static String hostile(Random random) {
        return random.nextInt(5) == 0 ? longWord(random) : WORDS[random.nextInt(WORDS.length)];
    }

    private static String escaped(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8);
    }

    private Sent form(Random random) {
        PageForms.Form form = forms.get(random.nextInt(forms.size()));
        Map<String, String> fields = new LinkedHashMap<>(form.fields());
        List<String> names = new ArrayList<>(fields.keySet());
        names.remove("_csrf");
        StringBuilder what = new StringBuilder(form.action());
        int changes = 1 + random.nextInt(4);
        for (int i = 0; i < changes && !names.isEmpty(); i++) {
            String name = names.get(random.nextInt(names.size()));
            switch (random.nextInt(9)) {
                case 0 -> fields.remove(name);
                case 1 -> fields.put(name.replaceAll("\\d+", "999"), hostile(random));
                case 2 -> fields.put(name.replaceAll("\\d+", "99999999999"), hostile(random));
                case 3 -> {
                    for (int row = 0; row < 400; row++) {
                        fields.put(name.replaceAll("\\.\\d+\\.", "." + row + "."), "1");
                    }
                }
                case 4 -> fields.put("x" + random.nextInt(9) + hostile(random).replaceAll("[\\s\\S]{300,}", ""), "1");
                case 5 -> fields.put("act", hostile(random));
                default -> fields.put(name, hostile(random));
            }
            what.append(' ').append(name);
        }
        fields.put("_csrf", csrf);
        return form.files() || random.nextInt(25) == 0
                ? multipart(random, form.action(), fields)
                : new Sent(
                        what.toString(),
                        to(form.action())
                                .header("Content-Type", "application/x-www-form-urlencoded")
                                .POST(BodyPublishers.ofString(fields.entrySet().stream()
                                        .map(f -> escaped(f.getKey()) + "=" + escaped(f.getValue()))
                                        .collect(Collectors.joining("&"))))
                                .build());
    }

    private Sent multipart(Random random, String action, Map<String, String> fields) {
        ByteArrayOutputStream body = new ByteArrayOutputStream();
        String boundary = "zest" + random.nextInt(1000);
        fields.forEach((name, value) -> body.writeBytes(("--" + boundary + "\r\nContent-Disposition: form-data; name=\""
                        + name.replaceAll("[\r\n\"]", "") + "\"\r\n\r\n" + value + "\r\n")
                .getBytes(StandardCharsets.UTF_8)));
        String name = new String[] {"file", "photo", "curve", "x"}[random.nextInt(4)];
        String file =
                new String[] {"a.json", "a.csv", "a.txt", "a.png", "../../a", "a\u0000.json", ""}[random.nextInt(7)];
        body.writeBytes(("--" + boundary + "\r\nContent-Disposition: form-data; name=\"" + name + "\"; filename=\""
                        + file + "\"\r\nContent-Type: application/octet-stream\r\n\r\n")
                .getBytes(StandardCharsets.UTF_8));
        body.writeBytes(document(random));
        body.writeBytes(
                ("\r\n--" + boundary + (random.nextInt(6) == 0 ? "" : "--\r\n")).getBytes(StandardCharsets.UTF_8));
        String type = "multipart/form-data" + (random.nextInt(6) == 0 ? "" : "; boundary=" + boundary);
        return new Sent(
                "multipart " + action + " " + name + " " + file,
                to(action)
                        .header("Content-Type", type)
                        .POST(BodyPublishers.ofByteArray(body.toByteArray()))
                        .build());
    }

    private static byte[] document(Random random) {
        return switch (random.nextInt(9)) {
            case 0 -> "[".repeat(100_000).getBytes(StandardCharsets.UTF_8);
            case 1 -> "{\"a\":".repeat(3000).getBytes(StandardCharsets.UTF_8);
            case 2 -> ("{\"schema\":1,\"name\":" + "9".repeat(50_000) + "}").getBytes(StandardCharsets.UTF_8);
            case 3 ->
                ("{\"zest\":\"formula\",\"version\":1,\"lines\":[" + "{},".repeat(20_000) + "{}]}")
                        .getBytes(StandardCharsets.UTF_8);
            case 4 -> longWord(random).getBytes(StandardCharsets.UTF_8);
            case 5 -> ("time,celsius\n" + "1,2\n".repeat(30_000)).getBytes(StandardCharsets.UTF_8);
            case 6 -> picture();
            case 7 -> "GIF89a\u00ff\u00ff\u00ff\u00ff".getBytes(StandardCharsets.ISO_8859_1);
            default -> {
                byte[] bytes = new byte[random.nextInt(5000)];
                random.nextBytes(bytes);
                yield bytes;
            }
        };
    }

    /** A header that says twenty thousand by twenty thousand, and little behind it. */
    private static byte[] picture() {
        return HexFormat.of().parseHex("89504e470d0a1a0a0000000d4948445200004e2000004e20080600000000000000");
    }

    private Sent call(Random random) {
        Call call = calls.get(random.nextInt(calls.size()));
        JsonNode body = call.body().deepCopy();
        for (int i = 0; i <= random.nextInt(3); i++) {
            spoil(random, body);
        }
        String text =
                switch (random.nextInt(12)) {
                    case 0 -> "{\"a\":".repeat(2000);
                    case 1 -> "[".repeat(50_000);
                    case 2 -> "";
                    case 3 -> "null";
                    case 4 -> body.toString().replaceFirst("[0-9]+", "9".repeat(5_000));
                    case 5 -> body.toString().replaceFirst("[0-9]+", "1e9999");
                    default -> body.toString();
                };
        return new Sent(
                "call " + call.path() + " " + text.substring(0, Math.min(120, text.length())),
                to(call.path())
                        .header("Content-Type", random.nextInt(20) == 0 ? "text/plain" : "application/json")
                        .POST(BodyPublishers.ofString(text))
                        .build());
    }

    private void spoil(Random random, JsonNode node) {
        if (node instanceof ObjectNode object && object.size() > 0) {
            List<String> names = List.copyOf(object.propertyNames());
            String name = names.get(random.nextInt(names.size()));
            if (object.get(name).isContainer() && random.nextInt(3) > 0) {
                spoil(random, object.get(name));
                return;
            }
            switch (random.nextInt(7)) {
                case 0 -> object.remove(name);
                case 1 -> object.putNull(name);
                case 2 -> object.putArray(name).add(1);
                case 3 -> object.putObject(name);
                case 4 -> object.put(name, new double[] {-1, 0, 1e300, -1e300, 1e-300, 1e10}[random.nextInt(6)]);
                default -> object.put(name, hostile(random));
            }
        } else if (node.isArray() && !node.isEmpty()) {
            spoil(random, node.get(random.nextInt(node.size())));
        }
    }

    private Sent question(Random random) {
        String question = QUESTIONS.get(random.nextInt(QUESTIONS.size()));
        Matcher names = Pattern.compile("(\\w+)=").matcher(question);
        String asked = names.results()
                .map(n -> n.group(1) + "=" + escaped(cut(hostile(random), 1500)))
                .collect(Collectors.joining("&"));
        String path = question.substring(0, question.indexOf('?') + 1) + asked;
        boolean events = path.contains("/events");
        return new Sent(
                "question " + cut(path, 160),
                to(events ? path.replace("/events", "/panel") : path).build());
    }

    private static String cut(String text, int most) {
        return text.length() > most ? text.substring(0, most) : text;
    }

    private Sent path(Random random) {
        String path = PATHS.get(random.nextInt(PATHS.size()))
                .formatted(escaped(cut(hostile(random), 600)).replace("+", "%20"));
        String method = random.nextInt(8) == 0 ? "DELETE" : random.nextInt(8) == 0 ? "PUT" : "GET";
        return new Sent(
                method + " " + cut(path, 160),
                to(path).method(method, BodyPublishers.noBody()).build());
    }

    private Sent any(Random random) {
        int kind = random.nextInt(20);
        Supplier<Sent> next = kind < 9
                ? () -> form(random)
                : kind < 14 ? () -> call(random) : kind < 17 ? () -> question(random) : () -> path(random);
        return next.get();
    }

    /** Words that make a careless reader work for as long as it takes to compare every character with every other. */
    private static final List<String> SLOW = List.of(
            "1" + " ".repeat(39_000),
            "1" + " ".repeat(39_000) + "x",
            " ".repeat(39_998) + "g",
            "1/".repeat(19_000),
            "½".repeat(30_000),
            "a,".repeat(19_000),
            "a ".repeat(19_000),
            "1 x ".repeat(9_000),
            "(".repeat(39_000),
            "((a)".repeat(9_000),
            "1.".repeat(19_000),
            "0".repeat(39_000),
            "1-".repeat(19_000),
            "1 cup sugar\n".repeat(3_300),
            "1 cup sugar and 2 cups ".repeat(1_700),
            "a or ".repeat(7_900),
            "until ".repeat(6_600),
            "1;".repeat(19_000),
            "\n".repeat(39_000),
            "x\n".repeat(19_000),
            "\"".repeat(39_000),
            "118 °C ".repeat(5_000));

    /** Every field of every form takes each of the slow words, all fields of a form at once and each file too. */
    @Test
    public void noWordIsSlow() throws Exception {
        List<String> bad = new ArrayList<>();
        long slowest = 0;
        String slow = "";
        int count = 0;
        for (PageForms.Form form : forms) {
            for (int i = 0; i < SLOW.size(); i++) {
                for (int part = 0; part < 3; part++) {
                    Sent sent = slow(form, SLOW.get(i), i, part);
                    long start = System.nanoTime();
                    HttpResponse<String> answer = client.send(sent.request(), BodyHandlers.ofString());
                    long millis = (System.nanoTime() - start) / 1_000_000;
                    count++;
                    if (millis > slowest) {
                        slowest = millis;
                        slow = sent.what();
                    }
                    if (millis > SLOWEST_MILLIS || answer.statusCode() >= 500) {
                        bad.add(answer.statusCode() + " in " + millis + " ms: " + sent.what());
                    }
                }
            }
        }
        System.out.printf("slow words: %d%n", count);
        System.out.printf("slowest word, ms: %d (%s)%n", slowest, slow);
        bad.stream().limit(400).forEach(b -> System.out.println("  " + b));
        assertTrue(
                bad.isEmpty(),
                bad.size() + " bad, first: " + bad.stream().findFirst().orElse(""));
    }

    /** A third of the fields, so that all together stay below what a request may hold. */
    private Sent slow(PageForms.Form form, String word, int kind, int part) {
        Map<String, String> fields = new LinkedHashMap<>(form.fields());
        List<String> names = fields.keySet().stream()
                .filter(n -> !n.matches("_csrf|once|lock|family|build|kind|body\\.kind|.*\\.(kind|by)"))
                .toList();
        int most = 1_500_000 / escaped(word).length();
        int from = part * most % Math.max(1, names.size());
        names.stream().skip(from).limit(most).forEach(name -> fields.put(name, word));
        fields.put("_csrf", csrf);
        return new Sent(
                "slow word " + kind + " in " + form.action() + " from " + from,
                form.files()
                        ? to(form.action())
                                .header("Content-Type", "multipart/form-data; boundary=zest")
                                .POST(BodyPublishers.ofString(fields.entrySet().stream()
                                        .map(f -> "--zest\r\nContent-Disposition: form-data; name=\"" + f.getKey()
                                                + "\"\r\n\r\n" + f.getValue() + "\r\n")
                                        .collect(Collectors.joining("", "", "--zest--\r\n"))))
                                .build()
                        : to(form.action())
                                .header("Content-Type", "application/x-www-form-urlencoded")
                                .POST(BodyPublishers.ofString(fields.entrySet().stream()
                                        .map(f -> escaped(f.getKey()) + "=" + escaped(f.getValue()))
                                        .collect(Collectors.joining("&"))))
                                .build());
    }

    /** Markup in every field of every form, and then every page that is reached. */
    @Test
    public void noMarkupComesOut() {
        Page page = TestApp.signedIn(server.url(), "runa");
        page.navigate("/bars");
        Map<String, Object> marked = new TreeMap<>(MarkupTest.inForms(page, forms));
        marked.putAll(MarkupTest.crawled(page));
        page.context().close();
        System.out.printf("hostile forms, markup in every field: %d%n", forms.size());
        System.out.printf("bad, markup that came out: %d%n", marked.size());
        assertTrue(marked.isEmpty(), marked.toString());
    }

    @Test
    public void nothingHarms() throws Exception {
        Random random = new Random(SEED);
        List<String> bad = new ArrayList<>();
        Map<Integer, Integer> statuses = new TreeMap<>();
        long before = 0;
        long slowest = 0;
        String slow = "";
        for (int i = 0; i < ALL; i++) {
            if (i == WARM) {
                before = server.liveBytes();
            }
            Sent sent = any(random);
            long start = System.nanoTime();
            HttpResponse<String> answer;
            try {
                answer = client.send(sent.request(), BodyHandlers.ofString());
            } catch (IOException gone) {
                bad.add("no answer: " + sent.what() + ": " + gone);
                continue;
            }
            long millis = (System.nanoTime() - start) / 1_000_000;
            statuses.merge(answer.statusCode(), 1, Integer::sum);
            if (millis > slowest) {
                slowest = millis;
                slow = sent.what();
            }
            if (answer.statusCode() >= 500) {
                bad.add(answer.statusCode() + ": " + sent.what());
            }
            if (millis > SLOWEST_MILLIS) {
                bad.add(millis + " ms: " + sent.what());
            }
            Matcher named = CLASS_NAME.matcher(answer.statusCode() >= 400 ? answer.body() : "");
            if (named.find()) {
                bad.add("names " + named.group() + " (" + answer.statusCode() + "): " + sent.what());
            }
        }
        long after = server.liveBytes();
        System.out.printf("hostile inputs: %d%n", ALL);
        statuses.forEach((status, count) -> System.out.printf("answered %d: %d%n", status, count));
        System.out.printf("slowest, ms: %d (%s)%n", slowest, slow);
        System.out.printf("memory after to before: %.2f%n", after / (double) before);
        System.out.printf("bad: %d%n", bad.size());
        bad.stream().limit(400).forEach(b -> System.out.println("  " + b));
        assertTrue(
                bad.isEmpty(),
                bad.size() + " bad, first: " + bad.stream().findFirst().orElse(""));
        assertTrue(after <= 1.5 * before, "memory grew from " + before + " to " + after);
    }
}
