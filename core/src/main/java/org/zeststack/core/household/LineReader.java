package org.zeststack.core.household;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.zeststack.core.ingredient.Ingredient;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.quantity.Say;

/**
 * Reads one line of a recipe as people write it. What is certain is certain because every word is accounted for; the rest
 * carries a mark, and where a number could only be invented there is none.
 */
public final class LineReader {

    /** Two ways to say the same amount may differ by this share before it is worth a word. */
    private static final double AGREE = 0.12;

    /** Two weights, rounded to what people write, by this. */
    private static final double AGREE_WEIGHED = 0.06;

    private static final int LONGEST = 300;

    private static final Pattern BULLET = Pattern.compile(
            "^(?:[\\p{So}\u2022\u00b7\u25aa\u25e6\u2023*\u25a2\u2610\u2611]+\\s*|-\\s+|\\[\\s?\\]\\s*|[0-9]{1,2}[.)]\\s+(?=[0-9]))");
    private static final Pattern PAREN = Pattern.compile("\\(([^()]*)\\)");
    private static final String PACKED =
            "(?!\\s*-?\\s*(?:tins?|cans?|bars?|packs?|packets?|packages?|jars?|bags?|tubs?|bottles?|cartons?|blocks?|sachets?|boxes|pouches)\\b)";
    /** A space parts thousands where the number begins the amount, or noughts follow: else {@code 38 100 g} is a name's number. */
    private static final Pattern THOUSANDS = Pattern.compile(
            "(?<![0-9.,])(?<number>([1-9][0-9]{0,2})(?:[.,'\u2019]|\\s(?=0)|(?<=^[0-9]{1,3}|[:;,-] [0-9]{1,3})\\s)([0-9]{3}))(?![0-9.,])\\s*(?<unit>mg|kg|g|gr|grams?|ml|l|litres?|liters?)\\b"
                    + PACKED,
            Pattern.CASE_INSENSITIVE);

    /** Measures of which nobody takes a thousand: three decimals stand behind the mark. */
    private static final Set<String> LARGE = Set.of("kg", "l", "litre", "litres", "liter", "liters");

