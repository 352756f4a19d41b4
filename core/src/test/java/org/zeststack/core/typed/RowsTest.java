package org.zeststack.core.typed;

import static org.testng.Assert.assertEquals;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.testng.annotations.Test;
import org.zeststack.core.quantity.Fault;

public class RowsTest {

    private static FormInput three() {
        Map<String, String> fields = new LinkedHashMap<>();
        fields.put("layer.0.kind", "SHELL");
        fields.put("layer.0.mix.slug", "cocoa-butter");
        fields.put("layer.2.kind", "FILLING");
        fields.put("layer.5.kind", "BACK");
        fields.put("layers", "no row");
        fields.put("layer.x.kind", "no row either");
        return FormInput.of(fields);
    }

    private static String kinds(FormInput form) {
        StringBuilder kinds = new StringBuilder();
        Rows.used(form, "layer").forEach(n -> kinds.append(n)
                .append('=')
                .append(form.text("layer." + n + ".kind"))
                .append(' '));
        return kinds.toString().strip();
    }

    @Test
    public void rowsAreFoundInOrderWhateverElseIsTyped() {
        assertEquals(Rows.used(three(), "layer"), List.of(0, 2, 5));
    }

    @Test
    public void aNumberOfFourFiguresIsARowAndOneOfFiveIsNone() {
        FormInput form = FormInput.of(Map.of("layer.9999.kind", "", "layer.10000.kind", "", "layer..kind", ""));
        assertEquals(Rows.used(form, "layer"), List.of(9999));
    }

    @Test
    public void rowsChangePlacesWithEverythingInThem() {
        FormInput form = three();
        Rows.up(form, "layer", 2);
        assertEquals(kinds(form), "0=FILLING 2=SHELL 5=BACK");
        assertEquals(form.text("layer.2.mix.slug"), "cocoa-butter");
        Rows.up(form, "layer", 0);
        assertEquals(kinds(form), "0=FILLING 2=SHELL 5=BACK", "the first one has none above it");
    }

    @Test
    public void roomIsMadeAndARowIsDropped() {
        FormInput form = three();
        Rows.insert(form, "layer", 2);
        form.typed().put("layer.2.kind", "INSERT");
        assertEquals(kinds(form), "0=SHELL 2=INSERT 3=FILLING 6=BACK");
        Rows.drop(form, "layer", 3);
        assertEquals(kinds(form), "0=SHELL 2=INSERT 6=BACK");
        Rows.insert(form, "layer", 0);
        assertEquals(kinds(form), "1=SHELL 3=INSERT 7=BACK");
        assertEquals(form.text("layer.1.mix.slug"), "cocoa-butter");
    }

    @Test
    public void faultsGoBackToTheRowTyped() {
        Fault fault = Fault.of("layer.1.mix.ingredient", "", "Choose one.");
        assertEquals(Rows.atRow(fault, "layer", List.of(0, 2, 5)).field(), "layer.2.mix.ingredient");
        assertEquals(Rows.atRow(Fault.of("name", "", ""), "layer", List.of(0)).field(), "name");
    }

    @Test
    public void moreRowsThanAnyFormHasAreToldAndLeftOut() {
        Map<String, String> typed = new HashMap<>();
        for (int row = 0; row < Rows.MOST; row++) {
            typed.put("lines." + row + ".grams", "1");
        }
        FormInput most = FormInput.of(typed);
        assertEquals(Rows.used(most, "lines").size(), Rows.MOST);
        assertEquals(most.fault("lines"), "");
        typed.put("lines.7777.grams", "1");
        FormInput more = FormInput.of(typed);
        assertEquals(Rows.used(more, "lines").size(), Rows.MOST);
        assertEquals(more.fault("lines"), "101 rows; at most 100 are read.");
    }
}
