package org.zeststack.core.judge;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.Body;
import org.zeststack.core.bar.Build;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.rule.Bound;
import org.zeststack.core.rule.Bounds;
import org.zeststack.core.rule.Rule;
import org.zeststack.core.stack.BarStack;
import org.zeststack.core.stack.Bars;
import org.zeststack.core.stack.Parts;

/** The two tables: every rule is said somewhere, every bound is judged by, and a workshop's own figures are held to their range. */
public class RulesTest {

    private static final Path SOURCES = Path.of("src/main/java/org/zeststack/core");

    private static Set<String> words() throws IOException {
        Set<String> words = new HashSet<>();
        Pattern word = Pattern.compile("\"([a-z]+(?:-[a-z]+)*-?)\"");
        try (Stream<Path> files = Files.walk(SOURCES)) {
            for (Path file : files.filter(f -> f.toString().endsWith(".java")).toList()) {
                Matcher found = word.matcher(Files.readString(file));
                while (found.find()) {
                    words.add(found.group(1));
                }
            }
        }
        return words;
    }

    @Test
    public void everyRowOfTheTablesIsUsed() throws IOException {
        Set<String> words = words();
        for (Rule rule : Rule.all()) {
            boolean thickness = rule.code().matches("(shell|coat)-too-(thin|thick)");
            assertTrue(thickness || words.contains(rule.code()), rule.code() + " is said nowhere");
            assertFalse(rule.looksAt().isBlank() || rule.source().isBlank(), rule.code());
        }
        Set<String> judged = new HashSet<>();
        Rule.all().forEach(r -> judged.addAll(r.bounds()));
        for (Bound bound : Bounds.shipped().all()) {
            boolean named = bound.code().startsWith("name-");
            assertTrue(named || words.contains(bound.code()), bound.code() + " is asked nowhere");
            boolean model = bound.basis() == Bound.Basis.MODEL || bound.code().equals("other-fats");
            assertTrue(model || judged.contains(bound.code()), bound.code() + " belongs to no rule");
            assertTrue(!bound.ownAllowed() || bound.permitted().holds(first(bound)), bound.code());
        }
    }

    private static double first(Bound bound) {
        return bound.figures().least() == null ? bound.greatest() : bound.least();
    }

    @Test
    public void nothingIsSaidThatIsNotListed() {
        expectThrows(IllegalArgumentException.class, () -> Rule.of(Rule.About.BAR, "no-such-rule"));
        expectThrows(IllegalArgumentException.class, () -> Bounds.shipped().of("no-such-bound"));
        assertEquals(Rule.of(Rule.About.BAR, "no-shell").about(), Rule.About.BAR);
    }

    /** Bound, own figures, and the field that is at fault; none where they can be. */
    @DataProvider
    public Object[][] figures() {
        return new Object[][] {
            {"shell-thickness", 0.1, 1.5, 3.0, ""},
            {"shell-thickness", 0.09, 1.5, 3.0, "least"},
            {"shell-thickness", 1.0, 1.5, 20.0, ""},
            {"shell-thickness", 1.0, 1.5, 20.1, "greatest"},
            {"shell-thickness", 2.0, 1.5, 3.0, "usual"},
            {"shell-thickness", 1.0, 3.5, 3.0, "greatest"},
            {"shell-thickness", 1.0, null, 3.0, "usual"},
            {"shell-thickness", 1.0, 1.5, 3.0, "code"},
            {"draft", 45.0, null, null, ""},
            {"draft", 45.1, null, null, "least"},
            {"draft", 4.0, null, 9.0, "greatest"},
            {"oil-told", 1.0, null, null, ""},
            {"oil-told", 1.01, null, null, "least"},
            {"oil-told", Double.NaN, null, null, "least"},
            {"ganache-rolls", 20.0, null, null, ""},
            {"ganache-rolls", 20.1, null, null, "least"},
            {"whole-nut", 0.05, null, null, ""},
            {"whole-nut", 0.04, null, null, "least"},
            {"set-couverture", 20.0, null, null, ""},
            {"set-couverture", 20.5, null, null, "least"},
            {"set-compound", null, null, 220.0, ""},
            {"set-compound", null, null, 221.0, "greatest"},
            {"keeps-dry", 0.0, null, 104.0, ""},
            {"keeps-dry", 0.0, null, 105.0, "greatest"},
            {"filled-chocolate", 0.3, null, null, "code"},
            {"dry-mass", 0.05, null, null, "code"},
        };
    }

    @Test(dataProvider = "figures")
    public void ownFiguresAreHeldToTheirRange(String code, Double least, Double usual, Double greatest, String field) {
        Bound bound = Bounds.shipped().of(code);
        Bound.Figures own = new Bound.Figures(least, usual, greatest);
        if (field.isEmpty()) {
            Bounds.check(bound, own);
            assertEquals(Bounds.with(Map.of(code, own)).of(code).figures(), own);
        } else {
            InvalidInput refused = expectThrows(InvalidInput.class, () -> Bounds.check(bound, own));
            assertEquals(refused.faults().stream().map(Fault::field).toList(), List.of(field));
        }
    }

    /** A bound in words, as sentences and the page have it. */
    @DataProvider
    public Object[][] sentences() {
        return new Object[][] {
            {"shell-thickness", "1 to 3 mm"},
            {"draft", "from 3°"},
            {"offcuts", "up to 15 %"},
            {"gel-pectin", "0.6 to 2.5 %"},
            {"biscuit-fat", "0.3 to 1.6"},
            {"centre-warmth", "16 to 25 °C"},
            {"filled-chocolate", "from 25 %"},
            {"keeps-wet", "1 to 3 weeks"},
        };
    }

    @Test(dataProvider = "sentences")
    public void isToldInWords(String code, String words) {
        assertEquals(Say.metric(Bounds.shipped().of(code).words()), words);
    }

    /** A back with limits of its own is not judged by the workshop's, and its page must not say so. */
    @Test
    public void aLayerWithItsOwnLimitsAsksForNoBound() {
        Bounds own = Bounds.with(Map.of("back-thickness", new Bound.Figures(2.1, 2.4, 3.0)));
        BarLayer back = BarLayer.mm(LayerKind.BACK, Bars.DARK, 2);
        for (BarLayer lid : List.of(back, back.between(1, 2.8))) {
            Bar bar = Bar.of(
                    Build.MOULDED,
                    new Body.Moulded(1, false),
                    List.of(
                            BarLayer.mm(LayerKind.SHELL, Bars.DARK, 1.5),
                            BarLayer.rest(LayerKind.FILLING, Bars.CARAMEL),
                            lid));
            BarStack stack =
                    BarStack.of(bar, Parts.of(Bars.TAPERED, Bars.MATERIALS).judgedBy(own));
            boolean thin = BarCalls.of(stack).stream().anyMatch(c -> c.code().equals("back-too-thin"));
            assertEquals(thin, lid == back);
            assertEquals(stack.bounds().ownAsked().isEmpty(), lid != back);
        }
    }

    @Test
    public void remembersWhatItWasAskedFor() {
        Bounds own = Bounds.with(Map.of("draft", new Bound.Figures(4.0, null, null)));
        assertEquals(own.ownAsked(), List.of(), "nobody watches");
        Bounds watched = own.watched();
        watched.of("offcuts");
        assertEquals(watched.ownAsked(), List.of(), "the shipped one is not the workshop's own");
        watched.of("draft");
        assertEquals(watched.ownAsked(), List.of(own.of("draft")));
        assertEquals(own.of("draft").basis(), Bound.Basis.OWN);
        assertTrue(own.of("draft").ownAllowed(), "it can be changed again");
    }
}
