package org.zeststack.core.run;

import java.util.Optional;
import org.zeststack.core.air.AfterCold;
import org.zeststack.core.air.DewPoint;
import org.zeststack.core.formula.Finish;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.quantity.Range;
import org.zeststack.core.temper.Bowl;
import org.zeststack.core.temper.Feed;
import org.zeststack.core.temper.Method;
import org.zeststack.core.temper.Room;
import org.zeststack.core.temper.TemperVerdict;

/** What the bench can write down. Entries are only added; a mistake is corrected by another entry. */
public sealed interface EntryBody {

    Range GRAMS = new Range(0.01, 1_000_000, "g");
    Range PIECES = new Range(1, 100_000, "pieces");
    int LONGEST_TEXT = 2000;

    /** Something about a bowl that is tempered. */
    sealed interface OfBowl extends EntryBody {
        /** Key of what is tempered. */
        String component();
    }

    /** Checks the body on its own. */
    void check(Faults faults);

    /**
     * A step is finished.
     *
     * @param step id on the run sheet
     * @param grams what the finished component weighs; null where it was not weighed
     * @param reason why somebody went on although something spoke against it; null where nothing did
     */
    record StepDone(String step, Double grams, String reason) implements EntryBody {

        /** A step that nothing spoke against. */
        public StepDone(String step, Double grams) {
            this(step, grams, null);
        }

        @Override
        public void check(Faults faults) {
            required(faults, "step", step);
            if (grams != null) {
                faults.within("grams", grams, GRAMS);
            }
            notTooLong(faults, "reason", reason);
        }
    }

    /**
     * Cavities weighed after one layer was laid.
     *
     * @param layer key of the layer
     * @param grossGrams what the scale shows
     * @param tareGrams what it showed before this layer
     * @param cavities how many cavities stand on the scale; slabs, trays or sheets where these are whole
     * @param whole whether whole slabs, trays or sheets are, their trim with them; null on older entries
     */
    record WeighIn(String layer, double grossGrams, double tareGrams, int cavities, Boolean whole)
            implements EntryBody {

        public WeighIn {
            whole = whole != null && whole;
        }

        /** Cavities, or pieces. */
        public WeighIn(String layer, double grossGrams, double tareGrams, int cavities) {
            this(layer, grossGrams, tareGrams, cavities, false);
        }

        public static final Range CAVITIES = new Range(1, 200, "cavities");
        public static final Range TARE = new Range(0, 1_000_000, "g");

        @Override
        public void check(Faults faults) {
            required(faults, "layer", layer);
            boolean gross = faults.within("grossGrams", grossGrams, GRAMS);
            boolean tare = faults.within("tareGrams", tareGrams, TARE);
            faults.within("cavities", cavities, CAVITIES);
            if (gross && tare && grossGrams <= tareGrams) {
                faults.add(Fault.of("grossGrams", String.valueOf(grossGrams), "Weight must be above the tare."));
            }
        }

        /** Grams of the layer in one cavity or piece; of a whole slab that share of it that a piece is meant to have. */
        public double gramsIn(RunSheet.LayerTarget layer) {
            return whole && layer.wholeGrams() != null
                    ? gramsPerCavity() * layer.window().targetGrams() / layer.wholeGrams()
                    : gramsPerCavity();
        }

        /** Grams of this layer in one cavity. */
        public double gramsPerCavity() {
            return (grossGrams - tareGrams) / cavities;
        }
    }

    /**
     * Pieces counted.
     *
     * @param reason what is wrong with them; empty for good ones
     */
    record Tally(Outcome outcome, int pieces, String reason) implements EntryBody {
        @Override
        public void check(Faults faults) {
            if (outcome == null) {
                faults.add(Fault.of("outcome", "", "Choose good, reworked, second or rejected."));
            } else if (outcome != Outcome.GOOD && (reason == null || reason.isBlank())) {
                faults.add(Fault.of("reason", "", "Say what is wrong with these pieces."));
            }
            faults.within("pieces", pieces, PIECES);
            notTooLong(faults, "reason", reason);
        }
    }

