package org.zeststack.core.household;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.zeststack.core.quantity.Numbers;

/** Takes a pasted recipe apart: title, ingredient lines and method, the method cut into steps. */
public final class RecipeReader {

    private static final int MOST_LINES = 400;

    /** A longer line is no line of a recipe; a page without breaks may have a paragraph of this length. */
    private static final int LONGEST_LINE = 2000;

    private static final int LONG_LINE = 90;

    private static final Pattern INGREDIENTS = Pattern.compile(
            "^(?:#+\\s*)?(?:the\\s+)?(?:ingredients?|you(?:'ll| will)? need|what you need|shopping list)\\b[^.]{0,30}:?$",
            Pattern.CASE_INSENSITIVE);
    private static final Pattern METHOD = Pattern.compile(
            "^(?:#+\\s*)?(?:the\\s+)?(?:methods?|directions?|instructions?|preparation|procedure|steps?|how to make(?: it)?|to make|what to do|process)\\s*:?$",
            Pattern.CASE_INSENSITIVE);
    private static final Pattern YIELD = Pattern.compile(
            "^(?:makes|yields?|serves|servings|gives)\\b.*|^.{0,20}\\b(?:makes|yield)s?:? .*[0-9].*",
            Pattern.CASE_INSENSITIVE);
    private static final Pattern SECTION = Pattern.compile(
            "^(?:#+\\s*)?((?:for|to make)\\s+the\\s+[^.0-9]{2,40}|[\\p{L} ]{3,30}:)\\s*$", Pattern.CASE_INSENSITIVE);
    private static final Pattern NUMBERED =
            Pattern.compile("^(?:step\\s*)?([0-9]{1,2})\\s*[.):]\\s*(.*)$", Pattern.CASE_INSENSITIVE);
    /** A title with the whole list behind it. */
    private static final Pattern TITLED = Pattern.compile("^([\\p{L}' -]{3,40}):\\s+(\\p{N}.*)$");

    private static final Pattern VERB = Pattern.compile(
            "^(?:first|then|next|now|meanwhile|in|into|once|when|after|while|using|with|to|on|over|carefully|slowly|gently|immediately|finally|line|grease|butter a|butter the(?! size)|heat|melt|boil|bring|cook|stir|mix|combine|whisk|whip|beat|pour|spread|press|bake|cool|chill|let|leave|allow|set|cut|slice|dip|coat|dust|roll|fold|add|place|put|remove|take|turn|sprinkle|grind|toast|roast|blend|cream|knead|refrigerate|freeze|temper|drizzle|score|break|store|wrap|preheat|prepare|sift|strain|soak|warm|reheat|shape|form|divide|crush|process|pulse|simmer|dissolve|brush|top|repeat|unmould|scrape|prick|rest|tap|drain|trim|saw|skin|rub|keep|check|test|ladle|pipe|work|invert|scald|soften|bloom|knead|rinse|wipe|oil|flip|peel|ease|level|smooth|mark)\\b.*",
            Pattern.CASE_INSENSITIVE);
    /** The size of a tin or tray, which is no amount. */
    private static final Pattern SIZE = Pattern.compile(
            "[0-9]+(?:[.,][0-9]+)?\\s*(?:cm|mm|in|inch|inches|\")?\\s*(?:x|\u00d7|by)\\s*[0-9]+",
            Pattern.CASE_INSENSITIVE);

    private static final Pattern ENDS_IN_AMOUNT = Pattern.compile(".*[0-9]\\s*\\p{L}{0,12}\\.?\\s*(?:[,;(].*)?$");
    private static final Pattern SENTENCE = Pattern.compile("(?<=[.!?;])\\s+(?:[0-9]{1,2}[.)]\\s+)?(?=[\\p{Lu}(])");
    private static final String NUMBER = "[0-9]+(?:[.,][0-9]+)?";
    private static final Pattern CUE = Pattern.compile(
            "(" + NUMBER + "(?:\\s*(?:-|to|or)\\s*" + NUMBER + ")?\\s*(?:\u00b0\\s*|degrees?\\s+|deg\\.?\\s+)?[CF]\\b"
                    + "|" + NUMBER + "\\s*(?:\u00b0|degrees?\\s+|deg\\.?\\s+)(?:celsius|fahrenheit)"
                    + "|" + NUMBER + "(?:\\s*(?:-|to|or)\\s*" + NUMBER
                    + ")?\\s*(?:seconds?|secs?|minutes?|mins?|min|hours?|hrs?|h)\\b"
                    + "|\\bovernight\\b"
                    + "|\\b(?:soft|firm|hard)[ -](?:ball|crack)(?: stage)?"
                    + "|\\buntil\\s+[^.,;()]{3,60})",
            Pattern.CASE_INSENSITIVE);
    private static final Pattern RESTS =
            Pattern.compile("\\b(?:rest|cool|chill|refrigerat|set|leave|freez|stand)", Pattern.CASE_INSENSITIVE);
    private static final Pattern HOURS = Pattern.compile(
            "(" + NUMBER + ")(?:\\s*(?:-|to|or)\\s*" + NUMBER + ")?\\s*(minutes?|mins?|min|hours?|hrs?|h)\\b",
            Pattern.CASE_INSENSITIVE);
    private static final double OVERNIGHT_MINUTES = 480;

