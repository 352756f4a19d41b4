package org.zeststack.web;

import com.microsoft.playwright.Page;
import java.lang.management.ManagementFactory;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import javax.sql.DataSource;
import org.testng.annotations.Test;
import org.zeststack.core.bench.TemperPlanned;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.core.temper.Bowl;
import org.zeststack.core.temper.Method;
import org.zeststack.demo.DemoPeople;
import org.zeststack.store.bench.Bench;
import org.zeststack.store.run.Run;
import org.zeststack.store.run.Runs;

/** Many thermometers at once. Run by {@code ./zest bench}, never with the tests; prints {@code name: value}. */
public class PotsBench {

    private static final int THERMOMETERS = 20;
    private static final int SECONDS = 120;
    private static final int PAIRS = 200;
    private static final int HANDS = 8;
    private static final int WATCHED_SECONDS = 30;
    private static final String COMPONENT = "formula-1-v2";
    private static final String BOWL = "couverture-couverture-dark-66";

    private final HttpClient client = HttpClient.newHttpClient();

    private static void say(String name, double amount) {
        System.out.printf(Locale.ROOT, "%s: %.2f%n", name, amount);
    }

    @Test
    public void measure() throws Exception {
        try (TestApp app = TestApp.demo()) {
            List<Bench.Series> pots = pots(app);
            manyThermometers(app, pots);
            watched(app, pots.get(4));
            growth(app, pots);
            rate(app, pots.get(0));
        }
    }

    /** As many runs on the bench as there are thermometers, each with a pot. */
    private static List<Bench.Series> pots(TestApp app) {
        Runs runs = app.bean(Runs.class);
        Bench bench = app.bean(Bench.class);
        Run model = runs.find(4).orElseThrow();
        RunSheet sheet = model.sheet().orElseThrow();
        bench.cooksRunning().forEach(s -> bench.endSeries(s.id(), Instant.now()));
        List<Bench.Series> pots = new ArrayList<>();
        for (int i = 0; i < THERMOMETERS; i++) {
            long run = runs.plan(new Runs.Plan(
                    model.bar(),
                    model.barVersion(),
                    model.barName(),
                    model.plannedFor(),
                    model.pieces(),
                    model.thermometer(),
                    model.allowances(),
                    Map.of()));
            runs.start(run, sheet, Instant.now());
            pots.add(bench.startSeries(run, COMPONENT, UUID.randomUUID(), Bench.SeriesKind.COOK, "", 1, Instant.now())
                    .orElseThrow());
        }
        return pots;
    }

    private HttpResponse<String> send(TestApp app, String what, long series, double celsius) throws Exception {
        String body = "{\"readings\":[{\"at\":\"%s\",\"celsius\":%s,\"key\":\"%s\"}]}"
                .formatted(Instant.now(), celsius, UUID.randomUUID());
        HttpResponse<String> answer = client.send(
                HttpRequest.newBuilder(URI.create(app.url() + "/api/v1/" + what + "/" + series + "/readings"))
                        .header("Content-Type", "application/json")
                        .header("Authorization", "Bearer " + DemoPeople.TOKEN)
                        .POST(BodyPublishers.ofString(body))
                        .build(),
                BodyHandlers.ofString());
        if (answer.statusCode() != 200) {
            throw new IllegalStateException(answer.body());
        }
        return answer;
    }

    /** Notes when each pot's reading first stood on the page: a rising one, so that a later one shows that an earlier came too. */
    private static final String WATCH = """
            () => { window.seen = {}; setInterval(() => { for (const li of document.querySelectorAll('.pots li')) {
              const text = li.querySelector('[data-out=reading]').textContent; const id = li.dataset.series;
              (window.seen[id] ??= {})[text] ??= Date.now(); } }, 50); }
            """;

