package org.zeststack.web.shelf;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertNotEquals;

import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.JdbcTemplate;
import org.testng.annotations.Test;
import org.zeststack.app.bar.BarWorkings;
import org.zeststack.app.shelf.Shelf;
import org.zeststack.core.formula.FormulaLink;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.web.WithDemo;

/** What was read once is forgotten when the data under it are others. */
public class ShelfTest extends WithDemo {

    @Test
    public void aRestoredVersionIsNotTheOneThatWasThereBefore() {
        Shelf shelf = app.bean(Shelf.class);
        BarWorkings bars = app.bean(BarWorkings.class);
        JdbcTemplate database = app.bean(JdbcTemplate.class);
        FormulaLink link = new FormulaLink(1, 1);
        IngredientTable before = shelf.table();
        assertEquals(shelf.version(link).orElseThrow().version(), 1);
        List<Long> two = database.queryForList(
                "select design from design_version join design on id = design where kind = 'BAR' and number = 1"
                        + " order by design limit 2",
                Long.class);
        double other = grams(bars, two.get(1));
        assertNotEquals(grams(bars, two.get(0)), other);
        database.execute("alter table design_version disable trigger user");
        database.update("update design_version set name = 'From the backup' where design = 1 and number = 1");
        database.update(
                "update design_version set content = (select content from design_version where design = ? and number = 1)"
                        + " where design = ? and number = 1",
                two.get(1),
                two.get(0));
        database.update("update data_epoch set epoch = ?", UUID.randomUUID());
        while (shelf.table() == before) {
            Thread.onSpinWait();
        }
        assertEquals(shelf.version(link).orElseThrow().name(), "From the backup");
        assertEquals(grams(bars, two.get(0)), other);
    }

    private static double grams(BarWorkings bars, long bar) {
        return bars.version(bar, 1).orElseThrow().pieceGrams();
    }
}
