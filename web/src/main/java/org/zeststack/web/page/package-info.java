/** What every page has in common: the path, the person, the words for numbers. */
package org.zeststack.web.page;
