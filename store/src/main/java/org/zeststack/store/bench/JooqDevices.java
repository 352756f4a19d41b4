package org.zeststack.store.bench;

import static org.zeststack.store.schema.Tables.BENCH_DEVICE;
import static org.zeststack.store.schema.Tables.RUN;

import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;

@Repository
class JooqDevices implements Devices {

    private final DSLContext db;

    JooqDevices(DSLContext db) {
        this.db = db;
    }

    @Override
    public boolean heard(long run, Device device) {
        if (!db.fetchExists(RUN, RUN.ID.eq(run))) {
            return false;
        }
        OffsetDateTime at = device.heardAt().atOffset(ZoneOffset.UTC);
        db.insertInto(BENCH_DEVICE)
                .set(BENCH_DEVICE.RUN, run)
                .set(BENCH_DEVICE.DEVICE, device.key())
                .set(BENCH_DEVICE.NAME, device.name())
                .set(BENCH_DEVICE.PERSON, device.person())
                .set(BENCH_DEVICE.UNSENT, device.unsent())
                .set(BENCH_DEVICE.GONE, device.gone())
                .set(BENCH_DEVICE.HEARD_AT, at)
                .onConflict(BENCH_DEVICE.RUN, BENCH_DEVICE.DEVICE)
                .doUpdate()
                .set(BENCH_DEVICE.NAME, device.name())
                .set(BENCH_DEVICE.PERSON, device.person())
                .set(BENCH_DEVICE.UNSENT, device.unsent())
                .set(BENCH_DEVICE.GONE, device.gone())
                .set(BENCH_DEVICE.HEARD_AT, at)
                .execute();
        return true;
    }

    @Override
    public List<Device> withUnsent(long run, Instant silentSince) {
        return db.selectFrom(BENCH_DEVICE)
                .where(BENCH_DEVICE.RUN.eq(run))
                .and(BENCH_DEVICE
                        .UNSENT
                        .gt(0)
                        .or(BENCH_DEVICE
                                .GONE
                                .isFalse()
                                .and(BENCH_DEVICE.HEARD_AT.lt(silentSince.atOffset(ZoneOffset.UTC)))))
                .orderBy(BENCH_DEVICE.UNSENT.desc(), BENCH_DEVICE.HEARD_AT)
                .fetch(r -> new Device(
                        r.get(BENCH_DEVICE.DEVICE),
                        r.get(BENCH_DEVICE.NAME),
                        r.get(BENCH_DEVICE.PERSON),
                        r.get(BENCH_DEVICE.UNSENT),
                        r.get(BENCH_DEVICE.GONE),
                        r.get(BENCH_DEVICE.HEARD_AT).toInstant()));
    }
}
