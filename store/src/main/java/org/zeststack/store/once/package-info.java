/** What was sent once and made once. */
package org.zeststack.store.once;
