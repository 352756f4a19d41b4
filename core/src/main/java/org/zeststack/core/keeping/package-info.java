/** What happens while pieces are kept: shelf bands and water between neighbours. May use the base packages. */
package org.zeststack.core.keeping;