    /** How a piece came out. */
    enum Outcome {
        GOOD("good"),
        REWORKED("reworked"),
        SECOND("second"),
        REJECTED("rejected");

        private final String words;

        Outcome(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }

        /** Whether the piece counts towards the yield: good ones and those tidied up. */
        public boolean counts() {
            return this == GOOD || this == REWORKED;
        }
    }

    /** A note for next time. */
    record Note(String text) implements EntryBody {
        @Override
        public void check(Faults faults) {
            required(faults, "text", text);
            notTooLong(faults, "text", text);
        }
    }

    /** How warm the room is. */
    record RoomReading(double celsius) implements EntryBody {
        @Override
        public void check(Faults faults) {
            Room.check(faults, "roomCelsius", celsius);
        }
    }

    /**
     * What was really used of a line that goes in to effect.
     *
     * @param component key of the batch
     * @param ingredient slug or link of the line
     */
    record Actual(String component, String ingredient, double grams) implements EntryBody {
        @Override
        public void check(Faults faults) {
            required(faults, "component", component);
            required(faults, "ingredient", ingredient);
            faults.within("actualGrams", grams, GRAMS);
        }
    }

    /**
     * One cup of something whipped, weighed before and after.
     *
     * @param component key of the batch
     */
    record Cup(String component, double beforeGrams, double afterGrams) implements EntryBody {
        @Override
        public void check(Faults faults) {
            required(faults, "component", component);
            if (faults.within("cupBeforeGrams", beforeGrams, Finish.CUP_GRAMS)
                    && faults.within("cupAfterGrams", afterGrams, Finish.CUP_GRAMS)
                    && afterGrams > beforeGrams) {
                faults.add(Fault.of(
                        "cupAfterGrams",
                        String.valueOf(afterGrams),
                        "With air in it the cup weighs less than before."));
            }
        }

        /** Air entered, as a fraction of the volume without it. */
        public double air() {
            return Finish.air(beforeGrams, afterGrams);
        }
    }

    /**
     * The ring under a pot was turned.
     *
     * @param component key of the batch in the pot
     */
    record RingTurned(String component) implements EntryBody {
        @Override
        public void check(Faults faults) {
            required(faults, "component", component);
        }
    }

    /**
     * Another thermometer held into the same pot.
     *
     * @param component key of the batch in the pot
     * @param thermometer its name
     * @param celsius what it showed, its own error taken off
     */
    record SecondReading(String component, String thermometer, double celsius) implements EntryBody {

        public static final Range CELSIUS = new Range(-10, 200, "°C");

        @Override
        public void check(Faults faults) {
            required(faults, "component", component);
            required(faults, "second", thermometer);
            faults.within("secondCelsius", celsius, CELSIUS);
        }
    }

    /**
     * A pot was taken off the ring.
     *
     * @param component key of the batch in the pot
     */
    record TakenOff(String component) implements EntryBody {
        @Override
        public void check(Faults faults) {
            required(faults, "component", component);
        }
    }

    /**
     * What was next is in the pot.
     *
     * @param component key of the batch in the pot
     */
    record Poured(String component) implements EntryBody {
        @Override
        public void check(Faults faults) {
            required(faults, "component", component);
        }
    }

