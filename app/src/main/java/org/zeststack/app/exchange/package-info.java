/** Formulas in open formats: the project's own JSON, schema.org recipes, comma-separated lines. */
package org.zeststack.app.exchange;
