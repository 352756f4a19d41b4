package org.zeststack.demo;

import java.util.List;
import org.zeststack.store.people.Role;

/** People of the demo, with passwords that are no secret. */
public record DemoPeople(String login, String name, String password, Role role) {

    public static final List<DemoPeople> ALL = List.of(
            new DemoPeople("runa", "Runa", "lantern-harbour", Role.OWNER),
            new DemoPeople("teo", "Teo", "lantern-harbour", Role.BENCH),
            new DemoPeople("ilse", "Ilse", "lantern-harbour", Role.VIEWER));

    /** Token of the demo's programs; works on this machine only. */
    public static final String TOKEN = "zest-demo-token";
}
