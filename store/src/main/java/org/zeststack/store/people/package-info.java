/** People, their roles, throttled sign-in and the tokens of programs. */
package org.zeststack.store.people;