    private static final Pattern TO_EFFECT = Pattern.compile(
            "\\b(to taste|as needed|as required|as much as|as necessary|enough to|to effect|to (?:finish|decorate|garnish|dust|serve|coat|bind|cover)|for (?:the pan|finishing|dusting|greasing|rolling|sprinkling|decorating|decoration|brushing|garnish|the (?:tin|pan|tray|mould|mold|paper|top)|coating|dipping))\\b",
            Pattern.CASE_INSENSITIVE);
    private static final Pattern PART_OF =
            Pattern.compile("^(?i)((?:finely )?(?:grated )?(?:zest|juice|rind)) of (.+?) (lemon|lime|orange)s?\\b");
    private static final Pattern EGG_PART =
            Pattern.compile("^(?i)(?:the )?(whites?|yolks?) of (.+?) ((?:small|medium|large) )?eggs?\\b");
    private static final Pattern SIFTED = Pattern.compile("\\bsifted\\b", Pattern.CASE_INSENSITIVE);
    private static final Pattern OPTIONAL = Pattern.compile(
            "\\b(?:optional(?:ly)?|if (?:you like|you wish|you want|liked|desired|wanted|using))\\b",
            Pattern.CASE_INSENSITIVE);
    private static final Pattern EACH_FIRST = Pattern.compile(
            "^(?:[-*\u2022]\\s*)?(?<amount>.*?[0-9a-zA-Z]\\.?) each (?:of )?(?<names>[\\p{L}][^0-9]*)$",
            Pattern.CASE_INSENSITIVE);
    private static final Pattern EACH_LAST = Pattern.compile(
            "^(?:[-*\u2022]\\s*)?(?<names>[\\p{L}][^0-9]*?)[,:-]?\\s+(?<amount>[0-9].*?) each$",
            Pattern.CASE_INSENSITIVE);
    private static final Pattern LISTED =
            Pattern.compile("\\s*[,;+&]\\s*(?:and\\s+)?|\\s+and\\s+", Pattern.CASE_INSENSITIVE);
    private static final Pattern PLUS = Pattern.compile("^(?:plus|and|\\+)\\s+", Pattern.CASE_INSENSITIVE);
    private static final Pattern PER_PIECE = Pattern.compile(
            "\\bper (?:bar|piece|cavity|mould|truffle|portion|serving|egg)\\b", Pattern.CASE_INSENSITIVE);
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
        this(table, Map.of());
    }

    /**
     * A reader that knows more names than the table.
     *
     * @param own slugs or links by the names that the workshop gave its own formulas; of them only masses have grams
     */
    public LineReader(IngredientTable table, Map<String, String> own) {
        this.table = table;
        names = new NameIndex(table, own);
    }

    /** Reads a line in a system of measures. */
    public HouseholdLine read(String source, Measures measures) {
        return new Reading(source, measures, null).read();
    }

    /**
     * Reads a line that may name several ingredients, such as {@code 150 g sugar and 50 g water} or {@code salt, vanilla and 2 tbsp
     * butter}: one for each, with the part of the line that it was read from. A name without an amount of its own is kept and marked.
     */
    public List<HouseholdLine> readAll(String source, Measures measures) {
        if (source.length() > LONGEST) {
            return List.of(read(source, measures));
        }
        List<HouseholdLine> each = each(source, measures);
        if (!each.isEmpty()) {
            return each;
        }
        HouseholdLine whole = read(source, measures);
        if (whole.ingredient() != null && whole.understood()) {
            return List.of(whole);
        }
        List<HouseholdLine> divided = new Division(source, part -> read(part, measures)).lines();
        return divided.isEmpty() ? List.of(whole) : divided;
    }

    /** {@code 1 tbsp each of black and white sesame seeds}, {@code butter and sugar, 100 g each}; empty where it is not that. */
    private List<HouseholdLine> each(String source, Measures measures) {
        String plain = Words.plain(source);
        for (Pattern pattern : List.of(EACH_FIRST, EACH_LAST)) {
            Matcher each = pattern.matcher(plain);
            if (each.matches()) {
                String[] listed = LISTED.split(each.group("names").strip());
                String last = listed[listed.length - 1];
                String shared = last.contains(" ") ? last.substring(last.indexOf(' ')) : "";
                List<HouseholdLine> lines = new ArrayList<>();
                for (String name : listed) {
                    HouseholdLine alone = read(each.group("amount") + " " + name, measures);
                    HouseholdLine line =
                            named(alone) ? alone : read(each.group("amount") + " " + name + shared, measures);
                    lines.add(line.from(source));
                }
                if (lines.size() > 1 && lines.stream().allMatch(LineReader::named)) {
                    return lines;
                }
            }
        }
        return List.of();
    }

    private static boolean named(HouseholdLine line) {
        return line.ingredient() != null && line.amount() != null && line.understood();
    }

    /** Reads a line of which the ingredient is known already; only the amount is read from it. */
    public HouseholdLine read(String source, Measures measures, String ingredient) {
        return new Reading(source, measures, ingredient).read();
    }

    /** Ingredient named by a few words; empty where none is or where it is a guess. */
    public Optional<String> named(String text) {
        if (text.length() > LONGEST) {
            return Optional.empty();
        }
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
        private boolean leftOut;
        private final AmountReader amount = new AmountReader();
        private Measured main;

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
            takeThousands();
            List<String> tokens = turnedAround();
            if (text.matches("^-.*|^[0-9]+ ?/ ?0(?![0-9]).*|^[1-9][0-9]{0,2},[0-9]{3}(?![0-9]).*")) {
                return open(nameOf(withoutAmount()).slug(), "the amount is not clear: write a plain number above 0");
            }
            Cursor cursor = new Cursor(tokens);
            readAmounts(cursor);
            int before = amount.terms().size();
            String name = String.join(" ", amount.readBehind(cursor.rest()));
            if (toEffect && amount.terms().size() > before) {
                guesses.add("what is added is counted too");
            }
            return finish(name);
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

        /** The amount first: {@code sugar: 250 g}, {@code almonds, 400 g, toasted}, {@code zest of 1 lemon}. */
        private List<String> turnedAround() {
            text = PART_OF.matcher(text).replaceFirst("$2 $3 $1");
            text = EGG_PART.matcher(text).replaceFirst("$2 egg $1");
            return TurnAround.of(Words.tokens(text));
        }

        /** {@code 1.200 g} and {@code 1,200 g} mean a thousand two hundred, {@code 1,200 kg} one and a fifth. */
        private void takeThousands() {
            Matcher matcher = THOUSANDS.matcher(text);
            StringBuilder plain = new StringBuilder();
            while (matcher.find()) {
                boolean large = LARGE.contains(matcher.group("unit").toLowerCase(Locale.ROOT));
                String number = matcher.group(2) + (large ? "." : "") + matcher.group(3);
                guesses.add("%s read as %s %s".formatted(matcher.group("number"), number, matcher.group("unit")));
                matcher.appendReplacement(plain, number + " " + matcher.group("unit"));
            }
            text = matcher.appendTail(plain).toString();
        }

        private void readAmounts(Cursor cursor) {
            if (!amount.read(cursor) && !readAside()) {
                return;
            }
            main = amount.main();
            for (String aside : List.copyOf(asides)) {
                Cursor inside = new Cursor(Words.tokens(aside));
                Measured measured = inside.measured().orElse(null);
                if (measured != null && measured.unit() != null) {
                    asides.remove(aside);
                    amount.aside(measured, inside.skip("each"));
                }
            }
        }

        /** {@code vanilla beans (2)}: the amount itself may stand in parentheses. */
        private boolean readAside() {
            for (String aside : List.copyOf(asides)) {
                List<String> tokens = Words.dashed(Words.tokens(aside), "-");
                Cursor whole = new Cursor(tokens);
                if (new AmountReader().read(whole) && whole.atEnd()) {
                    asides.remove(aside);
                    return amount.read(new Cursor(tokens));
                }
            }
            return false;
        }

        /** What a parenthesis adds is counted, and marked; an amount in it that says something else is told. */
        private void readAdditions() {
            for (String aside : List.copyOf(asides)) {
                Matcher plus = PLUS.matcher(aside);
                boolean added = plus.find();
                Cursor inside = new Cursor(Words.tokens(added ? aside.substring(plus.end()) : aside));
                Measured more = inside.measured().orElse(null);
                if (added && main != null && more != null && (more.isMass() || more.isVolume())) {
                    amount.add(more);
                    asides.remove(aside);
                    guesses.add("\u201c%s\u201d is counted too".formatted(aside));
                } else if (leftOver(aside).isPresent()) {
                    guesses.add("\u201c%s\u201d was not counted".formatted(aside));
                }
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
            NameIndex.Match all = given == null ? nameOf(plainName) : NameIndex.Match.of(given);
            NameIndex.Match match = named(all) ? given == null ? refined(plainName, all) : all : match(head);
            if (match == null) {
                return open(null, "two ingredients in one line: write a line for each");
            }
            guesses.addAll(match.guesses());
            readAdditions();
            leftOver(plainName).ifPresent(left -> {
                guesses.add("\u201c%s\u201d was left out: write a line for it".formatted(left));
                leftOut = true;
            });
            if (!named(all) && cut >= 0 && nameOf(plainName.substring(cut + 1)).slug() != null) {
                guesses.add("\u201c%s\u201d stands after the comma and was left out"
                        .formatted(plainName.substring(cut + 1).strip()));
                leftOut = true;
            }
            return withAmount(match);
        }

        /** Whether all words together are one name, whichever of its kind it may be. */
        private static boolean named(NameIndex.Match all) {
            return all.slug() != null && all.whole();
        }

        /** An amount that stands among the words behind the name and that nothing was done with. */
        private static Optional<String> leftOver(String name) {
            List<String> tokens = Words.tokens(name);
            for (int i = 0; i < tokens.size(); i++) {
                Cursor cursor = new Cursor(tokens);
                cursor.back(i);
                boolean number = tokens.get(i).matches("[0-9.].*");
                if (number
                        && cursor.measured()
                                .filter(m -> m.isMass() || m.isVolume())
                                .isPresent()) {
                    return Optional.of(String.join(" ", tokens.subList(i, tokens.size())));
                }
            }
            return Optional.empty();
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
                        : second.marked("read from \u201c" + other + "\u201d");
            }
            List<String> others = new ArrayList<>(first.others());
            if (second.slug() != null && !second.slug().equals(first.slug())) {
                others.add(0, second.slug());
            }
            return new NameIndex.Match(first.slug(), first.guesses(), others, first.whole())
                    .marked("either would do: taken as " + names.name(first.slug()));
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
            amount.hints().forEach(guesses::add);
            Ingredient ingredient =
                    match.slug() == null ? null : table.find(match.slug()).orElse(null);
            Double grams = reconciled(ingredient);
            if (grams != null) {
                grams *= amount.times();
            }
            if (grams != null && PER_PIECE.matcher(preparation + " " + text).find()) {
                guesses.add("for each piece, and how many is not said: write grams");
                grams = null;
            }
            if (grams == null && match.slug() != null && guesses.isEmpty()) {
                guesses.add("no weight known for this measure of " + names.name(match.slug()) + ": write grams");
            }
            return line(match, grams);
        }

        /** With what is added and taken away; a vague part is told and not counted. */
        private Double withTerms(Double grams, Ingredient ingredient) {
            Double sum = grams;
            for (AmountReader.Term term : amount.terms()) {
                if (sum == null || term.measured().unit() == Unit.VAGUE) {
                    guesses.add("%s a %s: not counted"
                            .formatted(
                                    term.sign() < 0 ? "less" : "plus",
                                    term.measured().unit().word()));
                    continue;
                }
                Double more = grams(term.measured(), ingredient);
                sum = more == null ? null : Double.valueOf(sum + term.sign() * more);
            }
            if (sum != null && sum <= 0) {
                guesses.add("nothing is left: write grams");
                return null;
            }
            return sum;
        }

        /** The same amount said twice: grams win; a disagreement is marked. What is weighed and counted is weighed. */
        private Double reconciled(Ingredient ingredient) {
            Measured also = amount.also();
            if (also == null) {
                return withTerms(grams(main, ingredient), ingredient);
            }
            Double other = grams(also, ingredient);
            boolean counted = !main.isMass() && !main.isVolume() && main.unit() != Unit.STICK;
            if (counted && other != null && (also.isMass() || also.isVolume())) {
                return other;
            }
            Double grams = withTerms(grams(main, ingredient), ingredient);
            if (other == null) {
                return grams;
            }
            if (grams == null) {
                guesses.add("amount taken from the parenthesis");
                return other;
            }
            double agree = main.isMass() && also.isMass() ? AGREE_WEIGHED : AGREE;
            if (Math.abs(other - grams) > agree * Math.max(grams, other)) {
                guesses.add("the two amounts differ: %s and %s".formatted(Say.grams(grams, 0), Say.grams(other, 0)));
            }
            // A weight beats a measure; of two weights the one that is written out beats the one in brackets.
            boolean weighed = !main.isMass() && (also.isMass() || !also.isVolume());
            return weighed ? other : grams;
        }

        private Double grams(Measured measured, Ingredient ingredient) {
            if (measured == main && amount.size() != null && !measured.isMass()) {
                Double each = grams(amount.size(), ingredient);
                return each == null ? null : Double.valueOf(each * measured.amount());
            }
            boolean siftedFirst =
                    SIFTED.matcher(text).find() && !SIFTED.matcher(preparation).find();
            return new Weigher(measures, guesses).grams(measured, ingredient, siftedFirst);
        }

        private HouseholdLine open(String slug, String guess) {
            guesses.add(guess);
            return line(NameIndex.Match.of(slug), null);
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
                    preparation.strip(),
                    match.whole() && !leftOut);
        }
    }
}
