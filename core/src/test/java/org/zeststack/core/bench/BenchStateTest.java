package org.zeststack.core.bench;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.time.Instant;
import java.util.List;
import org.testng.annotations.Test;
import org.zeststack.core.formula.Finish;
import org.zeststack.core.formula.Scaling;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.core.temper.Bowl;
import org.zeststack.core.temper.Method;
import org.zeststack.core.temper.TemperVerdict;

/** What a fold of entries tells of pots, bowls and the room: each of its own, the last where one stands. Entry n is of minute n. */
public class BenchStateTest {

    private static final String ELSE = "formula-9-v1";
    private static final Instant START = Instant.parse("2026-11-27T08:00:00Z");

    private final RunSheet sheet =
            PotProgramTest.sheet(PotProgramTest.caramel(118.0, Finish.PLAIN), true, Scaling.Limits.NONE);
    private final String pot = sheet.formulas().get(0).key();
    private final String bowl = sheet.couvertures().get(0).key();

    private BenchState state(EntryBody... bodies) {
        return PotProgramTest.state(sheet, bodies);
    }

    private static Instant minute(int number) {
        return START.plusSeconds(60L * number);
    }

    @Test
    public void handsOfAPotAreItsOwn() {
        BenchState state = state(
                new Poured(ELSE),
                new Poured(pot),
                new RingTurned(ELSE),
                new RingTurned(pot),
                new TakenOff(ELSE),
                new TakenOff(pot),
                new TakenOff(pot));
        assertEquals(state.pot(pot).poured(), List.of(minute(2)));
        assertEquals(state.pot(pot).pours(), 1);
        assertEquals(state.pot(pot).ringTurned(), List.of(minute(4)));
        assertEquals(state.pot(pot).takenOff(), List.of(minute(6), minute(7)));
        assertEquals(state().pot(pot).pours(), 0);
    }

    /** One pour is planned: a second one said by mistake ends no other step. */
    @Test
    public void moreIsPouredThanIsPlanned() {
        BenchState once = state(new Poured(pot));
        BenchState twice = state(new Poured(pot), new Poured(pot));
        assertEquals(sheet.formulas().get(0).pours().size(), 1);
        assertEquals(twice.coming(), once.coming());
        assertEquals(twice.doneAt(sheet.formulas().get(0).pours().get(0).step()).orElseThrow(), minute(1));
    }

    @Test
    public void theLastReadingOfAnotherThermometerStands() {
        BenchState state = state(
                new SecondReading(pot, "Short probe", 110),
                new SecondReading(pot, "Short probe", 112),
                new SecondReading(ELSE, "Short probe", 90));
        assertEquals(
                ((SecondReading) state.pot(pot).secondReading().orElseThrow().body()).celsius(), 112.0);
        assertTrue(state().pot(pot).secondReading().isEmpty());
    }

    @Test
    public void airAndRoomAreTheLastOnesMeasured() {
        BenchState state = state(new Cup(pot, 80, 60), new Cup(pot, 80, 50), new RoomReading(19), new RoomReading(22));
        assertEquals(state.pot(pot).airFraction().orElseThrow(), 0.6, 1e-9);
        assertTrue(state.pot(ELSE).airFraction().isEmpty());
        assertEquals(state.room().celsius().orElseThrow(), 22.0);
        assertTrue(state().room().celsius().isEmpty());
    }

    @Test
    public void aBowlIsPlannedAndOverruledByWhatIsSaidOfIt() {
        EntryBody seed = new TemperPlanned(bowl, Method.SEED, 0, Bowl.Material.STEEL, 20, null);
        EntryBody slab = new TemperPlanned(bowl, Method.SLAB, 0, Bowl.Material.STEEL, 20, null);
        EntryBody other = new TemperPlanned(ELSE, Method.BATH, 0, Bowl.Material.STEEL, 20, null);
        BenchState state = state(seed, slab, other, new Overruled(bowl, TemperVerdict.Step.WORK, "felt"));
        assertEquals(state.bowl(bowl).planned().orElseThrow().method(), Method.SLAB);
        assertEquals(state.bowl(bowl).overruled().size(), 1);
        assertEquals(state.bowl(ELSE).overruled(), List.of());
        assertTrue(state().bowl(bowl).planned().isEmpty());
    }

    /** Bars of 8 °C sweat in a room of 22 °C and 60 % (dew point 13.9 °C), not in one of 18 °C and 40 % (4.2 °C). */
    @Test
    public void barsOutOfTheColdAreTheLastOnesToldOf() {
        EntryBody damp = new OutOfCold(22, 60, 8);
        EntryBody dry = new OutOfCold(18, 40, 8);
        assertTrue(state(dry, damp).room().afterCold().orElseThrow().sweats());
        assertFalse(state(damp, dry).room().afterCold().orElseThrow().sweats());
        assertTrue(state().room().afterCold().isEmpty());
    }
}
