package dynamorph.typeset.compose;

import com.ibm.icu.lang.UCharacter;
import com.ibm.icu.lang.UCharacterCategory;
import dynamorph.model.cascade.TypeLook;
import dynamorph.model.value.EmphasisMark;
import dynamorph.typeset.shape.ShapeKey;
import dynamorph.typeset.shape.ShapedParagraph;
import dynamorph.typeset.shape.ShapedRun;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/**
 * Marks in half size over the letters of words that are to be stressed: beside them on the right in
 * vertical lines, under them in horizontal Chinese (CSS Text Decoration 3, 3; W3C, Requirements for
 * Japanese Text Layout, 3.3.9). Spaces and punctuation have none, nor have letters with ruby.
 */
final class EmphasisMarks {
  /** Share of the size of the letters, as of ruby. */
  private static final double SIZE = Ruby.SIZE;

  private final ShapedParagraph shaped;
  private final List<TypeLook> looks;
  private final Function<ShapeKey, ShapedParagraph> shaper;

  private EmphasisMarks(
      ShapedParagraph shaped, List<TypeLook> looks, Function<ShapeKey, ShapedParagraph> shaper) {
    this.shaped = shaped;
    this.looks = looks;
    this.shaper = shaper;
  }

  private static boolean isMarked(TypeLook look) {
    return look.forms().emphasis() != EmphasisMark.NONE;
  }

  /** Whether the marks of a look stand under its letters. */
  private static boolean isBelow(TypeLook look, boolean vertical) {
    return !vertical && look.language().matches("zh(-.*)?");
  }

  /** Where the squares of marks begin, away from the baseline, in em. */
  private static double near(TypeLook look, boolean vertical) {
    return isBelow(look, vertical)
        ? Ruby.Extent.SQUARE.below(vertical)
        : Ruby.Extent.SQUARE.above(vertical);
  }

  /** The room that marks on a line take. */
  static ComposedLine.Height heightened(
      ComposedLine.Height height, ShapedParagraph shaped, LineRange cut, List<TypeLook> looks) {
    if (looks.stream().noneMatch(EmphasisMarks::isMarked)) {
      return height;
    }
    boolean vertical = shaped.key().flow().vertical();
    double ascent = height.ascent();
    double descent = height.descent();
    double leading = height.leading();
    for (ShapedRun run : shaped.runs()) {
      TypeLook look = looks.get(run.span());
      boolean lies = run.start() < cut.end() && run.end() > cut.start();
      if (lies && isMarked(look)) {
        double em = look.size() * look.forms().scaleDown();
        double far = (near(look, vertical) + SIZE) * em;
        if (isBelow(look, vertical)) {
          descent = Math.max(descent, far);
        } else {
          ascent = Math.max(ascent, far);
          leading = Math.max(leading, far + Ruby.Extent.SQUARE.below(false) * em);
        }
      }
    }
    return new ComposedLine.Height(ascent, descent, leading);
  }

  /** Puts the marks of a line over the letters that are set. */
  static void add(
      List<GlyphRun> runs,
      ShapedParagraph shaped,
      List<TypeLook> looks,
      Ruby ruby,
      Function<ShapeKey, ShapedParagraph> shaper) {
    if (looks.stream().noneMatch(EmphasisMarks::isMarked)) {
      return;
    }
    EmphasisMarks marks = new EmphasisMarks(shaped, looks, shaper);
    BitSet read = new BitSet();
    ruby.overs().forEach(over -> read.set(over.base().start(), over.base().end()));
    List<GlyphRun> made = new ArrayList<>();
    for (GlyphRun run : runs) {
      TypeLook look = looks.get(run.span());
      for (int cluster = 0; isMarked(look) && cluster < run.starts().length; cluster++) {
        int start = run.starts()[cluster];
        if (!read.get(start) && takesOne(shaped.text().codePointAt(start))) {
          double middle = (run.left()[cluster] + run.right()[cluster]) / 2;
          marks.over(made, run, middle, run.ends()[cluster]);
        }
      }
    }
    runs.addAll(made);
  }

  /** Letters and symbols take marks; spaces, controls and punctuation do not. */
  private static boolean takesOne(int codePoint) {
    return switch (UCharacter.getType(codePoint)) {
      case UCharacterCategory.SPACE_SEPARATOR,
          UCharacterCategory.LINE_SEPARATOR,
          UCharacterCategory.PARAGRAPH_SEPARATOR,
          UCharacterCategory.CONTROL,
          UCharacterCategory.FORMAT,
          UCharacterCategory.UNASSIGNED,
          UCharacterCategory.DASH_PUNCTUATION,
          UCharacterCategory.START_PUNCTUATION,
          UCharacterCategory.END_PUNCTUATION,
          UCharacterCategory.INITIAL_PUNCTUATION,
          UCharacterCategory.FINAL_PUNCTUATION,
          UCharacterCategory.CONNECTOR_PUNCTUATION,
          UCharacterCategory.OTHER_PUNCTUATION ->
          // signs that stand for words are read as such (CSS Text Decoration 3, 3.4)
          "#%&@\u2030\u2031\u00A7\u00B6\u204A\u2053\u303D".indexOf(codePoint) >= 0;
      default -> true;
    };
  }

  /** What most fonts have that have no sesame dot: a comma of its shape. */
  private static final String COMMA = "\u3001";

  /** How high such a comma is set, in em of the letters. */
  private static final double SESAME_HEIGHT = 0.27;

  private void over(List<GlyphRun> made, GlyphRun letters, double middle, int behind) {
    int span = letters.span();
    TypeLook look = looks.get(span);
    EmphasisMark wanted = look.forms().emphasis();
    ShapedParagraph mark = shaper.apply(Ruby.key(shaped.key(), span, wanted.letter()));
    // a dot of another font would be of another size on each machine
    boolean comma =
        wanted == EmphasisMark.SESAME
            && (!mark.missingGlyphs().isEmpty() || mark.runs().getFirst().face() != letters.face())
            && letters.face().covers(COMMA.charAt(0));
    if (comma) {
      mark = shaper.apply(Ruby.key(shaped.key(), span, COMMA));
    }
    if (!mark.missingGlyphs().isEmpty()) {
      return;
    }
    ShapedRun run = mark.runs().getFirst();
    double[] ink = run.face().ink(run.glyphs()[0] & 0xFFFF);
    double share = comma ? SESAME_HEIGHT / Math.max(0.01, ink[3] - ink[1]) : SIZE;
    double em = look.size() * share;
    GlyphRun set = MarkPlacer.set(run, look, share, 0, 0, 0, Optional.of(""), behind);
    // its contours lie in the middle of its square, whatever the font makes of them
    double across = (ink[0] + ink[2]) / 2 * em * look.forms().scaleAcross();
    double down = (ink[1] + ink[3]) / 2 * em * look.forms().scaleDown();
    set.x()[0] = (float) (middle - (run.isUpright() ? down : across));
    set.y()[0] = (float) (squareMiddle(look) - (run.isUpright() ? -across : down));
    made.add(set);
  }

  /** Where the middle of the squares of marks lies, below the baseline. */
  private double squareMiddle(TypeLook look) {
    double em = look.size() * look.forms().scaleDown();
    boolean vertical = shaped.key().flow().vertical();
    double far = near(look, vertical) + SIZE / 2;
    return (isBelow(look, vertical) ? far : -far) * em - look.spacing().baselineShift();
  }
}
