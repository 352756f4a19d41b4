/**
 * What a mass is made of, in grams by part. May use quantity.
 */
package org.zeststack.core.composition;
