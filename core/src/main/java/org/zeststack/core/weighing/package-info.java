/**
 * Weigh-ins against a window; grams. May use the base packages.
 */
package org.zeststack.core.weighing;
