package dynamorph.typeset.compose;

import dynamorph.typeset.shape.ShapedParagraph;
import java.util.List;

/**
 * The lines of a paragraph.
 *
 * @param tooWide whether an unbreakable piece is wider than its room
 */
public record ComposedParagraph(ShapedParagraph shaped, List<ComposedLine> lines, boolean tooWide) {
  public ComposedParagraph {
    lines = List.copyOf(lines);
  }
}
