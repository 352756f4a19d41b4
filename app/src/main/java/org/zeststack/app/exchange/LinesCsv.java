package org.zeststack.app.exchange;

import java.io.IOException;
import java.io.StringReader;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;
import org.zeststack.core.formula.Formula;
import org.zeststack.core.formula.FormulaLine;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.quantity.Numbers;

/** The lines of a formula as comma-separated text with a header; the method does not travel this way. */
public final class LinesCsv {

    private static final String[] COLUMNS = {
        "ingredient", "slug", "grams", "role", "pieces", "to_effect", "step", "written"
    };

    private static final int MOST = 60;

    private LinesCsv() {}

    /** One row: what is not there is empty. */
    public record Row(
            String ingredient,
            String slug,
            String grams,
            String role,
            String pieces,
            boolean toEffect,
            String step,
            String written) {}

    /** Writes the lines; {@code names} by slug or link. */
    public static String write(Formula formula, Map<String, String> names) {
        StringWriter text = new StringWriter();
        try (CSVPrinter printer = new CSVPrinter(
                text, CSVFormat.RFC4180.builder().setHeader(COLUMNS).get())) {
            for (FormulaLine line : formula.lines()) {
                printer.printRecord(
                        safe(names.get(line.ingredient())),
                        line.ingredient(),
                        Numbers.plain(line.grams()),
                        line.role().name().toLowerCase(Locale.ROOT),
                        line.pieces() == null ? "" : Numbers.plain(line.pieces()),
                        line.toEffect() ? "yes" : "",
                        line.step() == null ? "" : line.step(),
                        safe(line.written()));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return text.toString();
    }

    /** Spreadsheets pass over spaces, tabs and breaks of the line in front; what is quoted already is quoted once more. */
    private static boolean isFormula(String text) {
        int at = 0;
        while (at < text.length()
                && (Character.isWhitespace(text.charAt(at)) || "\u00a0'".indexOf(text.charAt(at)) >= 0)) {
            at++;
        }
        return at < text.length() && "=+-@".indexOf(text.charAt(at)) >= 0;
    }

    /** A cell that a spreadsheet would take for a formula of its own is kept text. */
    private static String safe(String text) {
        return isFormula(text) ? "'" + text : text;
    }

    /**
     * Reads lines.
     *
     * @throws InvalidInput where there is no column {@code ingredient} or {@code slug}, or the text is no CSV
     */
    public static List<Row> read(String text) {
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .setIgnoreHeaderCase(true)
                .setTrim(true)
                .setIgnoreEmptyLines(true)
                .get();
        try (CSVParser parser = format.parse(new StringReader(text.replace("\ufeff", "")))) {
            List<String> header = parser.getHeaderNames().stream()
                    .map(h -> h.toLowerCase(Locale.ROOT))
                    .toList();
            if (!header.contains("ingredient") && !header.contains("slug")) {
                throw fault("The first line must name the columns; one of them is ingredient or slug.");
            }
            List<Row> rows = new ArrayList<>();
            for (CSVRecord cells : parser) {
                if (rows.size() == MOST) {
                    throw fault("There are more than %d lines; a formula has at most that many.".formatted(MOST));
                }
                rows.add(new Row(
                        unquoted(cell(cells, "ingredient")),
                        cell(cells, "slug"),
                        cell(cells, "grams"),
                        cell(cells, "role"),
                        cell(cells, "pieces"),
                        cell(cells, "to_effect").equalsIgnoreCase("yes"),
                        cell(cells, "step"),
                        unquoted(cell(cells, "written"))));
            }
            return rows;
        } catch (IOException | IllegalArgumentException | IllegalStateException | UncheckedIOException e) {
            throw e instanceof InvalidInput input ? input : fault("This is no comma-separated text: " + e.getMessage());
        }
    }

    private static String unquoted(String text) {
        return text.startsWith("'") && isFormula(text) ? text.substring(1) : text;
    }

    private static String cell(CSVRecord cells, String column) {
        return cells.isMapped(column) && cells.isSet(column) ? cells.get(column) : "";
    }

    private static InvalidInput fault(String message) {
        return new InvalidInput(Fault.of("text", "", message));
    }
}
