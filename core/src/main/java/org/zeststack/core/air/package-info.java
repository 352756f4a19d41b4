/**
 * Air pressure and the steam that boils against it; kPa, °C, metres. May use the base packages.
 */
package org.zeststack.core.air;