    /**
     * How a bowl is brought into temper.
     *
     * @param component key of the couverture
     * @param bowlGrams the empty bowl; 0 where it is not reckoned with
     * @param roomCelsius where seed and pieces stand
     * @param humidityPercent of the room; null where nobody read it
     */
    record TemperPlanned(
            String component,
            Method method,
            double bowlGrams,
            Bowl.Material bowl,
            double roomCelsius,
            Double humidityPercent)
            implements OfBowl {
        @Override
        public void check(Faults faults) {
            required(faults, "component", component);
            if (method == null) {
                faults.add(Fault.of("method", "", "Choose how it is brought into temper."));
            }
            if (bowl == null) {
                faults.add(Fault.of("bowl", "", "Choose what the bowl is made of."));
            }
            faults.within("bowlGrams", bowlGrams, Bowl.GRAMS);
            Room.check(faults, "seedCelsius", roomCelsius);
            if (humidityPercent != null) {
                faults.within("roomHumidity", humidityPercent, DewPoint.RELATIVE_HUMIDITY_PERCENT);
            }
        }

        /** Whatever in the room is colder than this sweats, °C; empty where its humidity is not known. */
        public Optional<Double> dewPointCelsius() {
            return Optional.ofNullable(humidityPercent).map(h -> DewPoint.celsius(roomCelsius, h));
        }

        /** The bowl that it stands in. */
        public Bowl emptyBowl() {
            return new Bowl(bowlGrams, bowl);
        }
    }

    /**
     * A dip on paper or a scraper, looked at.
     *
     * @param component key of the couverture
     * @param minutes until it was set
     * @param roomCelsius of the room it set in; null where nobody read it
     * @param dull whether it has no gloss
     * @param streaks whether it shows streaks
     * @param mark whether it leaves a mark on the paper
     * @param setsMinutes within which it must set; older entries do not say
     * @param photo id of its photograph; null where there is none
     */
    record Proof(
            String component,
            double minutes,
            Double roomCelsius,
            boolean dull,
            boolean streaks,
            boolean mark,
            Double setsMinutes,
            Long photo)
            implements OfBowl {

        public static final Range MINUTES = new Range(0.5, 60, "min");
        private static final double OLDER_SETS_MINUTES = 5;

        public Proof {
            setsMinutes = setsMinutes == null ? Double.valueOf(OLDER_SETS_MINUTES) : setsMinutes;
        }

        @Override
        public void check(Faults faults) {
            required(faults, "component", component);
            faults.within("proofMinutes", minutes, MINUTES);
            if (roomCelsius != null) {
                Room.check(faults, "proofRoom", roomCelsius);
            }
        }

        /** Whether the bowl is in temper by it. */
        public boolean passed() {
            return minutes <= setsMinutes && !dull && !streaks && !mark;
        }
    }

    /**
     * Whoever stands at a bowl says which step it is in, against what its readings say.
     *
     * @param component key of what is tempered
     * @param reason why
     */
    record Overruled(String component, TemperVerdict.Step step, String reason) implements OfBowl {
        @Override
        public void check(Faults faults) {
            required(faults, "component", component);
            if (step == null) {
                faults.add(Fault.of("overruled", "", "Choose the step that it is in."));
            }
            required(faults, "overruleReason", reason);
            notTooLong(faults, "overruleReason", reason);
        }
    }

    /**
     * Water got into a bowl.
     *
     * @param component key of what is tempered
     */
    record WaterIn(String component) implements OfBowl {
        @Override
        public void check(Faults faults) {
            required(faults, "component", component);
        }
    }

    /**
     * A bowl was emptied, and fresh couverture is in it.
     *
     * @param component key of what is tempered
     */
    record FreshBowl(String component) implements OfBowl {
        @Override
        public void check(Faults faults) {
            required(faults, "component", component);
        }
    }

    /**
     * A bowl that is worked, put on the scale.
     *
     * @param component key of what is tempered
     * @param grams left in it, without the bowl
     * @param celsius where it stands; null where nobody read it
     */
    record BowlLeft(String component, double grams, Double celsius) implements OfBowl {
        @Override
        public void check(Faults faults) {
            required(faults, "component", component);
            faults.within("leftGrams", grams, GRAMS);
            if (celsius != null) {
                faults.within("leftCelsius", celsius, Feed.IN_BOWL);
            }
        }
    }

