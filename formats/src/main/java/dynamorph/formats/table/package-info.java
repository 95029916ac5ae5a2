/** Tables of texts, such as the names that appear in a film. */
package dynamorph.formats.table;
