package org.zeststack.core.household;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.apache.commons.text.similarity.LevenshteinDistance;
import org.zeststack.core.ingredient.Ingredient;
import org.zeststack.core.ingredient.IngredientTable;

/**
 * Finds the ingredient that a few words mean. Every word must be accounted for: one that is neither part of a known name
 * nor known to change nothing marks the match as a guess.
 */
final class NameIndex {

    /** Words that say how something is prepared or how good it is, and leave it the ingredient that it is. */
    private static final Set<String> NEUTRAL = Set.copyOf(List.of(
            ("a an the of in at and with to very good quality best fine finely coarse coarsely roughly lightly large medium "
                            + "small big extra fresh freshly ripe organic chopped chop diced cubed cube crushed crumbled broken "
                            + "grated minced cut melted soft softened cold chilled warm warmed hot cool cooled room temperature "
                            + "sifted strained skinned peeled pitted stoned shelled whole half halved piece beaten firmly packed "
                            + "loosely level thick thickly thin thinly tempered pure unsalted plain natural heaped separated "
                            + "drained rinsed dry ready prepared divided plus more about approximately approx roughly bought store "
                            + "shop home homemade your favourite favorite preferably quartered torn smashed bashed sieved size "
                            + "full squeezed blanched powdery smooth real liquid genuine free range scraped enough some")
                    .split(" ")));

    private static final int MOST_NEAR = 5000;
    private static final LevenshteinDistance DISTANCE = new LevenshteinDistance(2);
    private static final int MOST_OTHERS = 6;

    /** Ways to correct a line that are looked at. */
    private static final int MOST_TRIES = 24;

    /** One way to write an ingredient. */
    private record Alias(Set<String> words, String slug, boolean guess) {}

    /** Ingredients that differ by a percentage only. */
    private record Percented(String slug, double percent) {}

    /**
     * A name as found.
     *
     * @param slug null where nothing fits
     * @param guesses what was taken without being certain
     * @param others what might be meant instead
     * @param whole whether every word is accounted for
     */
    record Match(String slug, List<String> guesses, List<String> others, boolean whole) {

        static final Match NONE = new Match(null, List.of(), List.of(), false);

        static Match of(String slug) {
            return new Match(slug, List.of(), List.of(), slug != null);
        }

        /** The same, with one thing more that is not certain. */
        Match marked(String guess) {
            List<String> all = new ArrayList<>(guesses);
            all.add(guess);
            return new Match(slug, all, others, whole);
        }

        boolean certain() {
            return slug != null && guesses.isEmpty();
        }
    }

    private final IngredientTable table;
    private final Map<String, String> ownNames = new HashMap<>();
    private final Map<String, List<Alias>> byWord = new HashMap<>();
    private final Map<String, List<Percented>> byGroup = new LinkedHashMap<>();
    private final Map<String, String> groupOf = new HashMap<>();
    /** Words that were looked for among all before: recipes name the same ones again and again. */
    private final Map<String, List<String>> near = new ConcurrentHashMap<>();

    NameIndex(IngredientTable table, Map<String, String> own) {
        this.table = table;
        own.forEach((name, slug) -> {
            add(name, slug, false);
            ownNames.put(slug, name);
        });
        for (Ingredient ingredient : table.all()) {
            add(ingredient.name(), ingredient.slug(), false);
            for (String name : ingredient.also()) {
                boolean guess = name.endsWith("?");
                add(guess ? name.substring(0, name.length() - 1) : name, ingredient.slug(), guess);
            }
            addToGroup(ingredient);
        }
    }

    /** Whether a folded word says how something is, and not what. */
    static boolean isNeutral(String word) {
        return NEUTRAL.contains(word);
    }

    private void add(String name, String slug, boolean guess) {
        List<String> words = new ArrayList<>(Words.nameWords(name));
        if (words.size() > 1) {
            // "cream tartar" is cream of tartar.
            words.remove("of");
        }
        Alias alias = new Alias(Set.copyOf(words), slug, guess);
        alias.words.forEach(
                word -> byWord.computeIfAbsent(word, w -> new ArrayList<>()).add(alias));
    }

