package org.zeststack.store.design;

import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.zeststack.store.Part;
import org.zeststack.store.Saved;
import org.zeststack.store.Stamp;

/**
 * Keeps designs of one kind.
 *
 * @param <T> what a version says: a bar or a formula
 */
public interface Designs<T> {

    /**
     * One version, kept as it was.
     *
     * @param design the design's id
     * @param number counts from 1
     * @param why why it was made
     */
    record Version<T>(long design, int number, String name, T content, String why, Stamp stamp) {}

    /**
     * A line of a design's list of versions.
     *
     * @param number counts from 1
     * @param why why it was made
     */
    record Kept(int number, String why, Stamp stamp) {}

    /**
     * A line of a list: the draft's name, the newest version's number and the chosen one's, 0 where there is none.
     *
     * @param archived who put it aside and when; null where nobody did
     */
    record Listed(long id, String name, int newest, int current, Stamp stamp, Stamp archived) {}

    long create(String name, T draft, Stamp stamp);

    /** What a list is sorted by. */
    enum By {
        NAME("name"),
        /** Its build or family, then its name. */
        KIND("family"),
        CHANGED("last changed"),
        /** Of bars: the day of the newest run. */
        RUN("last run");

        private final String words;

        By(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /**
     * Those that are not archived, one page of them.
     *
     * @param words what the name with the build or family holds, in capitals or not
     */
    Part<Listed> page(String words, By by, int page);

    /** Of the archived ones those that were put aside last. */
    Part<Listed> archived(String words);

    /** Whether there is one that is not archived. */
    boolean any();

    /** The version to be made of a design, by name. */
    record Choice(long design, int number, String name) {}

    /** The version to be made of every design that has one and is not archived, by name. */
    List<Choice> choices();

    /** Of those the ones whose drafts were changed last, by name. */
    List<Choice> lately(int most);

    /** That of one design; empty where it has none or is archived. */
    Optional<Choice> choice(long id);

    /** Puts a design aside, or takes it back; false if there is none. What it is used in still finds it. */
    boolean archive(long id, boolean aside, Stamp stamp);

    /** Who put it aside and when; empty where nobody did. */
    Optional<Stamp> archived(long id);

    /** A draft; throws {@link org.zeststack.store.NewerRelease} if a newer release wrote it. */
    Optional<Saved<T>> draft(long id);

    /** Some drafts by id, in one query, without those that a newer release wrote. */
    Map<Long, Saved<T>> drafts(Collection<Long> ids);

    /** Saves a draft; throws {@link org.zeststack.store.StaleEdit} if {@code lock} is not the current one. */
    void saveDraft(long id, String name, T draft, int lock, Stamp stamp);

    /** Keeps the draft as the next version and returns its number; the same lock rule holds. */
    int keepVersion(long id, int lock, String why, Stamp stamp);

    /** A version; throws {@link org.zeststack.store.NewerRelease} if a newer release wrote it. */
    Optional<Version<T>> version(long id, int number);

    /** All versions of one design, newest first, without what stands in them. */
    List<Kept> versions(long id);

    /**
     * The version to be made of every design that has one and is not archived, in one query: the chosen one, else the newest. Without
     * those that a newer release wrote.
     */
    List<Version<T>> current();

    /** Those of them that a formula goes into, whichever version of it. */
    List<Version<T>> currentWith(long formula);

    /** Names of bars and formulas whose version to be made takes a formula, whichever version of it, by the formula; in one query. */
    Map<Long, List<String>> usedIn(Collection<Long> formulas);

    /** Number of the version to be made; 0 where there is none. */
    int currentNumber(long id);

    /** Chooses the version to be made; false if there is no such version. */
    boolean choose(long id, int number);
}
