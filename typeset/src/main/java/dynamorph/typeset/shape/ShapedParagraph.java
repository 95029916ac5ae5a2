package dynamorph.typeset.shape;

import com.ibm.icu.text.Bidi;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * A shaped paragraph, ready to be broken into lines of any width and set at any size.
 *
 * @param key what it was shaped from
 * @param runs in logical order
 * @param breaks units before which a line may end
 * @param forced units before which a line must end
 * @param unsafe units before which the text cannot be cut without shaping both sides anew
 * @param bidi the levels of the paragraph; empty for a paragraph all left to right
 * @param missingFamilies families that were asked for and are not there
 * @param missingGlyphs code points that no font has
 */
public record ShapedParagraph(
    ShapeKey key,
    List<ShapedRun> runs,
    BitSet breaks,
    BitSet forced,
    BitSet unsafe,
    Optional<Bidi> bidi,
    boolean rightToLeft,
    Set<String> missingFamilies,
    Set<Integer> missingGlyphs) {
  public String text() {
    return key.text();
  }

  /** Whether text can be cut before a unit without shaping both sides anew. */
  public boolean isSafeToCut(int unit) {
    return !unsafe.get(unit);
  }
}
