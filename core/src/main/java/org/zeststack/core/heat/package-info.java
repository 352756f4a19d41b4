/**
 * Density and heat capacity from composition; kg/m³, kJ/(kg K), °C. May use the base packages.
 */
package org.zeststack.core.heat;
