/** Edits of many texts at once, each from what it has, and of the views that a sheet keeps. */
package dynamorph.model.edit.sheet;
