package org.zeststack.store.workshop;

import static org.zeststack.store.schema.Tables.LINE;
import static org.zeststack.store.schema.Tables.MOULD;
import static org.zeststack.store.schema.Tables.THERMOMETER;
import static org.zeststack.store.schema.Tables.VESSEL;
import static org.zeststack.store.schema.Tables.WORKSHOP;

import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.jooq.impl.DSL;
import org.springframework.stereotype.Repository;
import org.zeststack.core.workshop.Line;
import org.zeststack.core.workshop.Mould;
import org.zeststack.core.workshop.Place;
import org.zeststack.core.workshop.Thermometer;
import org.zeststack.core.workshop.Vessel;
import org.zeststack.store.Saved;
import org.zeststack.store.StaleEdit;
import org.zeststack.store.Stamp;
import org.zeststack.store.Trusted;

@Repository
class JooqWorkshopStore implements WorkshopStore {

    private final DSLContext db;
    private final Trusted<Surroundings> surroundings = new Trusted<>(this::readSurroundings);

    private final JooqEquipment<Mould> moulds;
    private final JooqEquipment<Vessel> vessels;
    private final JooqEquipment<Line> lines;

    JooqWorkshopStore(DSLContext db) {
        this.db = db;
        moulds = new JooqEquipment<>(db, MOULD, Mould.class, "This mould");
        vessels = new JooqEquipment<>(db, VESSEL, Vessel.class, "This vessel");
        lines = new JooqEquipment<>(db, LINE, Line.class, "This line");
    }

    @Override
    public Optional<Saved<Place>> place() {
        return db.select(
                        WORKSHOP.ID,
                        WORKSHOP.NAME,
                        WORKSHOP.PLACE_BY,
                        WORKSHOP.PLACE_AMOUNT,
                        WORKSHOP.LOCK_VERSION,
                        WORKSHOP.CHANGED_BY,
                        WORKSHOP.CHANGED_AT)
                .from(WORKSHOP)
                .fetchOptional(r -> new Saved<>(
                        r.get(WORKSHOP.ID),
                        r.get(WORKSHOP.NAME),
                        new Place(Place.By.valueOf(r.get(WORKSHOP.PLACE_BY)), r.get(WORKSHOP.PLACE_AMOUNT)),
                        r.get(WORKSHOP.LOCK_VERSION),
                        stamp(r.get(WORKSHOP.CHANGED_BY), r.get(WORKSHOP.CHANGED_AT))));
    }

    @Override
    public boolean justMe() {
        return db.fetchExists(WORKSHOP, WORKSHOP.JUST_ME.isTrue());
    }

    @Override
    public boolean setUp(String name, boolean justMe, Place place, Stamp stamp) {
        return db.insertInto(WORKSHOP)
                        .set(WORKSHOP.ID, 1)
                        .set(WORKSHOP.NAME, name)
                        .set(WORKSHOP.JUST_ME, justMe)
                        .set(WORKSHOP.PLACE_BY, place.by().name())
                        .set(WORKSHOP.PLACE_AMOUNT, place.amount())
                        .set(WORKSHOP.CHANGED_BY, stamp.by())
                        .set(WORKSHOP.CHANGED_AT, utc(stamp))
                        .onConflict(WORKSHOP.ID)
                        .doNothing()
                        .execute()
                == 1;
    }

    @Override
    public void savePlace(String name, Place place, int lock, Stamp stamp) {
        int changed = db.update(WORKSHOP)
                .set(WORKSHOP.NAME, name)
                .set(WORKSHOP.PLACE_BY, place.by().name())
                .set(WORKSHOP.PLACE_AMOUNT, place.amount())
                .set(WORKSHOP.LOCK_VERSION, lock + 1)
                .set(WORKSHOP.CHANGED_BY, stamp.by())
                .set(WORKSHOP.CHANGED_AT, utc(stamp))
                .where(WORKSHOP.LOCK_VERSION.eq(lock))
                .execute();
        requireOne(changed, "The workshop");
        surroundings.forget();
    }

    @Override
    public List<Saved<Thermometer>> thermometers() {
        return thermometers(DSL.noCondition());
    }

    @Override
    public Optional<Saved<Thermometer>> thermometer(long id) {
        return thermometers(THERMOMETER.ID.eq(id)).stream().findFirst();
    }

