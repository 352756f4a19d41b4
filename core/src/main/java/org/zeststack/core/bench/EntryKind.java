package org.zeststack.core.bench;

import java.util.Arrays;
import java.util.Optional;
import org.zeststack.core.quantity.Faults;

/** Every kind of entry, by the name under which it is kept and sent, with how it is read as typed. */
public enum EntryKind {
    STEP_DONE(StepDone.class, StepDone::typed),
    WEIGH_IN(WeighIn.class, WeighIn::typed),
    TALLY(Tally.class, Tally::typed),
    NOTE(Note.class, Note::typed),
    ROOM(RoomReading.class, RoomReading::typed),
    ACTUAL(Actual.class, Actual::typed),
    CUP(Cup.class, Cup::typed),
    RING(RingTurned.class, RingTurned::typed),
    OFF(TakenOff.class, TakenOff::typed),
    POT(PotWeighed.class, PotWeighed::typed),
    SECOND(SecondReading.class, SecondReading::typed),
    POURED(Poured.class, Poured::typed),
    BEGUN(StepBegun.class, StepBegun::typed),
    SIGN(Sign.class, Sign::typed),
    TEMPER(TemperPlanned.class, TemperPlanned::typed),
    PROOF(Proof.class, Proof::typed),
    OVERRULED(Overruled.class, Overruled::typed),
    WATER(WaterIn.class, WaterIn::typed),
    FRESH(FreshBowl.class, FreshBowl::typed),
    LEFT(BowlLeft.class, BowlLeft::typed),
    FED(Fed.class, Fed::typed),
    COLD(OutOfCold.class, OutOfCold::typed),
    UNDO(Undo.class, typed -> Optional.of(new Undo()));

    /** Reads an entry as it is typed, against its run's own sheet; what cannot be taken is told beside its field. */
    private interface Reader {
        Optional<EntryBody> read(TypedEntry typed);
    }

    private final Class<? extends EntryBody> type;
    private final Reader reader;

    EntryKind(Class<? extends EntryBody> type, Reader reader) {
        this.type = type;
        this.reader = reader;
    }

    public Class<? extends EntryBody> type() {
        return type;
    }

    /** The kind of that name; empty where this release has none. */
    public static Optional<EntryKind> named(String name) {
        return Arrays.stream(values()).filter(k -> k.name().equals(name)).findFirst();
    }

    public static EntryKind of(EntryBody body) {
        return Arrays.stream(values())
                .filter(k -> k.type == body.getClass())
                .findFirst()
                .orElseThrow();
    }

    /** An entry of this kind as it was typed; empty where something cannot be taken, which then stands beside its field. */
    public Optional<EntryBody> read(TypedEntry typed) {
        Optional<EntryBody> body = reader.read(typed);
        Faults faults = new Faults();
        body.ifPresent(b -> b.check(faults));
        typed.form().addAll(faults.list());
        return typed.form().faulty() ? Optional.empty() : body;
    }
}
