package org.zeststack.web.bench;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.net.SocketException;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.JdbcTemplate;
import org.testng.annotations.Test;
import org.zeststack.store.live.Channel;
import org.zeststack.web.WithDemo;

/** Whoever sends half a request, or does not read what is sent, is left, and holds nobody else up. */
public class SlowClientsTest extends WithDemo {

    /** Longer than the server waits, on a slow machine too. */
    private static final int PATIENCE_MILLIS = 60_000;

    /** All that the server has. */
    private static final int THREADS = 200;

    private static final int STALLED = 4;
    private static final int NEWS = 2_000;
    /** Long enough that no buffer on the way takes all of them: 8 MB. */
    private static final int CHARACTERS = 4_000;

    private static final int TOLD_AT_ONCE = 500;

    private Socket opened(String said) throws IOException {
        URI url = URI.create(app.url());
        Socket socket = new Socket();
        socket.setReceiveBufferSize(2_000);
        socket.setSoTimeout(PATIENCE_MILLIS);
        socket.connect(new InetSocketAddress(url.getHost(), url.getPort()));
        socket.getOutputStream().write(said.getBytes(StandardCharsets.US_ASCII));
        return socket;
    }

    private static String get(String path, String headers) {
        return "GET " + path + " HTTP/1.1\r\nHost: zest\r\n" + headers + "\r\n";
    }

    private String cookies(String login) {
        return app.signedIn(login).context().cookies().stream()
                .map(c -> c.name + "=" + c.value)
                .collect(Collectors.joining("; "));
    }

    private static BufferedReader lines(Socket socket) throws IOException {
        return new BufferedReader(new InputStreamReader(socket.getInputStream(), StandardCharsets.UTF_8));
    }

    /** What came until the server left. */
    private static String rest(Socket socket) throws IOException {
        StringBuilder all = new StringBuilder();
        byte[] some = new byte[4096];
        try (socket) {
            for (int n = 0; n >= 0; n = socket.getInputStream().read(some)) {
                all.append(new String(some, 0, n, StandardCharsets.UTF_8));
            }
        } catch (SocketException reset) {
            all.append(reset.getMessage());
        }
        return all.toString();
    }

    @Test
    public void halfARequestIsLeft() throws Exception {
        List<Socket> halves = List.of(
                opened(""),
                opened("GET /sign-in HTTP/1.1\r\nHost: zest\r\nAccept: text"),
                opened("POST /sign-in HTTP/1.1\r\nHost: zest\r\nContent-Type: application/x-www-form-urlencoded\r\n"
                        + "Content-Length: 900\r\n\r\nusername=ru"));
        assertTrue(lines(opened(get("/sign-in", ""))).readLine().contains(" 200"));
        for (Socket half : halves) {
            String answer = rest(half);
            assertTrue(!answer.contains("HTTP/1.1 2") && !answer.contains("HTTP/1.1 5"), answer);
        }
    }

    /** Forms, files, and what nothing asks for: addresses that nobody is let in to. */
    private static final List<String> BODIES = List.of(
            "/sign-in HTTP/1.1\r\nContent-Type: application/x-www-form-urlencoded\r\nContent-Length: 900\r\n%s\r\nname=",
            "/sign-in HTTP/1.1\r\nContent-Type: application/x-www-form-urlencoded\r\nTransfer-Encoding: chunked\r\n%s\r\n900\r\nname=",
            "/sign-in HTTP/1.1\r\nContent-Type: multipart/form-data; boundary=b\r\nContent-Length: 900\r\n%s\r\n--b\r\n",
            "/api/v1/temper/verdict HTTP/1.1\r\nContent-Type: application/json\r\nContent-Length: 900\r\n%s\r\n{",
            "/no-such-place HTTP/1.1\r\nContent-Type: application/json\r\nContent-Length: 900\r\n%s\r\n{");

    /** None of the server's threads is held by who sends a byte now and then. */
    @Test
    public void aBodyThatDripsIsLeft() throws Exception {
        List<Socket> dripping = new ArrayList<>();
        for (int i = 0; i < THREADS; i++) {
            dripping.add(opened("POST " + BODIES.get(i % BODIES.size()).formatted("Host: zest\r\n")));
        }
        ScheduledExecutorService drops = Executors.newSingleThreadScheduledExecutor();
        drops.scheduleAtFixedRate(() -> dripping.forEach(SlowClientsTest::drop), 1, 1, TimeUnit.SECONDS);
        try (Socket other = opened(get("/sign-in", ""))) {
            assertTrue(lines(other).readLine().contains(" 200"), "somebody else is answered");
            for (Socket one : dripping) {
                assertFalse(rest(one).contains("HTTP/1.1 2"));
            }
        } finally {
            drops.shutdownNow();
        }
    }

    @Test
    public void whoIsNotLetInIsToldBeforeTheRestComesAndMayAskAgain() throws Exception {
        try (Socket socket =
                opened("POST /api/v1/temper/verdict HTTP/1.1\r\nHost: zest\r\nContent-Length: 9\r\n\r\n")) {
            BufferedReader told = lines(socket);
            assertTrue(told.readLine().contains(" 401"));
            socket.getOutputStream().write(("123456789" + get("/sign-in", "")).getBytes(StandardCharsets.US_ASCII));
            assertTrue(told.lines().anyMatch(line -> line.contains("HTTP/1.1 200")));
        }
    }

    private static void drop(Socket socket) {
        try {
            socket.getOutputStream().write('r');
        } catch (IOException left) {
            // As it should be.
        }
    }

    @Test
    public void aStreamThatIsNotReadHoldsNobodyUpAndEnds() throws Exception {
        String stream = get("/bench/4/events?seen=1000000", "Cookie: " + cookies("teo") + "\r\n");
        LiveHub hub = app.bean(LiveHub.class);
        JdbcTemplate database = app.bean(JdbcTemplate.class);
        database.update("""
                insert into entry (run, sequence, key, kind, body, device, at, recorded_at, recorded_by)
                select run, 1000000 + n, gen_random_uuid(), repeat('x', ?), body, device, at, recorded_at, recorded_by
                from (select * from entry where run = 4 and component is null limit 1) one, generate_series(1, ?) n""", CHARACTERS, NEWS);
        List<Socket> stalled = new ArrayList<>();
        for (int i = 0; i < STALLED; i++) {
            stalled.add(opened(stream));
        }
        BufferedReader reader =
                lines(opened(get("/bench/4/events?seen=1000000", "Cookie: " + cookies("ilse") + "\r\n")));
        for (int n = 1; n <= NEWS; n++) {
            String line = reader.readLine();
            while (!line.startsWith("id:")) {
                line = reader.readLine();
            }
            assertEquals(line, "id:" + (1_000_000 + n));
            if (n % TOLD_AT_ONCE == 0) {
                database.queryForList("select pg_notify(?, ?)", Channel.NAME, Channel.message(4, 0));
            }
        }
        long end = System.nanoTime() + PATIENCE_MILLIS * 1_000_000L;
        while (hub.following() > 1 && System.nanoTime() < end) {
            Thread.sleep(200);
        }
        assertEquals(hub.following(), 1, "who does not read is left");
        for (Socket one : stalled) {
            String got = rest(one);
            assertTrue(
                    got.contains("id:1000001") && !got.contains("id:" + (1_000_000 + NEWS)),
                    got.length() + " characters");
        }
    }
}
