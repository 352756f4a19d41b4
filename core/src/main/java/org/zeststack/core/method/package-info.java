/**
 * Ordered steps of a formula or a build. May use rule.
 */
package org.zeststack.core.method;
