/** What is followed at the bench: series, pots and bowls, and who reads them. */
package org.zeststack.app.bench;
