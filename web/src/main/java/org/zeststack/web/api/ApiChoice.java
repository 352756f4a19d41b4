package org.zeststack.web.api;

import java.util.List;

/**
 * A field of which one of several words is given.
 *
 * @param words what may be given
 */
record ApiChoice(String name, List<String> words, String description) {}
