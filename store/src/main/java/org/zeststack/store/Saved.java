package org.zeststack.store;

/**
 * Something kept under optimistic locking.
 *
 * @param lock version that a later save must name
 * @param stamp last change
 */
public record Saved<T>(long id, String name, T content, int lock, Stamp stamp) {}
