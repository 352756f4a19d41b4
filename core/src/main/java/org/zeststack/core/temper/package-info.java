/**
 * Tempering windows and verdicts; °C. May use the base packages.
 */
package org.zeststack.core.temper;
