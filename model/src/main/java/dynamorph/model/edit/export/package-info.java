/** Edits of the export presets of a project. */
package dynamorph.model.edit.export;
