/** From an order to the sheet of its run: pieces and carriers, what each formula comes to, pots, bowls, and the steps of the bench. */
package org.zeststack.core.plan;
