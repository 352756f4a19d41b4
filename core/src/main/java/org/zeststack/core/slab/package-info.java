/** Slabs, trays and sheets cut into pieces; mm. May use the base packages. */
package org.zeststack.core.slab;