    private enum Part {
        HEAD,
        INGREDIENTS,
        METHOD
    }

    private final LineReader reader;

    public RecipeReader(LineReader reader) {
        this.reader = reader;
    }

    /** Takes a text apart, in a system of measures. */
    public Recipe read(String text, Measures measures) {
        return new Reading(measures).read(text);
    }

    private final class Reading {
        private final Measures measures;
        private final List<Recipe.Line> lines = new ArrayList<>();
        private final List<Recipe.Step> steps = new ArrayList<>();
        private final List<String> rest = new ArrayList<>();
        private String title = "";
        private String yields = "";
        private String section = "";
        private Part part = Part.HEAD;
        private boolean headed;
        private boolean methodHeaded;

        Reading(Measures measures) {
            this.measures = measures;
        }

        Recipe read(String text) {
            List<String> written =
                    text.lines().map(String::strip).filter(l -> !l.isEmpty()).toList();
            headed = written.stream()
                    .limit(MOST_LINES)
                    .filter(l -> l.length() <= LONGEST_LINE)
                    .anyMatch(l -> INGREDIENTS.matcher(Words.plain(l)).matches());
            written.stream().limit(MOST_LINES).forEach(this::line);
            if (written.size() > MOST_LINES) {
                rest.add("Only the first %d lines were read.".formatted(MOST_LINES));
            }
            RecipeProgram program = new RecipeProgram(lines, steps);
            return new Recipe(
                    title,
                    program.lines(),
                    program.steps(),
                    program.stop(),
                    yields,
                    List.copyOf(rest),
                    program.questions());
        }

        private void line(String written) {
            if (written.length() > LONGEST_LINE) {
                rest.add("A line of %d characters was left out; at most %d are read: %s\u2026"
                        .formatted(written.length(), LONGEST_LINE, written.substring(0, 40)));
                return;
            }
            String line = Words.plain(written);
            if (INGREDIENTS.matcher(line).matches()) {
                part = Part.INGREDIENTS;
            } else if (METHOD.matcher(line).matches()) {
                part = Part.METHOD;
                methodHeaded = true;
            } else if (YIELD.matcher(line).matches() && line.length() < LONG_LINE && part != Part.METHOD) {
                yields = written;
            } else if (SECTION.matcher(line).matches()) {
                section = line.replaceAll("[:#]", "").strip();
                if (part == Part.HEAD) {
                    part = Part.INGREDIENTS;
                }
            } else if (part == Part.METHOD && (methodHeaded || !isLate(written, line))) {
                method(line);
            } else {
                open(written, line);
            }
        }

        /** Below a method without a heading an ingredient may still follow, such as what the pieces are finished with. */
        private boolean isLate(String written, String line) {
            HouseholdLine read = reader.read(written, measures);
            boolean told = read.amount() != null
                    && (!VERB.matcher(line).matches()
                            || ENDS_IN_AMOUNT.matcher(line).matches());
            return read.ingredient() != null
                    && !line.matches(".*[.!]$")
                    && (told || read.toEffect())
                    && read.understood();
        }

