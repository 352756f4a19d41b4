package org.zeststack.core.household;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.zeststack.core.ingredient.Ingredient;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.quantity.Numbers;

/**
 * Reads one line of a recipe as people write it. What is certain is certain because every word is accounted for; the rest
 * carries a mark, and where a number could only be invented there is none.
 */
public final class LineReader {

    /** Two ways to say the same amount may differ by this share before it is worth a word. */
    private static final double AGREE = 0.12;

    private static final int LONGEST = 300;

    private static final Pattern BULLET = Pattern.compile(
            "^(?:[\\p{So}\u2022\u00b7\u25aa\u25e6\u2023*\u25a2\u2610\u2611]+\\s*|-\\s+|\\[\\s?\\]\\s*|[0-9]{1,2}[.)]\\s+(?=[0-9]))");
    private static final Pattern PAREN = Pattern.compile("\\(([^()]*)\\)");
    private static final Pattern TRAILING = Pattern.compile(
            "^(?<name>[\\p{L}].*?)\\s*[:,-]?\\s+(?<amount>[0-9][0-9.,/ ]*\\s*(?:mg|kg|grams?|g|oz|ounces?|lbs?|pounds?|ml|cl|dl|l|cups?|tbsp|tsp|tablespoons?|teaspoons?)\\.?)(?<state>\\s+(?:roasted|toasted|chopped|melted|softened|sifted|sieved))?$",
            Pattern.CASE_INSENSITIVE);
    private static final Pattern TO_EFFECT = Pattern.compile(
            "\\b(to taste|as needed|as required|as much as|to effect|for (?:dusting|greasing|rolling|sprinkling|decorating|decoration|brushing|garnish|the (?:tin|pan|tray|mould|mold|paper|top)|coating|dipping))\\b",
            Pattern.CASE_INSENSITIVE);
    private static final Pattern PART_OF =
            Pattern.compile("^(?i)((?:finely )?(?:grated )?(?:zest|juice|rind)) of (.+?) (lemon|lime|orange)s?\\b");
    private static final Pattern EGG_PART =
            Pattern.compile("^(?i)(?:the )?(whites?|yolks?) of (.+?) ((?:small|medium|large) )?eggs?\\b");
    private static final Pattern CHOC = Pattern.compile("\\bchoc\\b\\.?", Pattern.CASE_INSENSITIVE);
    private static final Pattern SIFTED = Pattern.compile("\\bsifted\\b", Pattern.CASE_INSENSITIVE);
    private static final Pattern OPTIONAL = Pattern.compile("\\boptional(?:ly)?\\b", Pattern.CASE_INSENSITIVE);
    private static final Set<String> STATES = Set.of(
            "roasted",
            "toasted",
            "ground",
            "salted",
            "browned",
            "clarified",
            "sweetened",
            "unsweetened",
            "flaked",
            "desiccated");

    private final IngredientTable table;
    private final NameIndex names;

    public LineReader(IngredientTable table) {
        this.table = table;
        names = new NameIndex(table);
    }

    /** Reads a line in a system of measures. */
    public HouseholdLine read(String source, Measures measures) {
        return new Reading(source, measures, null).read();
    }

    /** Reads a line of which the ingredient is known already; only the amount is read from it. */
    public HouseholdLine read(String source, Measures measures, String ingredient) {
        return new Reading(source, measures, ingredient).read();
    }

    /** Ingredient named by a few words; empty where none is or where it is a guess. */
    public Optional<String> named(String text) {
        NameIndex.Match match = names.find(Words.nameWords(text));
        return match.certain() ? Optional.of(match.slug()) : Optional.empty();
    }

    /**
     * The state of one reading. It stands in one place because each step takes from the text what the next one must not see.
     */
    private final class Reading {

        private final String source;
        private final Measures measures;
        private final String given;
        private final List<String> guesses = new ArrayList<>();
        private final List<String> asides = new ArrayList<>();
        private String text;
        private boolean toEffect;
        private boolean optional;
        private String preparation = "";
        private Measured main;
        private Measured size;
        private Measured added;
        private Measured also;

        Reading(String source, Measures measures, String given) {
            this.source = source;
            this.measures = measures;
            this.given = given;
        }

