/** How runs went, for lists. */
package org.zeststack.app.result;
