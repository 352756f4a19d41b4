package org.zeststack.store.people;

/**
 * Somebody who may sign in.
 *
 * @param login lower case, unique
 */
public record Person(long id, String login, String name, String passwordHash, Role role, boolean active) {}
