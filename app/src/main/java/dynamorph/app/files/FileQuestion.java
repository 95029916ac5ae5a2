package dynamorph.app.files;

import dynamorph.formats.project.KitFile;
import dynamorph.formats.project.ProjectFile;
import java.util.List;

/** What a person is asked to find or to name. */
public enum FileQuestion {
  PROJECT("Open a project", Way.OPEN, kind("Dynamorph projects", ProjectFile.ENDING)),
  SAVED_PROJECT("Save the project", Way.SAVE, kind("Dynamorph projects", ProjectFile.ENDING)),
  SAVED_PICTURE("Export as a picture", Way.SAVE, kind("PNG pictures", ".png")),
  FONT("Import a font", Way.OPEN, kind("Fonts", ".ttf", ".otf")),
  IMAGE("Choose an image", Way.OPEN, kind("Images", ".png", ".jpg", ".jpeg", ".webp", ".gif")),
  STYLES("Import styles", Way.OPEN, kind("Kits and projects", KitFile.ENDING, ProjectFile.ENDING)),
  SAVED_KIT("Save styles as a kit", Way.SAVE, kind("Kits", KitFile.ENDING)),
  CAPTIONS(
      "Import captions",
      Way.OPEN,
      kind("Captions", ".srt", ".vtt", ".ttml", ".xml", ".dfxp", ".itt")),
  SAVED_CAPTIONS(
      "Export captions",
      Way.SAVE,
      kind("WebVTT", ".vtt"),
      kind("SubRip", ".srt"),
      kind("TTML", ".ttml")),
  TABLE("Choose a table", Way.OPEN, kind("Tables", ".csv", ".tsv", ".txt")),
  FOOTAGE(
      "Choose footage",
      Way.OPEN,
      kind(
          "Videos and pictures",
          ".mp4",
          ".mov",
          ".m4v",
          ".mkv",
          ".webm",
          ".avi",
          ".mxf",
          ".mpg",
          ".mpeg",
          ".png",
          ".jpg",
          ".jpeg",
          ".webp",
          ".gif"),
      kind("All files", "")),
  FRAMES("A folder for the frames", Way.FOLDER);

  /** Whether something there is wanted, a new file, or a folder. */
  public enum Way {
    OPEN,
    SAVE,
    FOLDER
  }

  /**
   * A kind of files.
   *
   * @param endings with their dots; the first is given to names without one
   */
  public record Kind(String name, List<String> endings) {}

  private final String title;
  private final Way way;
  private final List<Kind> kinds;

  FileQuestion(String title, Way way, Kind... kinds) {
    this.title = title;
    this.way = way;
    this.kinds = List.of(kinds);
  }

  private static Kind kind(String name, String... endings) {
    return new Kind(name, List.of(endings));
  }

  public String title() {
    return title;
  }

  public Way way() {
    return way;
  }

  public List<Kind> kinds() {
    return kinds;
  }

  /** The name with an ending that says what it is. */
  public String ended(String name) {
    boolean told =
        kinds.isEmpty()
            || kinds.stream()
                .flatMap(kind -> kind.endings().stream())
                .anyMatch(name.toLowerCase(java.util.Locale.ROOT)::endsWith);
    return told ? name : name + kinds.getFirst().endings().getFirst();
  }
}
