/**
 * Words for translators and back (XLIFF 2.1, OASIS Standard, 13 February 2018): a unit for each
 * paragraph, with the looks of words as inline codes.
 */
@NullMarked
package dynamorph.formats.xliff;

import org.jspecify.annotations.NullMarked;
