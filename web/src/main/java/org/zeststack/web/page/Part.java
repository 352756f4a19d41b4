package org.zeststack.web.page;

import java.util.List;
import java.util.function.UnaryOperator;

/**
 * One page of a list.
 *
 * @param found how many there are on all pages
 */
public record Part<T>(List<T> rows, int found, int page, int pages) {

    /** Rows of one page. */
    public static final int ROWS = 20;

    /** The page asked for, or the nearest there is. */
    public static <T> Part<T> of(List<T> found, int page) {
        return of(found, page, UnaryOperator.identity());
    }

    /**
     * The same, with its rows worked out: only those that are shown.
     *
     * @param shown a row with all that is shown of it
     */
    public static <T> Part<T> of(List<T> found, int page, UnaryOperator<T> shown) {
        int pages = Math.max(1, (found.size() + ROWS - 1) / ROWS);
        int asked = Math.max(1, Math.min(pages, page));
        List<T> rows = found.stream()
                .skip((long) ROWS * (asked - 1))
                .limit(ROWS)
                .map(shown)
                .toList();
        return new Part<>(rows, found.size(), asked, pages);
    }
}