    private void addToGroup(Ingredient ingredient) {
        List<String> words = Words.nameWords(ingredient.name());
        List<String> others = words.stream().filter(w -> !w.endsWith("%")).toList();
        if (others.size() == words.size() - 1) {
            String group = ingredient.isCouverture() ? ingredient.couverture() : String.join(" ", others);
            double percent = Double.parseDouble(words.stream()
                    .filter(w -> w.endsWith("%"))
                    .findFirst()
                    .orElseThrow()
                    .replace("%", ""));
            byGroup.computeIfAbsent(group, g -> new ArrayList<>()).add(new Percented(ingredient.slug(), percent));
            groupOf.put(ingredient.slug(), group);
        }
    }

    /** The ingredient meant by these folded words. */
    Match find(List<String> written) {
        Set<String> words = new LinkedHashSet<>(written);
        Match exact = byWords(words);
        if (exact.slug != null && exact.guesses.isEmpty()) {
            return exact;
        }
        Match corrected = bySpelling(words);
        return corrected == null ? exact : corrected;
    }

    private Match byWords(Set<String> words) {
        Set<Alias> fitting = new HashSet<>();
        for (String word : words) {
            for (Alias alias : byWord.getOrDefault(word, List.of())) {
                if (words.containsAll(alias.words)) {
                    fitting.add(alias);
                }
            }
        }
        if (fitting.isEmpty()) {
            return Match.NONE;
        }
        Comparator<Alias> best = Comparator.comparingInt(
                        (Alias a) -> leftOver(words, a).size())
                .thenComparingInt(a -> -a.words.size())
                .thenComparing(a -> a.guess)
                .thenComparing(a -> a.slug);
        List<Alias> ranked = fitting.stream().sorted(best).toList();
        return match(words, ranked);
    }

    private Match match(Set<String> words, List<Alias> ranked) {
        Alias first = ranked.get(0);
        List<String> left = leftOver(words, first);
        LinkedHashSet<String> others = new LinkedHashSet<>();
        ranked.forEach(alias -> others.add(alias.slug));
        List<String> guesses = new ArrayList<>();
        String slug = first.slug;
        String inGroup = slug;
        List<String> percents = left.stream()
                .filter(w -> w.endsWith("%") || isPercentOf(inGroup, w))
                .toList();
        if (percents.size() == 1 && groupOf.containsKey(slug)) {
            double wanted = Double.parseDouble(percents.get(0).replace("%", ""));
            Percented nearest = nearest(slug, wanted);
            slug = nearest.slug;
            left = left.stream().filter(w -> !percents.contains(w)).toList();
            if (nearest.percent != wanted) {
                guesses.add("%s not in the store room: taken as %s".formatted(percents.get(0), name(slug)));
            }
        } else if (first.guess) {
            guesses.add("which one is not said: taken as " + name(slug));
        }
        if (!left.isEmpty()) {
            guesses.add("\u201c%s\u201d not understood: taken as %s".formatted(String.join(" ", left), name(slug)));
        }
        Alias second = ranked.stream()
                .filter(a -> !a.slug.equals(first.slug))
                .findFirst()
                .orElse(null);
        boolean tie = second != null
                && second.guess == first.guess
                && second.words.size() == first.words.size()
                && leftOver(words, second).equals(leftOver(words, first));
        if (tie) {
            guesses.add("it may be %s or %s".formatted(name(first.slug), name(second.slug)));
        }
        addGroup(others, slug);
        if (first.guess) {
            addLonger(others, first);
        }
        others.remove(slug);
        return new Match(slug, guesses, others.stream().limit(MOST_OTHERS).toList(), left.isEmpty());
    }

