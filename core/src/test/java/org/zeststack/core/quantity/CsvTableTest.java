package org.zeststack.core.quantity;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.io.IOException;
import java.io.StringReader;
import java.util.List;
import org.testng.annotations.Test;

public class CsvTableTest {

    private static CsvTable read(String text) throws IOException {
        return CsvTable.read("small.csv", new StringReader(text));
    }

    @Test
    public void readsQuotedCellsCommentsAndLists() throws IOException {
        CsvTable table = read("""
                # what the columns mean
                name,grams,also
                "Almonds, raw", 1.5 ,a; b ;;c

                Sugar,,
                """);
        assertEquals(table.rows().size(), 2);
        assertEquals(table.rows().get(0).text("name"), "Almonds, raw");
        assertEquals(table.rows().get(0).number("grams"), 1.5);
        assertEquals(table.rows().get(0).words("also"), List.of("a", "b", "c"));
        assertEquals(table.rows().get(1).number("grams"), 0.0, "an empty cell is 0");
        assertTrue(table.rows().get(1).words("also").isEmpty());
    }

    @Test
    public void aBadRowIsToldWithFileAndLine() throws IOException {
        CsvTable table = read("name,grams\nSugar,much\n");
        IllegalStateException notNumber = expectThrows(
                IllegalStateException.class, () -> table.rows().get(0).number("grams"));
        assertEquals(notNumber.getMessage(), "small.csv line 2: grams is not a number: much");
        IllegalStateException cells =
                expectThrows(IllegalStateException.class, () -> read("name,grams\nSugar,1\nSalt\n"));
        assertTrue(cells.getMessage().contains("small.csv line 3: 1 cells, the header has 2"), cells.getMessage());
        expectThrows(IllegalStateException.class, () -> read(""));
        expectThrows(IllegalStateException.class, () -> table.rows().get(0).text("colour"));
        expectThrows(IllegalStateException.class, () -> CsvTable.load(CsvTableTest.class, "nowhere.csv"));
    }
}
