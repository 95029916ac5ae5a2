package dynamorph.typeset.shape;

import dynamorph.model.cascade.TypeLook;
import dynamorph.model.value.Slant;
import dynamorph.model.value.TextCase;
import java.util.List;

/**
 * What a shaped paragraph depends on. Size, leading and the amount of tracking are not part of it.
 */
public record ShapeKey(String text, List<SpanType> spans) {
  /**
   * The type of one span.
   *
   * @param length UTF-16 units of the text
   * @param tracked whether letters are spaced out, which forbids ligatures
   */
  public record SpanType(
      int length,
      String family,
      double weight,
      Slant slant,
      boolean tracked,
      TextCase textCase,
      String language) {
    public static SpanType of(int length, TypeLook look) {
      return new SpanType(
          length,
          look.family(),
          look.weight(),
          look.slant(),
          look.tracking() != 0,
          look.textCase(),
          look.language());
    }
  }

  public ShapeKey {
    spans = List.copyOf(spans);
  }
}