    /** A plain number that is the percentage of one of the kind: {@code milk chocolate 38}. */
    private boolean isPercentOf(String slug, String word) {
        return groupOf.containsKey(slug)
                && word.matches("[0-9]{2}(?:\\.[0-9])?")
                && byGroup.get(groupOf.get(slug)).stream().anyMatch(p -> p.percent == Double.parseDouble(word));
    }

    private void addGroup(Set<String> others, String slug) {
        byGroup.getOrDefault(groupOf.getOrDefault(slug, ""), List.of()).forEach(p -> others.add(p.slug));
    }

    /** What has the same words and one more in its name, such as double cream beside cream. */
    private void addLonger(Set<String> others, Alias shorter) {
        byWord.get(shorter.words.iterator().next()).stream()
                .filter(a -> a.words.size() == shorter.words.size() + 1 && a.words.containsAll(shorter.words))
                .sorted(Comparator.comparing(Alias::slug))
                .forEach(a -> others.add(a.slug));
    }

    private Percented nearest(String slug, double percent) {
        return byGroup.get(groupOf.get(slug)).stream()
                .min(Comparator.comparingDouble((Percented p) -> Math.abs(p.percent - percent)))
                .orElseThrow();
    }

    private static List<String> leftOver(Set<String> words, Alias alias) {
        return words.stream()
                .filter(w -> !alias.words.contains(w) && !NEUTRAL.contains(w))
                .toList();
    }

    /** Tries words that are one or two letters off a known one; always a guess. */
    private Match bySpelling(Set<String> words) {
        List<String> changes = new ArrayList<>();
        List<Set<String>> tries = new ArrayList<>(List.of(new LinkedHashSet<>()));
        List<String> unknown = new ArrayList<>();
        for (String word : words) {
            List<String> near = known(word) ? List.of(word) : nearestWords(word);
            if (!near.get(0).equals(word)) {
                unknown.add(word);
            }
            tries = tries.stream()
                    .flatMap(t -> near.stream().map(n -> and(t, n)))
                    .limit(MOST_TRIES)
                    .toList();
        }
        if (unknown.isEmpty()) {
            return null;
        }
        Match best = tries.stream()
                .map(this::byWords)
                .filter(m -> m.slug != null)
                .min(Comparator.comparing((Match m) -> !m.whole).thenComparing(m -> m.guesses.size()))
                .orElse(null);
        if (best == null) {
            return null;
        }
        unknown.forEach(
                word -> changes.add("\u201c%s\u201d is not known so: taken as %s".formatted(word, name(best.slug))));
        changes.addAll(best.guesses);
        return new Match(best.slug, changes, best.others, best.whole);
    }

    private static Set<String> and(Set<String> words, String word) {
        Set<String> more = new LinkedHashSet<>(words);
        more.add(word);
        return more;
    }

    private boolean known(String word) {
        return byWord.containsKey(word) || NEUTRAL.contains(word) || word.length() < 4 || word.endsWith("%");
    }

    /** The known words that are nearest, all of them as near; the word itself where none is near enough. */
    private List<String> nearestWords(String word) {
        if (near.size() >= MOST_NEAR) {
            near.clear();
        }
        return near.computeIfAbsent(word, this::nearest);
    }

    private List<String> nearest(String word) {
        int least = (word.length() >= 8 ? 2 : 1) + 1;
        List<String> nearest = new ArrayList<>(List.of(word));
        for (String candidate : byWord.keySet()) {
            boolean far = candidate.length() < 4 || Math.abs(candidate.length() - word.length()) > least;
            int distance = far ? -1 : DISTANCE.apply(word, candidate);
            if (distance >= 0 && distance < least) {
                least = distance;
                nearest = new ArrayList<>(List.of(candidate));
            } else if (distance == least && !nearest.contains(word)) {
                nearest.add(candidate);
            }
        }
        return nearest.stream().sorted().toList();
    }

    String name(String slug) {
        return ownNames.containsKey(slug) ? ownNames.get(slug) : table.get(slug).name();
    }
}
