package org.zeststack.web.security;

/**
 * Somebody's sessions were ended: what they have open ends too.
 *
 * @param login sign-in name
 */
public record SignedOut(String login) {}
