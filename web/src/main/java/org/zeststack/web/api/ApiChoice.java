package org.zeststack.web.api;

import java.util.List;

/**
 * A field of which one of several words is given.
 *
 * @param words what may be given
 * @param absent word taken where it is absent; empty where none is, null where it must be given
 */
record ApiChoice(String name, List<String> words, String absent, String description) {

    /** One that must be given. */
    ApiChoice(String name, List<String> words, String description) {
        this(name, words, null, description);
    }
}
