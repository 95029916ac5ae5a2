package dynamorph.typeset.compose;

import com.ibm.icu.text.BreakIterator;
import com.ibm.icu.util.ULocale;
import dynamorph.model.cascade.ParagraphLook;
import dynamorph.model.cascade.TypeLook;
import dynamorph.typeset.font.FontFace;
import dynamorph.typeset.shape.ShapeKey;
import dynamorph.typeset.shape.ShapedParagraph;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;

/**
 * How a paragraph begins: its indents, the mark before it, its drop capital.
 *
 * @param first first unit of its first line, behind a drop capital
 * @param deep from this line on all lines begin at the same place
 * @param firstIndent where the first line begins
 * @param deepIndent where the others begin down to {@code deep}
 * @param indent where all others begin
 */
record ParagraphStart(
    int first,
    int deep,
    double firstIndent,
    double deepIndent,
    double indent,
    List<LineSetter.Ornament> ornaments) {

  double indent(int line) {
    if (line == 0) {
      return firstIndent;
    }
    return line < deep ? deepIndent : indent;
  }

  /**
   * How a shaped paragraph begins.
   *
   * @param mark what stands before it; empty for nothing
   */
  static ParagraphStart of(
      ParagraphKey paragraph,
      String mark,
      ShapedParagraph text,
      Function<ShapeKey, ShapedParagraph> shaper) {
    ParagraphLook settings = paragraph.settings();
    double indent = settings.indents().start();
    if (paragraph.from() > 0) {
      return new ParagraphStart(paragraph.from(), 1, indent, indent, indent, List.of());
    }
    double first = indent + settings.indents().first();
    List<LineSetter.Ornament> ornaments = new ArrayList<>();
    if (!mark.isEmpty()) {
      ShapedParagraph sign = shaper.apply(mark(mark, text));
      double width = MarkPlacer.width(sign, paragraph.looks(), 1);
      ornaments.add(new LineSetter.Ornament(sign, first, width, 0, 1, false));
      first = Math.max(indent, first + width + settings.list().gap());
    }
    int letters = dropped(settings.drop(), text.text());
    if (letters == 0) {
      return new ParagraphStart(0, 1, first, indent, indent, ornaments);
    }
    ShapedParagraph dropped = shaper.apply(text.key().part(0, letters, ""));
    LineSetter.Ornament capital = dropCapital(paragraph, dropped, first);
    ornaments.add(capital);
    double beside = capital.width() + settings.drop().gap();
    return new ParagraphStart(
        letters,
        settings.drop().lines(),
        first + beside,
        indent + beside + Math.min(0, first - indent),
        indent,
        ornaments);
  }

  private static ShapeKey mark(String mark, ShapedParagraph text) {
    ShapeKey.SpanType type = text.key().spans().getFirst().withLength(mark.length());
    return new ShapeKey(mark, List.of(type), text.key().flow());
  }

  /** How many units are dropped: whole letters, and never all there are. */
  private static int dropped(ParagraphLook.DropCapital drop, String text) {
    if (!drop.isThere() || text.isBlank()) {
      return 0;
    }
    BreakIterator letters = BreakIterator.getCharacterInstance(ULocale.ROOT);
    letters.setText(text);
    int end = letters.next(drop.letters());
    return end < 0 || end >= text.length() ? 0 : end;
  }

  /** Letters whose capital height reaches from the top of the first line to the last baseline. */
  private static LineSetter.Ornament dropCapital(
      ParagraphKey paragraph, ShapedParagraph capital, double x) {
    ParagraphLook.DropCapital drop = paragraph.settings().drop();
    TypeLook look = paragraph.first();
    FontFace face = capital.runs().getFirst().face();
    double capHeight = face.lines().capHeight();
    double below = (drop.lines() - 1) * look.leading();
    if (paragraph.vertical()) {
      // the letters are centred on their line, so they grow about the middle of those they stand by
      double square = (below + look.size()) / look.size();
      double wide = MarkPlacer.width(capital, paragraph.looks(), square);
      return new LineSetter.Ornament(capital, x, wide, below / 2, square, true);
    }
    double share = (below + capHeight * look.size()) / (capHeight * look.size());
    double width = MarkPlacer.width(capital, paragraph.looks(), share);
    return new LineSetter.Ornament(capital, x, width, below, share, true);
  }
}
