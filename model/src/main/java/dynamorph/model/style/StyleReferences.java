package dynamorph.model.style;

import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.NestedStyles;
import dynamorph.model.value.NextStyle;
import java.util.HashSet;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;

/** The styles that values name: character styles on words, and the style of the next paragraph. */
public final class StyleReferences {
  private static final PropertyKey<NestedStyles> NESTED = Properties.NESTED_STYLES.key();
  private static final PropertyKey<NextStyle> NEXT = Properties.NEXT_STYLE.key();

  private StyleReferences() {}

  /** The character styles that words are in. */
  public static Set<StyleId> nestedIn(PropertySet values) {
    Optional<NestedStyles> nested = values.get(NESTED);
    return nested.isEmpty() || nested.get().isEmpty()
        ? Set.of()
        : nested.get().rules().stream()
            .filter(rule -> !rule.isSkipped())
            .map(rule -> new StyleId(rule.style()))
            .collect(Collectors.toSet());
  }

  /** All styles that are named. */
  public static Set<StyleId> in(PropertySet values) {
    Optional<NextStyle> next = values.get(NEXT).filter(style -> !style.isSame());
    if (next.isEmpty()) {
      return nestedIn(values);
    }
    Set<StyleId> all = new HashSet<>(nestedIn(values));
    all.add(new StyleId(next.get().style()));
    return all;
  }

  /**
   * The values with other styles in the place of some. Words without one are passed over, and the
   * next paragraph stays in its style.
   */
  public static PropertySet mapped(
      PropertySet values, Function<StyleId, Optional<StyleId>> change) {
    PropertySet mapped = values;
    Function<String, Optional<String>> other =
        id -> change.apply(new StyleId(id)).map(StyleId::value);
    Optional<NestedStyles> nested = values.get(NESTED);
    if (nested.isPresent()) {
      mapped = withOther(mapped, NESTED, nested.get(), nested.get().mapStyles(other));
    }
    Optional<NextStyle> next = values.get(NEXT).filter(style -> !style.isSame());
    if (next.isPresent()) {
      NextStyle changed =
          other.apply(next.get().style()).map(NextStyle::new).orElse(NextStyle.SAME);
      mapped = withOther(mapped, NEXT, next.get(), changed);
    }
    return mapped;
  }

  private static <T> PropertySet withOther(
      PropertySet values, PropertyKey<T> key, T before, T after) {
    return after.equals(before) ? values : values.with(key, after);
  }
}
