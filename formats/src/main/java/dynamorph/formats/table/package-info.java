/** Tables, comma or tab separated, of which each row becomes a title. */
package dynamorph.formats.table;
