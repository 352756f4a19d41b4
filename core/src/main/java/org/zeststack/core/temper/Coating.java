package org.zeststack.core.temper;

import java.util.List;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.quantity.Numbers;
import org.zeststack.core.quantity.Range;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.rule.Bounds;

/**
 * Dipping pieces: how warm their centres may be, how long a coat stays open for what is strewn on it, when a second coat may follow.
 *
 * @param centre window of the centre's temperature
 * @param openSeconds until the coat no longer holds what is strewn on it
 * @param piecesOpen how many are dipped before they are finished; at least 1
 * @param againMinutes until a second coat may follow: set, and at the room's temperature
 * @param coatGrams of a piece by its surface and thickness
 */
public record Coating(Range centre, double openSeconds, int piecesOpen, double againMinutes, double coatGrams) {

    public static final Range SECONDS = new Range(2, 600, "s");
    public static final Range CENTRE_CELSIUS = new Range(-20, 45, "°C");
    public static final Range COAT_MM = new Range(0.3, 6, "mm");
    public static final Range SURFACE = new Range(1, 2000, "cm²");
    public static final Range ROOM_CELSIUS = new Range(10, 24, "°C");

    /** A coat holds toppings until it is so far below where it is worked, K (common practice, no source). */
    private static final double OPEN_KELVIN = 2;

    private static final double DENSITY = 1.270;
    private static final double COOLED_BY_AIR = 8;
    private static final double TO_CENTRE = 15;

    /**
     * A piece to be dipped.
     *
     * @param coatMm thickness of its coat
     * @param surfaceSquareCm of it
     * @param secondsAPiece from one piece to the next
     */
    public record Piece(
            TemperWindow window,
            double cocoaButterFraction,
            double centreCelsius,
            double coatMm,
            double surfaceSquareCm,
            double secondsAPiece,
            double roomCelsius) {}

    /**
     * How it is dipped. The coat gives its heat to the air and to its centre: per m², ρ d c dT/dt = −h (T − T_room) − k (T − T_centre), k of
     * 15 W/(m² K) into a soft centre (our own choice).
     *
     * @param bounds what is judged by: how warm centres may be
     * @throws org.zeststack.core.quantity.InvalidInput outside the ranges, and where the centre is too warm or too cold, told beside it
     */
    public static Coating of(Piece piece, Bounds bounds) {
        Faults faults = new Faults();
        faults.within("coatMm", piece.coatMm, COAT_MM);
        faults.within("surface", piece.surfaceSquareCm, SURFACE);
        faults.within("secondsAPiece", piece.secondsAPiece, SECONDS);
        faults.within("roomCelsius", piece.roomCelsius, ROOM_CELSIUS);
        Range centre = bounds.of("centre-warmth").range();
        if (faults.within("centreCelsius", piece.centreCelsius, CENTRE_CELSIUS) && !centre.holds(piece.centreCelsius)) {
            boolean cold = piece.centreCelsius < centre.least();
            faults.add(Fault.of(
                    "centreCelsius",
                    Numbers.plain(piece.centreCelsius),
                    "%s is too %s, %s: %s"
                            .formatted(
                                    Say.celsius(piece.centreCelsius),
                                    cold ? "cold" : "warm",
                                    centre.inWords(),
                                    cold
                                            ? "the coat comes thick, cracks as the centre swells, and sweats."
                                            : "it melts under the coat, which blooms.")));
        }
        double top = (piece.window.work().least() + piece.window.work().greatest()) / 2;
        double stuck = piece.window.work().least() - OPEN_KELVIN;
        double conducts = COOLED_BY_AIR + TO_CENTRE;
        double ends = (COOLED_BY_AIR * piece.roomCelsius + TO_CENTRE * piece.centreCelsius) / conducts;
        if (faults.isEmpty() && ends >= stuck) {
            faults.add(Fault.of(
                    "centreCelsius",
                    Numbers.plain(piece.centreCelsius),
                    "On a centre of %s in a room of %s this coat never sets."
                            .formatted(Say.celsius(piece.centreCelsius), Say.celsius(piece.roomCelsius))));
        }
        faults.throwIfAny();
        double perSquareMetre = 1000 * DENSITY * piece.coatMm * Seed.LIQUID;
        double open = perSquareMetre / conducts * Math.log((top - ends) / (stuck - ends));
        Setting.Layer coat = new Setting.Layer(piece.window, piece.cocoaButterFraction, piece.coatMm, 1);
        double again = Setting.minutes(
                coat,
                Setting.Where.ROOM,
                Math.min(piece.roomCelsius, Thickness.SET.celsius(piece.window).greatest() - 1));
        double grams = piece.surfaceSquareCm * piece.coatMm / 10 * DENSITY;
        return new Coating(centre, open, (int) Math.max(1, Math.floor(open / piece.secondsAPiece)), again, grams);
    }

    /**
     * What coats really weigh: pieces weighed before and after.
     *
     * @param grams of one coat, mean
     * @param sharePercent of the coated piece
     */
    public record PickUp(double grams, double sharePercent) {

        public static final Range GRAMS = new Range(0.1, 100_000, "g");
        public static final Range PIECES = new Range(1, 1000, "pieces");

        /**
         * Of so many pieces weighed together.
         *
         * @throws org.zeststack.core.quantity.InvalidInput outside the ranges, and where they did not grow heavier
         */
        public static PickUp of(double beforeGrams, double afterGrams, int pieces) {
            Faults faults = new Faults();
            boolean before = faults.within("beforeGrams", beforeGrams, GRAMS);
            faults.within("dipped", pieces, PIECES);
            if (faults.within("afterGrams", afterGrams, GRAMS) && before && afterGrams <= beforeGrams) {
                faults.add(Fault.of("afterGrams", Numbers.plain(afterGrams), "Coated pieces weigh more than before."));
            }
            faults.throwIfAny();
            return new PickUp((afterGrams - beforeGrams) / pieces, 100 * (afterGrams - beforeGrams) / afterGrams);
        }

        /** Grams of the bowl for so many pieces. */
        public double forPieces(int pieces) {
            return grams * pieces;
        }
    }

    /** What is done with coating that is left: a sheet of so many square centimetres at a thickness, or stock to melt again. */
    public static double sheetSquareCm(double leftGrams, double thickMm) {
        return leftGrams / DENSITY / (thickMm / 10);
    }

    /** What is said of coats with grain in them: no thickness, only the scale tells their weight (common practice, no source). */
    public static List<String> withGrain() {
        return List.of(
                "A coat with grain has no thickness: weigh a few pieces before and after.",
                "Warm the grain to the bowl's temperature and dry it: cold or damp grain thickens the bowl at once.",
                "What is left with grain in it is a sheet or clusters, never stock to melt again.");
    }
}
