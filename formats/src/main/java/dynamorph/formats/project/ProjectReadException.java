package dynamorph.formats.project;

import java.io.IOException;
import java.nio.file.Path;

/** A file of styles or projects that cannot be read: which one, where, what is wrong. One line. */
public final class ProjectReadException extends IOException {
  private final String place;

  /**
   * @param place entry of the zip and JSON pointer, such as {@code styles.json /styles/3/level},
   *     line and column, or path of a token; empty for the whole file
   */
  public ProjectReadException(Path file, String place, String problem) {
    super(file.getFileName() + (place.isEmpty() ? ": " : ": " + place + ": ") + problem);
    this.place = place;
  }

  public String place() {
    return place;
  }
}
