package org.zeststack.core.sheet;

import java.util.Optional;
import org.zeststack.core.component.Component;
import org.zeststack.core.explain.Working;
import org.zeststack.core.temper.TemperWindow;

/**
 * One couverture of this run.
 *
 * @param key component key, {@code couverture-SLUG}, with what is stirred in behind it
 * @param tint what of it is stirred in; empty where nothing is
 */
public record CouvertureBatch(String key, String name, Chocolate of, Melt melt, Optional<Tint> tint, Working why) {

    /** What is stirred into a bowl, g. */
    public record Tint(String ingredient, String name, double grams) {}

    /** What the couverture itself is in the store room. */
    public String slug() {
        return Component.bowl(key).orElseThrow().slug();
    }

    public String kind() {
        return of.kind();
    }

    /** What to melt, g. */
    public double meltGrams() {
        return melt.grams();
    }

    /** Where what stays ends up. */
    public Deposit deposit() {
        return melt.deposit();
    }

    /** Where it is melted out, cooled to and worked; empty for what is not tempered. */
    public Optional<TemperWindow> window() {
        return of.window();
    }

    /** What of the bowl is couverture. */
    public double plainGrams() {
        return melt.grams() - tint.map(Tint::grams).orElse(0.0);
    }
}
