/** Set-up, the place, thermometers, moulds, people and tokens. */
package org.zeststack.web.workshop;
