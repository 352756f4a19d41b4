package org.zeststack.core.household;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.zeststack.core.household.Recipe.Doing;
import org.zeststack.core.household.Recipe.Line;
import org.zeststack.core.household.Recipe.Place;
import org.zeststack.core.household.Recipe.Step;
import org.zeststack.core.household.Recipe.Where;
import org.zeststack.core.quantity.Numbers;

/**
 * What the readings of a method mean: in their order they are the program of the pot. The last is where it is stopped; at an earlier one
 * something is poured in, as the text says; a reading that is told of honey, or of another pan, is a second pot's. Lines go in where they
 * are first named. What the text leaves open is asked.
 */
final class RecipeProgram {

    /** Below it nothing is cooked to a reading, above the other sugar burns. */
    private static final double LEAST_READING = 104;

    private static final double MOST_READING = 190;
    /** Above it there is no stop that could be reckoned with. */
    private static final double MOST_STOP = 160;
    /** Readings nearer than this are one, written in two scales. */
    private static final double SAME_KELVIN = 2;

    private static final String NUMBER = "[0-9]{1,4}(?:[.,][0-9]{1,3})?";
    private static final Pattern DEGREES = Pattern.compile(
            "(" + NUMBER + ")(?:\\s?(?:-|to)\\s?(" + NUMBER + "))?\\s?(?:\u00b0\\s?|degrees?\\s|deg\\.?\\s)?([CF])\\b",
            Pattern.CASE_INSENSITIVE);
    private static final Pattern OVEN =
            Pattern.compile("\\b(?:oven|bake|roast|preheat|toast)", Pattern.CASE_INSENSITIVE);
    private static final Pattern POURS = Pattern.compile(
            "\\b(?:pour|add|stir|whisk|tip|mix|fold|beat|drop|deglaz|let down)\\w*\\b", Pattern.CASE_INSENSITIVE);
    private static final Pattern SECOND = Pattern.compile(
            "\\b(?:(?:second|other|another|separate|small) (?:pan|pot|saucepan)|meanwhile)\\b",
            Pattern.CASE_INSENSITIVE);
    private static final Pattern EVERYTHING = Pattern.compile(
            "\\b(?:everything|all (?:the )?ingredients|the rest|all (?=but\\b|except\\b))", Pattern.CASE_INSENSITIVE);
    /** What is said to stay out of it. */
    private static final Pattern LEFT_OUT = Pattern.compile(
            "(?<=\\b(?:everything|ingredients|all),? )(?:but|except(?:ing)?|apart from|save|other than)\\b"
                    + ".*?(?=[.,;:]|\\b(?:until|till|to|in|into|over|on)\\b|$)",
            Pattern.CASE_INSENSITIVE);

    /** Words that many names share, or that mean what becomes of several. */
    private static final Set<String> COMMON = Set.of(
            "syrup",
            "powder",
            "dark",
            "white",
            "light",
            "brown",
            "raw",
            "milk",
            "cream",
            "paste",
            "extract",
            "flake",
            "fine",
            "roasted",
            "whole",
            "egg",
            "sweetened",
            "condensed",
            "tin",
            "can");

    /** A reading and where it stands. */
    private record Reading(int step, double celsius, boolean second) {}

    private final List<Step> steps = new ArrayList<>();
    private final List<Line> lines = new ArrayList<>();
    private final List<String> questions = new ArrayList<>();
    private final List<Set<String>> names;
    private Double stop;

    RecipeProgram(List<Line> read, List<Step> written) {
        written.forEach(step -> steps.addAll(atReadings(step)));
        lines.addAll(read);
        names = read.stream().map(RecipeProgram::names).toList();
        program();
    }

    List<Step> steps() {
        return List.copyOf(steps);
    }

    List<Line> lines() {
        return List.copyOf(lines);
    }

    List<String> questions() {
        return List.copyOf(questions);
    }

    /** Where the pot is stopped, °C; null where no reading says so. */
    Double stop() {
        return stop;
    }

    /** A sentence with two readings of pots is two steps: each ends at its own. */
    private static List<Step> atReadings(Step step) {
        List<Step> parts = new ArrayList<>();
        String text = step.action();
        Matcher degrees = DEGREES.matcher(text);
        int from = 0;
        double last = Double.NaN;
        while (!OVEN.matcher(text).find() && degrees.find()) {
            double here = celsius(degrees);
            if (here < LEAST_READING || here > MOST_READING) {
                continue;
            }
            int cut = Double.isNaN(last) ? -1 : boundary(text, from, degrees.start());
            if (cut > from && Math.abs(here - last) > SAME_KELVIN) {
                parts.add(RecipeReader.step(text.substring(from, cut)));
                from = text.indexOf(' ', cut) < 0 ? cut : skipped(text, cut);
            }
            last = here;
        }
        if (parts.isEmpty()) {
            return List.of(step);
        }
        parts.add(RecipeReader.step(text.substring(from)));
        return parts;
    }

