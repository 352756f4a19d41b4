/** Starts everything and wires it together. */
package org.zeststack.web.start;
