package org.zeststack.web.workshop;

import static org.zeststack.core.typed.FormInput.shown;

import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.typed.FormInput;
import org.zeststack.core.workshop.Line;
import org.zeststack.core.workshop.Mould;
import org.zeststack.core.workshop.Place;
import org.zeststack.core.workshop.Thermometer;
import org.zeststack.core.workshop.Vessel;
import org.zeststack.store.Saved;

/** Fields of the workshop's forms: to text and back. */
final class WorkshopFields {

    private WorkshopFields() {}

    private static Map<String, String> start(Saved<?> saved) {
        Map<String, String> fields = new LinkedHashMap<>();
        fields.put("name", saved.name());
        fields.put("lock", String.valueOf(saved.lock()));
        return fields;
    }

    static Map<String, String> ofPlace(Saved<Place> saved) {
        Map<String, String> fields = start(saved);
        fields.put("placeBy", saved.content().by().name());
        fields.put("placeAmount", shown(saved.content().amount()));
        return fields;
    }

    static Optional<Place> place(FormInput form) {
        Place.By by = form.choice("placeBy", Place.By.class);
        double amount = by == null ? 0 : form.number("placeAmount", by.range());
        return form.build(() -> new Place(by, amount));
    }

    static Map<String, String> newThermometer(Place place) {
        return Map.of(
                "kind",
                "PROBE",
                "iceReading",
                "0",
                "boilingReading",
                shown(place.waterBoilsCelsius()),
                "checkedOn",
                LocalDate.now().toString());
    }

    static Map<String, String> ofThermometer(Saved<Thermometer> saved) {
        Thermometer thermometer = saved.content();
        Map<String, String> fields = start(saved);
        fields.put("kind", thermometer.kind().name());
        fields.put("iceReading", shown(thermometer.iceReading()));
        fields.put("boilingReading", shown(thermometer.boilingReading()));
        fields.put(
                "checkedOn",
                thermometer.checkedOn() == null ? "" : thermometer.checkedOn().toString());
        fields.put("was", readings(fields));
        return fields;
    }

    /** What it read, and on what day: where the readings are new and the day is not, it was read today. */
    private static String readings(Map<String, String> fields) {
        return Stream.of("iceReading", "boilingReading", "checkedOn")
                .map(f -> fields.getOrDefault(f, "").strip())
                .collect(Collectors.joining(" "));
    }

    private static boolean readAnew(FormInput form) {
        String was = form.text("was");
        String day = was.substring(was.lastIndexOf(' ') + 1);
        return form.has("was")
                && !was.equals(readings(form.typed()))
                && form.text("checkedOn").strip().equals(day);
    }

    /** The boiling reading is compared with where water boils at this place now. */
    static Optional<Thermometer> thermometer(FormInput form, Place place) {
        Thermometer.Kind kind = form.choice("kind", Thermometer.Kind.class);
        double ice = form.number("iceReading", Thermometer.ICE_READING);
        double boiling = form.number("boilingReading", Thermometer.BOILING_READING);
        LocalDate written = form.has("checkedOn") ? form.day("checkedOn").orElse(null) : null;
        LocalDate checked = readAnew(form) ? LocalDate.now() : written;
        if (checked != null && checked.isAfter(LocalDate.now())) {
            form.add(Fault.of("checkedOn", form.text("checkedOn"), "That day is still to come."));
        }
        return form.build(() -> new Thermometer(kind, ice, boiling, place.waterBoilsCelsius(), checked));
    }

    static Map<String, String> ofMould(Saved<Mould> saved) {
        Map<String, String> fields = start(saved);
        MouldFields.put(fields, saved.content());
        return fields;
    }

    static Map<String, String> ofVessel(Saved<Vessel> saved) {
        Map<String, String> fields = start(saved);
        Vessel vessel = saved.content();
        fields.put("kind", vessel.kind().name());
        fields.put("litres", vessel.litres() == 0 ? "" : shown(vessel.litres()));
        fields.put("lengthMm", vessel.lengthMm() == 0 ? "" : shown(vessel.lengthMm()));
        fields.put("widthMm", vessel.widthMm() == 0 ? "" : shown(vessel.widthMm()));
        return fields;
    }

    static Optional<Vessel> vessel(FormInput form) {
        Vessel.Kind kind = form.choice("kind", Vessel.Kind.class);
        boolean holds = kind != null && kind.holdsLitres();
        double litres = holds ? form.number("litres", Vessel.LITRES) : 0;
        double length = holds || kind == null ? 0 : form.number("lengthMm", Vessel.SIDE_MM);
        double width = holds || kind == null ? 0 : form.number("widthMm", Vessel.SIDE_MM);
        return form.build(() -> new Vessel(kind, litres, length, width));
    }

    static Map<String, String> ofLine(Saved<Line> saved) {
        Map<String, String> fields = start(saved);
        Line line = saved.content();
        fields.put("beltMm", shown(line.beltMm()));
        fields.put("lanes", String.valueOf(line.lanes()));
        fields.put("rolls", String.valueOf(line.rolls()));
        fields.put("coats", String.valueOf(line.coats()));
        fields.put("tunnelMetres", shown(line.tunnelMetres()));
        fields.put("metresPerMinute", shown(line.metresPerMinute()));
        return fields;
    }

    static Optional<Line> line(FormInput form) {
        double belt = form.number("beltMm", Line.BELT_MM);
        int lanes = form.has("lanes") ? form.whole("lanes", Line.LANES) : 0;
        int rolls = form.has("rolls") ? form.whole("rolls", Line.ROLLS) : 0;
        int coats = form.has("coats") ? form.whole("coats", Line.COATS) : 0;
        double tunnel = form.number("tunnelMetres", Line.TUNNEL);
        double speed = form.number("metresPerMinute", Line.SPEED);
        return form.build(() -> new Line(belt, lanes, rolls, coats, tunnel, speed));
    }
}
