/**
 * Edits of styles and swatches, and of what follows them: follow, stamp, keep, derive, merge,
 * delete.
 */
package dynamorph.model.edit.style;
