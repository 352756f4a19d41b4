/** The bench: next action, entries, readings, live pages and the simulated devices. */
package org.zeststack.web.bench;
