package org.zeststack.web;

import static org.testng.Assert.assertTrue;

import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** A person with cookies of their own. */
final class Visitor {

    static final Pattern CSRF = Pattern.compile("name=\"_csrf\" value=\"([^\"]+)\"");

    private final String url;
    private final CookieManager cookies = new CookieManager();
    private final HttpClient client = HttpClient.newBuilder()
            .cookieHandler(cookies)
            .followRedirects(HttpClient.Redirect.NEVER)
            .build();

    Visitor(String url) {
        this.url = url;
    }

    HttpResponse<String> get(String path) throws Exception {
        return client.send(HttpRequest.newBuilder(URI.create(url + path)).build(), BodyHandlers.ofString());
    }

    /** Takes a cookie that nobody gave them. */
    void makeUp(String name, String value) {
        HttpCookie cookie = new HttpCookie(name, value);
        cookie.setVersion(0);
        cookie.setPath("/");
        cookies.getCookieStore().add(URI.create(url), cookie);
    }

    String csrf() throws Exception {
        Matcher matcher = CSRF.matcher(get("/sign-in").body());
        assertTrue(matcher.find());
        return matcher.group(1);
    }

    HttpResponse<String> post(String path, Map<String, String> fields) throws Exception {
        String body = fields.entrySet().stream()
                .map(f -> f.getKey() + "=" + URLEncoder.encode(f.getValue(), StandardCharsets.UTF_8))
                .collect(Collectors.joining("&"));
        return client.send(
                HttpRequest.newBuilder(URI.create(url + path))
                        .header("Content-Type", "application/x-www-form-urlencoded")
                        .POST(BodyPublishers.ofString(body))
                        .build(),
                BodyHandlers.ofString());
    }

    HttpResponse<String> postJson(String path, String body, String csrf) throws Exception {
        return client.send(
                HttpRequest.newBuilder(URI.create(url + path))
                        .header("Content-Type", "application/json")
                        .header("X-CSRF-TOKEN", csrf)
                        .header("X-Requested-With", "fetch")
                        .POST(BodyPublishers.ofString(body))
                        .build(),
                BodyHandlers.ofString());
    }

    /** Sends one file, as a form does. */
    HttpResponse<String> postFile(String path, String field, String name, byte[] bytes, String csrf) throws Exception {
        String head =
                "--zest\r\nContent-Disposition: form-data; name=\"%s\"; filename=\"%s\"\r\n\r\n".formatted(field, name);
        return client.send(
                HttpRequest.newBuilder(URI.create(url + path))
                        .header("Content-Type", "multipart/form-data; boundary=zest")
                        .header("X-CSRF-TOKEN", csrf)
                        .POST(BodyPublishers.concat(
                                BodyPublishers.ofString(head),
                                BodyPublishers.ofByteArray(bytes),
                                BodyPublishers.ofString("\r\n--zest--\r\n")))
                        .build(),
                BodyHandlers.ofString());
    }

    /** Opens an address that goes on; its lines end with it. */
    HttpResponse<Stream<String>> follow(String path) throws Exception {
        return client.send(HttpRequest.newBuilder(URI.create(url + path)).build(), BodyHandlers.ofLines());
    }

    Visitor signIn(String login, String password) throws Exception {
        post("/sign-in", Map.of("username", login, "password", password, "_csrf", csrf()));
        return this;
    }
}
