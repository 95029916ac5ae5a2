package dynamorph.model.cascade;

import java.util.List;

/**
 * Everything that decides how a layer looks, complete and shared between layers that look alike.
 */
public record ResolvedLayer(Placement placement, Plate plate, List<ResolvedParagraph> paragraphs) {
  public ResolvedLayer {
    paragraphs = List.copyOf(paragraphs);
  }

  /**
   * A resolved paragraph.
   *
   * @param spans one look for each span; an empty paragraph has one empty span
   */
  public record ResolvedParagraph(ParagraphLook look, List<CharacterLook> spans) {
    public ResolvedParagraph {
      spans = List.copyOf(spans);
    }
  }
}
