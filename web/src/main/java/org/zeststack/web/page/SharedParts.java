package org.zeststack.web.page;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.View;
import org.springframework.web.util.ContentCachingResponseWrapper;
import org.thymeleaf.spring6.view.ThymeleafViewResolver;

/**
 * Parts of pages that many look at: drawn once for all who look at the same. What a session alone may know stands in none of them: its
 * place is kept, and filled for each who asks.
 */
@Component
public final class SharedParts {

    /** Clocks on a part stand still for so long at the most. */
    private static final long FRESH_NANOS = TimeUnit.MILLISECONDS.toNanos(900);

    private static final int MOST_PARTS = 200;
    /** What nobody can have typed. */
    private static final String TOKEN = UUID.randomUUID().toString();

    private static final String ONCE = UUID.randomUUID().toString();

    private final ThymeleafViewResolver views;
    private final Map<Object, Drawn> drawn = new ConcurrentHashMap<>();

    private record Drawn(long edition, long at, String text) {}

    SharedParts(ThymeleafViewResolver views) {
        this.views = views;
    }

    /**
     * Answers with a part.
     *
     * @param what tells parts apart; who may do other things sees another one
     * @param edition grows with whatever changes on it
     * @param model what it is drawn from, asked for only if it has to be; with the page's own {@code once}
     */
    public void answer(
            Object what,
            long edition,
            String view,
            Supplier<Map<String, Object>> model,
            HttpServletRequest request,
            HttpServletResponse response)
            throws IOException {
        if (drawn.size() > MOST_PARTS) {
            drawn.clear();
        }
        Drawn part = drawn.compute(
                what,
                (key, known) -> known != null && known.edition >= edition && System.nanoTime() - known.at < FRESH_NANOS
                        ? known
                        : new Drawn(edition, System.nanoTime(), draw(view, model.get(), request, response)));
        String own = part.text
                .replace(TOKEN, token(request))
                .replace(ONCE, UUID.randomUUID().toString());
        response.setContentType("text/html;charset=UTF-8");
        WholePage.encode(own, response.getOutputStream());
    }

    private String draw(
            String view, Map<String, Object> model, HttpServletRequest request, HttpServletResponse response) {
        ContentCachingResponseWrapper kept = new ContentCachingResponseWrapper(response);
        try {
            View drawing = views.resolveViewName(view, Locale.ENGLISH);
            drawing.render(model, request, kept);
        } catch (RuntimeException e) {
            throw e;
        } catch (Exception e) {
            throw new IllegalStateException("A part could not be drawn: " + view, e);
        }
        return new String(kept.getContentAsByteArray(), StandardCharsets.UTF_8)
                .replace(token(request), TOKEN)
                .replace(String.valueOf(model.get("once")), ONCE);
    }

    private static String token(HttpServletRequest request) {
        return ((CsrfToken) request.getAttribute(CsrfToken.class.getName())).getToken();
    }
}
