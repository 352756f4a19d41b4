/**
 * Tempering windows and verdicts; °C. May use rule.
 */
package org.zeststack.core.temper;
