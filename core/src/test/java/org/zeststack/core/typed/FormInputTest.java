package org.zeststack.core.typed;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNull;
import static org.testng.Assert.assertTrue;

import java.util.Map;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.quantity.Range;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.workshop.Thermometer;

public class FormInputTest {

    private static final Range MM = new Range(0.2, 20, "mm");

    @DataProvider
    public Object[][] numbers() {
        return new Object[][] {
            // typed, number or NaN, message
            {"1.5", 1.5, ""},
            {" 1 ½ ", 1.5, ""},
            {"1,5", 1.5, ""},
            {"", Double.NaN, "Write a number; permitted: 0.2 to 20 mm."},
            {"NaN", Double.NaN, "“NaN” is not a number; permitted: 0.2 to 20 mm."},
            {"thin", Double.NaN, "“thin” is not a number; permitted: 0.2 to 20 mm."},
            {"-3", Double.NaN, "-3 is outside 0.2 to 20 mm."},
            {"70", Double.NaN, "70 is outside 0.2 to 20 mm."},
        };
    }

    @Test(dataProvider = "numbers")
    public void numbersAreReadOrToldWithTheirRange(String typed, double number, String message) {
        FormInput form = FormInput.of(Map.of("shellMm", typed));
        assertEquals(form.number("shellMm", MM), number);
        assertEquals(Say.metric(form.fault("shellMm")), message);
        assertEquals(form.text("shellMm"), typed, "what was typed stays");
    }

    @Test
    public void wholeNumbersPercentsChoicesAndTexts() {
        FormInput form = FormInput.of(Map.of("a", "2.5", "b", "7", "c", "INFRARED", "d", "round", "e", " x "));
        form.whole("a", new Range(1, 200, "cavities"));
        assertEquals(Say.metric(form.fault("a")), "Write a whole number, 1 to 200 cavities.");
        assertEquals(form.percent("b", new Range(0, 0.5, "")), 0.07, 1e-12);
        assertEquals(form.choice("c", Thermometer.Kind.class), Thermometer.Kind.INFRARED);
        assertNull(form.choice("d", Thermometer.Kind.class));
        assertEquals(form.required("e", 5), "x");
        form.required("nothing", 5);
        assertEquals(form.limited("e", 0), "", "no more is read than fits");
        assertEquals(form.faults().size(), 4);
    }

    @Test
    public void aValuesOwnComplaintsAreToldUnderItsFields() {
        FormInput form = FormInput.of(Map.of());
        assertTrue(form.build(() -> new Thermometer(Thermometer.Kind.PROBE, 50, 100, 100))
                .isEmpty());
        assertFalse(form.fault("iceReading").isEmpty());
        assertTrue(form.build(() -> "never built after a fault").isEmpty());
    }

    @Test
    public void aClashShowsOnlyWhatDiffers() {
        FormInput form = FormInput.of(Map.of("name", "Mine", "grams", "5"));
        assertNull(form.theirs("name"));
        form.clash("Bo", Map.of("name", "Theirs", "grams", "5", "line.3.grams", "9", "line.4.grams", ""));
        assertEquals(form.clashedWith(), "Bo");
        assertEquals(form.theirs("name"), "Theirs");
        assertNull(form.theirs("grams"));
        assertEquals(form.onlyTheirs(), Map.of("line.3.grams", "9"));
    }

    @Test
    public void whatNobodyTypesIsToldBesideItsFieldAndLeftOut() {
        FormInput form = FormInput.of(Map.of(
                "name",
                "Lan\u0000tern",
                "note",
                "two\nlines\tand \ud83c\udf6b",
                "half",
                "x\ud83c",
                "most",
                "a".repeat(FormInput.LONGEST)));
        assertEquals(form.text("name"), "Lantern");
        assertEquals(form.fault("name"), "Character 4 is one that cannot be written down (U+0000); it is left out.");
        assertEquals(form.text("note"), "two\nlines\tand \ud83c\udf6b");
        assertEquals(form.fault("note"), "");
        assertEquals(form.text("half"), "x");
        assertTrue(form.fault("half").contains("U+D83C"));
        assertEquals(form.fault("most"), "");
        FormInput longer = FormInput.of(Map.of("most", "a".repeat(FormInput.LONGEST + 1)));
        assertEquals(longer.fault("most"), "40001 characters; at most 40000 fit into a field.");
        assertEquals(longer.text("most").length(), FormInput.LONGEST);
    }
}
