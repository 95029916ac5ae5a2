package dynamorph.typeset.compose;

import dynamorph.typeset.shape.ShapedParagraph;
import java.util.List;
import java.util.Set;

/**
 * The lines of a paragraph.
 *
 * @param missingGlyphs code points that no font has, of its letters and of what stands over them
 * @param tooWide whether an unbreakable piece is wider than its line width
 */
public record ComposedParagraph(
    ShapedParagraph shaped, List<ComposedLine> lines, Set<Integer> missingGlyphs, boolean tooWide) {
  public ComposedParagraph {
    lines = List.copyOf(lines);
  }
}
