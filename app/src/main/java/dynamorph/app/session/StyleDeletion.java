package dynamorph.app.session;

import dynamorph.model.style.StyleId;
import java.util.List;

/**
 * Styles that are to go, while the person settles what becomes of what follows them.
 *
 * @param styles those that go, or of which one stays
 * @param merges whether one of them, or another, takes the place of the rest
 */
public record StyleDeletion(List<StyleId> styles, boolean merges) {
  public StyleDeletion {
    styles = List.copyOf(styles);
  }

  public static StyleDeletion delete(List<StyleId> styles) {
    return new StyleDeletion(styles, false);
  }

  public static StyleDeletion merge(List<StyleId> styles) {
    return new StyleDeletion(styles, true);
  }
}