        HouseholdLine read() {
            text = Words.plain(source.length() > LONGEST ? source.substring(0, LONGEST) : source);
            if (source.length() > LONGEST) {
                guesses.add("only the first " + LONGEST + " characters were read");
            }
            text = BULLET.matcher(text).replaceFirst("").strip();
            if (text.isEmpty()) {
                return open(null, "nothing is written");
            }
            if (text.endsWith(":") && !text.matches(".*[0-9].*")) {
                return open(null, "a heading, not an ingredient");
            }
            takeParens();
            takeNotes();
            turnAround();
            Cursor cursor = new Cursor(Words.tokens(text));
            if (text.matches("^-.*|^[0-9]+ ?/ ?0(?![0-9]).*|^[0-9]{1,3},[0-9]{3}(?![0-9]).*")) {
                return open(nameOf(withoutAmount()).slug(), "the amount is not clear: write a plain number above 0");
            }
            readAmounts(cursor);
            return finish(String.join(" ", cursor.rest()));
        }

        private String withoutAmount() {
            String rest = text.replaceFirst("^[-0-9.,/ ]+", "");
            String first = rest.split(" ", 2)[0];
            return Unit.of(Words.folded(first)).isPresent() ? rest.substring(first.length()) : rest;
        }

        /** Parentheses: a size, the same amount in another measure, or words about the ingredient. */
        private void takeParens() {
            Matcher matcher = PAREN.matcher(text);
            StringBuilder without = new StringBuilder();
            while (matcher.find()) {
                asides.add(matcher.group(1).strip());
                matcher.appendReplacement(without, " ");
            }
            matcher.appendTail(without);
            text = without.toString().replaceAll("\\s+", " ").replace(" ,", ",").strip();
        }

        private void takeNotes() {
            Matcher effect = TO_EFFECT.matcher(text);
            if (effect.find()) {
                toEffect = true;
                preparation = text.substring(effect.start());
                text = text.substring(0, effect.start()).replaceAll("[,;\\s-]+$", "");
            }
            asides.removeIf(aside -> {
                boolean says = OPTIONAL.matcher(aside).find();
                optional |= says;
                boolean effectSaid = TO_EFFECT.matcher(aside).find();
                toEffect |= effectSaid;
                return says || effectSaid;
            });
            Matcher left = OPTIONAL.matcher(text);
            if (left.find()) {
                optional = true;
                text = left.replaceAll("").replaceAll("[,;:\\s-]+$", "").replaceAll("^[,;:\\s-]+", "");
            }
        }

        /** {@code sugar: 250 g}, {@code almonds, 400 g, toasted} and {@code zest of 1 lemon} with the amount in front. */
        private void turnAround() {
            text = PART_OF.matcher(text).replaceFirst("$2 $3 $1");
            text = EGG_PART.matcher(text).replaceFirst("$2 egg $1");
            text = CHOC.matcher(text).replaceAll("chocolate");
            if (text.matches("^[0-9.].*")
                    || new Cursor(Words.tokens(text)).measured().isPresent()) {
                return;
            }
            List<String> segments = new ArrayList<>(List.of(text.split("\\s*[,;]\\s*", -1)));
            for (int i = 1; i < segments.size(); i++) {
                Cursor segment = new Cursor(Words.tokens(segments.get(i)));
                if (segment.measured().filter(m -> m.unit() != null).isPresent() && segment.atEnd()) {
                    text = segments.remove(i) + " " + String.join(", ", segments);
                    return;
                }
            }
            Matcher trailing = TRAILING.matcher(segments.get(0));
            if (trailing.matches()
                    && new Cursor(Words.tokens(trailing.group("name")))
                            .measured()
                            .isEmpty()) {
                String state = trailing.group("state");
                segments.set(0, trailing.group("name").replaceAll("[:,-]\\s*$", ""));
                if (state != null) {
                    segments.add(1, state.strip());
                }
                text = trailing.group("amount") + " " + String.join(", ", segments);
            }
        }

        private void readAmounts(Cursor cursor) {
            Optional<Measured> first = cursor.measured();
            if (first.isEmpty()) {
                return;
            }
            main = first.get();
            readSize(cursor);
            cursor.skip("of");
            int mark = cursor.mark();
            if (cursor.skip("plus", "+", "and", "&")) {
                added = cursor.measured().filter(m -> m.unit() != null).orElse(null);
                if (added == null) {
                    cursor.back(mark);
                }
            } else if (cursor.skip("/", "-", "=")) {
                also = cursor.measured().filter(m -> m.unit() != null).orElse(null);
                if (also == null) {
                    cursor.back(mark);
                }
            } else if (main.isMass()) {
                added = cursor.measured()
                        .filter(m ->
                                m.isMass() && m.unit().grams() < main.unit().grams())
                        .orElse(null);
                if (added == null) {
                    cursor.back(mark);
                }
            }
            cursor.skip("of");
            for (String aside : List.copyOf(asides)) {
                Cursor inside = new Cursor(Words.tokens(aside));
                Measured measured = inside.measured().orElse(null);
                boolean amount = measured != null && measured.unit() != null;
                if (amount) {
                    inside.skip("each", "total", "in total");
                    asides.remove(aside);
                    takeAside(measured);
                }
            }
        }