    private void manyThermometers(TestApp app, List<Bench.Series> pots) throws Exception {
        List<Page> pages = List.of(app.signedIn("runa"), app.signedIn("teo"));
        for (Page page : pages) {
            page.navigate("/bench/pots");
            page.evaluate(WATCH);
        }
        Map<String, Long> sent = new ConcurrentHashMap<>();
        AtomicInteger faults = new AtomicInteger();
        CountDownLatch open = new CountDownLatch(THERMOMETERS * SECONDS);
        ScheduledExecutorService clock = Executors.newScheduledThreadPool(THERMOMETERS);
        for (int i = 0; i < THERMOMETERS; i++) {
            long pot = pots.get(i).id();
            AtomicInteger count = new AtomicInteger();
            clock.scheduleAtFixedRate(
                    () -> {
                        int n = count.getAndIncrement();
                        if (n < SECONDS) {
                            double celsius = Math.round(10 * (30 + 0.5 * n)) / 10.0;
                            sent.put(
                                    pot + " " + String.format(Locale.ROOT, "%.1f", celsius),
                                    System.currentTimeMillis());
                            try {
                                send(app, "cooks", pot, celsius);
                            } catch (Exception e) {
                                faults.incrementAndGet();
                            }
                            open.countDown();
                        }
                    },
                    50L * i,
                    1000,
                    TimeUnit.MILLISECONDS);
        }
        if (!open.await(2 * SECONDS, TimeUnit.SECONDS)) {
            throw new IllegalStateException(open.getCount() + " readings were not sent in twice their time");
        }
        clock.shutdownNow();
        pages.forEach(page -> page.waitForCondition(() -> lastOnEach(page, pots)));
        Bench bench = app.bean(Bench.class);
        say(
                "readings kept of 20 thermometers, one a second for two minutes",
                pots.stream()
                        .mapToInt(p -> bench.readingsAfter(p.id(), 0).readings().size())
                        .sum());
        say("readings refused", faults.get());
        List<Double> late = new ArrayList<>();
        for (Page page : pages) {
            @SuppressWarnings("unchecked")
            Map<String, Map<String, Number>> seen =
                    (Map<String, Map<String, Number>>) page.evaluate("() => window.seen");
            for (Bench.Series pot : pots) {
                lateness(pot.id(), sent, seen.get(String.valueOf(pot.id())), late);
            }
        }
        Collections.sort(late);
        say("readings looked for on two pages", late.size());
        say("seconds until both pages show a pot's last reading, 95 in 100", late.get((int) (0.95 * late.size())));
        say("the same, the last of all", late.get(late.size() - 1));
        pages.forEach(page -> page.context().close());
    }

    /** Whether every pot's last reading has stood on a page. */
    private static boolean lastOnEach(Page page, List<Bench.Series> pots) {
        String last = String.format(Locale.ROOT, "%.1f", 30 + 0.5 * (SECONDS - 1));
        return (boolean) page.evaluate(
                "([ids, last]) => ids.every((id) => last in (window.seen[id] ?? {}))",
                List.of(pots.stream().map(p -> String.valueOf(p.id())).toList(), last));
    }

    /** Seconds from each sending until this reading or a later one stood there. */
    private static void lateness(long pot, Map<String, Long> sent, Map<String, Number> seen, List<Double> late) {
        for (int n = 0; n < SECONDS; n++) {
            double celsius = 30 + 0.5 * n;
            long at = sent.get(pot + " " + String.format(Locale.ROOT, "%.1f", celsius));
            double shown = seen.entrySet().stream()
                    .filter(e -> !e.getKey().equals("—") && Double.parseDouble(e.getKey()) >= celsius - 1e-6)
                    .mapToDouble(e -> e.getValue().doubleValue())
                    .min()
                    .orElse(Double.MAX_VALUE);
            late.add((shown - at) / 1000);
        }
    }

    /** One event of a long series against one of a short one: taken in, drawn, and its curve fetched. */
    private void growth(TestApp app, List<Bench.Series> pots) throws Exception {
        Bench bench = app.bean(Bench.class);
        pots.forEach(p -> bench.endSeries(p.id(), Instant.now()));
        growth(
                app,
                "cooks",
                "cook:" + COMPONENT,
                again(bench, pots.get(0), COMPONENT, Bench.SeriesKind.COOK, 120),
                again(bench, pots.get(1), COMPONENT, Bench.SeriesKind.COOK, 7200));
        for (int i = 2; i < 4; i++) {
            var plan = new TemperPlanned(BOWL, Method.SEED, 400, Bowl.Material.STEEL, 21, null);
            bench.append(
                    pots.get(i).run(),
                    new Bench.NewEntry(UUID.randomUUID(), plan, BOWL, "", null, null),
                    "Teo",
                    Instant.now());
        }
        growth(
                app,
                "tempers",
                "temper:" + BOWL,
                again(bench, pots.get(2), BOWL, Bench.SeriesKind.TEMPER, 100),
                again(bench, pots.get(3), BOWL, Bench.SeriesKind.TEMPER, 10_000));
    }

    private void growth(TestApp app, String what, String step, Bench.Series brief, Bench.Series longer)
            throws Exception {
        Visitor watching = new Visitor(app.url()).signIn("runa", "lantern-harbour");
        double[] taken = new double[2];
        int[] from = new int[2];
        for (int i = -20; i < PAIRS; i++) {
            for (int which = 0; which < 2; which++) {
                Bench.Series series = which == 0 ? brief : longer;
                long began = System.nanoTime();
                send(app, what, series.id(), (what.equals("cooks") ? 103 : 31) + 0.001 * i);
                watching.get("/bench/" + series.run() + "/panel?step=" + step);
                String curve = watching.get("/bench/%d/curve/%d?edition=0&from=%d"
                                .formatted(series.run(), series.id(), from[which]))
                        .body();
                taken[which] += i < 0 ? 0 : System.nanoTime() - began;
                from[which] = Math.max(from[which], points(app, series));
                if (i == 0 && curve.length() > 2_000) {
                    throw new IllegalStateException("more of the curve than what is new: " + curve.length());
                }
            }
        }
        say("an event of a long series to one of a short one, " + what + ", time ratio", taken[1] / taken[0]);
    }

