package org.zeststack.web.page;

import static org.testng.Assert.assertEquals;

import jakarta.servlet.DispatcherType;
import org.springframework.mock.web.MockFilterChain;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class OverFilterTest {

    /** Whether the answer has gone out, what it is, how it comes to the filter, and whether it goes on. */
    @DataProvider
    public Object[][] answers() {
        return new Object[][] {
            {true, "text/html", DispatcherType.ERROR, false},
            {false, "text/html", DispatcherType.ERROR, true},
            {false, null, DispatcherType.ERROR, true},
            {true, "text/event-stream", DispatcherType.ERROR, false},
            {false, "text/event-stream;charset=UTF-8", DispatcherType.ERROR, false},
            {true, "text/event-stream", DispatcherType.REQUEST, true},
            {false, "text/event-stream", DispatcherType.ASYNC, true},
        };
    }

    @Test(dataProvider = "answers")
    public void onlyWhatIsStillToBeWrittenGetsAPage(
            boolean committed, String content, DispatcherType type, boolean goesOn) throws Exception {
        MockHttpServletRequest request = new MockHttpServletRequest("GET", "/bench/4/live");
        request.setDispatcherType(type);
        MockHttpServletResponse response = new MockHttpServletResponse();
        response.setContentType(content);
        response.setCommitted(committed);
        MockFilterChain chain = new MockFilterChain();
        new OverFilter().doFilter(request, response, chain);
        assertEquals(chain.getRequest() != null, goesOn);
    }
}
