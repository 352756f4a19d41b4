/** The store room: ingredients, lots and their movements. */
package org.zeststack.store.ingredient;
