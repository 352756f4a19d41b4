package org.zeststack.store.ingredient;

import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.zeststack.core.ingredient.Lot;
import org.zeststack.store.Part;
import org.zeststack.store.Stamp;

/** Keeps lots. What is left of one is the sum of its movements, which are only ever added to. */
public interface Lots {

    /** Why grams came or went. */
    enum Move {
        RECEIVED("received"),
        MADE("made here"),
        USED("used"),
        COUNTED("counted again"),
        WASTED("thrown away");

        private final String words;

        Move(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /**
     * A lot as it stands.
     *
     * @param ingredient slug, or the link of a formula's version
     * @param gramsLeft sum of its movements
     */
    record Kept(long id, String ingredient, Lot lot, double gramsLeft, int lock, Stamp stamp) {}

    /** One movement; {@code run} is null where none was meant. */
    record Movement(Move move, double grams, Long run, String why, Stamp stamp) {}

    /**
     * Lots that are not put aside, one page of them, those with the earliest best-before first.
     *
     * @param code what the code holds, in capitals or not
     * @param of also lots of these slugs or links
     */
    Part<Kept> page(String code, Collection<String> of, int page);

    /** A lot that is put aside. */
    record Away(Kept lot, Stamp aside) {}

    /** Those that were put aside last, searched in the same way. */
    Part<Away> putAside(String code, Collection<String> of);

    /** What there are lots of: slugs and links. */
    List<String> whats();

    /** Lots of some slugs or links that are not put aside, and some by their ids whether they are or not; the earliest best-before first. */
    List<Kept> of(Collection<String> whats, Collection<Long> ids);

    Optional<Kept> find(long id);

    /** Adds a lot with its first movement. */
    long add(String ingredient, Lot lot, Move how, double grams, UUID key, Stamp stamp);

    /** Changes what is known of a lot; throws {@link org.zeststack.store.StaleEdit}. */
    void save(long id, Lot lot, int lock, Stamp stamp);

    /** What came of a movement. */
    enum Moved {
        WRITTEN,
        /** The same key was there already: counts once. */
        KNOWN,
        /** More was to be taken than is there. */
        TOO_LITTLE
    }

    /**
     * Adds a movement, of two hands at once one after the other.
     *
     * @param grams that came or went, 0 or more; of a count, what is there
     */
    Moved move(long lot, UUID key, Move move, double grams, String why, Stamp stamp);

    /** Takes what a run used, at most what is there by the book; what was more stands in the movement's words. The same key counts once. */
    void use(long lot, UUID key, double grams, long run, Stamp stamp);

    List<Movement> movements(long lot);

    /** Grams left by slug or link, all lots together that hold any. */
    Map<String, Double> gramsByIngredient();

    /** Price per kg by slug or link, of the lot received last. */
    Map<String, Double> pricePerKg();
}
