/** The workshop's settings, thermometers and moulds. */
package org.zeststack.store.workshop;
