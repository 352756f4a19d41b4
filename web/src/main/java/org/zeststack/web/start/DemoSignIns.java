package org.zeststack.web.start;

import org.zeststack.demo.DemoPeople;

/** The demo's sign-ins as printed when it is ready. */
final class DemoSignIns {

    static final String LINES = DemoPeople.ALL.stream()
            .map(p -> "  sign in as %-8s password %s  (%s)%n"
                    .formatted(p.login(), p.password(), p.role().words()))
            .reduce("", String::concat);

    private DemoSignIns() {}
}
