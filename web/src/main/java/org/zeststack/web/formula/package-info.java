/** The formula's pages. */
package org.zeststack.web.formula;
