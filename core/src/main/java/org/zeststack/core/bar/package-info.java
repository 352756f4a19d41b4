/**
 * A bar as it is designed: its layers, its build, what it is laid in and how it is finished. Lengths in mm, masses of one piece in
 * g. May use rule, slab and method.
 */
package org.zeststack.core.bar;
