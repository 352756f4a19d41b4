package org.zeststack.core.household;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Divides a line that names several ingredients, so that none of them vanishes: each part has an amount of its own, or is a name and
 * nothing else. Parts are tried from the left, the shortest first; what can be divided from a place on is worked out once.
 */
final class Division {

    /** Where a line may be cut: marks, joining words, and before a number that follows a word. */
    private static final Pattern CUT = Pattern.compile(
            "\\s*[,;+&]\\s*(?:and\\s+|plus\\s+)?|\\s+(?:and|plus)\\s+|\\s+(?:(?:dissolved|bloomed|soaked|softened|hydrated|mixed|stirred|whisked|diluted|slaked|sifted|beaten|combined|blended|ground) )?(?<in>in|into|with)\\s+|(?<=\\p{L}\\.?)\\s+(?=[0-9.\u00bc-\u00be\u2150-\u215e])",
            Pattern.CASE_INSENSITIVE);
    /** A part of what the recipe names elsewhere is not weighed twice. */
    private static final Pattern PART = Pattern.compile("\\bof the\\b", Pattern.CASE_INSENSITIVE);

    /** Words that tell how something is prepared: it is no list of names. */
    private static final Pattern PREPARED =
            Pattern.compile("\\b(?:with|in|into|from|until|for|by|as|on|at|over|or)\\b", Pattern.CASE_INSENSITIVE);

    /** Places in one part at which it might have been cut; nobody writes more. */
    private static final int MOST_IN_A_PART = 5;

    private static final int MOST_CUTS = 24;
    private static final int MOST_WORDS_OF_A_NAME = 5;

    /** How a cut joins what stands beside it. */
    private enum Join {
        LISTED,
        /** Dissolved in, sifted with: both have amounts. */
        INTO,
        /** Nothing but an amount tells that another ingredient begins. */
        RUN_ON
    }

    private record Cut(int from, int to, Join join) {}

    private final String source;
    private final Function<String, HouseholdLine> reader;
    private final List<Cut> cuts = new ArrayList<>();
    private final List<List<HouseholdLine>> found = new ArrayList<>();

    Division(String source, Function<String, HouseholdLine> reader) {
        this.source = source;
        this.reader = reader;
        Matcher cut = CUT.matcher(source);
        while (cut.find() && cuts.size() < MOST_CUTS) {
            if (cut.start() > 0 && cut.end() < source.length() && !inBrackets(cut.start())) {
                Join join = cut.group("in") != null ? Join.INTO : cut.group().isBlank() ? Join.RUN_ON : Join.LISTED;
                cuts.add(new Cut(cut.start(), cut.end(), join));
            }
        }
        for (int i = 0; i <= cuts.size(); i++) {
            found.add(null);
        }
    }

    private boolean inBrackets(int place) {
        int depth = 0;
        for (int i = 0; i < place; i++) {
            depth += source.charAt(i) == '(' ? 1 : source.charAt(i) == ')' ? -1 : 0;
        }
        return depth > 0;
    }

    /** Two parts or more; empty where the line is no list of that kind. */
    List<HouseholdLine> lines() {
        if (cuts.isEmpty()) {
            return List.of();
        }
        List<HouseholdLine> lines = from(0);
        boolean amounts = lines.stream().anyMatch(Division::strong);
        boolean names = lines.stream().allMatch(line -> line.amount() == null);
        return lines.size() > 1 && (amounts || names) ? lines : List.of();
    }

    /** The parts from a cut on; empty where there is no way. */
    private List<HouseholdLine> from(int first) {
        if (found.get(first) == null) {
            found.set(first, divided(first));
        }
        return found.get(first);
    }

    private List<HouseholdLine> divided(int first) {
        int start = first == 0 ? 0 : cuts.get(first - 1).to;
        for (int end = first; end <= Math.min(cuts.size(), first + MOST_IN_A_PART); end++) {
            boolean last = end == cuts.size();
            if (last && first == 0) {
                break;
            }
            String text = source.substring(start, last ? source.length() : Math.max(start, cuts.get(end).from));
            HouseholdLine part = text.isBlank() ? null : reader.apply(text);
            if (part == null || !isPart(part, text) || first > 0 && !joins(cuts.get(first - 1).join, part)) {
                continue;
            }
            if (last) {
                return List.of(part);
            }
            Join join = cuts.get(end).join;
            boolean cut = join == Join.LISTED || join == Join.INTO && part.amount() != null || strong(part);
            List<HouseholdLine> rest =
                    cut && !PART.matcher(source.substring(cuts.get(end).to)).find() ? from(end + 1) : List.of();
            if (!rest.isEmpty()) {
                List<HouseholdLine> all = new ArrayList<>(List.of(part));
                all.addAll(rest);
                return all;
            }
        }
        return List.of();
    }

    /** Whether a part may stand behind a cut of that kind. */
    private static boolean joins(Join join, HouseholdLine part) {
        return switch (join) {
            case LISTED -> true;
            case INTO -> part.amount() != null;
            case RUN_ON -> strong(part);
        };
    }

    private static boolean strong(HouseholdLine part) {
        return part.ingredient() != null && part.understood() && part.amount() != null;
    }

    /** An amount of something, or a name and nothing else. */
    private static boolean isPart(HouseholdLine part, String text) {
        if (part.amount() != null) {
            return strong(part) || !part.unit().isEmpty() && hasName(text);
        }
        return part.ingredient() != null
                && part.understood()
                && text.chars().noneMatch(Character::isDigit)
                && !PREPARED.matcher(text).find()
                && text.strip().split("\\s+").length <= MOST_WORDS_OF_A_NAME;
    }

    /** Whether some word of it is neither number nor measure nor one that names nothing. */
    private static boolean hasName(String text) {
        return Words.nameWords(text).stream()
                .anyMatch(word -> word.length() > 2
                        && Character.isLetter(word.charAt(0))
                        && Unit.of(word).isEmpty()
                        && !NameIndex.isNeutral(word));
    }
}
