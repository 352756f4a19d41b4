package org.zeststack.core.bench;

import java.util.Optional;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.quantity.Range;
import org.zeststack.core.temper.Room;
import org.zeststack.core.typed.FormInput;

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
public record Proof(
        String component,
        double minutes,
        Double roomCelsius,
        boolean dull,
        boolean streaks,
        boolean mark,
        Double setsMinutes,
        Long photo)
        implements EntryBody.OfBowl {

    public static final Range MINUTES = new Range(0.5, 60, "min");
    private static final double OLDER_SETS_MINUTES = 5;

    public Proof {
        setsMinutes = setsMinutes == null ? Double.valueOf(OLDER_SETS_MINUTES) : setsMinutes;
    }

    @Override
    public void check(Faults faults) {
        EntryBody.required(faults, "component", component);
        faults.within("proofMinutes", minutes, MINUTES);
        if (roomCelsius != null) {
            Room.check(faults, "proofRoom", roomCelsius);
        }
    }

    /** Whether the bowl is in temper by it. */
    public boolean passed() {
        return minutes <= setsMinutes && !dull && !streaks && !mark;
    }

    static Optional<EntryBody> typed(TypedEntry typed) {
        String component = typed.inTemper("proofMinutes");
        FormInput form = typed.form();
        double minutes = form.number("proofMinutes", MINUTES);
        Double room = form.has("proofRoom") ? Double.valueOf(form.celsius("proofRoom", Room.CELSIUS)) : null;
        Double sets = InTemper.of(typed.sheet(), component)
                .map(b -> b.sets(typed.bounds()).greatest())
                .orElse(null);
        Long photo = form.text("photo").matches("[0-9]{1,15}") ? Long.valueOf(form.text("photo")) : null;
        return form.build(() -> new Proof(
                component, minutes, room, form.has("dull"), form.has("streaks"), form.has("mark"), sets, photo));
    }
}
