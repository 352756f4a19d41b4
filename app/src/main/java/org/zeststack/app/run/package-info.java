/** A run planned to its sheet, and the lots it takes. */
package org.zeststack.app.run;
