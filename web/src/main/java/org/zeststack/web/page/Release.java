package org.zeststack.web.page;

import org.springframework.boot.info.BuildProperties;
import org.springframework.stereotype.Component;

/** Which release this is. */
@Component
public class Release {

    private final BuildProperties build;

    Release(BuildProperties build) {
        this.build = build;
    }

    public String number() {
        return build.getVersion();
    }
}
