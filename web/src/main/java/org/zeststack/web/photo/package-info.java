/** Photographs of right and wrong: made small, encoded anew, kept. */
package org.zeststack.web.photo;
