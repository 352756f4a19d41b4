/** A bar read from fields and assembled: layers, calls, acts on its form, starting bars. */
package org.zeststack.app.bar;
