/** Pages that compute what is done at a bowl, apart from any run. Nothing of it is kept. */
package org.zeststack.web.temper;