    private static final Pattern BOUNDARY = Pattern.compile("[,;]| and | then ", Pattern.CASE_INSENSITIVE);

    /** The first place after a reading where another deed may begin. */
    private static int boundary(String text, int from, int before) {
        Matcher degrees = DEGREES.matcher(text);
        int behind = from;
        while (degrees.find() && degrees.start() < before) {
            behind = degrees.end();
        }
        Matcher boundary = BOUNDARY.matcher(text);
        return boundary.find(behind) && boundary.start() < before ? boundary.start() : -1;
    }

    private static int skipped(String text, int cut) {
        Matcher joint = Pattern.compile("(?:[,; ]|and |then )*", Pattern.CASE_INSENSITIVE)
                .matcher(text);
        return joint.find(cut) && joint.start() == cut ? joint.end() : cut;
    }

    private void program() {
        List<Reading> all = readings();
        // A single pot is the first one, whatever is in it.
        boolean alone = all.stream().allMatch(Reading::second);
        List<Reading> readings = alone
                ? all.stream().map(r -> new Reading(r.step, r.celsius, false)).toList()
                : all;
        List<Reading> main = readings.stream().filter(r -> !r.second).toList();
        boolean stops = !main.isEmpty() && main.get(main.size() - 1).celsius <= MOST_STOP;
        Reading last = stops ? main.get(main.size() - 1) : null;
        if (last != null) {
            stop = Math.round(last.celsius * 10) / 10.0;
            does(last.step, Doing.COOK);
        }
        Set<Integer> placed = new HashSet<>();
        readings.stream().filter(r -> r.second).findFirst().ifPresent(r -> secondPot(r, placed));
        for (int i = 0; i + 1 < main.size(); i++) {
            pour(main.get(i), main.get(i + 1), placed);
        }
        if (last != null) {
            rest(last, placed);
        }
    }

    private List<Reading> readings() {
        List<Reading> readings = new ArrayList<>();
        for (int s = 0; s < steps.size(); s++) {
            String text = steps.get(s).action();
            if (OVEN.matcher(text).find()) {
                continue;
            }
            Matcher degrees = DEGREES.matcher(text);
            double before = Double.NaN;
            int from = 0;
            while (degrees.find()) {
                double celsius = celsius(degrees);
                boolean same = Math.abs(celsius - before) <= SAME_KELVIN;
                if (celsius >= LEAST_READING && celsius <= MOST_READING && !same) {
                    readings.add(new Reading(s, celsius, isSecond(text.substring(from, degrees.start()), readings)));
                    before = celsius;
                }
                from = degrees.end();
            }
        }
        return readings;
    }

    /** Honey that is not named with the sugar, or another pan beside one that has its reading or gets one. */
    private boolean isSecond(String clause, List<Reading> earlier) {
        List<String> words = Words.nameWords(clause);
        boolean honey = words.contains("honey") && !words.contains("sugar") && !words.contains("syrup");
        boolean sugar = names.stream().anyMatch(n -> n.contains("sugar"));
        boolean another = SECOND.matcher(clause).find()
                && !clause.toLowerCase(Locale.ROOT).startsWith("meanwhile");
        return earlier.stream().noneMatch(Reading::second) && (honey && sugar || another && !earlier.isEmpty());
    }

    private void secondPot(Reading reading, Set<Integer> placed) {
        List<Integer> there = named(steps.get(reading.step).action());
        if (there.isEmpty()) {
            questions.add("What is cooked to %s in a pan of its own? Say at its lines which step they go in at."
                    .formatted(words(reading)));
            return;
        }
        does(reading.step, Doing.SECOND_POT);
        there.forEach(line -> place(line, Where.SECOND_POT, reading.step, placed));
    }

    /** At an earlier reading something goes in: what the text names from there on, up to the next reading. */
    private void pour(Reading reading, Reading next, Set<Integer> placed) {
        for (int s = reading.step; s <= next.step; s++) {
            Step step = steps.get(s);
            Matcher pours = POURS.matcher(step.action());
            List<Integer> there = pours.find() ? named(step.action().substring(pours.start())) : List.of();
            there = there.stream()
                    .filter(line -> !placed.contains(line) && firstNamed(line) >= reading.step)
                    .toList();
            boolean own = s == next.step && s != reading.step && next.step - reading.step > 0;
            if (!there.isEmpty() && !own) {
                int at = s;
                if (at != reading.step) {
                    String cue = steps.get(at).cue();
                    steps.set(
                            at,
                            new Step(
                                    step.action(),
                                    cue.isEmpty() ? words(reading) : words(reading) + "; " + cue,
                                    step.restMinutes(),
                                    Doing.POUR));
                } else {
                    does(at, Doing.POUR);
                }
                there.forEach(line -> place(line, Where.POURED, at, placed));
                return;
            }
            if (!there.isEmpty()) {
                splitPour(s, pours.start(), reading, there, placed);
                return;
            }
        }
        questions.add("Readings are written for %s and then for %s: the last is taken as the stop. What happens at %s?"
                .formatted(words(reading), words(next), words(reading)));
    }

