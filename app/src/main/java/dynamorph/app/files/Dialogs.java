package dynamorph.app.files;

import dynamorph.formats.project.KitAbout;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;

/** Questions that only the person can answer; tests answer them otherwise. */
public interface Dialogs {
  /** What to do with changes that are not saved. */
  enum Unsaved {
    SAVE,
    LEAVE,
    CANCEL
  }

  /**
   * Asks for a file or a folder.
   *
   * @param proposed name of what will be written; of a folder what it is for; else empty
   */
  Optional<Path> choose(FileQuestion question, String proposed);

  /** Asks for something that is there. */
  default Optional<Path> choose(FileQuestion question) {
    return choose(question, "");
  }

  /**
   * Whether something shall be done though it has consequences.
   *
   * @param verb what is done, such as {@code Export}
   */
  boolean agrees(String question, List<String> consequences, String verb);

  Unsaved askAboutChanges(String project);

  /** What to do when somebody else changed the file. */
  enum Elsewhere {
    MERGE,
    RELOAD,
    SAVE_AS,
    CANCEL
  }

  /**
   * Asks what to do when somebody else changed the file; nothing of theirs is written over.
   *
   * @param changes what they changed, a line each
   * @param merges whether both changes can be put together
   */
  Elsewhere askAboutElsewhere(String file, List<String> changes, boolean merges);

  /** Asks what a kit shall say of itself. */
  Optional<KitAbout> askAboutKit(KitAbout proposed);
}
