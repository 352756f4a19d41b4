/**
 * The place, its thermometers and its moulds. May use cavity and air.
 */
package org.zeststack.core.workshop;
