package org.zeststack.store.bench;

import java.util.Arrays;
import org.jooq.JSONB;
import org.zeststack.core.run.EntryBody;
import org.zeststack.store.json.StoredJson;
import tools.jackson.databind.exc.UnrecognizedPropertyException;

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

    /** A body as it was written; one whose kind or fields this release does not know is told as a newer release's. */
    static EntryBody read(String kind, JSONB body) {
        try {
            return Arrays.stream(values())
                    .filter(k -> k.name().equals(kind))
                    .findFirst()
                    .<EntryBody>map(k -> StoredJson.read(body, k.type))
                    .orElseGet(() -> new EntryBody.FromNewer(kind));
        } catch (UnrecognizedPropertyException newer) {
            return new EntryBody.FromNewer(kind);
        }
    }

    static EntryKind of(EntryBody body) {
        return Arrays.stream(values())
                .filter(k -> k.type == body.getClass())
                .findFirst()
                .orElseThrow();
    }
}
