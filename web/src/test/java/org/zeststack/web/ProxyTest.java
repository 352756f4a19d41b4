package org.zeststack.web;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.net.CookieManager;
import java.net.ServerSocket;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.KeyStore;
import java.security.cert.CertificateFactory;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.net.ssl.SSLContext;
import javax.net.ssl.TrustManagerFactory;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.util.FileSystemUtils;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import org.zeststack.demo.DemoPeople;

/** Through nginx with TLS, as the README has it. */
public class ProxyTest {

    private static final String PASSWORD = "lantern-harbour";
    private static final Pattern CSRF = Pattern.compile("name=\"_csrf\" value=\"([^\"]+)\"");

    private TestApp app;
    private Path directory;
    private Process nginx;
    private int port;
    private SSLContext trust;

    @BeforeClass
    public void open() throws Exception {
        app = TestApp.behind("127.0.0.1", true);
        directory = Files.createTempDirectory("zest-proxy-");
        run(
                "openssl",
                "req",
                "-x509",
                "-newkey",
                "rsa:2048",
                "-nodes",
                "-days",
                "2",
                "-subj",
                "/CN=localhost",
                "-addext",
                "subjectAltName=DNS:localhost",
                "-keyout",
                directory.resolve("key.pem").toString(),
                "-out",
                directory.resolve("cert.pem").toString());
        try (ServerSocket free = new ServerSocket(0)) {
            port = free.getLocalPort();
        }
        Files.writeString(directory.resolve("nginx.conf"), conf());
        nginx = new ProcessBuilder(
                        "/usr/sbin/nginx",
                        "-p",
                        directory.toString(),
                        "-c",
                        "nginx.conf",
                        "-e",
                        directory.resolve("errors").toString(),
                        "-g",
                        "daemon off;")
                .redirectErrorStream(true)
                .redirectOutput(directory.resolve("said").toFile())
                .start();
        KeyStore store = KeyStore.getInstance(KeyStore.getDefaultType());
        store.load(null, null);
        try (var pem = Files.newInputStream(directory.resolve("cert.pem"))) {
            store.setCertificateEntry(
                    "zest", CertificateFactory.getInstance("X.509").generateCertificate(pem));
        }
        TrustManagerFactory managers = TrustManagerFactory.getInstance(TrustManagerFactory.getDefaultAlgorithm());
        managers.init(store);
        trust = SSLContext.getInstance("TLS");
        trust.init(null, managers.getTrustManagers(), null);
        for (int i = 0; i < 100; i++) {
            try {
                new Client().get("/sign-in", Map.of());
                return;
            } catch (java.io.IOException notYet) {
                TimeUnit.MILLISECONDS.sleep(50);
            }
        }
    }

    @AfterClass(alwaysRun = true)
    public void close() throws Exception {
        nginx.destroy();
        nginx.waitFor(10, TimeUnit.SECONDS);
        app.close();
        FileSystemUtils.deleteRecursively(directory);
    }

    private static void run(String... command) throws Exception {
        Process process = new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                .start();
        assertEquals(process.waitFor(), 0, command[0]);
    }

    /** The README's, with our own port and files; the peer's address can be made up, to be many visitors. */
    private String conf() {
        String user = System.getProperty("user.name").equals("root") ? "user root;" : "";
        return user + """

                pid nginx.pid;
                events {}
                http {
                  access_log off;
                  client_body_temp_path body; proxy_temp_path proxy; fastcgi_temp_path f; uwsgi_temp_path u; scgi_temp_path s;
                  server {
                    listen 127.0.0.1:%d ssl;
                    server_name localhost;
                    ssl_certificate cert.pem;
                    ssl_certificate_key key.pem;
                    client_max_body_size 9m;
                    location / {
                      proxy_pass %s;
                      proxy_http_version 1.1;
                      proxy_set_header Host $http_host;
                      proxy_set_header X-Forwarded-For $http_x_test_peer;
                      proxy_set_header X-Forwarded-Proto $scheme;
                      proxy_set_header X-Forwarded-Port $server_port;
                      proxy_buffering off;
                      proxy_read_timeout 1h;
                    }
                  }
                }
                """.formatted(port, app.url());
    }

    private final class Client {
        private final HttpClient client = HttpClient.newBuilder()
                .sslContext(trust)
                .cookieHandler(new CookieManager())
                .build();

        private HttpRequest.Builder to(String path, Map<String, String> headers) {
            HttpRequest.Builder request = HttpRequest.newBuilder(URI.create("https://localhost:" + port + path));
            Map<String, String> all = new HashMap<>(headers);
            all.putIfAbsent("X-Test-Peer", "192.0.2.9");
            all.forEach(request::header);
            return request;
        }

        HttpResponse<String> get(String path, Map<String, String> headers) throws Exception {
            return client.send(to(path, headers).build(), BodyHandlers.ofString());
        }

        HttpResponse<String> signIn(String login, String password, String peer) throws Exception {
            Map<String, String> from = Map.of("X-Test-Peer", peer);
            Matcher csrf = CSRF.matcher(get("/sign-in", from).body());
            assertTrue(csrf.find());
            String body = "username=" + login + "&password=" + URLEncoder.encode(password, StandardCharsets.UTF_8)
                    + "&_csrf=" + URLEncoder.encode(csrf.group(1), StandardCharsets.UTF_8);
            return client.send(
                    to("/sign-in", from)
                            .header("Content-Type", "application/x-www-form-urlencoded")
                            .POST(BodyPublishers.ofString(body))
                            .build(),
                    BodyHandlers.ofString());
        }
    }

