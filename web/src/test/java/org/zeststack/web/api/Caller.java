package org.zeststack.web.api;

import static org.testng.Assert.assertEquals;

import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import org.zeststack.demo.DemoPeople;
import org.zeststack.web.TestApp;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A program that calls the interface. */
final class Caller {

    final HttpClient client = HttpClient.newHttpClient();
    final JsonMapper json = new JsonMapper();
    private final TestApp app;

    Caller(TestApp app) {
        this.app = app;
    }

    HttpResponse<String> post(String path, String token, String body) throws Exception {
        return client.send(
                HttpRequest.newBuilder(URI.create(app.url() + "/api/v1" + path))
                        .header("Content-Type", "application/json")
                        .header("Authorization", "Bearer " + token)
                        .POST(BodyPublishers.ofString(body))
                        .build(),
                BodyHandlers.ofString());
    }

    JsonNode answer(String path, String body, int status) throws Exception {
        HttpResponse<String> response = post(path, DemoPeople.TOKEN, body);
        assertEquals(response.statusCode(), status, response.body());
        return json.readTree(response.body());
    }
}
