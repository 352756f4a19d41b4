/** What every design has: steps, titles, small fields. */
package org.zeststack.app.design;
