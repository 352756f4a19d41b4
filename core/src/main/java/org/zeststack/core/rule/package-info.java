/** What is judged by: every bound, with its source. May use quantity only. */
package org.zeststack.core.rule;
