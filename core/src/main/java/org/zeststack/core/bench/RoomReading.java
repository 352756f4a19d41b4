package org.zeststack.core.bench;

import java.util.Optional;
import java.util.OptionalDouble;
import org.zeststack.core.quantity.DegreesText;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.temper.Room;
import org.zeststack.core.typed.FormInput;

/** How warm the room is. */
public record RoomReading(double celsius) implements EntryBody {
    @Override
    public void check(Faults faults) {
        Room.check(faults, "roomCelsius", celsius);
    }

    /** Read without a range here: the room's own check knows a likely slip. */
    static Optional<EntryBody> typed(TypedEntry typed) {
        FormInput form = typed.form();
        OptionalDouble celsius = DegreesText.parse(form.text("roomCelsius"));
        if (celsius.isEmpty()) {
            form.number("roomCelsius", Room.CELSIUS);
        }
        return form.build(() -> new RoomReading(celsius.orElseThrow()));
    }
}
