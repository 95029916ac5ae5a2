/**
 * From a shaped paragraph to lines of a measure: where words may be divided ({@link
 * dynamorph.typeset.compose.Breakpoints}), which lines are chosen ({@code LineBreaker}, {@code
 * ParagraphBreaker}), and where the glyphs of a line stand ({@code LineSetter}). {@link
 * dynamorph.typeset.compose.ParagraphComposer} is the way in. Units count from the start of the
 * paragraph; lengths are in points.
 */
package dynamorph.typeset.compose;
