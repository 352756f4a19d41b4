/** Runs: planned, started with a frozen sheet, closed. */
package org.zeststack.store.run;
