package org.zeststack.web.rehearse;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ThreadLocalRandom;
import java.util.function.Consumer;
import org.springframework.stereotype.Component;
import org.zeststack.core.rehearse.BowlRehearsal;
import org.zeststack.core.rehearse.BowlScenario;
import org.zeststack.core.rehearse.Deed;
import org.zeststack.core.rehearse.Practice;
import org.zeststack.core.rehearse.Rehearsal;
import org.zeststack.core.rehearse.Scenario;

/** Rehearsals that go on, as long as the application runs; the oldest make room. */
@Component
class Rehearsals {

    /** How many times as fast as a pot they go. */
    static final int SPEED = 20;

    private static final int MOST = 50;

    /** A rehearsal and whose it is. */
    record Going(Practice rehearsal, String whose, Instant since) {}

    private final Clock clock;
    private final Map<UUID, Going> going = new LinkedHashMap<>(16, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<UUID, Going> eldest) {
            return size() > MOST;
        }
    };

    Rehearsals(Clock clock) {
        this.clock = clock;
    }

    UUID begin(Scenario scenario, String whose) {
        return begin(new Rehearsal(scenario, hidden()), whose);
    }

    UUID begin(BowlScenario scenario, String whose) {
        return begin(new BowlRehearsal(scenario, hidden()), whose);
    }

    private synchronized UUID begin(Practice practice, String whose) {
        UUID id = UUID.randomUUID();
        going.put(id, new Going(practice, whose, clock.instant()));
        return id;
    }

    private static long hidden() {
        return ThreadLocalRandom.current().nextLong(1_000_000);
    }

    /** A rehearsal as it stands now; empty where there is none of that name that is this person's. */
    synchronized Optional<Practice> now(UUID id, String whose) {
        return find(id, whose).map(g -> {
            g.rehearsal().upTo(seconds(g));
            return g.rehearsal();
        });
    }

    /** Does something to it now. */
    synchronized Optional<Practice> does(UUID id, String whose, Deed.What what, int pot, double amount) {
        return then(id, whose, g -> g.rehearsal().does(new Deed(seconds(g), what, pot, amount)));
    }

    /** Ends it. */
    synchronized Optional<Practice> end(UUID id, String whose) {
        return then(id, whose, g -> {
            g.rehearsal().upTo(seconds(g));
            g.rehearsal().end();
        });
    }

    private Optional<Practice> then(UUID id, String whose, Consumer<Going> what) {
        Optional<Going> found = find(id, whose);
        found.ifPresent(what);
        return found.map(Going::rehearsal);
    }

    private Optional<Going> find(UUID id, String whose) {
        return Optional.ofNullable(going.get(id)).filter(g -> g.whose().equals(whose));
    }

    private double seconds(Going of) {
        return SPEED * Duration.between(of.since(), clock.instant()).toMillis() / 1000.0;
    }
}
