/** Bars and formulas: an identity, one draft under optimistic locking, and versions that never change. */
package org.zeststack.store.design;
