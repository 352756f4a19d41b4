/** How runs went, for lists. */
package org.zeststack.web.result;
