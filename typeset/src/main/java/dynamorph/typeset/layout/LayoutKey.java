package dynamorph.typeset.layout;

import dynamorph.model.cascade.CharacterLook;
import dynamorph.model.cascade.Placement;
import dynamorph.model.cascade.ResolvedLayer;
import dynamorph.model.cascade.TypeLook;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Story;
import dynamorph.model.value.BoxFit;
import dynamorph.typeset.compose.ParagraphKey;
import java.util.ArrayList;
import java.util.List;

/**
 * What a layout depends on: the words and what moves glyphs. Neither colour nor place is part of
 * it.
 */
record LayoutKey(
    List<ParagraphKey> paragraphs,
    BoxFit fit,
    double width,
    double height,
    Placement.Inside inside) {
  static LayoutKey of(Story story, ResolvedLayer resolved, boolean fallback) {
    List<ParagraphKey> paragraphs = new ArrayList<>(story.paragraphs().size());
    List<CharacterLook> spans = null;
    List<TypeLook> types = List.of();
    for (int index = 0; index < story.paragraphs().size(); index++) {
      Paragraph paragraph = story.paragraphs().get(index);
      ResolvedLayer.ResolvedParagraph look = resolved.paragraphs().get(index);
      List<Integer> lengths = new ArrayList<>(paragraph.spans().size());
      paragraph.spans().forEach(span -> lengths.add(span.length()));
      // paragraphs that look alike share their looks, so that they are told equal at a glance
      if (look.spans() != spans) {
        spans = look.spans();
        types = spans.stream().map(CharacterLook::type).toList();
      }
      paragraphs.add(new ParagraphKey(paragraph.text(), lengths, types, look.look(), fallback));
    }
    Placement placement = resolved.placement();
    boolean point = placement.fit() == BoxFit.POINT;
    boolean high = placement.fit() == BoxFit.FIXED || placement.fit() == BoxFit.SHRINK;
    return new LayoutKey(
        paragraphs,
        placement.fit(),
        point ? 0 : placement.width(),
        high ? placement.height() : 0,
        placement.inside());
  }

  boolean isPoint() {
    return fit == BoxFit.POINT;
  }

  /** The same at a share of its size. */
  LayoutKey scaled(double by) {
    return new LayoutKey(
        paragraphs.stream().map(paragraph -> paragraph.scaled(by)).toList(),
        fit,
        width,
        height,
        inside);
  }
}
