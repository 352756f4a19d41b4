package org.zeststack.web.page;

import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;
import org.zeststack.store.TablesVersion;

/** Tells a supervisor that this instance and its database answer; where the database does not, the answer is 503. */
@RestController
class HealthController {

    private final TablesVersion tables;
    private final Release release;

    HealthController(TablesVersion tables, Release release) {
        this.tables = tables;
        this.release = release;
    }

    /**
     * What answers.
     *
     * @param tables number of the last change of the tables
     */
    record Health(String status, String release, int tables) {}

    @GetMapping("/health")
    Health health() {
        return new Health("up", release.number(), tables.read());
    }
}