    private static int points(TestApp app, Bench.Series series) {
        return app.bean(Bench.class).readingsAfter(series.id(), 0).readings().size();
    }

    /** Many devices that watch one pot with a reading a second: processor time of the server and of all that ask it. */
    private void watched(TestApp app, Bench.Series pot) throws Exception {
        Bench.Series series = again(app.bean(Bench.class), pot, COMPONENT, Bench.SeriesKind.COOK, 600);
        List<Visitor> devices = new ArrayList<>();
        for (int i = 0; i < THERMOMETERS; i++) {
            devices.add(new Visitor(app.url()).signIn(i % 2 == 0 ? "runa" : "teo", "lantern-harbour"));
        }
        ExecutorService hands = Executors.newFixedThreadPool(HANDS);
        var process = (com.sun.management.OperatingSystemMXBean) ManagementFactory.getOperatingSystemMXBean();
        int from = points(app, series);
        long began = 0;
        long used = 0;
        for (int second = -5; second < WATCHED_SECONDS; second++) {
            if (second == 0) {
                began = System.nanoTime();
                used = process.getProcessCpuTime();
            }
            long due = System.nanoTime() + TimeUnit.SECONDS.toNanos(1);
            send(app, "cooks", series.id(), 104 + 0.01 * second);
            int known = from + second + 5;
            List<Callable<Object>> asked = new ArrayList<>();
            for (Visitor device : devices) {
                asked.add(() -> device.get("/bench/" + series.run() + "/panel?step=cook:" + COMPONENT));
                asked.add(() ->
                        device.get("/bench/" + series.run() + "/curve/" + series.id() + "?edition=0&from=" + known));
            }
            for (var done : hands.invokeAll(asked)) {
                done.get();
            }
            TimeUnit.NANOSECONDS.sleep(Math.max(0, due - System.nanoTime()));
        }
        hands.shutdown();
        say(
                "cores in use by 20 devices that watch a reading a second, with what they ask with",
                (process.getProcessCpuTime() - used) / (double) (System.nanoTime() - began));
    }

    private static Bench.Series again(
            Bench bench, Bench.Series pot, String component, Bench.SeriesKind kind, int seconds) {
        Instant started = Instant.now().minusSeconds(seconds + 5);
        Bench.Series series = bench.startSeries(pot.run(), component, UUID.randomUUID(), kind, "", 1, started)
                .orElseThrow();
        List<Bench.Reading> readings = new ArrayList<>();
        for (int i = 0; i < seconds; i++) {
            int milli = kind == Bench.SeriesKind.COOK
                    ? (int) (1000 * Math.min(102.5, 90 + i * 0.2 * 120 / seconds))
                    : 31_000 + 1000 * (seconds - i) / seconds;
            readings.add(new Bench.Reading(UUID.randomUUID(), started.plusSeconds(i), milli, false));
        }
        bench.addReadings(series.id(), readings, Instant.now());
        return series;
    }

    /** Readings accepted one by one against plain inserts of one row into the same PostgreSQL, in turns. */
    private void rate(TestApp app, Bench.Series pot) throws Exception {
        Bench bench = app.bean(Bench.class);
        Bench.Series series = again(bench, pot, COMPONENT, Bench.SeriesKind.COOK, 10);
        DataSource source = app.bean(DataSource.class);
        try (Connection c = source.getConnection()) {
            c.createStatement()
                    .execute("create table plain (series bigint, key uuid primary key, at timestamptz, milli int)");
        }
        double accepted = 0;
        double plain = 0;
        for (int turn = 0; turn < 4; turn++) {
            accepted += perSecond(() -> send(app, "cooks", series.id(), 100));
            plain += perSecond(() -> insert(source));
        }
        say("readings accepted per second", accepted / 4);
        say("readings accepted to plain inserts of one row, rate ratio", accepted / plain);
    }

    private static Object insert(DataSource source) throws Exception {
        try (Connection c = source.getConnection();
                PreparedStatement row = c.prepareStatement("insert into plain values (1, ?, now(), 100000)")) {
            row.setObject(1, UUID.randomUUID());
            return row.executeUpdate();
        }
    }

    private static double perSecond(Callable<?> once) throws Exception {
        ExecutorService hands = Executors.newFixedThreadPool(HANDS);
        AtomicInteger done = new AtomicInteger();
        long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(2);
        Callable<Void> work = () -> {
            while (System.nanoTime() < end) {
                once.call();
                done.incrementAndGet();
            }
            return null;
        };
        for (var one : hands.invokeAll(Collections.nCopies(HANDS, work))) {
            one.get();
        }
        hands.shutdown();
        return done.get() / 2.0;
    }
}
