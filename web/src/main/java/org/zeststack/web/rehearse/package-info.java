/** Practice at simulated pots. Nothing of it is kept. */
package org.zeststack.web.rehearse;
