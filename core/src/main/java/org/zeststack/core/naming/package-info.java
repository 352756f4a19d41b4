/** Names that the law reserves for chocolate, by composition. May use the base packages. */
package org.zeststack.core.naming;