    /** {@code pour in the cream and bring back to 118 °C}: the pour and the cook are two steps. */
    private void splitPour(int s, int from, Reading reading, List<Integer> there, Set<Integer> placed) {
        Step step = steps.get(s);
        int cut = boundaryBefore(step.action(), from);
        if (cut < 0) {
            questions.add("Say which step pours in %s at %s."
                    .formatted(
                            String.join(
                                    ", ",
                                    there.stream()
                                            .map(i -> lines.get(i).read().source())
                                            .toList()),
                            words(reading)));
            return;
        }
        Step pour = RecipeReader.step(step.action().substring(0, cut));
        steps.set(s, new Step(pour.action(), words(reading), pour.restMinutes(), Doing.POUR));
        Step cook = RecipeReader.step(step.action().substring(skipped(step.action(), cut)));
        steps.add(s + 1, new Step(cook.action(), cook.cue(), cook.restMinutes(), step.does()));
        there.forEach(line -> place(line, Where.POURED, s, placed));
    }

    private static int boundaryBefore(String text, int from) {
        Matcher degrees = DEGREES.matcher(text);
        int reading = degrees.find(from) ? degrees.start() : text.length();
        Matcher boundary = BOUNDARY.matcher(text);
        int cut = -1;
        for (int at = from; boundary.find(at) && boundary.start() < reading; at = boundary.end()) {
            cut = boundary.start();
        }
        return cut;
    }

    /** What is named before the pot is done is in it from the beginning, what is first named after it goes in off the heat. */
    private void rest(Reading last, Set<Integer> placed) {
        int cook = 0;
        while (steps.get(cook).does() != Doing.COOK) {
            cook++;
        }
        boolean everything = false;
        Set<Integer> leftOut = new HashSet<>();
        boolean known = true;
        for (int s = 0; s <= cook; s++) {
            String text = steps.get(s).action();
            everything |= EVERYTHING.matcher(text).find();
            for (MatchResult left : LEFT_OUT.matcher(text).results().toList()) {
                List<Integer> there = called(left.group());
                leftOut.addAll(there);
                known &= !there.isEmpty();
            }
        }
        if (!known) {
            questions.add(
                    "The method leaves something out of the pot that no line is called: say where each line goes in.");
        }
        for (int line = 0; line < lines.size(); line++) {
            int first = firstNamed(line);
            if (placed.contains(line) || first < 0 && (!everything || !known || leftOut.contains(line))) {
                continue;
            }
            if (first >= 0 && first <= cook || first < 0) {
                place(line, Where.POT, -1, placed);
            } else if (POURS.matcher(steps.get(first).action()).find()) {
                place(line, Where.OFF_HEAT, first, placed);
            }
        }
    }

    private void does(int step, Doing doing) {
        Step was = steps.get(step);
        steps.set(step, new Step(was.action(), was.cue(), was.restMinutes(), doing));
    }

    private void place(int line, Where where, int step, Set<Integer> placed) {
        Line was = lines.get(line);
        lines.set(line, new Line(was.section(), was.read(), new Place(where, step)));
        placed.add(line);
    }

    private int firstNamed(int line) {
        for (int s = 0; s < steps.size(); s++) {
            if (named(steps.get(s).action()).contains(line)) {
                return s;
            }
        }
        return -1;
    }

    /** The lines that a text names, but for those that it leaves out. */
    private List<Integer> named(String text) {
        return called(LEFT_OUT.matcher(text).replaceAll(""));
    }

    private List<Integer> called(String text) {
        List<String> words = Words.nameWords(text);
        List<Integer> named = new ArrayList<>();
        for (int i = 0; i < names.size(); i++) {
            if (names.get(i).stream().anyMatch(words::contains)) {
                named.add(i);
            }
        }
        return named;
    }

    /** Words that a line is called by in a text: those of its own that few others have, else all. */
    private static Set<String> names(Line line) {
        Set<String> all = new HashSet<>();
        for (String word : Words.nameWords(line.read().source())) {
            boolean letters = Character.isLetter(word.charAt(0)) && word.length() > 2;
            if (letters && Unit.of(word).isEmpty() && !NameIndex.isNeutral(word)) {
                all.add(word);
            }
        }
        Set<String> own = new HashSet<>(all);
        own.removeAll(COMMON);
        return own.isEmpty() ? all : own;
    }

    private static double celsius(Matcher degrees) {
        double least = number(degrees.group(1));
        double middle = degrees.group(2) == null ? least : (least + number(degrees.group(2))) / 2;
        return degrees.group(3).equalsIgnoreCase("F") ? (middle - 32) / 1.8 : middle;
    }

    private static double number(String text) {
        return Double.parseDouble(text.replace(',', '.'));
    }

    private static String words(Reading reading) {
        return Numbers.plain(Math.round(reading.celsius * 10) / 10.0) + " °C";
    }
}
