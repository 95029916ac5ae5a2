/**
 * Turns words and resolved looks into placed glyphs.
 *
 * <p>The steps, one package each: {@code font} finds the face for a family, weight and slant, and a
 * fallback for what it lacks; {@code shape} cuts a paragraph into runs of one face, script and
 * direction and lets HarfBuzz shape them, in em; {@code compose} breaks a paragraph into lines;
 * {@code layout} puts lines into columns, aligns them and answers where a caret stands. Beside them
 * {@code language} hyphenates, {@code spelling} checks words and {@code caption} checks and repairs
 * cues. Size and colour take no part in shaping, so a change of them shapes nothing again.
 */
package dynamorph.typeset;
