/**
 * Edits that take in what comes from elsewhere: styles, layers and words of other projects, caption
 * files, documents, tables.
 */
package dynamorph.model.edit.importing;
