package dynamorph.typeset.compose;

import dynamorph.typeset.shape.ShapedParagraph;
import java.util.List;
import java.util.Set;

/**
 * The lines of a paragraph.
 *
 * @param dropLines how many lines its drop capital reaches over; one if there is none
 * @param missingGlyphs code points that no font has, of its letters and of what stands over them
 */
public record ComposedParagraph(
    ShapedParagraph shaped, List<ComposedLine> lines, int dropLines, Set<Integer> missingGlyphs) {
  public ComposedParagraph {
    lines = List.copyOf(lines);
  }
}
