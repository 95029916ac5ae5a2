/**
 * The edge to the outside: {@code project} reads and writes project files, {@code captions} caption
 * files, {@code document} documents of word processors and the web, {@code table} tables and
 * workbooks, {@code html} what clipboards carry, {@code finish} the presets that come along; {@code
 * file} puts files in place safely. Words of a file format stay in its package; the model knows
 * none of them.
 */
package dynamorph.formats;
