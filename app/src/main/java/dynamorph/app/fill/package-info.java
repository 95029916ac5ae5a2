/** Artboards that are filled with the rows of a table. */
package dynamorph.app.fill;
