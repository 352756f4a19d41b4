/** What lines point to: the store room's ingredients, lots, and finished versions of formulas. */
package org.zeststack.app.shelf;
