/** Tells this instance what any instance wrote: {@code LISTEN} on one dedicated connection. */
package org.zeststack.store.live;
