package org.zeststack.core.typed;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNull;
import static org.testng.Assert.assertTrue;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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

    private static final Range STOP = new Range(60, 190, "°C");

    @DataProvider
    public Object[][] temperatures() {
        return new Object[][] {
            // typed, °C of a single reading, °C of a stop; NIST SP 811: °C = (°F − 32) / 1.8; a stop to a tenth
            {"118", 118.0, 118.0},
            {"242 F", 116.67, 116.7},
            {"236-240 F", Double.NaN, 114.4},
            {"60", 60.0, 60.0},
            {"59", Double.NaN, Double.NaN},
            {"374 °F", 190.0, 190.0},
            {"375 °F", Double.NaN, Double.NaN},
            {"soft ball", Double.NaN, Double.NaN},
        };
    }

    @Test(dataProvider = "temperatures")
    public void temperaturesAreReadInEitherScale(String typed, double celsius, double stop) {
        FormInput one = FormInput.of(Map.of("t", typed));
        assertEquals(one.celsius("t", STOP), celsius, 0.01);
        assertEquals(one.faulty(), Double.isNaN(celsius));
        assertEquals(one.has("t") ? 1 : 0, 1);
        FormInput end = FormInput.of(Map.of("t", typed));
        assertEquals(end.stop("t", STOP), stop, 0.01);
        assertEquals(end.fault("t").isEmpty(), !Double.isNaN(stop));
    }

    @Test
    public void aStretchOfTextIsReadUpToItsBound() {
        FormInput form = FormInput.of(Map.of(
                "fits", " " + "x".repeat(98) + " ", "tooLong", "y".repeat(101), "five", "12345", "six", "123456"));
        assertEquals(form.brief("fits"), "x".repeat(98));
        assertEquals(form.brief("tooLong"), "");
        assertEquals(form.fault("tooLong"), "101 characters; at most 100 fit.");
        assertEquals(form.limited("five", 5), "12345");
        assertEquals(form.fault("five"), "");
        assertEquals(form.limited("six", 5), "12345");
        assertEquals(form.fault("six"), "6 characters; at most 5 fit.");
        assertFalse(form.has("nothing"));
        assertEquals(form.required("five", 5), "12345");
        assertEquals(form.fault("five"), "", "what is there is not asked for");
    }

    @DataProvider
    public Object[][] days() {
        return new Object[][] {
            {"2026-11-30", true},
            {"Mon 30 Nov 2026", true},
            {"30 nov 2026", true},
            {"30.11.2026", true},
            {"31 Nov 2026", false},
            {"soon", false},
            {"", false},
        };
    }

    @Test(dataProvider = "days")
    public void daysAreReadAsPeopleWriteThem(String typed, boolean read) {
        FormInput form = FormInput.of(Map.of("day", typed));
        assertEquals(form.day("day"), read ? Optional.of(LocalDate.of(2026, 11, 30)) : Optional.empty());
        assertEquals(form.fault("day").isEmpty(), read);
    }

    @Test
    public void wholeNumbersAreTheOnesTyped() {
        Range cavities = new Range(1, 200, "cavities");
        FormInput form = FormInput.of(Map.of("a", "24", "b", "2.5", "c", "many", "share", "11.2", "lock", "7"));
        assertEquals(form.whole("a", cavities), 24);
        assertEquals(form.whole("b", cavities), 1);
        assertEquals(form.whole("c", cavities), 1);
        assertEquals(form.faults().size(), 2, "a word is told once, as no number");
        assertEquals(form.percent("share", new Range(0, 1, "")), 0.112, 0, "and not a hair less");
        assertEquals(form.percent("a", new Range(0.25, 1, "")), Double.NaN);
        assertEquals(form.lock(), 7);
        assertEquals(FormInput.of(Map.of("lock", "old")).lock(), -1);
        assertEquals(FormInput.shown(2.50), "2.5");
    }

    @Test
    public void anythingTypedRightIsBuilt() {
        assertEquals(FormInput.of(Map.of()).build(() -> "built"), Optional.of("built"));
    }

    @Test
    public void aPartHasItsFieldsTheirFaultsAndWhatAnotherSaved() {
        FormInput form = FormInput.of(Map.of("layer.1.amount", "x", "layer.2.amount", "3", "name", "Mine"));
        form.number("layer.1.amount", MM);
        form.number("name", MM);
        form.clash("Bo", Map.of("layer.1.amount", "4", "name", "Theirs"));
        FormInput part = form.part(List.of("layer.1.", "body."));
        assertEquals(part.typed(), Map.of("layer.1.amount", "x"));
        assertEquals(part.faults().size(), 1);
        assertFalse(part.fault("layer.1.amount").isEmpty());
        assertEquals(part.theirs("layer.1.amount"), "4");
        assertEquals(part.standing().theirs(), Map.of("layer.1.amount", "4"));
        assertEquals(part.standing().theirName(), "Bo");
        assertEquals(part.length(), 2 * "layer.1.amount".length() + 2);
        assertEquals(
                FormInput.of(Map.of("a", "1")).part(List.of("b")).standing().theirName(), "");
    }

    @Test
    public void aLongWordIsToldShortened() {
        FormInput form = FormInput.of(Map.of("at", "z".repeat(40), "over", "z".repeat(41)));
        form.number("at", MM);
        form.number("over", MM);
        assertTrue(form.fault("at").contains("\u201c" + "z".repeat(40) + "\u201d"));
        assertTrue(form.fault("over").contains("\u201c" + "z".repeat(40) + "…\u201d"));
    }

    @Test
    public void textsOfEveryLengthBelowTheBoundStayWhole() {
        FormInput form = FormInput.of(Map.of("one", "\u0001", "end", "ab\u0001"));
        assertEquals(form.text("one"), "", "one odd character, at the very start");
        assertTrue(form.fault("one").startsWith("Character 1 "));
        assertEquals(form.text("end"), "ab");
    }
}
