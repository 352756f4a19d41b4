package org.zeststack.core.sugar;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.sugar.CookProgress.MinutesLeft;
import org.zeststack.core.sugar.Meeting.Stand;
import org.zeststack.core.sugar.Meeting.Track;
import org.zeststack.core.sugar.Meeting.Who;

/** Two pots and a whisk. The order of the work is common practice, no source; the figures are worked out by hand. */
public class MeetingTest {

    private static Track track(Who who, Stand stand, double minutes, double spread) {
        return new Track(who, stand, new MinutesLeft(minutes, minutes - spread, minutes + spread));
    }

    private static Track syrup(Stand stand, double minutes) {
        return track(Who.SYRUP, stand, minutes, 1);
    }

    private static Track honey(Stand stand, double minutes) {
        return track(Who.SECOND, stand, minutes, 1);
    }

    private static Track whisk(Stand stand, double minutes) {
        return track(Who.WHISK, stand, minutes, 2);
    }

    private static String words(Meeting meeting) {
        return meeting.advice().stream()
                .map(a -> String.format(Locale.ROOT, "%s %s %.1f %.2f", a.who(), a.what(), a.inMinutes(), a.share()))
                .collect(Collectors.joining(", "));
    }

    @DataProvider
    public Object[][] meetings() {
        Stand no = Stand.NOT_BEGUN;
        Stand on = Stand.GOING;
        Stand ready = Stand.READY;
        Stand in = Stand.IN;
        return new Object[][] {
            {
                "nothing is begun: the slowest first, the others so much later",
                syrup(no, 20),
                honey(no, 10),
                whisk(no, 8),
                20.0,
                "SYRUP BEGIN 0.0 1.00, SECOND BEGIN 8.0 1.00, WHISK BEGIN 10.0 1.00"
            },
            {
                "a second pot that takes longest is lit before the syrup",
                syrup(no, 10),
                honey(no, 14),
                whisk(no, 8),
                16.0,
                "SECOND BEGIN 0.0 1.00, SYRUP BEGIN 6.0 1.00, WHISK BEGIN 6.0 1.00"
            },
            {
                "the syrup goes: the honey is late already, so at once, and the syrup is slowed to 9 of 12 minutes' heat",
                syrup(on, 9),
                honey(no, 10),
                whisk(no, 8),
                12.0,
                "SYRUP SLOW 0.0 0.75, SECOND BEGIN 0.0 1.00, WHISK BEGIN 2.0 1.00"
            },
            {
                "within what is not known nobody turns a ring",
                syrup(on, 11),
                honey(on, 10),
                whisk(no, 8),
                12.0,
                "WHISK BEGIN 2.0 1.00"
            },
            {
                "honey that races: its late end, 4, and half a minute is before the early end of when it is due, 8",
                syrup(on, 11),
                honey(on, 3),
                whisk(on, 8),
                11.0,
                "SECOND SLOW 0.0 0.33"
            },
            {
                "below 0.3 of its heat no ring goes: off it for the 8 − 2.3 minutes; 2.4 of 8 still is a ring's",
                syrup(on, 10),
                track(Who.SECOND, on, 2.3, 0.2),
                whisk(on, 8),
                10.0,
                "SECOND PAUSE 5.7 0.00"
            },
            {
                "the late end and half a minute must be before the early end of when it is due, 7",
                syrup(on, 10),
                track(Who.SECOND, on, 5, 1.4),
                whisk(on, 8),
                10.0,
                "SECOND SLOW 0.0 0.63"
            },
            {"6.5 and half a minute are not", syrup(on, 10), track(Who.SECOND, on, 5, 1.5), whisk(on, 8), 10.0, ""},
            {
                "the lowest ring",
                syrup(on, 10),
                track(Who.SECOND, on, 2.4, 0.2),
                whisk(on, 8),
                10.0,
                "SECOND SLOW 0.0 0.30"
            },
            {
                "whites that stand at soft peaks wait at the slowest speed",
                syrup(on, 6),
                honey(on, 4),
                whisk(ready, 0),
                6.0,
                "WHISK HOLD 0.0 1.00"
            },
            {
                "honey that is there waits for the whites off the heat",
                syrup(on, 6),
                honey(ready, 0),
                whisk(on, 4),
                6.0,
                "SECOND HOLD 0.0 1.00"
            },
            {
                "both there: the honey goes in",
                syrup(on, 2),
                honey(ready, 0),
                whisk(ready, 0),
                2.0,
                "SECOND POUR 0.0 1.00"
            },
            {"the honey is in", syrup(on, 2), honey(in, 0), whisk(ready, 0), 2.0, ""},
            {
                "the syrup is there before the honey is in: it waits",
                syrup(ready, 0),
                honey(ready, 0),
                whisk(ready, 0),
                2.0,
                "SYRUP HOLD 0.0 1.00, SECOND POUR 0.0 1.00"
            },
            {"and goes in after it", syrup(ready, 0), honey(in, 0), whisk(ready, 0), 0.0, "SYRUP POUR 0.0 1.00"},
            {"all is in", syrup(in, 0), honey(in, 0), whisk(ready, 0), 0.0, ""},
        };
    }

