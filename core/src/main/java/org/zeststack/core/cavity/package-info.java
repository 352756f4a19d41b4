/**
 * Cavities of moulds and what fits in them once lined; mm, mL. May use the base packages.
 */
package org.zeststack.core.cavity;
