/**
 * What the workshop remembers: a public interface per concern with a package-private implementation through jOOQ. Uses the
 * core only.
 */
package org.zeststack.store;
