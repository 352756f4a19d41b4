/**
 * A private PostgreSQL on loopback, from Debian's programs: for served data, for tests and for code generation. Uses
 * nothing else of the application.
 */
package org.zeststack.postgres;