    private List<Saved<Thermometer>> thermometers(Condition which) {
        return db.select(
                        THERMOMETER.ID,
                        THERMOMETER.NAME,
                        THERMOMETER.KIND,
                        THERMOMETER.ICE_READING,
                        THERMOMETER.BOILING_READING,
                        THERMOMETER.BOILING_TRUE,
                        THERMOMETER.CHECKED_ON,
                        THERMOMETER.LOCK_VERSION,
                        THERMOMETER.CHANGED_BY,
                        THERMOMETER.CHANGED_AT)
                .from(THERMOMETER)
                .where(which)
                .orderBy(THERMOMETER.ID)
                .fetch(r -> new Saved<>(
                        r.get(THERMOMETER.ID),
                        r.get(THERMOMETER.NAME),
                        new Thermometer(
                                Thermometer.Kind.valueOf(r.get(THERMOMETER.KIND)),
                                r.get(THERMOMETER.ICE_READING),
                                r.get(THERMOMETER.BOILING_READING),
                                r.get(THERMOMETER.BOILING_TRUE),
                                r.get(THERMOMETER.CHECKED_ON)),
                        r.get(THERMOMETER.LOCK_VERSION),
                        stamp(r.get(THERMOMETER.CHANGED_BY), r.get(THERMOMETER.CHANGED_AT))));
    }

    @Override
    public long addThermometer(String name, Thermometer thermometer, Stamp stamp) {
        return db.insertInto(THERMOMETER)
                .set(thermometerRow(name, thermometer, 0, stamp))
                .returningResult(THERMOMETER.ID)
                .fetchSingle()
                .value1();
    }

    @Override
    public void saveThermometer(long id, String name, Thermometer thermometer, int lock, Stamp stamp) {
        int changed = db.update(THERMOMETER)
                .set(thermometerRow(name, thermometer, lock + 1, stamp))
                .where(THERMOMETER.ID.eq(id))
                .and(THERMOMETER.LOCK_VERSION.eq(lock))
                .execute();
        requireOne(changed, "This thermometer");
    }

    private Record thermometerRow(String name, Thermometer thermometer, int lock, Stamp stamp) {
        var row = db.newRecord(
                THERMOMETER.NAME,
                THERMOMETER.KIND,
                THERMOMETER.ICE_READING,
                THERMOMETER.BOILING_READING,
                THERMOMETER.BOILING_TRUE,
                THERMOMETER.CHECKED_ON,
                THERMOMETER.LOCK_VERSION,
                THERMOMETER.CHANGED_BY,
                THERMOMETER.CHANGED_AT);
        row.values(
                name,
                thermometer.kind().name(),
                thermometer.iceReading(),
                thermometer.boilingReading(),
                thermometer.boilingTrueCelsius(),
                thermometer.checkedOn(),
                lock,
                stamp.by(),
                utc(stamp));
        return row;
    }

    @Override
    public List<Saved<Mould>> moulds() {
        return moulds.all();
    }

    @Override
    public Optional<Saved<Mould>> mould(long id) {
        return moulds.find(id);
    }

    @Override
    public long addMould(String name, Mould mould, Stamp stamp) {
        return moulds.add(name, mould, stamp);
    }

    @Override
    public void saveMould(long id, String name, Mould mould, int lock, Stamp stamp) {
        moulds.save(id, name, mould, lock, stamp);
    }

    @Override
    public List<Saved<Vessel>> vessels() {
        return vessels.all();
    }

    @Override
    public Optional<Saved<Vessel>> vessel(long id) {
        return vessels.find(id);
    }

    @Override
    public long addVessel(String name, Vessel vessel, Stamp stamp) {
        return vessels.add(name, vessel, stamp);
    }

    @Override
    public void saveVessel(long id, String name, Vessel vessel, int lock, Stamp stamp) {
        vessels.save(id, name, vessel, lock, stamp);
    }

    @Override
    public List<Saved<Line>> lines() {
        return lines.all();
    }

    @Override
    public Optional<Saved<Line>> line(long id) {
        return lines.find(id);
    }

    @Override
    public long addLine(String name, Line line, Stamp stamp) {
        return lines.add(name, line, stamp);
    }

    @Override
    public void saveLine(long id, String name, Line line, int lock, Stamp stamp) {
        lines.save(id, name, line, lock, stamp);
    }

    @Override
    public Surroundings surroundings() {
        return surroundings.get();
    }

    private Surroundings readSurroundings() {
        return db.select(WORKSHOP.PLACE_BY, WORKSHOP.PLACE_AMOUNT, WORKSHOP.CURRENCY)
                .from(WORKSHOP)
                .fetchSingle(r -> new Surroundings(new Place(Place.By.valueOf(r.value1()), r.value2()), r.value3()));
    }

    @Override
    public void saveCurrency(String currency) {
        db.update(WORKSHOP).set(WORKSHOP.CURRENCY, currency).execute();
        surroundings.forget();
    }

    private static void requireOne(int changed, String what) {
        if (changed != 1) {
            throw new StaleEdit(what);
        }
    }

    private static Stamp stamp(String by, OffsetDateTime at) {
        return new Stamp(by, at.toInstant());
    }

    private static OffsetDateTime utc(Stamp stamp) {
        return stamp.at().atOffset(ZoneOffset.UTC);
    }
}
