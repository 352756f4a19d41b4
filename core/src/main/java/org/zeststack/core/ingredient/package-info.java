/**
 * The ingredients and what they are made of, per 100 g. May use the base packages.
 */
package org.zeststack.core.ingredient;
