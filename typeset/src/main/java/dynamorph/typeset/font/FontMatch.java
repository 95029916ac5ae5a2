package dynamorph.typeset.font;

import dynamorph.model.cascade.FontRequest;

/**
 * The face that stands for what was asked.
 *
 * @param slanted whether the letters must be leaned by hand, since the family has no italic
 * @param substituted whether the family is not there and another stands in for it
 * @param wish what was asked
 */
public record FontMatch(FontFace face, boolean slanted, boolean substituted, FontRequest wish) {}
