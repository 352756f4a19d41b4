/** What the pages of bars and formulas have in common: saving a draft, keeping a version, two savers. */
package org.zeststack.web.design;
