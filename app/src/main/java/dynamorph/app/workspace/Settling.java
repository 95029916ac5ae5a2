package dynamorph.app.workspace;

import dynamorph.model.style.StyleId;
import java.util.List;

/**
 * Styles that are to go, while the person settles what becomes of what follows them.
 *
 * @param styles those that go, or of which one stays
 * @param merges whether one of them, or another, takes the place of the rest
 */
public record Settling(List<StyleId> styles, boolean merges) {
  public Settling {
    styles = List.copyOf(styles);
  }

  public static Settling delete(List<StyleId> styles) {
    return new Settling(styles, false);
  }

  public static Settling merge(List<StyleId> styles) {
    return new Settling(styles, true);
  }
}
