/** What is judged by: every bound, with its source. May use {@code quantity} only. */
package org.zeststack.core.judge;
