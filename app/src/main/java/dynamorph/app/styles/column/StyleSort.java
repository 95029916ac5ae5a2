package dynamorph.app.styles.column;

import dynamorph.app.message.Messages;
import dynamorph.model.reach.Followers;
import dynamorph.model.style.Style;
import java.util.Comparator;
import java.util.Optional;

/** In which order the column lists styles within their groups. */
enum StyleSort {
  BY_HAND(Messages.of("style-sort.manual")),
  NAME(Messages.of("style-sort.name")),
  USE(Messages.of("style-sort.use"));

  private final String label;

  StyleSort(String label) {
    this.label = label;
  }

  String label() {
    return label;
  }

  /** The order wanted; empty for the one that the person gave. */
  Optional<Comparator<Style>> order(Followers followers) {
    return switch (this) {
      case BY_HAND -> Optional.empty();
      case NAME -> Optional.of(Comparator.comparing(Style::name, String.CASE_INSENSITIVE_ORDER));
      case USE ->
          Optional.of(
              Comparator.comparingInt((Style style) -> followers.count(style.id()).all())
                  .reversed()
                  .thenComparing(Style::name));
    };
  }
}
