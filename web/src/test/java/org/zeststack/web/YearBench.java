package org.zeststack.web;

import com.microsoft.playwright.Page;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.TimeUnit;
import org.testng.annotations.Test;

/** Lists of a year's data against lists of one page. Run by {@code ./zest bench}, never with the tests; prints {@code name: value}. */
public class YearBench {

    private static final int ROUNDS = 80;
    private static final int LONGEST_SECONDS = 8;
    private static final List<String> LISTS = List.of(
            "/bars?by=CHANGED",
            "/formulas?by=CHANGED",
            "/runs",
            "/ledger",
            "/store-room",
            "/boxes",
            "/workshop/people",
            "/",
            "/bench/pots");

    private final HttpClient client = HttpClient.newHttpClient();

    @Test
    public void measure() throws Exception {
        try (TestApp page = GrownDemo.of(GrownDemo.A_PAGE);
                TestApp year = GrownDemo.of(GrownDemo.A_YEAR)) {
            String ofPage = session(page);
            String ofYear = session(year);
            double empty = median(page, ofPage, "/account");
            for (String list : LISTS) {
                double small = median(page, ofPage, list);
                double large = median(year, ofYear, list);
                System.out.printf(
                        Locale.ROOT,
                        "%s of a year to one of a page, time ratio: %.2f; to an empty page %.2f; %d kB%n",
                        list.equals("/") ? "today" : list.substring(1),
                        large / small,
                        large / empty,
                        get(year, ofYear, list).length() / 1024);
            }
        }
    }

    private static String session(TestApp app) {
        Page page = app.signedIn("runa");
        String cookies = page.context().cookies().stream()
                .map(c -> c.name + "=" + c.value)
                .reduce((a, b) -> a + "; " + b)
                .orElseThrow();
        page.context().close();
        return cookies;
    }

    private String get(TestApp app, String cookies, String path) throws Exception {
        HttpResponse<String> answer = client.send(
                HttpRequest.newBuilder(URI.create(app.url() + path))
                        .header("Cookie", cookies)
                        .build(),
                BodyHandlers.ofString());
        if (answer.statusCode() != 200) {
            throw new IllegalStateException(answer.statusCode() + " for " + path);
        }
        return answer.body();
    }

    private double median(TestApp app, String cookies, String path) throws Exception {
        List<Long> took = new ArrayList<>();
        long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(LONGEST_SECONDS);
        do {
            long began = System.nanoTime();
            get(app, cookies, path);
            took.add(System.nanoTime() - began);
        } while (took.size() < ROUNDS && System.nanoTime() < end);
        List<Long> warm =
                took.subList(took.size() / 2, took.size()).stream().sorted().toList();
        return warm.get(warm.size() / 2);
    }
}
