/** The calculators as an open HTTP interface for programs. */
package org.zeststack.web.api;