    @Test(dataProvider = "meetings")
    public void saysWhatToDo(String why, Track syrup, Track honey, Track whisk, double meets, String advice) {
        Meeting meeting = Meeting.of(syrup, Optional.of(honey), whisk);
        assertEquals(words(meeting), advice, why);
        assertEquals(meeting.inMinutes(), meets, 1e-9, why);
    }

    @Test
    public void onePotAndAWhiskMeetAtTheStop() {
        Meeting begun = Meeting.of(syrup(Stand.GOING, 11), Optional.empty(), whisk(Stand.NOT_BEGUN, 8));
        assertEquals(words(begun), "WHISK BEGIN 3.0 1.00");
        assertEquals(begun.begins(begun.tracks().get(1)), 3, 1e-9);
        Meeting there = Meeting.of(syrup(Stand.READY, 0), Optional.empty(), whisk(Stand.READY, 0));
        assertEquals(there.first().orElseThrow().what(), Meeting.What.POUR);
        Meeting early = Meeting.of(syrup(Stand.GOING, 5), Optional.empty(), whisk(Stand.READY, 0));
        assertEquals(words(early), "WHISK HOLD 0.0 1.00", "whites that wait for the only pot");
    }

    /** By hand: 100 g of water from 20 to 100 °C are 100 × 4.19 × 80 / 1000 = 33.5 kJ; at 0.45 kW/kg that is 12.4 min. */
    @Test
    public void withoutLessonsRingsMayBeAnyOfThoseThatThereAre() {
        MinutesLeft usual = Learned.NOTHING.heating(33.5, 100);
        assertEquals(usual.minutes(), 12.4, 0.05);
        assertEquals(usual.least(), 33.5 / 0.07 / 60, 1e-9);
        assertEquals(usual.greatest(), 33.5 / 0.025 / 60, 1e-9);
        MinutesLeft known = new Learned(3, 0.5, 10, 0, 0).heating(33.5, 100);
        assertEquals(known.minutes(), 33.5 / 0.05 / 60, 1e-9);
        assertEquals(known.least(), known.minutes() / 1.2, 1e-9, "a fifth more heat than earlier cooks");
        assertEquals(known.greatest(), known.minutes() / 0.8, 1e-9, "a fifth less");
    }

    @Test
    public void aPotThatIsNotLitTakesWhatItsHeatSays() {
        Composition honey = Composition.of(
                Map.of(Part.GLUCOSE, 95.0, Part.FRUCTOSE, 115.0, Part.SUCROSE, 5.0, Part.WATER, 52.0), 0);
        StagedCook pot = new StagedCook(honey, List.of(), 121, 95, 0);
        Learned known = new Learned(2, 0.5, 10, 0, 0);
        double cold = pot.minutes(known).orElseThrow().minutes();
        // By hand: warming 0.267 kg by about 95 K at 2.5 kJ/kgK (honey, handbook value from memory), and 2.25 kJ a gram
        // driven off.
        double driven = 52 - pot.cook().orElseThrow().after().waterGrams();
        double byHand = 0.267 * 95 * 2.5 + 2.25 * driven;
        assertEquals(cold * 60 * 0.5 * 0.267, byHand, 0.1 * byHand);
        pot.add(new CookProgress.Point(1, 60), 60);
        double warm = pot.minutes(known).orElseThrow().minutes();
        assertTrue(warm < cold - 2, "warm it takes less");
        pot.add(new CookProgress.Point(2, 70), 70);
        pot.add(new CookProgress.Point(2.5, 79.9), 79.9);
        double kilowatts = 0.5 * 0.267;
        double nearly = pot.minutes(known).orElseThrow().minutes();
        double perKelvin = (warm - nearly) * 60 * kilowatts / 19.9;
        assertEquals(perKelvin, 0.267 * 2.3, 0.1, "earlier cooks tell until its own heat shows");
        pot.add(new CookProgress.Point(3, 80.1), 80.1);
        // From 70 to 80.1 °C in one minute: what is left goes at that rate.
        double left = (nearly * 60 * kilowatts) - perKelvin * 0.2;
        assertEquals(pot.minutes(known).orElseThrow().minutes(), left / (perKelvin * 10.1), 0.1);
    }
}
