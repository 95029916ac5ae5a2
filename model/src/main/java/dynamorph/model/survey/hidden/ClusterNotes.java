package dynamorph.model.survey.hidden;

import dynamorph.model.cascade.Coats;
import dynamorph.model.edit.Target;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.survey.hidden.HiddenStyle.Deviating;
import dynamorph.model.value.Colour;
import dynamorph.model.value.Rgba;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/** What is told of pieces that look alike, worked out once. */
final class ClusterNotes {
  private final PropertySet centre;
  private final Function<Colour, Rgba> painted;
  private final Map<PropertySet, Map<PropertyKey<?>, Object>> differences = new HashMap<>();
  private final Set<Optional<StyleId>> bases = new LinkedHashSet<>();
  private final List<Target.Words> equal;
  private final List<Deviating> near;
  private final boolean numbered;
  private final String sample;
  private List<Object> styleOf = List.of();
  private @Nullable Style style;

  ClusterNotes(PropertySet centre, List<TextPiece> pieces, Function<Colour, Rgba> painted) {
    this.centre = centre;
    this.painted = painted;
    List<Target.Words> same = new ArrayList<>();
    List<Deviating> others = new ArrayList<>();
    for (TextPiece piece : pieces) {
      bases.add(piece.base());
      Map<PropertyKey<?>, Object> differing = differences(piece.look());
      if (differing.isEmpty()) {
        same.add(piece.member());
      } else {
        others.add(new Deviating(piece.member(), differing));
      }
    }
    this.equal = List.copyOf(same);
    this.near = List.copyOf(others);
    long digits =
        pieces.stream().filter(piece -> piece.words().chars().anyMatch(Character::isDigit)).count();
    this.numbered = 2 * digits > pieces.size();
    this.sample = sample(pieces);
  }

  /** The first words of the piece with the most usual length, for a specimen. */
  private static String sample(List<TextPiece> pieces) {
    TextPiece piece =
        pieces.stream()
            .sorted(
                Comparator.comparingInt(TextPiece::letters)
                    .thenComparing(one -> one.layer().id().value())
                    .thenComparingInt(one -> one.range().start()))
            .skip((pieces.size() - 1) / 2)
            .findFirst()
            .orElseThrow();
    return piece.layer().story().slice(piece.range()).firstWords();
  }

  /**
   * The values that a look has instead of those of the centre. Colours that are painted alike are
   * no difference, whatever they are called.
   */
  Map<PropertyKey<?>, Object> differences(PropertySet look) {
    return differences.computeIfAbsent(
        look,
        _ -> {
          Map<PropertyKey<?>, Object> differing = new LinkedHashMap<>();
          if (!look.equals(centre)) {
            for (PropertyKey<?> key : LookSpace.beyond(centre, look, painted, Tolerance.NONE)) {
              differing.put(key, Coats.value(look, key));
            }
          }
          return differing;
        });
  }

  /** The styles that plain text takes where its pieces stand. */
  Set<Optional<StyleId>> bases() {
    return bases;
  }

  /** The pieces that look exactly like the centre. */
  List<Target.Words> equal() {
    return equal;
  }

  /** The pieces that look nearly like the centre. */
  List<Deviating> near() {
    return near;
  }

  /** Whether most of its pieces have a digit in them. */
  boolean isNumbered() {
    return numbered;
  }

  String sample() {
    return sample;
  }

  /**
   * The style that is proposed for them, made anew only when anything that it comes of has changed.
   *
   * @param of all that it comes of, besides the pieces
   */
  Style style(List<Object> of, Supplier<Style> maker) {
    Style known = style;
    if (known == null || !styleOf.equals(of)) {
      known = maker.get();
      style = known;
      styleOf = of;
    }
    return known;
  }
}