        /** A line above the method: title, ingredient, or the method already where no heading tells. */
        private void open(String written, String line) {
            Matcher titled = TITLED.matcher(line);
            if (title.isEmpty() && lines.isEmpty() && titled.matches() && isList(titled.group(2))) {
                title = titled.group(1);
                open(titled.group(2), titled.group(2));
                return;
            }
            Matcher numbered = NUMBERED.matcher(line);
            boolean step = numbered.matches() && VERB.matcher(numbered.group(2)).matches();
            boolean prose = line.length() > LONG_LINE && line.matches(".*[.!]\\s+\\p{Lu}.*")
                    || line.matches(".*\\p{L}{3,}[.!]$") && line.split(" ").length > 6;
            HouseholdLine read = reader.read(written, measures);
            List<HouseholdLine> all =
                    isNamed(read) && read.understood() ? List.of(read) : reader.readAll(written, measures);
            boolean ordered = VERB.matcher(line).matches()
                    && (line.split(" ").length > 3 || CUE.matcher(line).find());
            boolean command = ordered && !beginsWithFood(line, all);
            boolean sized =
                    title.isEmpty() && lines.isEmpty() && SIZE.matcher(line).find() && !line.matches("[0-9].*");
            boolean amount = !sized
                    && read.amount() != null
                    && (read.ingredient() != null || !read.unit().isEmpty() || line.matches("^[-\u2022*\\s]*[0-9].*"));
            if (step
                    || prose
                    || command
                            && !(amount
                                    && (read.understood() || all.size() > 1)
                                    && ENDS_IN_AMOUNT.matcher(line).matches())) {
                if (part == Part.HEAD && lines.isEmpty() && headed) {
                    rest.add(written);
                } else {
                    method(line);
                }
                return;
            }
            if (title.isEmpty() && lines.isEmpty() && !amount && part == Part.HEAD) {
                title = line.replaceAll("^#+\\s*", "");
            } else if (part == Part.HEAD && headed && !amount) {
                rest.add(written);
            } else if (amount || isNamed(read) || all.size() > 1 || part == Part.INGREDIENTS) {
                all.forEach(l -> lines.add(new Recipe.Line(section, l)));
            } else {
                rest.add(written);
            }
        }

        private boolean isList(String text) {
            List<HouseholdLine> all = reader.readAll(text, measures);
            return all.size() > 1 && all.stream().allMatch(l -> l.ingredient() != null && l.amount() != null);
        }

        /** Cream and oil are foods too: a line that begins with one, and is names throughout, is no order. */
        private boolean beginsWithFood(String line, List<HouseholdLine> all) {
            return all.size() > 1
                    && all.stream().allMatch(l -> isNamed(l) && l.understood())
                    && isNamed(reader.read(line.split("[ ,]")[0], measures));
        }

        /** Without an amount only what is wholly a name, or is said to be taken as needed, is an ingredient. */
        private static boolean isNamed(HouseholdLine read) {
            return read.ingredient() != null && (read.understood() || read.toEffect());
        }

        private void method(String line) {
            part = part == Part.HEAD ? Part.METHOD : part;
            if (line.chars().noneMatch(Character::isLetter)) {
                rest.add(line);
                return;
            }
            Matcher numbered = NUMBERED.matcher(line);
            String text = numbered.matches() ? numbered.group(2) : line.replaceFirst("^[-\u2022*]\\s*", "");
            for (String sentence : SENTENCE.split(text)) {
                if (!sentence.isBlank()) {
                    steps.add(step(sentence.strip()));
                }
            }
        }
    }

    /** A sentence of a method with its cues. */
    static Recipe.Step step(String sentence) {
        List<String> cues = new ArrayList<>();
        Matcher cue = CUE.matcher(sentence);
        while (cue.find()) {
            cues.add(cue.group().replaceFirst("(?i)^until\\s+", "").strip());
        }
        return new Recipe.Step(
                sentence.replaceAll("[.;]$", ""), String.join("; ", cues), rest(sentence), Recipe.Doing.HAND);
    }

    private static Double rest(String sentence) {
        if (!RESTS.matcher(sentence).find()) {
            return null;
        }
        if (sentence.toLowerCase(Locale.ROOT).contains("overnight")) {
            return OVERNIGHT_MINUTES;
        }
        Matcher hours = HOURS.matcher(sentence);
        if (!hours.find()) {
            return null;
        }
        double each = hours.group(2).toLowerCase(Locale.ROOT).startsWith("h") ? 60 : 1;
        return number(hours.group(1)) * each;
    }

    private static double number(String text) {
        return Double.parseDouble(Numbers.plain(Double.parseDouble(text.replace(',', '.'))));
    }
}
