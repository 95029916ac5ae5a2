package dynamorph.app.styles.column;

import dynamorph.app.files.UserFolder;
import dynamorph.app.session.ViewSettings;
import java.util.List;

/** That somebody lists styles in lines is remembered from start to start. */
public final class CompactStyles {
  private static final String FILE = "styles.txt";
  private static final String COMPACT = "compact";

  private CompactStyles() {}

  /** Lists them as the last time, and remembers what is chosen from now on. */
  public static void remember(ViewSettings view, UserFolder user) {
    view.compactStylesProperty().set(user.lines(FILE).contains(COMPACT));
    view.compactStylesProperty()
        .addListener(
            (_, _, compact) -> user.keepLines(FILE, compact ? List.of(COMPACT) : List.of()));
  }
}
