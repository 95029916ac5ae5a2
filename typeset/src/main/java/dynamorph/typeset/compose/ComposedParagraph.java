package dynamorph.typeset.compose;

import dynamorph.typeset.shape.ShapedParagraph;
import java.util.List;
import java.util.Set;

/**
 * The lines of a paragraph.
 *
 * @param dropLines how many lines its drop capital reaches over; one if there is none
 * @param missingGlyphs code points that no font has, of its letters and of what stands over them
 * @param tooWide whether an unbreakable piece is wider than its line width
 */
public record ComposedParagraph(
    ShapedParagraph shaped,
    List<ComposedLine> lines,
    int dropLines,
    Set<Integer> missingGlyphs,
    boolean tooWide) {
  public ComposedParagraph {
    lines = List.copyOf(lines);
  }
}
