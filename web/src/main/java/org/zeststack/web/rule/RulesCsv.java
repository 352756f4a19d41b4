package org.zeststack.web.rule;

import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.Locale;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.zeststack.core.quantity.Numbers;
import org.zeststack.core.rule.Bound;
import org.zeststack.core.rule.Bounds;
import org.zeststack.core.rule.Rule;

/** The rules and the bounds as tables that a spreadsheet reads. */
final class RulesCsv {

    private RulesCsv() {}

    private interface Filling {
        void fill(CSVPrinter printer) throws IOException;
    }

    static String rules() {
        return write(
                printer -> {
                    for (Rule rule : Rule.all()) {
                        printer.printRecord(
                                rule.about().name().toLowerCase(Locale.ROOT),
                                rule.code(),
                                rule.looksAt(),
                                rule.basis().words(),
                                rule.source(),
                                String.join(";", rule.bounds()));
                    }
                },
                "about",
                "code",
                "looks_at",
                "basis",
                "source",
                "bounds");
    }

    static String bounds(Bounds bounds) {
        return write(
                printer -> {
                    for (Bound bound : bounds.all()) {
                        printer.printRecord(
                                bound.code(),
                                bound.about(),
                                figure(bound.figures().least()),
                                figure(bound.figures().usual()),
                                figure(bound.figures().greatest()),
                                bound.unit(),
                                bound.basis().words(),
                                bound.source());
                    }
                },
                "code",
                "about",
                "least",
                "usual",
                "greatest",
                "unit",
                "basis",
                "source");
    }

    private static String figure(Double figure) {
        return figure == null ? "" : Numbers.plain(figure);
    }

    private static String write(Filling rows, String... columns) {
        StringWriter text = new StringWriter();
        try (CSVPrinter printer = new CSVPrinter(
                text, CSVFormat.RFC4180.builder().setHeader(columns).get())) {
            rows.fill(printer);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return text.toString();
    }
}
