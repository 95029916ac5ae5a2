package dynamorph.app.files;

import java.nio.file.Path;
import java.util.Optional;

/** Questions that only the person can answer; tests answer them otherwise. */
public interface Dialogs {
  /** What to do with changes that are not saved. */
  enum Unsaved {
    SAVE,
    LEAVE,
    CANCEL
  }

  Optional<Path> open();

  /**
   * @param proposed name of the file
   */
  Optional<Path> saveProject(String proposed);

  Optional<Path> savePicture(String proposed);

  Optional<Path> openFont();

  Optional<Path> openImage();

  /** A kit or a project to take styles from. */
  Optional<Path> openStyles();

  Optional<Path> saveKit(String proposed);

  /** A file of captions. */
  Optional<Path> openCaptions();

  /** Where captions go; the ending tells the format. */
  Optional<Path> saveCaptions(String proposed);

  /** A table of titles. */
  Optional<Path> openTable();

  /** A folder for the frames of a film. */
  Optional<Path> saveFrames(String proposed);

  Unsaved askAboutChanges(String project);
}
