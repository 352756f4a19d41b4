/**
 * Run sheets as they lie in the database: a sheet says the version of the form it was written in, and is read by that version's reader.
 * What an earlier form left unsaid is filled in here and nowhere else; a form of a newer release is told as such.
 */
package org.zeststack.store.sheet;
