package dynamorph.formats.journal;

import dynamorph.model.Project;
import java.nio.file.Path;
import java.time.Instant;

/**
 * Work that was left behind by a process that ended.
 *
 * @param folder of its journal
 * @param time when it was last changed
 */
public record Left(Path folder, Instant time, Moment moment) {
  public Project project() {
    return moment.history().present();
  }

  /** Whether anything of it is in no file. */
  public boolean isUnsaved() {
    return moment.isUnsaved();
  }

  /** Short, since a whole history is in it. */
  @Override
  public String toString() {
    return project().name() + ", " + steps() + " steps, " + time;
  }

  /** How many steps can be undone. */
  public int steps() {
    return moment.history().past().size();
  }
}
