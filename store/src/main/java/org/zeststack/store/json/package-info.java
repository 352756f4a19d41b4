/** How the core's records are kept as JSON. Used by the other concerns of the store. */
package org.zeststack.store.json;
