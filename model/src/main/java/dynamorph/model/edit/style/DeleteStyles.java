package dynamorph.model.edit.style;

import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.message.Messages;
import dynamorph.model.reach.Followers;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.SequencedSet;

/**
 * Takes several styles out of the project.
 *
 * @param replacement what their followers follow instead, if it has the level of all of them;
 *     without one they keep their look
 */
public record DeleteStyles(SequencedSet<StyleId> styles, Optional<StyleId> replacement)
    implements Edit {
  public DeleteStyles {
    styles = java.util.Collections.unmodifiableSequencedSet(new LinkedHashSet<>(styles));
  }

  /** All that nothing follows and nothing is based on. */
  public static DeleteStyles unused(Project project) {
    return new DeleteStyles(
        new LinkedHashSet<>(Followers.of(project).unused().stream().map(Style::id).toList()),
        Optional.empty());
  }

  @Override
  public Project applyTo(Project before) {
    Project project = before;
    for (StyleId id : styles) {
      if (project.styles().find(id).isPresent()) {
        project = new DeleteStyle(id, replacement).applyTo(project);
      }
    }
    return project;
  }

  @Override
  public String label(Project before) {
    List<Style> gone = styles.stream().flatMap(id -> before.styles().find(id).stream()).toList();
    return Messages.of(
        "delete-styles.delete-styles", gone.size(), gone.isEmpty() ? "" : gone.getFirst().name());
  }
}
