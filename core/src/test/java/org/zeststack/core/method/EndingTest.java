package org.zeststack.core.method;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.zeststack.core.Near.near;

import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class EndingTest {

    @DataProvider
    public Object[][] cues() {
        return new Object[][] {
            {"118 °C", Ending.Kind.READING, 118, 118},
            {"245°F", Ending.Kind.READING, 118.33, 118.33},
            {"236-239 °F", Ending.Kind.READING, 113.33, 115},
            {"20 min", Ending.Kind.MINUTES, 20, 20},
            {"10 to 12 minutes", Ending.Kind.MINUTES, 10, 12},
            {"1,5 h", Ending.Kind.MINUTES, 90, 90},
            {"30 seconds", Ending.Kind.MINUTES, 0.5, 0.5},
            {"overnight", Ending.Kind.MINUTES, 480, 960},
            {"weighs 1200 g", Ending.Kind.WEIGHT, 1200, 1200},
            {"firm in cold water", Ending.Kind.COLD_WATER, Double.NaN, Double.NaN},
            {"soft ball", Ending.Kind.COLD_WATER, Double.NaN, Double.NaN},
            {"springs back under the finger", Ending.Kind.FEEL, Double.NaN, Double.NaN},
            {"golden at the edges", Ending.Kind.LOOK, Double.NaN, Double.NaN},
        };
    }

    @Test(dataProvider = "cues")
    public void isReadAsWritten(String cue, Ending.Kind kind, double least, double greatest) {
        List<Ending> endings = Ending.read(cue);
        assertEquals(endings.size(), 1, cue);
        assertEquals(endings.get(0).kind(), kind, cue);
        if (!Double.isNaN(least)) {
            near(endings.get(0).least(), least, 0.01, cue);
            near(endings.get(0).greatest(), greatest, 0.01, cue);
        }
    }

    /** With a pattern that tries every way this ends after minutes, with one that does not at once. */
    @Test(timeOut = 60_000)
    public void aTextThatIsNoCueEndsNothingAndTakesNoTime() {
        for (String piece : List.of("1", "1 ", "1,", "1-", " ", "to 1 ", "; ")) {
            String most = piece.repeat(Ending.LONGEST_CUE).substring(0, Ending.LONGEST_CUE);
            assertTrue(Ending.read(most).stream().allMatch(e -> e.kind() == Ending.Kind.LOOK), piece);
        }
        String longer = "20 min ".repeat(9000);
        assertEquals(Ending.read(longer).get(0).kind(), Ending.Kind.LOOK);
        assertEquals(
                Ending.read("x".repeat(Ending.LONGEST_CUE - 7) + " 20 min")
                        .get(0)
                        .kind(),
                Ending.Kind.MINUTES);
        assertEquals(
                Ending.read("x".repeat(Ending.LONGEST_CUE - 6) + " 20 min")
                        .get(0)
                        .kind(),
                Ending.Kind.LOOK);
    }

    @Test
    public void severalSignsMayEndAStep() {
        List<Ending> endings = Ending.read("118 °C; 20 min or until it leaves the sides");
        assertEquals(
                endings.stream().map(Ending::kind).toList(),
                List.of(Ending.Kind.READING, Ending.Kind.MINUTES, Ending.Kind.LOOK));
        assertTrue(Ending.read("").isEmpty());
        assertTrue(Ending.read("  ").isEmpty());
    }
}
