package org.zeststack.store.photo;

import java.util.Optional;
import org.zeststack.store.Stamp;

/** Keeps photographs of right and wrong. They are written once and never changed. */
public interface Photos {

    long add(byte[] jpeg, int width, int height, Stamp stamp);

    Optional<byte[]> jpeg(long id);
}
