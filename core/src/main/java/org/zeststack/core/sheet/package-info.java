/**
 * The sheet of a run: what is to be made, of what, in what and in which steps, as plain records. It is written once, by planning, and read
 * by bench, papers and ledger; it computes nothing but sums and shares of itself.
 */
package org.zeststack.core.sheet;
