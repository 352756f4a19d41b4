/**
 * A closed run: where mass and pieces went. May use run and weighing.
 */
package org.zeststack.core.ledger;