    /**
     * Warm couverture was stirred into a bowl that had thickened.
     *
     * @param component key of what is tempered
     */
    record Fed(String component, double grams, double celsius) implements OfBowl {
        @Override
        public void check(Faults faults) {
            required(faults, "component", component);
            faults.within("fedGrams", grams, GRAMS);
            faults.within("fedCelsius", celsius, Feed.WARM_CELSIUS);
        }
    }

    /**
     * Bars come out of the cold into a room.
     *
     * @param barCelsius as they come
     */
    record OutOfCold(double roomCelsius, double humidityPercent, double barCelsius) implements EntryBody {
        @Override
        public void check(Faults faults) {
            Room.check(faults, "coldRoom", roomCelsius);
            faults.within("humidity", humidityPercent, DewPoint.RELATIVE_HUMIDITY_PERCENT);
            faults.within("barCelsius", barCelsius, AfterCold.BAR_CELSIUS);
        }
    }

    /**
     * A step that takes its time is begun.
     *
     * @param step id on the run sheet
     */
    record StepBegun(String step) implements EntryBody {
        @Override
        public void check(Faults faults) {
            required(faults, "step", step);
        }
    }

    /**
     * A sign that ends a step was seen, or not yet.
     *
     * @param step id on the run sheet
     * @param sign as the step words it
     * @param found what was found instead; empty where it was seen as worded
     */
    record Sign(String step, String sign, String found) implements EntryBody {

        public Sign {
            found = found == null ? "" : found;
        }

        @Override
        public void check(Faults faults) {
            required(faults, "step", step);
            required(faults, "sign", sign);
            notTooLong(faults, "found", found);
        }

        public boolean seen() {
            return found.isEmpty();
        }
    }

    /**
     * A pot weighed with what is in it: the scale as a second thermometer.
     *
     * @param component key of the batch in the pot
     * @param grossGrams pot and mass
     * @param tareGrams the empty pot with what stands in it
     * @param step id of the step that was under way where that is not the cook itself; empty else
     */
    record PotWeighed(String component, double grossGrams, double tareGrams, String step) implements EntryBody {

        public PotWeighed {
            step = step == null ? "" : step;
        }

        /** A pot on its ring, or taken off it. */
        public PotWeighed(String component, double grossGrams, double tareGrams) {
            this(component, grossGrams, tareGrams, "");
        }

        public static final Range TARE = WeighIn.TARE;

        @Override
        public void check(Faults faults) {
            required(faults, "component", component);
            boolean gross = faults.within("potGrossGrams", grossGrams, GRAMS);
            boolean tare = faults.within("potTareGrams", tareGrams, TARE);
            if (gross && tare && grossGrams <= tareGrams) {
                faults.add(Fault.of("potGrossGrams", String.valueOf(grossGrams), "Weight must be above the tare."));
            }
        }

        /** What is in the pot. */
        public double massGrams() {
            return grossGrams - tareGrams;
        }
    }

    /** Takes an earlier entry back; which one stands in the entry's {@code corrects}. */
    record Undo() implements EntryBody {
        @Override
        public void check(Faults faults) {
            // nothing of its own to check
        }
    }

    /**
     * What a newer release of the program wrote down: it stands in the log and counts for nothing here.
     *
     * @param kind its name there
     */
    record FromNewer(String kind) implements EntryBody {
        @Override
        public void check(Faults faults) {
            faults.add(Fault.of("kind", kind, "Only a newer release writes this down."));
        }
    }

    /** Throws every fault of this body together. */
    default void check() {
        Faults faults = new Faults();
        check(faults);
        if (!faults.isEmpty()) {
            throw new InvalidInput(faults.list());
        }
    }

    private static void required(Faults faults, String field, String text) {
        if (text == null || text.isBlank()) {
            faults.add(Fault.of(field, "", "Write something here."));
        }
    }

    private static void notTooLong(Faults faults, String field, String text) {
        if (text != null && text.length() > LONGEST_TEXT) {
            faults.add(Fault.of(field, text.length() + " characters", "At most " + LONGEST_TEXT + " characters."));
        }
    }
}
