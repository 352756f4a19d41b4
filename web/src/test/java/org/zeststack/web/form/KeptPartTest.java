package org.zeststack.web.form;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import org.thymeleaf.context.Context;
import org.thymeleaf.spring6.SpringTemplateEngine;
import org.thymeleaf.templateresolver.ClassLoaderTemplateResolver;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.typed.FormInput;

/** A row that is kept is drawn anew as soon as anything that it shows is another. */
public class KeptPartTest {

    private SpringTemplateEngine pages;

    /** Words that count how often they were drawn. */
    private static final class Counted {
        private int drawn;

        @Override
        public String toString() {
            return "drawn " + ++drawn;
        }
    }

    @BeforeClass
    public void engine() {
        ClassLoaderTemplateResolver templates = new ClassLoaderTemplateResolver();
        templates.setPrefix("templates/");
        templates.setSuffix(".html");
        pages = new SpringTemplateEngine();
        pages.setTemplateResolver(templates);
        pages.addDialect(new FieldDialect());
    }

    private static Map<String, String> typed(String... more) {
        Map<String, String> typed =
                new HashMap<>(Map.of("step.1.action", "Pour", "step.10.action", "Turn", "name", "A"));
        for (int i = 0; i < more.length; i += 2) {
            typed.put(more[i], more[i + 1]);
        }
        return typed;
    }

    private String drawn(FormInput form, Object note, String actUrl) {
        Context page = new Context();
        page.setVariable("form", form);
        page.setVariable("stepRows", List.of(1));
        page.setVariable("stepNotes", Map.of(1, note));
        page.setVariable("stepActs", Map.of("LAY back", "lay the back"));
        page.setVariable("actUrl", actUrl);
        return pages.process("fragments/method", Set.of("steps"), page);
    }

    @Test
    public void theSameIsDrawnOnce() {
        Counted note = new Counted();
        String first = drawn(FormInput.of(typed()), note, "/a");
        assertTrue(first.contains(">Pour</textarea>"), first);
        assertTrue(first.contains("value=\"up:1:step\""), first);
        assertTrue(first.contains("formaction=\"/a\""), first);
        assertEquals(drawn(FormInput.of(typed()), note, "/a"), first);
        assertEquals(drawn(FormInput.of(typed("name", "B", "step.10.action", "Chill")), note, "/a"), first);
        FormInput faulty = FormInput.of(typed());
        faulty.add(Fault.of("step.10.cue", "", "That is another row's."));
        assertEquals(drawn(faulty, note, "/a"), first);
        assertEquals(note.drawn, 1);
    }

    @Test
    public void whateverItShowsDrawsItAnew() {
        Counted note = new Counted();
        drawn(FormInput.of(typed()), note, "/a");
        assertTrue(drawn(FormInput.of(typed()), note, "/b").contains("formaction=\"/b\""));
        assertTrue(
                drawn(FormInput.of(typed("step.1.action", "Fill")), note, "/a").contains(">Fill</textarea>"));
        assertTrue(
                drawn(FormInput.of(typed("step.1.tool", "Ladle")), note, "/a").contains("value=\"Ladle\""));

        FormInput faulty = FormInput.of(typed());
        faulty.add(Fault.of("step.1.cue", "", "What is <b>this</b>?"));
        assertTrue(drawn(faulty, note, "/a").contains("What is &lt;b&gt;this&lt;/b&gt;?"));

        FormInput clashing = FormInput.of(typed());
        clashing.clash("Teo", typed("step.1.action", "Ladle it in", "step.10.action", "Wait"));
        String theirs = drawn(clashing, note, "/a");
        assertTrue(theirs.contains("<b>Teo</b> saved: <span>Ladle it in</span>"), theirs);
        FormInput other = FormInput.of(typed());
        other.clash("Ilse", typed("step.1.action", "Ladle it in"));
        assertTrue(drawn(other, note, "/a").contains("<b>Ilse</b>"));

        Counted another = new Counted();
        drawn(FormInput.of(typed()), another, "/a");
        assertEquals(another.drawn, 1);
        String plain = drawn(FormInput.of(typed()), note, "/a");
        assertFalse(plain.contains("saved:") || plain.contains("What is"), plain);
    }

    /** Where a page with a fault cannot offer it, as what a step does when nothing can be computed. */
    @Test
    public void whatIsNotOfferedStaysChosen() {
        String offered = drawn(FormInput.of(typed("step.1.does", "LAY back")), "", "/a");
        assertTrue(offered.contains("<option value=\"LAY back\" selected=\"selected\">lay the back</option>"), offered);
        String other = drawn(FormInput.of(typed("step.1.does", "LAY <fill>")), "", "/a");
        assertTrue(other.contains("<option value=\"LAY &lt;fill&gt;\" selected=\"selected\">"), other);
        assertFalse(
                drawn(FormInput.of(typed()), "", "/a").contains("<option value=\"\" selected"),
                "none is offered anyway");
    }

    @Test
    public void whatIsLongIsNotKept() {
        int names = "step.1.action".length() + "Pour".length() + "step.1.wrong".length();
        assertEquals(drawnTwice("w".repeat(KeptPart.LONGEST - names)), 1);
        assertEquals(drawnTwice("w".repeat(KeptPart.LONGEST - names + 1)), 2);
    }

    private int drawnTwice(String wrong) {
        Counted note = new Counted();
        FormInput form = FormInput.of(typed("step.1.wrong", wrong));
        drawn(form, note, "/a");
        drawn(form, note, "/a");
        return note.drawn;
    }
}
