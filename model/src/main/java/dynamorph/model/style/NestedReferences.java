package dynamorph.model.style;

import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.NestedStyles;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;

/** The character styles that values put on words. */
public final class NestedReferences {
  private static final PropertyKey<NestedStyles> KEY = Properties.NESTED_STYLES.key();

  private NestedReferences() {}

  /** The styles that are referred to. */
  public static Set<StyleId> in(PropertySet values) {
    Optional<NestedStyles> nested = values.get(KEY);
    return nested.isEmpty() || nested.get().isEmpty()
        ? Set.of()
        : nested.get().rules().stream()
            .filter(rule -> !rule.isSkipped())
            .map(rule -> new StyleId(rule.style()))
            .collect(Collectors.toSet());
  }

  /** The values with other styles in the place of some; words without one are passed over. */
  public static PropertySet mapped(
      PropertySet values, Function<StyleId, Optional<StyleId>> change) {
    Optional<NestedStyles> nested = values.get(KEY);
    if (nested.isEmpty()) {
      return values;
    }
    NestedStyles changed =
        nested.get().mapStyles(id -> change.apply(new StyleId(id)).map(StyleId::value));
    return changed.equals(nested.get()) ? values : values.with(KEY, changed);
  }
}
