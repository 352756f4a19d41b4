/** The store room's pages. */
package org.zeststack.web.ingredient;
