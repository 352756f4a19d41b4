/** Closed runs. */
package org.zeststack.web.ledger;
