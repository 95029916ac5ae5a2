/**
 * The edge to the outside: {@code project} reads and writes project files, {@code file} puts files
 * in place safely. Words of a file format stay in its package; the model knows none of them.
 */
package dynamorph.formats;
