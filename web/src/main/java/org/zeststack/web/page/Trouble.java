package org.zeststack.web.page;

import org.springframework.http.HttpStatus;
import org.springframework.web.server.ResponseStatusException;

/** Answers for what is not there. */
public final class Trouble {

    private Trouble() {}

    public static ResponseStatusException missing(String what) {
        return new ResponseStatusException(HttpStatus.NOT_FOUND, what + " is not here.");
    }
}
