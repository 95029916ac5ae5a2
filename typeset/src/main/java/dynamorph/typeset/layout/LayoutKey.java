package dynamorph.typeset.layout;

import dynamorph.model.cascade.ParagraphLook;
import dynamorph.model.cascade.Placement;
import dynamorph.model.cascade.ResolvedLayer;
import dynamorph.model.cascade.TypeLook;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Story;
import dynamorph.model.value.BoxFit;
import dynamorph.typeset.shape.ShapeKey;
import java.util.ArrayList;
import java.util.List;

/**
 * What a layout depends on: the words and what moves glyphs. Neither colour nor place is part of
 * it.
 */
record LayoutKey(List<ParagraphKey> paragraphs, BoxFit fit, double width, double height) {
  record ParagraphKey(
      String text,
      List<Integer> lengths,
      List<TypeLook> looks,
      TypeLook empty,
      ParagraphLook settings) {
    ShapeKey shapeKey() {
      List<ShapeKey.SpanType> types = new ArrayList<>();
      for (int index = 0; index < looks.size(); index++) {
        types.add(ShapeKey.SpanType.of(lengths.get(index), looks.get(index)));
      }
      return new ShapeKey(text, types);
    }
  }

  static LayoutKey of(Story story, ResolvedLayer resolved) {
    List<ParagraphKey> paragraphs = new ArrayList<>();
    for (int index = 0; index < story.paragraphs().size(); index++) {
      Paragraph paragraph = story.paragraphs().get(index);
      ResolvedLayer.ResolvedParagraph look = resolved.paragraphs().get(index);
      List<Integer> lengths = new ArrayList<>(paragraph.spans().size());
      paragraph.spans().forEach(span -> lengths.add(span.length()));
      List<TypeLook> types = new ArrayList<>(look.spans().size());
      look.spans().forEach(span -> types.add(span.type()));
      paragraphs.add(
          new ParagraphKey(
              paragraph.text(), lengths, types, look.spans().getFirst().type(), look.look()));
    }
    Placement placement = resolved.placement();
    boolean point = placement.fit() == BoxFit.POINT;
    boolean fixed = placement.fit() == BoxFit.FIXED;
    return new LayoutKey(
        paragraphs, placement.fit(), point ? 0 : placement.width(), fixed ? placement.height() : 0);
  }
}
