package org.zeststack.web;

import com.microsoft.playwright.Page;
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
import org.zeststack.core.run.RunSheet;
import org.zeststack.store.bench.Bench;
import org.zeststack.store.run.Run;
import org.zeststack.store.run.Runs;
import org.zeststack.web.demo.DemoPeople;

/** Many thermometers at once. Run by {@code ./zest bench}, never with the tests; prints {@code name: value}. */
public class PotsBench {

    private static final int THERMOMETERS = 20;
    private static final int SECONDS = 120;
    private static final int PAIRS = 200;
    private static final int HANDS = 8;
    private static final String COMPONENT = "formula-1-v2";

    private final HttpClient client = HttpClient.newHttpClient();

    private static void say(String name, double amount) {
        System.out.printf(Locale.ROOT, "%s: %.2f%n", name, amount);
    }

    @Test
    public void measure() throws Exception {
        try (TestApp app = TestApp.demo()) {
            List<Bench.Series> pots = pots(app);
            manyThermometers(app, pots);
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

    private HttpResponse<String> send(TestApp app, long pot, double celsius) throws Exception {
        String body = "{\"readings\":[{\"at\":\"%s\",\"celsius\":%s,\"key\":\"%s\"}]}"
                .formatted(Instant.now(), celsius, UUID.randomUUID());
        HttpResponse<String> answer = client.send(
                HttpRequest.newBuilder(URI.create(app.url() + "/api/v1/cooks/" + pot + "/readings"))
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
                                send(app, pot, celsius);
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

    /** One event of a cook of two hours against one of two minutes: taken in, drawn, and its curve fetched. */
    private void growth(TestApp app, List<Bench.Series> pots) throws Exception {
        Bench bench = app.bean(Bench.class);
        pots.subList(2, pots.size()).forEach(p -> bench.endSeries(p.id(), Instant.now()));
        Bench.Series brief = again(bench, pots.get(0), 120);
        Bench.Series longer = again(bench, pots.get(1), 7200);
        Page page = app.signedIn("runa");
        double[] taken = new double[2];
        for (int i = -20; i < PAIRS; i++) {
            for (int which = 0; which < 2; which++) {
                Bench.Series pot = which == 0 ? brief : longer;
                int known = (which == 0 ? 120 : 7200) + i + 20;
                long began = System.nanoTime();
                send(app, pot.id(), 103 + 0.001 * i);
                page.request().get("/bench/" + pot.run() + "/panel?step=cook:" + COMPONENT);
                page.request().get("/bench/" + pot.run() + "/curve/" + pot.id() + "?edition=0&from=" + known);
                taken[which] += i < 0 ? 0 : System.nanoTime() - began;
            }
        }
        say("an event of a two-hour cook to one of a two-minute cook, time ratio", taken[1] / taken[0]);
        page.context().close();
    }

    private static Bench.Series again(Bench bench, Bench.Series pot, int seconds) {
        Instant started = Instant.now().minusSeconds(seconds + 5);
        Bench.Series series = bench.startSeries(
                        pot.run(), COMPONENT, UUID.randomUUID(), Bench.SeriesKind.COOK, "", 1, started)
                .orElseThrow();
        List<Bench.Reading> readings = new ArrayList<>();
        for (int i = 0; i < seconds; i++) {
            int milli = (int) (1000 * Math.min(102.5, 90 + i * 0.2 * 120 / seconds));
            readings.add(new Bench.Reading(UUID.randomUUID(), started.plusSeconds(i), milli, false));
        }
        bench.addReadings(series.id(), readings, Instant.now());
        return series;
    }

    /** Readings accepted one by one against plain inserts of one row into the same PostgreSQL, in turns. */
    private void rate(TestApp app, Bench.Series pot) throws Exception {
        Bench bench = app.bean(Bench.class);
        Bench.Series series = again(bench, pot, 10);
        DataSource source = app.bean(DataSource.class);
        try (Connection c = source.getConnection()) {
            c.createStatement()
                    .execute("create table plain (series bigint, key uuid primary key, at timestamptz, milli int)");
        }
        double accepted = 0;
        double plain = 0;
        for (int turn = 0; turn < 4; turn++) {
            accepted += perSecond(() -> send(app, series.id(), 100));
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
