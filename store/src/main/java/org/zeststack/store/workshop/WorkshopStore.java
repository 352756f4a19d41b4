package org.zeststack.store.workshop;

import java.util.List;
import java.util.Optional;
import org.zeststack.core.workshop.Line;
import org.zeststack.core.workshop.Mould;
import org.zeststack.core.workshop.Place;
import org.zeststack.core.workshop.Thermometer;
import org.zeststack.core.workshop.Vessel;
import org.zeststack.store.Saved;
import org.zeststack.store.Stamp;

/** Keeps the place, the thermometers, the moulds, the vessels and the lines, those put aside too. Saves throw {@link org.zeststack.store.StaleEdit}. */
public interface WorkshopStore {

    /** Settings of the whole workshop, once it is set up; the name is the workshop's. */
    Optional<Saved<Place>> place();

    /** Whether one local person works without signing in. */
    boolean justMe();

    /** First set-up; false if somebody else was first. */
    boolean setUp(String name, boolean justMe, Place place, Stamp stamp);

    void savePlace(String name, Place place, int lock, Stamp stamp);

    List<Saved<Thermometer>> thermometers();

    Optional<Saved<Thermometer>> thermometer(long id);

    long addThermometer(String name, Thermometer thermometer, Stamp stamp);

    void saveThermometer(long id, String name, Thermometer thermometer, int lock, Stamp stamp);

    List<Saved<Mould>> moulds();

    Optional<Saved<Mould>> mould(long id);

    long addMould(String name, Mould mould, Stamp stamp);

    List<Saved<Vessel>> vessels();

    Optional<Saved<Vessel>> vessel(long id);

    long addVessel(String name, Vessel vessel, Stamp stamp);

    void saveVessel(long id, String name, Vessel vessel, int lock, Stamp stamp);

    List<Saved<Line>> lines();

    Optional<Saved<Line>> line(long id);

    long addLine(String name, Line line, Stamp stamp);

    void saveLine(long id, String name, Line line, int lock, Stamp stamp);

    /**
     * Where it is and what it pays in, for computing; see {@link org.zeststack.store.Trusted}.
     *
     * @param currency three letters of the money that prices are in
     */
    record Surroundings(Place place, String currency) {}

    /** The surroundings of a workshop that is set up. */
    Surroundings surroundings();

    void saveCurrency(String currency);

    void saveMould(long id, String name, Mould mould, int lock, Stamp stamp);
}
