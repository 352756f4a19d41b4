/** The store room's pages: ingredients, packs, lots, and what can be made of what is there. */
package org.zeststack.web.ingredient;
