package dynamorph.typeset.compose;

import dynamorph.model.cascade.ParagraphLook;
import dynamorph.model.cascade.TypeLook;
import dynamorph.model.text.RubyBase;
import dynamorph.typeset.shape.ShapeKey;
import java.util.List;

/**
 * What the lines of a paragraph depend on, besides their measure.
 *
 * @param lengths units of each span
 * @param looks of each span; an empty paragraph has one
 * @param ruby how letters of it are read
 * @param fallback whether letters that a face lacks are taken from another
 * @param vertical whether its lines are
 * @param from first unit that is set; what is before it stands in another box
 */
public record ParagraphKey(
    String text,
    List<Integer> lengths,
    List<TypeLook> looks,
    ParagraphLook settings,
    List<RubyBase> ruby,
    boolean fallback,
    boolean vertical,
    int from) {
  public ParagraphKey {
    lengths = List.copyOf(lengths);
    looks = List.copyOf(looks);
    ruby = List.copyOf(ruby);
  }

  /** Told apart by its words and the lengths that are dragged most; the rest rarely differs. */
  @Override
  public int hashCode() {
    TypeLook first = looks.getFirst();
    return text.hashCode()
        + 31 * Double.hashCode(first.size())
        + 37 * Double.hashCode(first.spacing().tracking())
        + 41 * Double.hashCode(first.leading())
        + 43 * Double.hashCode(settings.indents().start())
        + 47 * Double.hashCode(settings.spaceBefore());
  }

  /** The look of an empty line. */
  public TypeLook first() {
    return looks.getFirst();
  }

  /** What the shaped paragraph depends on. */
  public ShapeKey shapeKey() {
    return new ShapeKey(
        text, ShapeKey.SpanType.of(lengths, looks), ShapeKey.Flow.of(settings, fallback, vertical));
  }

  /** What of the paragraph goes on in another box, from a unit on. */
  public ParagraphKey from(int unit) {
    return new ParagraphKey(text, lengths, looks, settings, ruby, fallback, vertical, unit);
  }

  /** The same paragraph at a share of its size. */
  public ParagraphKey scaled(double by) {
    return new ParagraphKey(
        text,
        lengths,
        looks.stream().map(look -> look.scaled(by)).toList(),
        settings,
        ruby,
        fallback,
        vertical,
        from);
  }
}
