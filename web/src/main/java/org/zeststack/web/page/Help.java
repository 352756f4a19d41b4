package org.zeststack.web.page;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.zeststack.core.quantity.CsvTable;

/**
 * How a screen is meant, the keys that act there and the trade's words that stand on it.
 *
 * @param keys empty where there are none
 * @param words meanings by word
 */
public record Help(String how, String keys, Map<String, String> words) {

    private record Screen(String path, Help help) {}

    private static final List<Screen> SCREENS = load();

    /** The help of an address; empty for pages that need none. */
    public static Optional<Help> of(String path) {
        return SCREENS.stream()
                .filter(s -> path.matches(s.path))
                .map(Screen::help)
                .findFirst();
    }

    private static List<Screen> load() {
        Map<String, String> meanings = CsvTable.load(Help.class, "words.csv").rows().stream()
                .collect(Collectors.toMap(r -> r.text("word"), r -> r.text("meaning")));
        return CsvTable.load(Help.class, "help.csv").rows().stream()
                .map(row -> {
                    Map<String, String> words = new LinkedHashMap<>();
                    Arrays.stream(row.text("words").split(";"))
                            .filter(word -> !word.isEmpty())
                            .forEach(word -> words.put(
                                    word,
                                    Optional.ofNullable(meanings.get(word)).orElseThrow()));
                    return new Screen(row.text("path"), new Help(row.text("how"), row.text("keys"), words));
                })
                .toList();
    }
}
