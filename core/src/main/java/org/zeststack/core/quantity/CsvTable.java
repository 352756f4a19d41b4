package org.zeststack.core.quantity;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;

/**
 * A small published table shipped as a resource: comment lines with {@code #}, a header, then rows. Cells hold no commas.
 * A bad file fails with its name and line.
 */
public final class CsvTable {

    private final String name;
    private final List<String> header;
    private final List<Row> rows = new ArrayList<>();

    private CsvTable(String name, List<String> header) {
        this.name = name;
        this.header = header;
    }

    /** Loads the resource {@code name} beside {@code owner}. */
    public static CsvTable load(Class<?> owner, String name) {
        try (InputStream stream = owner.getResourceAsStream(name)) {
            if (stream == null) {
                throw new IllegalStateException("missing table " + name);
            }
            return read(name, new BufferedReader(new InputStreamReader(stream, StandardCharsets.UTF_8)));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    static CsvTable read(String name, BufferedReader reader) throws IOException {
        CsvTable table = null;
        int lineNumber = 0;
        for (String line = reader.readLine(); line != null; line = reader.readLine()) {
            lineNumber++;
            if (line.isBlank() || line.startsWith("#")) {
                continue;
            }
            List<String> cells = List.of(line.split(",", -1));
            if (table == null) {
                table = new CsvTable(name, cells);
            } else {
                table.add(cells, lineNumber);
            }
        }
        if (table == null) {
            throw new IllegalStateException(name + " is empty");
        }
        return table;
    }

    private void add(List<String> cells, int lineNumber) {
        if (cells.size() != header.size()) {
            throw new IllegalStateException(
                    "%s line %d: %d cells, the header has %d".formatted(name, lineNumber, cells.size(), header.size()));
        }
        rows.add(new Row(cells, lineNumber));
    }

    public List<Row> rows() {
        return List.copyOf(rows);
    }

    /** One row of the table. */
    public final class Row {
        private final List<String> cells;
        private final int lineNumber;

        private Row(List<String> cells, int lineNumber) {
            this.cells = cells;
            this.lineNumber = lineNumber;
        }

        public String text(String column) {
            int index = header.indexOf(column);
            if (index < 0) {
                throw new IllegalStateException(name + " has no column " + column);
            }
            return cells.get(index).strip();
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
        public IllegalStateException bad(String reason) {
            return new IllegalStateException("%s line %d: %s".formatted(name, lineNumber, reason));
        }
    }
}
