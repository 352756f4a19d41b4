package org.zeststack.web.page;

import jakarta.servlet.RequestDispatcher;
import org.springframework.boot.webmvc.error.DefaultErrorAttributes;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.server.ResponseStatusException;

/** What an error page and an answer to a script say: the sentence that was given, and never an exception's own words. */
@Component
class PlainErrors extends DefaultErrorAttributes {

    @Override
    protected String getMessage(WebRequest request, Throwable error) {
        if (error instanceof ResponseStatusException known && known.getReason() != null) {
            return known.getReason();
        }
        Object said = request.getAttribute(RequestDispatcher.ERROR_MESSAGE, RequestAttributes.SCOPE_REQUEST);
        boolean thrown =
                request.getAttribute(RequestDispatcher.ERROR_EXCEPTION, RequestAttributes.SCOPE_REQUEST) != null;
        if (!thrown && said instanceof String sentence && !sentence.isBlank()) {
            return sentence;
        }
        Object status = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE, RequestAttributes.SCOPE_REQUEST);
        return status instanceof Integer code && code >= 500
                ? "That went wrong here. Nothing of it was kept; what was kept before is as it was."
                : status instanceof Integer code && code == HttpStatus.NOT_FOUND.value()
                        ? "There is nothing at this address."
                        : "This request cannot be understood.";
    }
}
