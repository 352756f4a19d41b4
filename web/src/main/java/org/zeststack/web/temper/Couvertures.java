package org.zeststack.web.temper;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import org.springframework.stereotype.Component;
import org.zeststack.core.composition.Part;
import org.zeststack.core.ingredient.Ingredient;
import org.zeststack.core.temper.HandOver;
import org.zeststack.core.temper.TemperWindow;
import org.zeststack.store.ingredient.StoreRoom;

/** The couvertures of the store room, as pages of the bowl want them. */
@Component
class Couvertures {

    private final StoreRoom store;

    Couvertures(StoreRoom store) {
        this.store = store;
    }

    /**
     * A couverture.
     *
     * @param own whether its windows are its own sheet's
     */
    record Couverture(Ingredient of, TemperWindow window, double cocoaButterFraction, boolean own) {

        public String slug() {
            return of.slug();
        }

        public String name() {
            return of.name();
        }

        public HandOver.Of bowl() {
            return new HandOver.Of(of.name(), of.couverture(), new TreeSet<>(of.allergens()));
        }
    }

    /** All of them, the darkest first. */
    List<Couverture> all() {
        return store.table().all().stream()
                .filter(Ingredient::isCouverture)
                .map(i -> new Couverture(
                        i,
                        TemperWindow.of(i.couverture(), i.windows()),
                        i.per100Grams().grams(Part.COCOA_BUTTER) / 100,
                        i.windows() != null))
                .sorted(Comparator.comparingInt(c -> -TemperWindow.darkness(c.of().couverture())))
                .toList();
    }

    Optional<Couverture> find(String slug) {
        return all().stream().filter(c -> c.slug().equals(slug)).findFirst();
    }
}
