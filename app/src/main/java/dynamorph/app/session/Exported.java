package dynamorph.app.session;

import dynamorph.model.edit.importing.StyleBundle;
import dynamorph.model.style.StyleId;
import java.util.List;

/** Looks that shall be written into a file; whoever writes files takes them. */
public sealed interface Exported {
  /**
   * Styles of the project that is open.
   *
   * @param styles without one, all
   */
  record OfProject(List<StyleId> styles) implements Exported {
    public OfProject {
      styles = List.copyOf(styles);
    }
  }

  /**
   * Looks of a shelf, with what they need.
   *
   * @param name what the file is called if nobody says otherwise
   */
  record OfShelf(String name, StyleBundle looks) implements Exported {}
}
