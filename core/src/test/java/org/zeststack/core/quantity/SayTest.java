package org.zeststack.core.quantity;

import static org.testng.Assert.assertEquals;

import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/**
 * Quantities in sentences, in two sets of units. Factors: NIST SP 811 (2008), appendix B: the inch is 25.4 mm, the avoirdupois ounce
 * 28.349523125 g and the pound 453.59237 g exactly; t/°F = 1.8 t/°C + 32.
 */
public class SayTest {

    private static final Units AMERICAN = new Units(true, true, true, '.');
    private static final Units COMMA = new Units(false, false, false, ',');

    @DataProvider
    public Object[][] quantities() {
        return new Object[][] {
            // Soft ball begins at 112 °C, 235 °F on household thermometers (common practice, no source: both printed on
            // them).
            {Say.celsius(118, 1), "118.0 °C", "244.4 °F", "118,0 °C"},
            {Say.celsius(100), "100 °C", "212 °F", "100 °C"},
            {Say.celsius(-40, 0), "−40 °C", "−40 °F", "−40 °C"},
            {Say.kelvin(0.5, 1), "0.5 K", "0.9 °F", "0,5 K"},
            {Say.of(-2.5, 1, Measure.KELVIN_PER_MINUTE), "−2.5 K/min", "−4.5 °F/min", "−2,5 K/min"},
            {Say.grams(37.2, 1), "37.2 g", "1.31 oz", "37,2 g"},
            {Say.grams(453.59237, 0), "454 g", "16.0 oz", "454 g"},
            {Say.of(2, 1, Measure.KILOGRAMS), "2.0 kg", "4.4 lb", "2,0 kg"},
            {Say.mass(0.35), "350 mg", "0.0123 oz", "350 mg"},
            {Say.mass(99.96), "100.0 g", "3.53 oz", "100,0 g"},
            {Say.mass(100), "100 g", "3.5 oz", "100 g"},
            {Say.mm(25.4, 1), "25.4 mm", "1.00 in", "25,4 mm"},
            {Say.mm(2), "2 mm", "0.1 in", "2 mm"},
            {Say.of(62, 0, Measure.CENTIMETRES), "62 cm", "24.4 in", "62 cm"},
            {Say.of(1.5, 1, Measure.METRES), "1.5 m", "59 in", "1,5 m"},
            {Say.percent(12.5, 1), "12.5 %", "12.5 %", "12,5 %"},
            {Say.of(3, Measure.DEGREES), "3°", "3°", "3°"},
            {Say.number(0.52, 2), "0.52", "0.52", "0,52"},
            {Say.minutes(4.25, 1), "4.3 min", "4.3 min", "4,3 min"},
            {Say.range(Say.mm(1), Say.mm(3)), "1 to 3 mm", "0.0 to 0.1 in", "1 to 3 mm"},
            {Say.bare(Say.mm(300) + " × " + Say.mm(200)), "300 × 200", "11.8 × 7.9", "300 × 200"},
            {new Range(0.2, 40, "mm").inWords(), "0.2 to 40 mm", "0.01 to 1.6 in", "0,2 to 40 mm"},
            {new Range(1, 200, "cavities").inWords(), "1 to 200 cavities", "1 to 200 cavities", "1 to 200 cavities"},
            {
                "Fill 10.5 mm, as an older sheet says.",
                "Fill 10.5 mm, as an older sheet says.",
                "Fill 10.5 mm, as an older sheet says.",
                "Fill 10.5 mm, as an older sheet says."
            },
        };
    }

    @Test(dataProvider = "quantities")
    public void isSaidInEitherSetOfUnits(String said, String metric, String american, String comma) {
        assertEquals(Say.metric(said), metric);
        assertEquals(Say.in(said, Units.METRIC), metric);
        assertEquals(Say.in(said, AMERICAN), american);
        assertEquals(Say.in(said, COMMA), comma);
    }

    /** The value behind the figure is turned, not the figure: 0.04 mm is not nothing, and 118.24 °C is 244.8 °F. */
    @Test
    public void theValueIsTurnedAndNotItsFigure() {
        assertEquals(Say.in(Say.celsius(118.24, 1), AMERICAN), "244.8 °F");
        assertEquals(Say.in(Say.celsius(118.2, 1), AMERICAN), "244.8 °F");
        assertEquals(Say.in(Say.celsius(118.16, 1), AMERICAN), "244.7 °F");
        assertEquals(Say.metric(Say.celsius(118.16, 1)), "118.2 °C");
    }

    @Test
    public void aSentenceKeepsItsWords() {
        String said = "Take it off at %s: %s less than usual, in %s."
                .formatted(Say.celsius(116.8, 1), Say.kelvin(1.2, 1), Say.minutes(4, 0));
        assertEquals(Say.metric(said), "Take it off at 116.8 °C: 1.2 K less than usual, in 4 min.");
        assertEquals(Say.in(said, AMERICAN), "Take it off at 242.2 °F: 2.2 °F less than usual, in 4 min.");
        assertEquals(Say.metric(null), null);
    }

    @Test
    public void whatIsNoNumberIsSaidAsItIs() {
        assertEquals(Say.in(Say.of(Double.NaN, Measure.GRAMS), AMERICAN), "NaN g");
    }
}
