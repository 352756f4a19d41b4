/**
 * Ordered steps of a formula or a build. May use the base packages.
 */
package org.zeststack.core.method;
