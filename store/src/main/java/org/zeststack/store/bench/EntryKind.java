package org.zeststack.store.bench;

import java.util.Arrays;
import org.zeststack.core.run.EntryBody;

/** Names under which bodies of entries are kept and sent. */
public enum EntryKind {
    STEP_DONE(EntryBody.StepDone.class),
    WEIGH_IN(EntryBody.WeighIn.class),
    TALLY(EntryBody.Tally.class),
    NOTE(EntryBody.Note.class),
    ROOM(EntryBody.RoomReading.class),
    ACTUAL(EntryBody.Actual.class),
    CUP(EntryBody.Cup.class),
    RING(EntryBody.RingTurned.class),
    OFF(EntryBody.TakenOff.class),
    POT(EntryBody.PotWeighed.class),
    SECOND(EntryBody.SecondReading.class),
    POURED(EntryBody.Poured.class),
    BEGUN(EntryBody.StepBegun.class),
    SIGN(EntryBody.Sign.class),
    TEMPER(EntryBody.TemperPlanned.class),
    PROOF(EntryBody.Proof.class),
    OVERRULED(EntryBody.Overruled.class),
    WATER(EntryBody.WaterIn.class),
    FRESH(EntryBody.FreshBowl.class),
    LEFT(EntryBody.BowlLeft.class),
    FED(EntryBody.Fed.class),
    COLD(EntryBody.OutOfCold.class),
    UNDO(EntryBody.Undo.class);

    private final Class<? extends EntryBody> type;

    EntryKind(Class<? extends EntryBody> type) {
        this.type = type;
    }

    public Class<? extends EntryBody> type() {
        return type;
    }

    static EntryKind of(EntryBody body) {
        return Arrays.stream(values())
                .filter(k -> k.type == body.getClass())
                .findFirst()
                .orElseThrow();
    }
}
