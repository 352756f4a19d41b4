/** A formula read from fields, scaled, and what was made of it. */
package org.zeststack.app.formula;