        private void takeAside(Measured measured) {
            if (main.unit() != null && main.unit().isContainer() && measured.isMass() && main.unit() != Unit.STICK) {
                size = measured;
            } else {
                also = measured;
            }
        }

        /** {@code 2 x 397 g tins}, {@code 2 14-oz cans}, {@code 1 400g tin}: a count, a size and what it comes in. */
        private void readSize(Cursor cursor) {
            if (main.unit() != null) {
                return;
            }
            int mark = cursor.mark();
            cursor.skip("x", "\u00d7", "-");
            Measured inner = cursor.measured().orElse(null);
            if (inner != null && inner.unit() != null && (inner.isMass() || inner.isVolume())) {
                cursor.skip("-");
                Optional<Unit> container = Unit.of(cursor.word(0)).filter(Unit::isContainer);
                if (container.isPresent()) {
                    cursor.skip(cursor.word(0));
                }
                size = inner;
                main = new Measured(main.amount(), container.orElse(Unit.PIECE), main.range(), 1, "", false);
            } else {
                cursor.back(mark);
            }
        }

        private HouseholdLine finish(String name) {
            String plainName = name.replaceAll("\\s+([,;])", "$1").strip();
            int cut = firstCut(plainName);
            String head = cut < 0 ? plainName : plainName.substring(0, cut);
            if (cut >= 0) {
                String tail = plainName.substring(cut + 1).strip();
                preparation = preparation.isEmpty() ? tail : tail + ", " + preparation;
            }
            NameIndex.Match all = given == null ? nameOf(plainName) : new NameIndex.Match(given, List.of(), List.of());
            NameIndex.Match match = all.certain() ? given == null ? refined(plainName, all) : all : match(head);
            if (match == null) {
                return open(null, "two ingredients in one line: write a line for each");
            }
            guesses.addAll(match.guesses());
            if (!all.certain()
                    && cut >= 0
                    && nameOf(plainName.substring(cut + 1)).certain()) {
                guesses.add("\u201c%s\u201d stands after the comma and was left out"
                        .formatted(plainName.substring(cut + 1).strip()));
            }
            return withAmount(match);
        }

        private int firstCut(String name) {
            for (int i = 1; i < name.length(); i++) {
                char c = name.charAt(i);
                if (c == ',' || c == ';') {
                    return i;
                }
            }
            return -1;
        }

        /** The match of a name; null where it names two ingredients. */
        private NameIndex.Match match(String head) {
            NameIndex.Match whole = nameOf(head);
            if (whole.certain()) {
                return refined(head, whole);
            }
            String[] joined = head.split("(?i)\\s+(?:and|&|\\+|plus)\\s+", 2);
            if (joined.length == 2 && namesSomething(joined[0]) && namesSomething(joined[1])) {
                return null;
            }
            String[] either = head.split("(?i)\\s+or\\s+|\\s*/\\s*", 2);
            if (either.length == 2) {
                return either(either[0], either[1]);
            }
            return refined(head, whole);
        }

        private boolean namesSomething(String part) {
            String bare = part.replaceFirst("^[0-9./ ]+\\s*[a-zA-Z]{0,4}\\s+", "");
            return nameOf(bare).slug() != null;
        }

        private NameIndex.Match either(String one, String other) {
            NameIndex.Match first = nameOf(one);
            NameIndex.Match second = nameOf(other);
            if (first.slug() == null) {
                String lastWord = other.substring(other.lastIndexOf(' ') + 1);
                first = nameOf(one + " " + lastWord);
            }
            if (first.slug() == null) {
                return second.slug() == null
                        ? NameIndex.Match.NONE
                        : marked(second, "read from \u201c" + other + "\u201d");
            }
            List<String> others = new ArrayList<>(first.others());
            if (second.slug() != null && !second.slug().equals(first.slug())) {
                others.add(0, second.slug());
            }
            NameIndex.Match chosen = new NameIndex.Match(first.slug(), first.guesses(), others);
            return marked(chosen, "either would do: taken as " + names.name(first.slug()));
        }

