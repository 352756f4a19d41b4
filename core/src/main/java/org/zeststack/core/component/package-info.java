/**
 * What is made or laid in a run, and the key that its sheet, its entries and its readings name it by. Nothing else writes such a key or
 * takes one apart. May use nothing beyond the base packages.
 */
package org.zeststack.core.component;
