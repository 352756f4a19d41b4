package org.zeststack.app.bench;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.quantity.Range;

public class LoggerLinesTest {

    private static final Instant START = Instant.parse("2026-11-27T08:00:00Z");
    private static final Range CELSIUS = new Range(-10, 200, "°C");

    private static List<LoggerLines.Line> read(String text, Faults faults) {
        return LoggerLines.read(text, START, CELSIUS, faults);
    }

    @DataProvider
    public Object[][] lines() {
        return new Object[][] {
            {"35,102.4", 35, 102.4},
            {"35.5;102,4", 35.5, 102.4},
            {"35\t102,4 C", 35, 102.4},
            {" 35 , 216 F ", 35, 102.222},
            {"2026-11-27T08:00:35Z,102.4", 35, 102.4},
            {"2026-11-27 10:00:35+02:00;102.4", 35, 102.4},
            {"3659,102.4", 3659, 102.4},
            {"7200,102.4", 7200, 102.4},
        };
    }

    @Test(dataProvider = "lines")
    public void areReadAsLoggersWriteThem(String line, double seconds, double celsius) {
        Faults faults = new Faults();
        LoggerLines.Line reading = read(line, faults).get(0);
        assertTrue(faults.isEmpty());
        assertEquals(reading.at(), START.plusMillis((long) (1000 * seconds)), "as the logger says, whatever that is");
        assertEquals(reading.celsius(), celsius, 1e-3);
    }

    @DataProvider
    public Object[][] wrong() {
        return new Object[][] {
            {"35", "Line 1"},
            {"35,201", "Line 1"},
            {"35,-11", "Line 1"},
            {"-1,100", "Line 1"},
            {"86401,100", "Line 1"},
            {"35,102.4,7", "Line 1"},
            {"yesterday 5,102.4", "Line 1"},
            {"1969-12-31T23:59:59Z,102.4", "Line 1"},
            {"+200000000-01-01T00:00:00Z,102.4", "Line 1"},
            {"-200000000-01-01T00:00:00Z,102.4", "Line 1"},
            {"x".repeat(600_001), "at most 600000 are read"},
            {"head,celsius\n1,20\nx9,21", "Line 3"},
            {"seconds,celsius", "no reading"},
            {"  \n ", "1 to 10000 lines"},
        };
    }

    @Test(dataProvider = "wrong")
    public void whatIsWrongIsToldByItsLine(String text, String told) {
        Faults faults = new Faults();
        read(text, faults);
        assertTrue(faults.list().get(0).message().contains(told), faults.list().toString());
    }

    @Test
    public void noMoreFaultsAreToldThanAreRead() {
        Faults faults = new Faults();
        read("x1,2\n".repeat(900), faults);
        assertEquals(faults.list().size(), 5);
        Faults many = new Faults();
        read("1,2\n".repeat(10_001), many);
        assertTrue(many.list().get(0).message().contains("there are 10001"));
    }

    @Test
    public void theSameLineHasTheSameKey() {
        Faults faults = new Faults();
        List<LoggerLines.Line> twice = read("5,20\n5,20\n5,20.1\n6,20", faults);
        List<ReadingDoor.Given> given =
                twice.stream().map(line -> line.given(Duration.ZERO)).toList();
        assertEquals(given.get(0).key(), given.get(1).key());
        assertEquals(given.stream().map(ReadingDoor.Given::key).distinct().count(), 3);
        ReadingDoor.Given later = twice.get(0).given(Duration.ofHours(1));
        assertEquals(later.key(), given.get(0).key(), "whatever the clock is thought to be");
        assertEquals(later.at(), given.get(0).at().minusSeconds(3600));
    }
}
