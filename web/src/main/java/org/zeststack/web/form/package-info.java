/** What people type into forms: read, kept as typed, and told beside its field what is wrong. */
package org.zeststack.web.form;
