package org.zeststack.store;

import java.util.List;
import java.util.function.Function;
import java.util.function.IntFunction;

/**
 * One page of a list.
 *
 * @param found how many there are on all pages
 */
public record Part<T>(List<T> rows, int found, int page, int pages) {

    /** Rows of one page. */
    public static final int ROWS = 20;

    /** Of a list in memory the page asked for, or the nearest there is. */
    public static <T> Part<T> of(List<T> found, int page) {
        return read(
                found.size(),
                page,
                from -> found.stream().skip(from).limit(ROWS).toList());
    }

    /**
     * The page asked for, or the nearest there is.
     *
     * @param rows reads at most {@link #ROWS} rows after so many
     */
    public static <T> Part<T> read(int found, int page, IntFunction<List<T>> rows) {
        int pages = Math.max(1, (found + ROWS - 1) / ROWS);
        int asked = Math.max(1, Math.min(pages, page));
        return new Part<>(rows.apply(ROWS * (asked - 1)), found, asked, pages);
    }

    /** The same page with what else is shown of its rows. */
    public <R> Part<R> map(Function<T, R> shown) {
        return new Part<>(rows.stream().map(shown).toList(), found, page, pages);
    }
}
