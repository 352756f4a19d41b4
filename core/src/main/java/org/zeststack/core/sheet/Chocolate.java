package org.zeststack.core.sheet;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.zeststack.core.temper.TemperWindow;

/**
 * What a couverture is.
 *
 * @param kind dark, milk, white, blond, ruby or compound; empty where what is stirred in makes it none of them
 * @param cocoaButterFraction of it; empty on older sheets
 * @param windows tempering temperatures of its own sheet; empty where its kind's are taken
 * @param allergens that it brings, by name; empty on older sheets
 */
public record Chocolate(
        String kind,
        OptionalDouble cocoaButterFraction,
        Optional<TemperWindow.Limits> windows,
        Optional<List<String>> allergens) {

    /** The kind of what has no cocoa butter to temper. */
    public static final String COMPOUND = "compound";

    /** Where it is melted out, cooled to and worked; empty for what is not tempered. */
    public Optional<TemperWindow> window() {
        return kind.isEmpty() || kind.equals(COMPOUND)
                ? Optional.empty()
                : Optional.of(TemperWindow.of(kind, windows.orElse(null)));
    }
}
