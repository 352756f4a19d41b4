package org.zeststack.web.ingredient;

import java.time.Clock;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.store.Stamp;
import org.zeststack.store.ingredient.StoreRoom;

/** Reads the open table of ingredients into an empty store room, on the first start only. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class StoreRoomFiller implements ApplicationRunner {

    private static final Logger LOG = LoggerFactory.getLogger(StoreRoomFiller.class);

    private final StoreRoom storeRoom;
    private final Clock clock;

    StoreRoomFiller(StoreRoom storeRoom, Clock clock) {
        this.storeRoom = storeRoom;
        this.clock = clock;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        int taken = storeRoom.fillOnce(IngredientTable.shipped().all(), new Stamp("Zest Stack", clock.instant()));
        if (taken > 0) {
            LOG.info("{} ingredients read into the store room", taken);
        }
    }
}