    private static String header(HttpResponse<?> response, String name) {
        return String.join("\n", response.headers().allValues(name));
    }

    @Test
    public void behindAProxyAllIsAsWithoutIt() throws Exception {
        cookiesAreSecureAndRedirectsLeadBackThroughIt();
        guessingKeepsNobodyOut();
    }

    private void cookiesAreSecureAndRedirectsLeadBackThroughIt() throws Exception {
        Client client = new Client();
        HttpResponse<String> page = client.get("/bars/4", Map.of());
        assertEquals(header(page, "Location"), "https://localhost:" + port + "/sign-in?to=%2Fbars%2F4");
        HttpResponse<String> in = client.signIn("teo", PASSWORD, "192.0.2.9");
        assertEquals(header(in, "Location"), "https://localhost:" + port + "/");
        for (String cookie : header(in, "Set-Cookie").split("\n")) {
            assertTrue(cookie.contains("Secure"), cookie);
        }
        HttpResponse<String> bars = client.get("/bars", Map.of());
        assertEquals(bars.statusCode(), 200);
        assertTrue(header(bars, "Strict-Transport-Security").contains("max-age"));
        assertEquals(
                app.bean(JdbcTemplate.class)
                        .queryForObject("select what from people_event order by id desc limit 1", String.class),
                "signed in from 192.0.2.9");
    }

    @Test
    public void whatCameThroughAProxyIsNotThisMachine() throws Exception {
        Map<String, String> demoToken =
                Map.of("Authorization", "Bearer " + DemoPeople.TOKEN, "X-Test-Peer", "127.0.0.1");
        assertEquals(new Client().get("/api/v1/ingredients", demoToken).statusCode(), 401);
        Map<String, String> none = Map.of("Authorization", "Bearer " + DemoPeople.TOKEN, "X-Test-Peer", "");
        assertEquals(new Client().get("/api/v1/ingredients", none).statusCode(), 401, "nor with no header at all");
    }

    /** A proxy that was set up without a line for it passes a visitor's own header on. */
    @Test
    public void aVisitorsNameForTheHostIsNotBelieved() throws Exception {
        HttpResponse<String> page = new Client().get("/bars", Map.of("X-Forwarded-Host", "elsewhere.example"));
        assertTrue(header(page, "Location").startsWith("https://localhost:" + port), header(page, "Location"));
    }

    @Test
    public void whoIsNoProxyIsNotBelieved() throws Exception {
        try (TestApp plain = TestApp.demo()) {
            HttpResponse<String> page = HttpClient.newHttpClient()
                    .send(
                            HttpRequest.newBuilder(URI.create(plain.url() + "/bars"))
                                    .header("X-Forwarded-For", "192.0.2.7")
                                    .header("X-Forwarded-Proto", "https")
                                    .header("X-Forwarded-Host", "elsewhere.example")
                                    .build(),
                            BodyHandlers.ofString());
            assertTrue(header(page, "Location").startsWith(plain.url()), header(page, "Location"));
        }
    }

    @Test
    public void justMeRefusesWhatComesThroughAProxy() throws Exception {
        try (TestApp empty = TestApp.behind("127.0.0.1", false)) {
            HttpResponse<String> setUp = HttpClient.newHttpClient()
                    .send(
                            HttpRequest.newBuilder(URI.create(empty.url() + "/welcome"))
                                    .build(),
                            BodyHandlers.ofString());
            assertTrue(
                    setUp.statusCode() == 403 && setUp.body().contains("./zest password NAME"),
                    setUp.statusCode() + setUp.body());
        }
    }

    /** Two hundred guesses from eight addresses: the person comes in on their own device, others on any. */
    private void guessingKeepsNobodyOut() throws Exception {
        Client own = new Client();
        own.signIn("runa", PASSWORD, "192.0.2.20");
        int tried = 0;
        for (int i = 0; i < 200; i++) {
            String to = header(new Client().signIn("runa", "guess " + i, "192.0.2." + (30 + i % 8)), "Location");
            tried += to.contains("failed") ? 1 : 0;
        }
        assertTrue(tried < 10, tried + " guesses were looked at");
        assertTrue(
                header(new Client().signIn("runa", PASSWORD, "192.0.2.50"), "Location")
                        .contains("wait"),
                "unknown devices wait");
        assertTrue(
                header(own.signIn("runa", PASSWORD, "192.0.2.30"), "Location").endsWith("/"), "the known one does not");
        for (int i = 0; i < 40; i++) {
            new Client().signIn("nobody" + i, "guess", "192.0.2.60");
        }
        assertTrue(
                header(new Client().signIn("ilse", PASSWORD, "192.0.2.61"), "Location")
                        .endsWith("/"),
                "a wall of wrong names");
        List<String> kinds = app.bean(JdbcTemplate.class)
                .queryForList("select distinct address from sign_in_failure where login = 'runa'", String.class);
        assertTrue(kinds.size() <= 8 && kinds.size() >= 3, kinds.toString());
    }
}
