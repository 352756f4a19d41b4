package org.zeststack.core.component;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.zeststack.core.quantity.Numbers;

/** Something that a run makes, melts or lays as it is. */
public sealed interface Component {

    /** The key that it is written down by. */
    String key();

    /**
     * A version of a formula, one of the equal batches of it, or what cooks in the second pot of either.
     *
     * @param batch counts from 1; 0 for all of it
     * @param second whether it is the second pot's
     */
    record Made(long formula, int version, int batch, boolean second) implements Component {

        private static final String PREFIX = "formula-";
        private static final String BATCH = "/";
        private static final String SECOND = "~second";
        private static final Pattern KEY =
                Pattern.compile(PREFIX + "([0-9]{1,15})-v([0-9]{1,6})(?:" + BATCH + "([0-9]{1,6}))?(" + SECOND + ")?");

        public Made(long formula, int version) {
            this(formula, version, 0, false);
        }

        /** What the key of every second pot ends with, and no other. */
        public static String keysOfSecondPots() {
            return SECOND;
        }

        @Override
        public String key() {
            return PREFIX + formula + "-v" + version + (batch == 0 ? "" : BATCH + batch) + (second ? SECOND : "");
        }

        /** All of the formula that it is a batch or a pot of. */
        public Made whole() {
            return new Made(formula, version);
        }

        /** One of its equal batches, from 1. */
        public Made batch(int number) {
            return new Made(formula, version, number, second);
        }

        /** What cooks beside it. */
        public Made secondPot() {
            return new Made(formula, version, batch, true);
        }
    }

    /**
     * A bowl of melted couverture or compound.
     *
     * @param slug of it in the store room
     * @param stirred what is stirred into all of it; empty where nothing is
     */
    record Bowl(String slug, Optional<Stirred> stirred) implements Component {

        private static final String PREFIX = "couverture-";
        private static final String STIRRED = "~";
        private static final Pattern KEY =
                Pattern.compile(PREFIX + "([^" + STIRRED + "]+)(?:" + STIRRED + "(.+)-([0-9]+(?:\\.[0-9]+)?))?");

        @Override
        public String key() {
            return PREFIX
                    + slug
                    + stirred.map(s -> STIRRED + s.of + "-" + Numbers.plain(s.percent))
                            .orElse("");
        }
    }

    /**
     * What is stirred into a bowl.
     *
     * @param of its slug
     * @param percent of all the bowl
     */
    record Stirred(String of, double percent) {}

    /**
     * A plain ingredient that is laid as it is.
     *
     * @param slug of it in the store room
     */
    record Laid(String slug) implements Component {

        private static final String PREFIX = "laid-";

        @Override
        public String key() {
            return PREFIX + slug;
        }
    }

    /** What a key names; empty where it is no key of a component. */
    static Optional<Component> of(String key) {
        Matcher made = Made.KEY.matcher(key);
        if (made.matches()) {
            return Optional.of(new Made(
                    Long.parseLong(made.group(1)),
                    Integer.parseInt(made.group(2)),
                    made.group(3) == null ? 0 : Integer.parseInt(made.group(3)),
                    made.group(4) != null));
        }
        Matcher bowl = Bowl.KEY.matcher(key);
        if (bowl.matches()) {
            return Optional.of(new Bowl(
                    bowl.group(1),
                    Optional.ofNullable(bowl.group(2)).map(of -> new Stirred(of, Double.parseDouble(bowl.group(3))))));
        }
        return key.startsWith(Laid.PREFIX) && key.length() > Laid.PREFIX.length()
                ? Optional.of(new Laid(key.substring(Laid.PREFIX.length())))
                : Optional.empty();
    }

    /** What of a formula a key names; empty where it names something else. */
    static Optional<Made> made(String key) {
        return of(key).filter(Made.class::isInstance).map(Made.class::cast);
    }

    /** The bowl that a key names; empty where it names something else. */
    static Optional<Bowl> bowl(String key) {
        return of(key).filter(Bowl.class::isInstance).map(Bowl.class::cast);
    }

    /** What is laid as it is by a key; empty where it names something else. */
    static Optional<Laid> laid(String key) {
        return of(key).filter(Laid.class::isInstance).map(Laid.class::cast);
    }
}
