package org.zeststack.web.form;

import java.util.ArrayDeque;
import java.util.Deque;
import org.unbescape.html.HtmlEscape;

/** Markup that is written by code and not by a template: every value and every text goes through here, escaped. */
final class Markup {

    private final StringBuilder html = new StringBuilder();
    private final Deque<String> open = new ArrayDeque<>();

    /** A value or text as it may stand in markup. */
    static String escaped(String text) {
        return HtmlEscape.escapeHtml4Xml(text == null ? "" : text);
    }

    /**
     * Begins an element.
     *
     * @param tag a name of ours
     * @param attributes names of ours and their values in turn; one without a value is left out
     */
    Markup begin(String tag, String... attributes) {
        html.append('<').append(tag);
        for (int i = 0; i < attributes.length; i += 2) {
            if (attributes[i + 1] != null) {
                html.append(' ')
                        .append(attributes[i])
                        .append("=\"")
                        .append(escaped(attributes[i + 1]))
                        .append('"');
            }
        }
        html.append('>');
        open.push(tag);
        return this;
    }

    /** The same for an element that has no content. */
    Markup empty(String tag, String... attributes) {
        begin(tag, attributes);
        open.pop();
        return this;
    }

    Markup text(String text) {
        html.append(escaped(text));
        return this;
    }

    /** Ends the element that was begun last. */
    Markup end() {
        html.append("</").append(open.pop()).append('>');
        return this;
    }

    /** An element with nothing but text in it. */
    Markup element(String tag, String text, String... attributes) {
        return begin(tag, attributes).text(text).end();
    }

    @Override
    public String toString() {
        return html.toString();
    }
}
