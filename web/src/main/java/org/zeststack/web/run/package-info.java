/** Runs: planning, the run sheet, starting and closing. */
package org.zeststack.web.run;
