package org.zeststack.core.household;

import java.text.Normalizer;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Cuts text into the small tokens that a line is read by: numbers, words, percentages and marks. */
final class Words {

    private static final Pattern TOKEN = Pattern.compile(
            "[0-9]+(?:[.,][0-9]+)?\\s?%|[0-9]+(?:[.,][0-9]+)*|\\.[0-9]+|[\\p{L}][\\p{L}'\u2019]*\\.?|[-/+&:;()#,]|\\S");

    /** Words as people shorten them. */
    private static final Map<String, String> SHORT = Map.ofEntries(
            Map.entry("choc", "chocolate"),
            Map.entry("lt", "light"),
            Map.entry("dk", "dark"),
            Map.entry("pwdr", "powder"),
            Map.entry("pwd", "powder"),
            Map.entry("powd", "powdered"),
            Map.entry("gran", "granulated"),
            Map.entry("conf", "confectioner"),
            Map.entry("swtd", "sweetened"),
            Map.entry("cond", "condensed"),
            Map.entry("evap", "evaporated"),
            Map.entry("unsltd", "unsalted"),
            Map.entry("van", "vanilla"),
            Map.entry("marg", "margarine"),
            Map.entry("lg", "large"),
            Map.entry("med", "medium"),
            Map.entry("sm", "small"),
            Map.entry("crm", "cream"));

    private static final Pattern FRACTION = Pattern.compile("([0-9])([\u00bc-\u00be\u2150-\u215e])");
    private static final Pattern DASH = Pattern.compile("[\u2010-\u2015\u2212]");
    /** Points that lead from a name to its amount. */
    private static final Pattern LEADER =
            Pattern.compile("(?<=\\s)(?:[.\u00b7_]\\s?){2,}(?=\\s|[0-9])|(?:[.\u00b7_]){2,}");

    private static final Pattern SPACE = Pattern.compile("[\\s\u00a0]+");
    private static final Pattern UNSPOKEN = Pattern.compile("[\\p{M}'\u2019]");

    private Words() {}

    /** One typographic form: compatibility characters resolved, fractions spaced, all dashes and spaces plain. */
    static String plain(String text) {
        String spaced = FRACTION.matcher(text).replaceAll("$1 $2");
        String one = Normalizer.normalize(spaced, Normalizer.Form.NFKC).replace('\u2044', '/');
        String dashed = DASH.matcher(one).replaceAll("-");
        return SPACE.matcher(LEADER.matcher(dashed).replaceAll(" "))
                .replaceAll(" ")
                .strip();
    }

    /** A dash with room on both sides, which parts what stands beside it; without room it joins. */
    static final String SPACED_DASH = "\u2014";

    /** Tokens as written. */
    static List<String> tokens(String plain) {
        List<String> tokens = new ArrayList<>();
        Matcher matcher = TOKEN.matcher(plain);
        while (matcher.find()) {
            boolean apart = matcher.group().equals("-")
                    && matcher.start() > 0
                    && plain.charAt(matcher.start() - 1) == ' '
                    && plain.startsWith(" ", matcher.end());
            tokens.add(apart ? SPACED_DASH : matcher.group().replace(" ", ""));
        }
        return tokens;
    }

    /** The same with {@code mark} for every spaced dash. */
    static List<String> dashed(List<String> tokens, String mark) {
        return tokens.stream().map(t -> t.equals(SPACED_DASH) ? mark : t).toList();
    }

    /** A word without case, accents, apostrophes, final stop or plural. */
    static String folded(String token) {
        String bare = UNSPOKEN.matcher(Normalizer.normalize(token, Normalizer.Form.NFKD))
                .replaceAll("")
                .toLowerCase(Locale.ROOT);
        if (bare.length() > 1 && bare.endsWith(".")) {
            bare = bare.substring(0, bare.length() - 1);
        }
        return SHORT.getOrDefault(bare, singular(bare.replace(',', '.')));
    }

    private static String singular(String word) {
        int n = word.length();
        if (n < 4 || !word.endsWith("s") || word.endsWith("ss") || word.endsWith("us") || word.endsWith("is")) {
            return word;
        }
        if (word.endsWith("ies") && n > 5 && !word.endsWith("kies") && !word.endsWith("wnies")) {
            return word.substring(0, n - 3) + "y";
        }
        if (word.endsWith("halves")) {
            return "half";
        }
        if (word.endsWith("leaves")) {
            return "leaf";
        }
        boolean hissing =
                word.endsWith("ches") || word.endsWith("shes") || word.endsWith("sses") || word.endsWith("oes");
        return word.substring(0, hissing ? n - 2 : n - 1);
    }

    /** Folded words of a name; marks that mean nothing are left out. */
    static List<String> nameWords(String text) {
        List<String> words = new ArrayList<>();
        for (String token : tokens(plain(text))) {
            String word = folded(token);
            if (!word.isEmpty() && (Character.isLetterOrDigit(word.charAt(0)))) {
                words.add(word);
            }
        }
        return words;
    }
}
