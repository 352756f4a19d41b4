package org.zeststack.store;

import java.time.Instant;

/**
 * Who changed something, and when.
 *
 * @param by the person's name
 */
public record Stamp(String by, Instant at) {}
