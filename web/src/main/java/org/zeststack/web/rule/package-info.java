/** The rules and bounds that bars, boxes and formulas are judged by, and a workshop's own figures. */
package org.zeststack.web.rule;
