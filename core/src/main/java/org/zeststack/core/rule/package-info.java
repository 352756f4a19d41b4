/**
 * What is judged by: every rule and every bound, with its source, and a workshop's own figures. May use quantity only.
 */
package org.zeststack.core.rule;
