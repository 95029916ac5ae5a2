package dynamorph.paint.scene;

import dynamorph.model.Layer;
import dynamorph.model.cascade.CharacterLook;
import dynamorph.model.cascade.Placement;
import dynamorph.model.cascade.ResolvedLayer;
import dynamorph.model.cascade.TypeLook;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.value.BoxFit;
import dynamorph.model.value.ListKind;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.typeset.layout.Box;

/**
 * The most room that a text can take up, told from its looks and the number of its letters without
 * setting it.
 */
final class LayoutEstimate {
  /** Nothing is known: the text has to be set to see where it ends. */
  static final Box UNKNOWN = new Box(0, 0, 0, 0);

  /** No letter is wider than this, in em; the few that are are left out. */
  private static final double WIDEST = 3.2;

  /** No line is higher, in em, unless its leading is. */
  private static final double HIGHEST = 3;

  private LayoutEstimate() {}

  /** The box about the anchor, in points, whichever way the text is turned. */
  static Box of(Layer layer, ResolvedLayer look) {
    boolean told =
        layer.isText()
            && !look.placement().inside().mode().isVertical()
            && (look.placement().fit() == BoxFit.POINT || look.placement().fit() == BoxFit.FIXED)
            && look.paragraphs().stream()
                .allMatch(paragraph ->
                    paragraph.look().list().kind() == ListKind.NONE
                        && !paragraph.look().drop().isThere())
            && isOrdinary(layer);
    if (!told) {
      return UNKNOWN;
    }
    Box letters = letters(layer, look);
    Box painted = LayerPainter.reach(letters, look);
    double across = Math.max(-painted.x(), painted.right());
    double down = Math.max(-painted.y(), painted.bottom());
    double side = look.placement().rotation() == 0 ? 0 : Math.hypot(across, down);
    return new Box(0, 0, 0, 0).grown(Math.max(across, side), Math.max(down, side));
  }

  /** Tabs go anywhere, and a few letters stand for whole sentences. */
  private static boolean isOrdinary(Layer layer) {
    for (Paragraph paragraph : layer.story().paragraphs()) {
      for (Span span : paragraph.spans()) {
        String text = span.text();
        for (int index = 0; index < text.length(); index++) {
          char unit = text.charAt(index);
          if (unit == '\t' || unit >= '\uFDF0' && unit <= '\uFDFF') {
            return false;
          }
        }
      }
    }
    return true;
  }

  /** Wherever in the box the anchor lies, the letters lie within their size of it on every side. */
  private static Box letters(Layer layer, ResolvedLayer look) {
    double width = 0;
    double height = 0;
    double most = 0;
    for (int p = 0; p < look.paragraphs().size(); p++) {
      ResolvedLayer.ResolvedParagraph paragraph = look.paragraphs().get(p);
      double line = 0;
      double leading = 0;
      for (int s = 0; s < paragraph.spans().size(); s++) {
        CharacterLook span = paragraph.spans().get(s);
        TypeLook type = span.type();
        int units = layer.story().paragraphs().get(p).spans().get(s).length();
        line += units * advance(type, paragraph);
        leading =
            Math.max(
                leading,
                Math.max(
                    type.size() * HIGHEST * Math.max(1, type.forms().scaleDown()),
                    Math.abs(type.spacing().leading()) + Math.abs(type.spacing().baselineShift())));
        most = Math.max(most, type.size() * HIGHEST);
      }
      var indents = paragraph.look().indents();
      width =
          Math.max(
              width,
              line
                  + Math.abs(indents.first())
                  + Math.abs(indents.start())
                  + Math.abs(indents.end()));
      height +=
          leading
              + Math.abs(paragraph.look().spaceBefore())
              + Math.abs(paragraph.look().spaceAfter())
              + look.placement().inside().grid();
    }
    Placement placement = look.placement();
    if (placement.fit() == BoxFit.FIXED) {
      width = Math.max(width, placement.width());
      height = placement.height();
    }
    return new Box(0, 0, 0, 0).grown(width + most, height + most);
  }

  private static double advance(TypeLook type, ResolvedLayer.ResolvedParagraph paragraph) {
    double glyphs = Math.max(1, paragraph.look().justification().glyph().most());
    double spaces = Math.max(1, paragraph.look().justification().word().most());
    double extra =
        Math.abs(type.spacing().letterExtra())
            + Math.abs(type.spacing().wordSpacing()) / 1000
            + Math.max(0, paragraph.look().justification().letter().most());
    return type.size()
        * (WIDEST * Math.max(0.1, type.forms().scaleAcross()) * Math.max(glyphs, spaces) + extra);
  }
}
