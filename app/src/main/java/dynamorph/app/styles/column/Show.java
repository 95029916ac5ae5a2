package dynamorph.app.styles.column;

import dynamorph.app.message.Messages;
import dynamorph.model.reach.Followers;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import java.util.Set;
import java.util.function.Supplier;

/** Which styles are listed. */
enum Show {
  ALL(Messages.of("styles-column.all-styles")),
  FOLLOWED(Messages.of("styles-column.followed-by-the-selection")),
  DEVIATING(Messages.of("styles-column.with-local-changes")),
  UNUSED(Messages.of("styles-column.unused"));

  private final String label;

  Show(String label) {
    this.label = label;
  }

  /**
   * Whether a style is listed.
   *
   * @param followed the styles that the selection follows
   */
  boolean lists(Style style, Followers followers, Supplier<Set<StyleId>> followed) {
    return switch (this) {
      case ALL -> true;
      case FOLLOWED -> followed.get().contains(style.id());
      case DEVIATING -> followers.count(style.id()).deviating() > 0;
      case UNUSED -> followers.count(style.id()).all() == 0;
    };
  }

  @Override
  public String toString() {
    return label;
  }
}
