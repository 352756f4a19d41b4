/** Drawings as SVG: geometry from the core turned into paths. */
package org.zeststack.app.drawing;
