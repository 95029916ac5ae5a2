/** Edits of many texts at once, each from what it has. */
package dynamorph.model.edit.sheet;
