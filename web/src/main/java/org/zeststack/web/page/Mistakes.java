package org.zeststack.web.page;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.annotation.Order;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.http.HttpStatus;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.web.HttpMediaTypeException;
import org.springframework.web.HttpRequestMethodNotSupportedException;
import org.springframework.web.bind.MissingServletRequestParameterException;
import org.springframework.web.bind.ServletRequestBindingException;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.context.request.async.AsyncRequestNotUsableException;
import org.springframework.web.context.request.async.AsyncRequestTimeoutException;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.multipart.MultipartException;
import org.springframework.web.multipart.support.MissingServletRequestPartException;
import org.springframework.web.servlet.resource.NoResourceFoundException;
import org.zeststack.app.Missing;
import org.zeststack.store.NewerRelease;
import tools.jackson.core.JacksonException;

/** Requests that cannot be meant: each is answered with a sentence about what is wrong, and nothing of how the program is made. */
@ControllerAdvice
@Order(0)
class Mistakes {

    private static final Logger LOG = LoggerFactory.getLogger(Mistakes.class);
    private static final int SHOWN = 40;

    @ExceptionHandler
    void missing(Missing e, HttpServletResponse response) throws IOException {
        tell(response, HttpStatus.NOT_FOUND, e.getMessage());
    }

    @ExceptionHandler
    void mismatch(MethodArgumentTypeMismatchException e, HttpServletRequest request, HttpServletResponse response)
            throws IOException {
        if (e.getParameter().hasParameterAnnotation(PathVariable.class)) {
            nothing(request, response);
            return;
        }
        tell(
                response,
                HttpStatus.BAD_REQUEST,
                "\u201c%s\u201d does not fit \u201c%s\u201d.".formatted(shown(e.getValue()), e.getName()));
    }

    private static String shown(Object value) {
        String text = String.valueOf(value).replaceAll("\\p{Cntrl}", "\ufffd");
        return text.length() > SHOWN ? text.substring(0, SHOWN) + "\u2026" : text;
    }

    @ExceptionHandler(NoResourceFoundException.class)
    void nothing(HttpServletRequest request, HttpServletResponse response) throws IOException {
        tell(response, HttpStatus.NOT_FOUND, "There is nothing at " + shown(request.getRequestURI()) + ".");
    }

    @ExceptionHandler
    void missing(MissingServletRequestParameterException e, HttpServletResponse response) throws IOException {
        tell(response, HttpStatus.BAD_REQUEST, "\u201c" + e.getParameterName() + "\u201d is missing.");
    }

    @ExceptionHandler
    void missing(MissingServletRequestPartException e, HttpServletResponse response) throws IOException {
        tell(response, HttpStatus.BAD_REQUEST, "The file \u201c" + e.getRequestPartName() + "\u201d is missing.");
    }

    @ExceptionHandler
    void missing(ServletRequestBindingException e, HttpServletResponse response) throws IOException {
        tell(response, HttpStatus.BAD_REQUEST, "Something of this request is missing.");
    }

    /** Tells the place in a document, by its fields. */
    @ExceptionHandler
    void unreadable(HttpMessageNotReadableException e, HttpServletResponse response) throws IOException {
        String place = e.getCause() instanceof JacksonException json
                ? json.getPath().stream()
                        .map(p -> p.getPropertyName() == null ? String.valueOf(p.getIndex()) : p.getPropertyName())
                        .reduce((a, b) -> a + "/" + b)
                        .orElse("")
                : "";
        tell(
                response,
                HttpStatus.BAD_REQUEST,
                place.isEmpty()
                        ? "This is not JSON that can be read here."
                        : "What stands in \u201c%s\u201d cannot be read.".formatted(shown(place)));
    }

    @ExceptionHandler
    void method(HttpRequestMethodNotSupportedException e, HttpServletResponse response) throws IOException {
        tell(response, HttpStatus.METHOD_NOT_ALLOWED, shown(e.getMethod()) + " does nothing at this address.");
    }

    @ExceptionHandler
    void type(HttpMediaTypeException e, HttpServletResponse response) throws IOException {
        tell(response, HttpStatus.UNSUPPORTED_MEDIA_TYPE, "This address does not take or give that kind of content.");
    }

    @ExceptionHandler
    void large(MaxUploadSizeExceededException e, HttpServletResponse response) throws IOException {
        tell(response, HttpStatus.CONTENT_TOO_LARGE, "At most 8 MB can be sent at once.");
    }

    @ExceptionHandler
    void multipart(MultipartException e, HttpServletResponse response) throws IOException {
        tell(response, HttpStatus.BAD_REQUEST, "The file did not come in whole, or in too many parts: send it again.");
    }

    /** A stream of events that ran out or whose page went away: there is nobody to tell, and nothing to tell it in. */
    @ExceptionHandler({AsyncRequestTimeoutException.class, AsyncRequestNotUsableException.class})
    void over(HttpServletResponse response) {
        LOG.debug("A stream is over, status {}", response.getStatus());
    }

    /** What the database does not keep: characters that are none, numbers beyond every bound. */
    @ExceptionHandler
    void unkept(DataIntegrityViolationException e, HttpServletResponse response) throws IOException {
        LOG.warn("The database refused what was sent", e);
        tell(response, HttpStatus.BAD_REQUEST, "Something of what was sent cannot be kept. Nothing was changed.");
    }

    @ExceptionHandler
    void newer(NewerRelease e, HttpServletResponse response) throws IOException {
        tell(response, HttpStatus.CONFLICT, e.getMessage());
    }

    private static void tell(HttpServletResponse response, HttpStatus status, String words) throws IOException {
        if (!response.isCommitted()) {
            response.sendError(status.value(), words);
        }
    }
}
