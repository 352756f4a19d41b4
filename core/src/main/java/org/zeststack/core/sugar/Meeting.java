package org.zeststack.core.sugar;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import org.zeststack.core.quantity.Measure;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.sugar.CookProgress.MinutesLeft;

/**
 * Two pots and a whisk that must meet: the whites stand at soft peaks when what is in the second pot is poured onto them, and that is in
 * when the syrup reaches its stop. With M the earliest minute at which all can be there, the second pot and the whisk are due at M less
 * the minutes of the pour, the syrup at M. What is not begun is begun in its due minute less what it takes; a pot that would be there
 * too early even by the late end of its interval, while the others are late even by the early end of theirs, is slowed to the share of
 * its heat that brings it there in time.
 *
 * @param inMinutes M, from now
 * @param tracks what is going on, the syrup first
 * @param advice what to do, soonest first
 */
public record Meeting(double inMinutes, List<Track> tracks, List<Advice> advice) {

    /** A thin stream onto running whites takes about this long, min (common practice, no source). */
    public static final double POUR_MINUTES = 2;

    /** Whites of a kitchen mixer stand at soft peaks after so long (common practice, no source). */
    public static final MinutesLeft WHISK_MINUTES = new MinutesLeft(8, 6, 10);

    /** Nobody turns a ring for less than this, min (our own choice). */
    private static final double SLACK_MINUTES = 0.5;

    /** A kitchen's ring goes no lower than this share of where it stands for a boil (common practice, no source). */
    private static final double LOWEST_RING = 0.3;

    /** What comes together. */
    public enum Who {
        SYRUP,
        SECOND,
        WHISK
    }

    /** How far one of them is. */
    public enum Stand {
        NOT_BEGUN,
        GOING,
        READY,
        /** Poured onto the whites. */
        IN
    }

    /**
     * One of them.
     *
     * @param left to its end from now; once it is begun where it is not
     */
    public record Track(Who who, Stand stand, MinutesLeft left) {

        private double takes(ToDoubleFunction<MinutesLeft> end) {
            return stand == Stand.READY || stand == Stand.IN ? 0 : end.applyAsDouble(left);
        }
    }

    /** What to do with it. */
    public enum What {
        BEGIN,
        SLOW,
        /** So much too early that no ring goes low enough: off it, and on again later. */
        PAUSE,
        /** It is there and waits: off the heat, or the whisk at its slowest. */
        HOLD,
        POUR
    }

    /**
     * Something to do.
     *
     * @param inMinutes from now; 0 for at once; of a pause how long it lasts
     * @param share of the heat or speed that it has now; 1 where that stays
     */
    public record Advice(Who who, What what, double inMinutes, double share) {

        private static final double AT_ONCE = 0.2;

        /**
         * The same in words.
         *
         * @param name of what is in the pot or under the whisk
         */
        public String words(String name) {
            boolean whisk = who == Who.WHISK;
            return switch (what) {
                case BEGIN -> (whisk ? "Start the whisk: " : "Light the pot: ") + name + when();
                case SLOW ->
                    "%s will be there too early: %s to about %s."
                            .formatted(name, whisk ? "slow it" : "turn its ring down", Say.percent(100 * share, 0));
                case PAUSE ->
                    "%s will be there too early: off the ring for %s."
                            .formatted(name, Say.of(inMinutes, 1, Measure.MINUTES));
                case HOLD ->
                    name
                            + (whisk
                                    ? " stands at soft peaks: slowest speed until the first pour, not standing."
                                    : " is there and waits: off the heat, lid on, until it can go in.");
                case POUR ->
                    "Pour it in now, a thin stream onto the running whisk, beside the wires: %s.".formatted(name);
            };
        }

        private String when() {
            return inMinutes < AT_ONCE ? ", now." : ", in %s.".formatted(Say.of(inMinutes, 1, Measure.MINUTES));
        }
    }

    /**
     * Brings them together.
     *
     * @param second the second pot; empty where there is only one
     */
    public static Meeting of(Track syrup, Optional<Track> second, Track whisk) {
        List<Track> tracks = new ArrayList<>(List.of(syrup));
        second.ifPresent(tracks::add);
        tracks.add(whisk);
        double lead = second.filter(s -> s.stand() != Stand.IN).isPresent() ? POUR_MINUTES : 0;
        double meet = latest(tracks, lead, MinutesLeft::minutes);
        double sure = latest(tracks, lead, MinutesLeft::least);
        List<Advice> advice = new ArrayList<>();
        for (Track track : tracks) {
            double before = track.who() == Who.SYRUP ? 0 : lead;
            advise(track, meet - before, sure - before, whisk, second).ifPresent(advice::add);
        }
        advice.sort(Comparator.comparingDouble(a -> a.what() == What.PAUSE ? 0 : a.inMinutes()));
        return new Meeting(meet, List.copyOf(tracks), List.copyOf(advice));
    }

    private static double latest(List<Track> tracks, double lead, ToDoubleFunction<MinutesLeft> end) {
        return tracks.stream()
                .filter(t -> t.stand() != Stand.IN)
                .mapToDouble(t -> t.takes(end) + (t.who() == Who.SYRUP ? 0 : lead))
                .max()
                .orElse(0);
    }

    private static Optional<Advice> advise(
            Track track, double due, double surelyDue, Track whisk, Optional<Track> second) {
        switch (track.stand()) {
            case IN:
                return Optional.empty();
            case NOT_BEGUN:
                double begin = Math.max(0, due - track.left().minutes());
                return Optional.of(new Advice(track.who(), What.BEGIN, begin, 1));
            case GOING:
                return track.left().greatest() + SLACK_MINUTES < surelyDue
                        ? Optional.of(slow(track, due))
                        : Optional.empty();
            default:
                return ready(track, whisk, second);
        }
    }

    /** A whisk goes as slowly as wanted; a ring below its lowest is off. */
    private static Advice slow(Track track, double due) {
        double share = track.left().minutes() / due;
        return track.who() == Who.WHISK || share >= LOWEST_RING
                ? new Advice(track.who(), What.SLOW, 0, share)
                : new Advice(track.who(), What.PAUSE, due - track.left().minutes(), 0);
    }

    private static Optional<Advice> ready(Track track, Track whisk, Optional<Track> second) {
        boolean secondIn = second.isEmpty() || second.get().stand() == Stand.IN;
        boolean pours =
                switch (track.who()) {
                    case SYRUP -> whisk.stand() == Stand.READY && secondIn;
                    case SECOND -> whisk.stand() == Stand.READY;
                    case WHISK -> false;
                };
        boolean whitesTakeIt =
                track.who() == Who.WHISK && second.isPresent() && second.get().stand() != Stand.GOING;
        return whitesTakeIt && second.get().stand() != Stand.NOT_BEGUN
                ? Optional.empty()
                : Optional.of(new Advice(track.who(), pours ? What.POUR : What.HOLD, 0, 1));
    }

    /** What is to be done first; empty while all goes its way. */
    public Optional<Advice> first() {
        return advice.stream().findFirst();
    }

    /** When one of them begins or began to show on a common axis: now, or the minute it is begun. */
    public double begins(Track track) {
        return advice.stream()
                .filter(a -> a.who() == track.who() && a.what() == What.BEGIN)
                .mapToDouble(Advice::inMinutes)
                .findFirst()
                .orElse(0);
    }
}
