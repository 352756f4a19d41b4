package org.zeststack.core.temper;

import java.util.Optional;
import org.zeststack.core.explain.Call;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.quantity.Numbers;
import org.zeststack.core.quantity.Range;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.rule.Bound;
import org.zeststack.core.rule.Bounds;
import org.zeststack.core.rule.Rule;

/** The room that couverture is worked in. */
public final class Room {

    /** What a workshop's room can be; beyond it a slip of the hand is likelier. */
    public static final Range CELSIUS = new Range(5, 45, "°C");

    /** Where a workshop mostly stands (common practice, no source). */
    public static final double USUAL_CELSIUS = 20;

    private static final String CODE = "room";

    private Room() {}

    /** Notes a fault if this can be no room; a number that would make sense in °F says so. */
    public static void check(Faults faults, String field, double celsius) {
        if (CELSIUS.holds(celsius)) {
            return;
        }
        Fault plain = Fault.outside(field, Numbers.plain(celsius), CELSIUS);
        double fromFahrenheit = (celsius - 32) / 1.8;
        String hint = CELSIUS.holds(fromFahrenheit)
                ? " If %s °F is meant: that is %s.".formatted(Numbers.plain(celsius), Say.celsius(fromFahrenheit, 1))
                : "";
        faults.add(
                new Fault(field, plain.given(), plain.least(), plain.greatest(), plain.unit(), plain.message() + hint));
    }

    /** What a room of this temperature means for the work; empty where it is as wanted. */
    public static Optional<Call> advice(double celsius, Bounds bounds) {
        Bound wanted = bounds.of("room-wanted");
        if (wanted.range().holds(celsius)) {
            return Optional.empty();
        }
        String words = celsius > wanted.greatest()
                ? "shells set slowly and dull. Cool the room or chill the moulds."
                : "the bowl thickens fast. Warm the room, work small bowls.";
        return Optional.of(new Call(
                Call.Weight.TAKE_CARE,
                CODE,
                "Room of %s, wanted %s: %s".formatted(Say.celsius(celsius, 1), wanted.words(), words),
                "%s against %s".formatted(Say.celsius(celsius, 1), wanted.words()),
                Rule.of(Rule.About.BENCH, CODE).source(bounds)));
    }
}
