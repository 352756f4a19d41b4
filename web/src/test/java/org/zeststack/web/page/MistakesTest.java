package org.zeststack.web.page;

import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertNull;

import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.setup.MockMvcBuilders;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.context.request.async.AsyncRequestTimeoutException;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import org.testng.annotations.Test;

public class MistakesTest {

    /** A stream that ran out. */
    @RestController
    static class Streams {
        @GetMapping("/stream")
        SseEmitter stream() {
            throw new AsyncRequestTimeoutException();
        }
    }

    @Test
    public void aStreamThatRunsOutIsAnsweredWithNoDocument() throws Exception {
        MockHttpServletResponse answer = MockMvcBuilders.standaloneSetup(new Streams())
                .setControllerAdvice(new Mistakes())
                .build()
                .perform(get("/stream").accept("text/event-stream"))
                .andReturn()
                .getResponse();
        assertEquals(answer.getStatus(), 200);
        assertNull(answer.getErrorMessage());
        assertEquals(answer.getContentAsString(), "");
    }
}
