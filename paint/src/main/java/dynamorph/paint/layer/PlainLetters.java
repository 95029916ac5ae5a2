package dynamorph.paint.layer;

import dynamorph.model.cascade.Coat;
import dynamorph.model.cascade.Effect;
import dynamorph.model.cascade.Finish;
import dynamorph.model.cascade.Paint;
import dynamorph.model.value.BlendMode;
import dynamorph.model.value.Rgba;
import dynamorph.typeset.layout.Box;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/** Letters that a file can show as text in one colour and still look the same. */
final class PlainLetters {
  private PlainLetters() {}

  /**
   * The finishes whose letters can be shown as text above all others: one opaque fill in place.
   * Letters that lie beneath the coats of others cannot.
   */
  static Set<Finish> among(List<FinishedGlyphs> all) {
    Set<Finish> plain = new HashSet<>();
    for (FinishedGlyphs letters : all) {
      boolean isFree =
          all.stream()
              .filter(other -> other != letters && !isBare(other))
              .noneMatch(other -> touches(letters.inks(), other.reaches()));
      if (isPlain(letters) && isFree) {
        plain.add(letters.finish());
      }
    }
    return plain;
  }

  /** Whether nothing but letters is painted, which reaches nobody else's. */
  private static boolean isBare(FinishedGlyphs letters) {
    Finish finish = letters.finish();
    return isPlain(letters) && finish.isLoose() && finish.coats().getFirst().effects().isEmpty();
  }

  private static boolean touches(List<Box> some, List<Box> others) {
    return some.stream().anyMatch(one -> others.stream().anyMatch(one::overlaps));
  }

  private static boolean isPlain(FinishedGlyphs letters) {
    Finish finish = letters.finish();
    return !letters.isColourful()
        && letters.mayBeEmbedded()
        && finish.group().isPlain()
        && finish.coats().size() == 1
        && finish.effects().stream().allMatch(Effect::liesBelow)
        && isPlain(finish.coats().getFirst());
  }

  private static boolean isPlain(Coat coat) {
    return coat.shape() instanceof Coat.Fill fill
        && fill.offset() == 0
        && coat.isInPlace()
        && coat.opacity() == 1
        && coat.blend() == BlendMode.NORMAL
        && coat.effects().stream().allMatch(Effect::liesBelow)
        && coat.paint() instanceof Paint.Solid solid
        && solid.colour().alpha() == 255;
  }

  /** The one colour of a finish that is among the plain ones. */
  static Rgba colour(Finish finish) {
    return ((Paint.Solid) finish.coats().getFirst().paint()).colour();
  }
}
