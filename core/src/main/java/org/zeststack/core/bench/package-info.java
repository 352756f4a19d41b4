/** What the bench writes down over a sheet, how the run stands by it, and what is asked before it is believed. */
package org.zeststack.core.bench;
