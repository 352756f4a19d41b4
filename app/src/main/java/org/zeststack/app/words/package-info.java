/** How figures and moments are written for people. */
package org.zeststack.app.words;
