/**
 * Tables, comma or tab separated, of workbooks and JSON, of which each row becomes a title or fills
 * an artboard; and the words of a project as a table.
 */
package dynamorph.formats.table;
