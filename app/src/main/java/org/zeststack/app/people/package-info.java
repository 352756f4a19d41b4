/** Who works here: passwords that are good enough. */
package org.zeststack.app.people;
