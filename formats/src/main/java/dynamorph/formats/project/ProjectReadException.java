package dynamorph.formats.project;

import java.io.IOException;
import java.nio.file.Path;

/** A project file that cannot be read: which file, where in it, what is wrong. One line. */
public final class ProjectReadException extends IOException {
  private final String place;

  /**
   * @param place entry of the zip and JSON pointer, such as {@code styles.json /styles/3/level};
   *     empty for the whole file
   */
  ProjectReadException(Path file, String place, String problem) {
    super(file.getFileName() + (place.isEmpty() ? ": " : ": " + place + ": ") + problem);
    this.place = place;
  }

  public String place() {
    return place;
  }
}
