package dynamorph.model.edit;

import dynamorph.model.Project;

/** A change of a project. */
public interface Edit {
  /**
   * The project after the change; the given one is not touched. Returns the same project if there
   * is nothing to change.
   *
   * @throws EditRefused if the change makes no sense
   */
  Project applyTo(Project before);

  /** What the history calls it, such as {@code Follow "Label" on 12 layers}. */
  String label(Project before);

  /** Several edits as one step under one name. */
  static Edit together(String label, Edit... edits) {
    return new Edit() {
      @Override
      public Project applyTo(Project before) {
        Project project = before;
        for (Edit edit : edits) {
          project = edit.applyTo(project);
        }
        return project;
      }

      @Override
      public String label(Project before) {
        return label;
      }
    };
  }
}
