package org.zeststack.core.bench;

import static org.testng.Assert.assertEquals;

import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.bench.ReadingRules.Kind;
import org.zeststack.core.bench.ReadingRules.Seen;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.rule.Bounds;

/** What is asked of readings; common practice, no source. */
public class ReadingRulesTest {

    private static final ReadingRules RULES = new ReadingRules(Bounds.shipped());

    @DataProvider
    public Object[][] readings() {
        return new Object[][] {
            // kind, what was read before (newest first), the reading, asked
            {Kind.POT, List.of(), new Seen(0, 150), ""},
            {Kind.POT, List.of(new Seen(0, 100)), new Seen(0, 110), ""},
            {Kind.POT, List.of(new Seen(0, 100)), new Seen(0, 111), "It read 100.0 °C 0.0 min ago. Is it 111 °C now?"},
            {Kind.POT, List.of(new Seen(0, 100)), new Seen(-1, 110), ""},
            {
                Kind.POT,
                List.of(new Seen(0, 100)),
                new Seen(-1, 110.1),
                "It read 100.0 °C 0.0 min ago. Is it 110.1 °C now?"
            },
            {Kind.POT, List.of(new Seen(0, 100)), new Seen(1, 140), ""},
            {Kind.POT, List.of(new Seen(0, 100)), new Seen(1, 141), "It read 100.0 °C 1.0 min ago. Is it 141 °C now?"},
            {Kind.POT, List.of(new Seen(0, 118)), new Seen(0.5, 60), "It read 118.0 °C 0.5 min ago. Is it 60 °C now?"},
            // Steam hit the probe and somebody stood by it: what comes then is as likely as what stood before.
            {Kind.POT, List.of(new Seen(1, 160), new Seen(0.9, 110)), new Seen(1.1, 110), ""},
            {
                Kind.POT,
                List.of(new Seen(1, 160), new Seen(0.9, 160), new Seen(0.8, 110)),
                new Seen(1.1, 110),
                "It read 160.0 °C 0.1 min ago. Is it 110 °C now?"
            },
            {Kind.BOWL, List.of(), new Seen(0, 55), ""},
            {Kind.BOWL, List.of(new Seen(0, 20)), new Seen(0, 50), ""},
            {
                Kind.BOWL,
                List.of(),
                new Seen(0, 88),
                "88 °C would scorch couverture. 88 °F is 31.1 °C: was it read in Fahrenheit?"
            },
        };
    }

    @Test(dataProvider = "readings")
    public void whatIsNotLikelyIsAsked(Kind kind, List<Seen> before, Seen seen, String asked) {
        assertEquals(
                RULES.doubt(kind, before, seen)
                        .map(Fault::message)
                        .map(Say::metric)
                        .orElse(""),
                asked);
    }

    @Test
    public void whatNoThermometerShowsIsNoReading() {
        assertEquals(Say.metric(RULES.celsius().inWords()), "-10 to 200 °C");
    }
}
