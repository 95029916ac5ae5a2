package dynamorph.model.edit.style;

import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.message.Messages;
import dynamorph.model.style.ColourLabel;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Puts the styles of a project in order; no text looks different. */
public sealed interface ArrangeStyles extends Edit {
  /**
   * Moves styles to another place.
   *
   * @param before the style that they then stand before, or the end
   * @param group the group that they then stand in
   */
  record Move(List<StyleId> styles, Optional<StyleId> before, String group)
      implements ArrangeStyles {
    public Move {
      styles = List.copyOf(styles);
    }

    @Override
    public Project applyTo(Project project) {
      StyleBook book = project.styles();
      for (StyleId id : styles) {
        book = book.map(id, style -> style.withGroup(group));
      }
      return project.withStyles(book.moved(styles, before));
    }

    @Override
    public String label(Project project) {
      return Messages.of("arrange-styles.move", named(project, styles));
    }
  }

  /** Renames a group with everything below it. */
  record RenameGroup(String from, String to) implements ArrangeStyles {
    @Override
    public Project applyTo(Project project) {
      StyleBook book = project.styles();
      for (Style style : book.list()) {
        if (isIn(style.group())) {
          String group = to + style.group().substring(from.length());
          book = book.with(style.withGroup(group.startsWith("/") ? group.substring(1) : group));
        }
      }
      return project.withStyles(book);
    }

    private boolean isIn(String group) {
      return group.equals(from) || !from.isEmpty() && group.startsWith(from + "/");
    }

    @Override
    public String label(Project project) {
      return Messages.of("arrange-styles.rename-group-to", from, to);
    }
  }

  /** Gives styles a colour label, or none. */
  record Label(Set<StyleId> styles, Optional<ColourLabel> label) implements ArrangeStyles {
    public Label {
      styles = Set.copyOf(styles);
    }

    @Override
    public Project applyTo(Project project) {
      StyleBook book = project.styles();
      for (StyleId id : styles) {
        book = book.map(id, style -> style.withLabel(label));
      }
      return project.withStyles(book);
    }

    @Override
    public String label(Project project) {
      return Messages.of("arrange-styles.label", named(project, List.copyOf(styles)));
    }
  }

  private static String named(Project project, List<StyleId> styles) {
    return styles.size() == 1
        ? "\"" + project.styles().find(styles.getFirst()).map(Style::name).orElse("") + "\""
        : Messages.of("arrange-styles.styles", styles.size());
  }
}
