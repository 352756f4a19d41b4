package org.zeststack.app.words;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.zeststack.app.people.Passwords;
import org.zeststack.core.bench.StepEnd;
import org.zeststack.core.composition.Part;
import org.zeststack.core.method.MethodStep;
import org.zeststack.core.quantity.Numbers;
import org.zeststack.core.sheet.BenchStep;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.core.weighing.FillWindow;

/** Numbers the way they are used: value, thin space, unit; never more digits than are true. */
public final class Show {

    public static final Show INSTANCE = new Show();

    private static final String THIN = "\u202f";
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM yyyy", Locale.ENGLISH);
    private static final DateTimeFormatter MOMENT = DateTimeFormatter.ofPattern("d MMM HH:mm", Locale.ENGLISH);
    private static final DateTimeFormatter CLOCK = DateTimeFormatter.ofPattern("HH:mm:ss", Locale.ENGLISH);
    private static final double FINE_GRAMS = 100;
    private static final int NEAR_PAGES = 3;

    private Show() {}

    /** How many characters a password has at the least. */
    public int shortestPassword() {
        return Passwords.SHORTEST;
    }

    /** Pages to choose from: the first, the last and those near this one; 0 stands for those left out between. */
    public List<Integer> pages(int page, int pages) {
        List<Integer> shown = new ArrayList<>();
        for (int n = 1; n <= pages; n++) {
            if (n == 1 || n == pages || Math.abs(n - page) <= NEAR_PAGES) {
                shown.add(n);
            } else if (shown.get(shown.size() - 1) != 0) {
                shown.add(0);
            }
        }
        return shown;
    }

    /** Words of a step with every reading in them as the run's thermometer shows it at this place. */
    public String asRead(RunSheet sheet, BenchStep step, String words) {
        return StepEnd.asRead(sheet, step, words);
    }

    /** Grams to the resolution of the scale that weighs them: 0.1 g below 100 g, 1 g above. */
    public String grams(double grams) {
        return Numbers.fixed(grams, Math.abs(grams) < FINE_GRAMS ? 1 : 0) + THIN + "g";
    }

    /** Whole grams, of figures that add up to each other. */
    public String whole(double grams) {
        return Numbers.fixed(grams, 0) + THIN + "g";
    }

    /** What two figures in whole grams leave, so that the three add up as shown. */
    public String wholeRest(double all, double part) {
        return whole(Math.rint(all) - Math.rint(part));
    }

    /** Grams of one cavity, always to 0.1 g. */
    public String pieceGrams(double grams) {
        return Numbers.fixed(grams, 1) + THIN + "g";
    }

    /** Grams of a line: 0.01 g below 10 g, 0.1 g below 1 kg, 1 g above; no zeros that say nothing. */
    public String precise(double grams) {
        int decimals = Math.abs(grams) < FINE_GRAMS / 10 ? 2 : Math.abs(grams) < 10 * FINE_GRAMS ? 1 : 0;
        double ten = Math.pow(10, decimals);
        return Numbers.plain(Math.round(grams * ten) / ten) + THIN + "g";
    }

    /** Minutes as people say them: seconds below one, hours from two, days from two. */
    public String minutes(double minutes) {
        if (minutes < 1) {
            return Numbers.fixed(60 * minutes, 0) + THIN + "s";
        }
        if (minutes >= 2 * 24 * 60) {
            return Numbers.plain(Math.round(minutes / 144) / 10.0) + THIN + "days";
        }
        return minutes >= 120
                ? Numbers.plain(Math.round(minutes / 6) / 10.0) + THIN + "h"
                : Numbers.plain(Math.round(minutes * 10) / 10.0) + THIN + "min";
    }

    /** Words in which no number stands alone at the end of a line. */
    public String unbroken(String words) {
        return words.replace(" %", "\u00a0%");
    }

    /** How long to wait after a step, and whether the hands are free; empty where neither is said. */
    public String wait(MethodStep step) {
        Double least = step.restLeastMinutes();
        Double greatest = step.restGreatestMinutes();
        String free = step.handsOff() ? "hands are free meanwhile" : "";
        if (least == null && greatest == null) {
            return free.isEmpty() ? "" : "Hands are free meanwhile";
        }
        String time = least == null
                ? "at most " + minutes(greatest)
                : greatest == null ? "at least " + minutes(least) : minutes(least) + " to " + minutes(greatest);
        return "Then wait " + time + (free.isEmpty() ? "" : "; " + free);
    }

    /** Name of a part of a composition. */
    public String partName(Part part) {
        return switch (part) {
            case SYRUP_SOLIDS -> "glucose-syrup solids";
            case NONFAT_COCOA -> "dry non-fat cocoa";
            default -> part.name().toLowerCase(Locale.ROOT).replace('_', ' ');
        };
    }

    public String grams(Double grams) {
        return grams == null ? "not weighed" : grams(grams.doubleValue());
    }

    public String celsius(double celsius) {
        return Numbers.fixed(celsius, 1) + THIN + "°C";
    }

    public String kelvin(double kelvin) {
        return Numbers.fixed(kelvin, 1) + THIN + "K";
    }

    /** A rate with its sign. */
    public String kelvinPerMinute(double rate) {
        return (rate < 0 ? "−" : "+") + Numbers.fixed(Math.abs(rate), 1) + THIN + "K/min";
    }

    public String kpa(double kpa) {
        return Numbers.fixed(kpa, 2) + THIN + "kPa";
    }

    public String mm(double mm) {
        return Numbers.fixed(mm, 1) + THIN + "mm";
    }

    public String ml(double ml) {
        return Numbers.fixed(ml, 2) + THIN + "mL";
    }

    public String density(double gramsPerMl) {
        return Numbers.fixed(gramsPerMl, 3) + THIN + "g/mL";
    }

    public String percent(double fraction) {
        return Numbers.fixed(100 * fraction, 1) + THIN + "%";
    }

    public String number(double number, int decimals) {
        return Numbers.fixed(number, decimals);
    }

    /** Grams of a part in 100 g; nothing where there is none. */
    public String part(double grams) {
        return grams < 0.05 ? "" : Numbers.fixed(grams, 1);
    }

    /** Value, then window: {@code 39.4 g · 35.3–43.6}. */
    public String window(FillWindow window) {
        return pieceGrams(window.targetGrams()) + " · " + span(window);
    }

    public String span(FillWindow window) {
        return Numbers.fixed(window.leastGrams(), 1) + "–" + Numbers.fixed(window.greatestGrams(), 1);
    }

    public String pieces(int pieces) {
        return pieces + THIN + (pieces == 1 ? "piece" : "pieces");
    }

    public String day(LocalDate day) {
        return DAY.format(day);
    }

    public String moment(Instant at) {
        return at == null ? "" : MOMENT.format(at.atZone(ZoneId.systemDefault()));
    }

    public String clock(Instant at) {
        return CLOCK.format(at.atZone(ZoneId.systemDefault()));
    }
}
