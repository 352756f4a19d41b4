/** Practice at simulated pots and bowls. Nothing of it is kept. */
package org.zeststack.web.rehearse;
