package org.zeststack.web.api;

import java.io.IOException;
import java.io.InputStream;
import org.testng.annotations.BeforeClass;
import org.zeststack.web.WithDemo;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A program that calls the demo workshop, for as long as a test class runs. */
public abstract class DemoCalls extends WithDemo {

    Caller caller;

    @BeforeClass
    public void open() {
        caller = new Caller(app);
    }

    /** Cases kept as data beside the tests. */
    static JsonNode cases(String name) throws IOException {
        try (InputStream file = DemoCalls.class.getResourceAsStream(name)) {
            return new JsonMapper().readTree(file);
        }
    }
}
