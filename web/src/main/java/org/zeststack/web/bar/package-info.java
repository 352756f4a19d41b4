/** The bar's pages: its cross-section is the control. */
package org.zeststack.web.bar;
