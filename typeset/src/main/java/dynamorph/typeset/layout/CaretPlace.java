package dynamorph.typeset.layout;

/**
 * A place between letters.
 *
 * @param offset of the unit behind it
 * @param trailing whether it belongs to the letter before it instead of the one behind; the two are
 *     apart where directions meet, and where a line ends
 */
public record CaretPlace(int offset, boolean trailing) {}
