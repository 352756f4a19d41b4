/** What people do with the program, without the pages they do it on. */
package org.zeststack.app;