        private static NameIndex.Match marked(NameIndex.Match match, String guess) {
            List<String> all = new ArrayList<>(match.guesses());
            all.add(guess);
            return new NameIndex.Match(match.slug(), all, match.others());
        }

        /** A state told after the name, such as {@code hazelnuts, roasted}, may make it another ingredient. */
        private NameIndex.Match refined(String head, NameIndex.Match whole) {
            if (main != null
                    && main.unit() == Unit.SHEET
                    && nameOf(head + " sheet").certain()) {
                return nameOf(head + " sheet");
            }
            String told = preparation + " " + String.join(" ", asides);
            for (String state : Words.nameWords(told)) {
                if (STATES.contains(state) || state.endsWith("%")) {
                    NameIndex.Match with = nameOf(state + " " + head);
                    if (with.certain() && (!with.slug().equals(whole.slug()) || !whole.certain())) {
                        return with;
                    }
                }
            }
            NameIndex.Match withAsides = asides.isEmpty() ? whole : nameOf(head + " " + String.join(" ", asides));
            boolean better = withAsides.certain() && !whole.certain();
            return better ? withAsides : whole;
        }

        private NameIndex.Match nameOf(String name) {
            List<String> words = Words.nameWords(name);
            return words.isEmpty() ? NameIndex.Match.NONE : names.find(words);
        }

        private HouseholdLine withAmount(NameIndex.Match match) {
            if (match.slug() == null) {
                guesses.add("no such ingredient in the store room");
            }
            if (main == null || main.amount() <= 0) {
                guesses.add(
                        toEffect
                                ? "to effect: weigh what was used"
                                : main == null ? "no amount is written" : "the amount is 0");
                return line(match, null);
            }
            if (!main.range().isEmpty()) {
                guesses.add("%s: taken as the middle, %s".formatted(main.range(), Weigher.rounded(main.amount())));
            }
            if (!main.hint().isEmpty()) {
                guesses.add(main.hint());
            }
            Ingredient ingredient = match.slug() == null ? null : table.get(match.slug());
            Double grams = grams(main, ingredient);
            if (grams != null && added != null) {
                Double more = grams(added, ingredient);
                grams = more == null ? null : Double.valueOf(grams + more);
            }
            grams = reconciled(grams, ingredient);
            if (grams == null && match.slug() != null && guesses.isEmpty()) {
                guesses.add("no weight known for this measure of " + ingredient.name() + ": write grams");
            }
            return line(match, grams);
        }

        /** The same amount said twice: grams win; a disagreement is marked. */
        private Double reconciled(Double grams, Ingredient ingredient) {
            if (also == null) {
                return grams;
            }
            Double other = grams(also, ingredient);
            if (other == null) {
                return grams;
            }
            if (grams == null) {
                guesses.add("amount taken from the parenthesis");
                return other;
            }
            if (Math.abs(other - grams) > AGREE * Math.max(grams, other)) {
                guesses.add("the two amounts differ: %s g and %s g"
                        .formatted(Numbers.fixed(grams, 0), Numbers.fixed(other, 0)));
            }
            return also.isMass() || !main.isMass() && !also.isVolume() ? other : grams;
        }

        private Double grams(Measured measured, Ingredient ingredient) {
            if (measured == main && size != null && !measured.isMass()) {
                Double each = grams(size, ingredient);
                return each == null ? null : Double.valueOf(each * measured.amount());
            }
            boolean siftedFirst =
                    SIFTED.matcher(text).find() && !SIFTED.matcher(preparation).find();
            return new Weigher(measures, guesses).grams(measured, ingredient, siftedFirst);
        }

        private HouseholdLine open(String slug, String guess) {
            guesses.add(guess);
            return line(new NameIndex.Match(slug, List.of(), List.of()), null);
        }

        private HouseholdLine line(NameIndex.Match match, Double grams) {
            boolean counted =
                    main != null && main.unit() == null && grams != null && main.amount() == Math.rint(main.amount());
            return new HouseholdLine(
                    source,
                    main == null ? null : Double.valueOf(main.amount()),
                    main == null || main.unit() == null ? "" : main.unit().word(),
                    match.slug(),
                    grams,
                    guesses.stream().distinct().toList(),
                    match.others(),
                    toEffect,
                    optional,
                    counted ? Double.valueOf(main.amount()) : null,
                    preparation.strip());
        }
    }
}
