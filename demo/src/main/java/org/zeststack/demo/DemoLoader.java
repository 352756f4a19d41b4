package org.zeststack.demo;

import java.time.Clock;
import java.time.Instant;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import org.zeststack.app.people.TokenText;
import org.zeststack.store.Stamp;
import org.zeststack.store.people.People;
import org.zeststack.store.people.Tokens;
import org.zeststack.store.workshop.WorkshopStore;

/** Loads the demo once, whole or not at all. */
@Component
class DemoLoader implements ApplicationRunner {

    private static final long MONTH_SECONDS = 30L * 24 * 3600;

    private final boolean demo;
    private final WorkshopStore workshop;
    private final People people;
    private final Tokens tokens;
    private final PasswordEncoder passwords;
    private final DemoDesigns designs;
    private final DemoStoreRoom storeRoom;
    private final DemoBars bars;
    private final DemoRuns runs;
    private final TransactionTemplate transaction;
    private final Clock clock;

    DemoLoader(
            @Value("${zest.demo:false}") boolean demo,
            WorkshopStore workshop,
            People people,
            Tokens tokens,
            PasswordEncoder passwords,
            DemoDesigns designs,
            DemoStoreRoom storeRoom,
            DemoBars bars,
            DemoRuns runs,
            TransactionTemplate transaction,
            Clock clock) {
        this.demo = demo;
        this.workshop = workshop;
        this.people = people;
        this.tokens = tokens;
        this.passwords = passwords;
        this.designs = designs;
        this.storeRoom = storeRoom;
        this.bars = bars;
        this.runs = runs;
        this.transaction = transaction;
        this.clock = clock;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        if (!demo || workshop.place().isPresent()) {
            return;
        }
        transaction.executeWithoutResult(tx -> {
            Instant now = clock.instant();
            Instant monthAgo = now.minusSeconds(MONTH_SECONDS);
            DemoPeople.ALL.forEach(
                    p -> people.add(p.login(), p.name(), passwords.encode(p.password()), p.role(), monthAgo));
            tokens.add(
                    "Demo programs",
                    TokenText.hash(DemoPeople.TOKEN),
                    true,
                    new Tokens.Maker("runa", "Runa"),
                    monthAgo);
            Stamp stamp = new Stamp("Runa", monthAgo);
            DemoDesigns.Made made = designs.load(stamp);
            storeRoom.load(stamp);
            bars.load(made, stamp);
            runs.load(made, now);
        });
    }
}
