package org.zeststack.web.api;

import java.io.IOException;
import java.io.InputStream;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.zeststack.web.TestApp;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A program that calls the demo workshop, for as long as a test class runs. */
public abstract class DemoCalls {

    TestApp app;
    Caller caller;

    @BeforeClass
    public void open() {
        app = TestApp.demo();
        caller = new Caller(app);
    }

    @AfterClass(alwaysRun = true)
    public void close() {
        app.close();
    }

    /** Cases kept as data beside the tests. */
    static JsonNode cases(String name) throws IOException {
        try (InputStream file = DemoCalls.class.getResourceAsStream(name)) {
            return new JsonMapper().readTree(file);
        }
    }
}
