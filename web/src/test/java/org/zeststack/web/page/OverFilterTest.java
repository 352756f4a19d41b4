package org.zeststack.web.page;

import static org.testng.Assert.assertEquals;

import jakarta.servlet.DispatcherType;
import org.springframework.mock.web.MockFilterChain;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class OverFilterTest {

    /** Whether the answer has gone out, how it comes to the filter, and whether it goes on. */
    @DataProvider
    public Object[][] answers() {
        return new Object[][] {
            {true, DispatcherType.ERROR, false},
            {false, DispatcherType.ERROR, true},
            {true, DispatcherType.REQUEST, true},
            {false, DispatcherType.REQUEST, true},
        };
    }

    @Test(dataProvider = "answers")
    public void onlyWhatIsStillToBeWrittenGetsAPage(boolean committed, DispatcherType type, boolean goesOn)
            throws Exception {
        MockHttpServletRequest request = new MockHttpServletRequest("GET", "/bench/4/live");
        request.setDispatcherType(type);
        MockHttpServletResponse response = new MockHttpServletResponse();
        response.setContentType("text/event-stream");
        response.setCommitted(committed);
        MockFilterChain chain = new MockFilterChain();
        new OverFilter().doFilter(request, response, chain);
        assertEquals(chain.getRequest() != null, goesOn);
    }
}
