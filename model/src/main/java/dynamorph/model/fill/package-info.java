/** Artboards that are filled with the rows of a table: fields, their formats, and conditions. */
package dynamorph.model.fill;
