package dynamorph.typeset.compose;

/**
 * A line before it is set.
 *
 * @param start first unit
 * @param ink one past the last unit that shows; only spaces lie behind it
 * @param end first unit of the next line
 * @param hyphenated whether a hyphen stands at its end that was not typed
 * @param last whether it is the last of the paragraph
 * @param tooWide whether it is wider than its line width, which only an unbreakable piece is
 */
record LineRange(int start, int ink, int end, boolean hyphenated, boolean last, boolean tooWide) {}
