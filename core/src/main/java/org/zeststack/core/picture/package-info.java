/** What is drawn of a bar: its cut faces and its plan, in mm. May use stack, bar, cavity and slab. */
package org.zeststack.core.picture;
