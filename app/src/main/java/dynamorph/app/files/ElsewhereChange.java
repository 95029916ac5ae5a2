package dynamorph.app.files;

import dynamorph.app.field.Controls;
import dynamorph.app.message.Messages;
import dynamorph.model.Project;
import dynamorph.model.edit.ChangeProject;
import dynamorph.model.edit.Edit;
import dynamorph.model.merge.Conflict;
import dynamorph.model.merge.ProjectChanges;
import dynamorph.model.merge.ProjectMerge;
import dynamorph.model.property.PropertyKey;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * What somebody else made of the file of the open project since it was read or written here.
 *
 * @param base what lay in the file then; empty if that is not known
 * @param theirs what lies in it now
 */
record ElsewhereChange(Optional<Project> base, Project theirs) {
  /** How many of the things that differ are named. */
  private static final int NAMED = 8;

  /**
   * What they changed, a line each.
   *
   * @param mine what theirs is compared with if the base is not known
   */
  List<String> lines(Project mine) {
    List<ProjectChanges.Change> changes = ProjectChanges.between(base.orElse(mine), theirs);
    List<String> lines = new ArrayList<>();
    for (ProjectChanges.Change change : changes.stream().limit(NAMED).toList()) {
      lines.add(
          Messages.of(
                  "elsewhere." + change.fate().name().toLowerCase(Locale.ROOT),
                  kind(change.kind()),
                  change.name())
              .strip());
    }
    if (changes.size() > NAMED) {
      lines.add(Messages.of("elsewhere.and-more", changes.size() - NAMED));
    }
    return lines;
  }

  static String kind(Conflict.Kind kind) {
    return Messages.of("elsewhere.kind-" + kind.name().toLowerCase(Locale.ROOT));
  }

  /** Where two changes collide, in words. */
  static String words(Conflict conflict) {
    String part =
        switch (conflict.part()) {
          case Conflict.Part.Whole() -> "";
          case Conflict.Part.Field(String id) -> Messages.of("elsewhere.value-" + id);
          case Conflict.Part.Value(PropertyKey<?> key) -> Controls.label(key);
        };
    return Messages.of("elsewhere.collision", kind(conflict.kind()), conflict.of(), part).strip();
  }

  /** Both changes put together, if they go together and it is known what they began with. */
  Optional<ProjectMerge> merged(Project mine) {
    try {
      return base.map(before -> ProjectMerge.of(before, mine, theirs));
    } catch (IllegalArgumentException apart) {
      return Optional.empty();
    }
  }

  /** Makes the project what lies in the file; a step that can be undone. */
  Edit reload() {
    return new ChangeProject.Replace(Messages.of("elsewhere.reload"), theirs);
  }

  static Edit merge(ProjectMerge merge) {
    return new ChangeProject.Replace(Messages.of("elsewhere.merge"), merge.project());
  }
}
