package org.zeststack.store.photo;

import static org.zeststack.store.schema.Tables.PHOTO;

import java.time.ZoneOffset;
import java.util.Optional;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;
import org.zeststack.store.Stamp;

@Repository
class JooqPhotos implements Photos {

    private final DSLContext db;

    JooqPhotos(DSLContext db) {
        this.db = db;
    }

    @Override
    public long add(byte[] jpeg, int width, int height, Stamp stamp) {
        return db.insertInto(PHOTO)
                .set(PHOTO.JPEG, jpeg)
                .set(PHOTO.WIDTH, width)
                .set(PHOTO.HEIGHT, height)
                .set(PHOTO.MADE_BY, stamp.by())
                .set(PHOTO.MADE_AT, stamp.at().atOffset(ZoneOffset.UTC))
                .returningResult(PHOTO.ID)
                .fetchSingle()
                .value1();
    }

    @Override
    public Optional<byte[]> jpeg(long id) {
        return db.select(PHOTO.JPEG).from(PHOTO).where(PHOTO.ID.eq(id)).fetchOptional(PHOTO.JPEG);
    }
}
