package dynamorph.model.cascade;

import dynamorph.model.text.Paragraph;
import dynamorph.model.value.BoxFit;
import java.util.List;
import java.util.Optional;

/**
 * Everything that decides how a layer looks, complete and shared between layers that look alike.
 *
 * @param form what the layer shows instead of words, in the finish of its only span
 */
public record ResolvedLayer(
    Placement placement,
    Plate plate,
    List<ResolvedParagraph> paragraphs,
    Optional<ResolvedShape> form) {
  public ResolvedLayer {
    paragraphs = List.copyOf(paragraphs);
  }

  /** The same with its place in points, on an artboard of a size in points. */
  public ResolvedLayer on(double width, double height) {
    Placement placed = placement.on(width, height);
    return placed == placement ? this : new ResolvedLayer(placed, plate, paragraphs, form);
  }

  /** The same for a shape, which always fills a box. */
  public ResolvedLayer inBox() {
    return form.isEmpty() || placement.fit() == BoxFit.FIXED
        ? this
        : new ResolvedLayer(placement.in(BoxFit.FIXED), plate, paragraphs, form);
  }

  /** The finish of the first letters, which is that of a shape. */
  public Finish finish() {
    return paragraphs.getFirst().spans().getFirst().finish();
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

    /**
     * The language of a letter, a BCP 47 tag; behind the last that of the last.
     *
     * @param paragraph that this is the look of
     * @param unit offset of the letter in it
     */
    public String languageAt(Paragraph paragraph, int unit) {
      int end = 0;
      for (int span = 0; span < paragraph.spans().size() && span < spans.size(); span++) {
        end += paragraph.spans().get(span).length();
        if (unit < end) {
          return spans.get(span).type().language();
        }
      }
      return spans.getLast().type().language();
    }
  }
}
