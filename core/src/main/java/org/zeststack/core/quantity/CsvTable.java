package org.zeststack.core.quantity;

import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/**
 * A small published table shipped as a resource: comment lines with {@code #}, a header, then rows; cells with a comma
 * stand in double quotes. A bad file fails with its name and line.
 */
public final class CsvTable {

    private static final CSVFormat FORMAT = CSVFormat.DEFAULT
            .builder()
            .setCommentMarker('#')
            .setHeader()
            .setSkipHeaderRecord(true)
            .setIgnoreEmptyLines(true)
            .setTrim(true)
            .get();

    private final String name;
    private final List<Row> rows = new ArrayList<>();

    private CsvTable(String name) {
        this.name = name;
    }

    /** Loads the resource {@code name} beside {@code owner}. */
    public static CsvTable load(Class<?> owner, String name) {
        try (InputStream stream = owner.getResourceAsStream(name)) {
            if (stream == null) {
                throw new IllegalStateException("missing table " + name);
            }
            return read(name, new InputStreamReader(stream, StandardCharsets.UTF_8));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    static CsvTable read(String name, Reader reader) throws IOException {
        CsvTable table = new CsvTable(name);
        try (CSVParser parser = FORMAT.parse(reader)) {
            if (parser.getHeaderNames().isEmpty()) {
                throw new IllegalStateException(name + " is empty");
            }
            for (CSVRecord cells : parser) {
                Row row = table.new Row(cells, parser.getCurrentLineNumber());
                if (!cells.isConsistent()) {
                    throw row.bad("%d cells, the header has %d"
                            .formatted(cells.size(), parser.getHeaderNames().size()));
                }
                table.rows.add(row);
            }
        }
        return table;
    }

    public List<Row> rows() {
        return List.copyOf(rows);
    }

    /** One row of the table. */
    public final class Row {
        private final CSVRecord cells;
        private final long lineNumber;

        private Row(CSVRecord cells, long lineNumber) {
            this.cells = cells;
            this.lineNumber = lineNumber;
        }

        public String text(String column) {
            if (!cells.isMapped(column)) {
                throw new IllegalStateException(name + " has no column " + column);
            }
            return cells.get(column);
        }

        /** The words of a cell that holds several, separated by semicolons. */
        public List<String> words(String column) {
            List<String> words = new ArrayList<>();
            for (String word : text(column).split(";")) {
                if (!word.isBlank()) {
                    words.add(word.strip());
                }
            }
            return words;
        }

        /** The number in a column; an empty cell is 0. */
        public double number(String column) {
            String cell = text(column);
            try {
                return cell.isEmpty() ? 0 : Double.parseDouble(cell);
            } catch (NumberFormatException e) {
                throw bad(column + " is not a number: " + cell);
            }
        }

        /** A fault in this row, told with file and line. */
        /**
         * Reads the name of a constant, in small letters with hyphens.
         *
         * @throws IllegalStateException with file and line where there is no such constant
         */
        public <E extends Enum<E>> E constant(String text, Class<E> type) {
            try {
                return Enum.valueOf(type, text.toUpperCase(Locale.ROOT).replace('-', '_'));
            } catch (IllegalArgumentException e) {
                throw bad(text + " is none of " + List.of(type.getEnumConstants()));
            }
        }

        public IllegalStateException bad(String reason) {
            return new IllegalStateException("%s line %d: %s".formatted(name, lineNumber, reason));
        }
    }
}
