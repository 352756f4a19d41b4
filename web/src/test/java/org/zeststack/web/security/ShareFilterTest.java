package org.zeststack.web.security;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContextHolder;
import org.testng.annotations.Test;

/** What one person, or one address of strangers, has under way at once. */
public class ShareFilterTest {

    private static final int ALL = ShareFilter.AT_WORK + ShareFilter.WAITING;

    private final ShareFilter filter = new ShareFilter();
    private final ExecutorService hands = Executors.newFixedThreadPool(ALL + 8);
    private final AtomicInteger atWork = new AtomicInteger();
    private final AtomicInteger most = new AtomicInteger();
    private final Semaphore through = new Semaphore(0);

    private Future<Integer> sent(String login, String address, CountDownLatch entered) {
        return hands.submit(() -> {
            if (login != null) {
                SecurityContextHolder.getContext()
                        .setAuthentication(UsernamePasswordAuthenticationToken.authenticated(login, null, List.of()));
            }
            MockHttpServletRequest request = new MockHttpServletRequest("POST", "/x");
            request.setRemoteAddr(address);
            MockHttpServletResponse response = new MockHttpServletResponse();
            entered.countDown();
            filter.doFilter(request, response, (in, out) -> {
                most.accumulateAndGet(atWork.incrementAndGet(), Math::max);
                through.acquireUninterruptibly();
                atWork.decrementAndGet();
            });
            SecurityContextHolder.clearContext();
            return response.getStatus();
        });
    }

    private List<Future<Integer>> many(int count, String login, String address) throws InterruptedException {
        CountDownLatch entered = new CountDownLatch(count);
        List<Future<Integer>> all = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            all.add(sent(login, address, entered));
        }
        assertTrue(entered.await(5, TimeUnit.SECONDS));
        return all;
    }

    @Test
    public void oneHasSixAtWorkOthersTheirOwnAndWhatIsTooMuchIsToldSo() throws Exception {
        List<Future<Integer>> first = many(ALL, "runa", "10.0.0.1");
        while (filter.underWay("of runa") < ALL) {
            TimeUnit.MILLISECONDS.sleep(5);
        }
        assertEquals(
                many(1, "runa", "10.0.0.9").get(0).get(5, TimeUnit.SECONDS), Integer.valueOf(429), "wherever from");
        assertEquals(most.get(), ShareFilter.AT_WORK);
        List<Future<Integer>> others = many(1, "teo", "10.0.0.1");
        List<Future<Integer>> strangers = many(1, null, "10.0.0.1");
        while (atWork.get() < ShareFilter.AT_WORK + 2) {
            TimeUnit.MILLISECONDS.sleep(5);
        }
        through.release(ALL + 2);
        for (Future<Integer> one : first) {
            assertEquals(one.get(20, TimeUnit.SECONDS), Integer.valueOf(200));
        }
        assertEquals(others.get(0).get(5, TimeUnit.SECONDS), Integer.valueOf(200));
        assertEquals(strangers.get(0).get(5, TimeUnit.SECONDS), Integer.valueOf(200));
        assertEquals(filter.underWay("of runa"), 0, "nothing is kept");
        hands.shutdown();
    }
}
