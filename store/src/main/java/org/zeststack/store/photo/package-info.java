/** Photographs, written once. */
package org.zeststack.store.photo;
