package dynamorph.app.files;

import dynamorph.app.message.Messages;
import dynamorph.formats.captions.CaptionFiles;
import dynamorph.formats.css.CssFile;
import dynamorph.formats.document.DocumentFile;
import dynamorph.formats.project.KitFile;
import dynamorph.formats.project.ProjectFile;
import dynamorph.formats.svg.SvgFile;
import dynamorph.formats.table.TableReader;
import dynamorph.formats.tokens.TokenFile;
import dynamorph.formats.xliff.XliffReader;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;

/** What a person is asked to find or to name. */
public enum FileQuestion {
  PROJECT(
      Messages.of("file-question.open-a-project"),
      Way.OPEN,
      kind(Messages.of("file-question.dynamorph-projects"), ProjectFile.ENDING)),
  PROJECT_FOLDER(Messages.of("file-question.a-folder-of-projects"), Way.FOLDER),
  SHELF_FOLDER(Messages.of("file-question.a-folder-of-a-shelf"), Way.FOLDER),
  KIT(Messages.of("file-question.a-kit"), Way.OPEN, styleFiles()),
  SAVED_PROJECT(
      Messages.of("file-question.save-the-project"),
      Way.SAVE,
      kind(Messages.of("file-question.dynamorph-projects"), ProjectFile.ENDING)),
  SAVED_PICTURE(
      Messages.of("file-question.export-as-an-image"),
      Way.SAVE,
      kind(Messages.of("file-question.png-images"), ".png")),
  FONT(
      Messages.of("file-question.import-a-font"),
      Way.OPEN,
      kind(Messages.of("file-question.fonts"), ".ttf", ".otf")),
  IMAGE(
      Messages.of("file-question.choose-an-image"),
      Way.OPEN,
      kind(Messages.of("file-question.images"), ".png", ".jpg", ".jpeg", ".webp", ".gif")),
  STYLES(Messages.of("file-question.import-styles"), Way.OPEN, styleFiles()),
  DOCUMENT(
      Messages.of("file-question.import-a-document"),
      Way.OPEN,
      new Kind(
          Messages.of("file-question.documents-and-drawings"),
          Stream.concat(DocumentFile.ENDINGS.stream(), SvgFile.ENDINGS.stream()).toList()),
      new Kind(Messages.of("file-question.documents"), DocumentFile.ENDINGS),
      new Kind(Messages.of("file-question.drawings"), SvgFile.ENDINGS)),
  SAVED_STYLES(
      Messages.of("file-question.export-styles"),
      Way.SAVE,
      kind(Messages.of("file-question.kits"), KitFile.ENDING),
      kind(Messages.of("file-question.design-tokens"), TokenFile.ENDING, ".tokens"),
      kind(Messages.of("file-question.style-sheets"), CssFile.ENDING)),
  RULES(
      Messages.of("file-question.import-rules"),
      Way.OPEN,
      kind(Messages.of("file-question.rule-sets"), ".json")),
  SHORTCUTS(
      Messages.of("file-question.import-shortcuts"),
      Way.OPEN,
      kind(Messages.of("file-question.shortcuts"), ".txt")),
  SAVED_SHORTCUTS(
      Messages.of("file-question.export-shortcuts"),
      Way.SAVE,
      kind(Messages.of("file-question.shortcuts"), ".txt")),
  SAVED_RULES(
      Messages.of("file-question.export-rules"),
      Way.SAVE,
      kind(Messages.of("file-question.rule-sets"), ".json")),
  SURVEY_REPORT(
      Messages.of("file-question.save-the-report"),
      Way.SAVE,
      kind(Messages.of("file-question.pages"), ".html"),
      kind("PDF", ".pdf"),
      kind("JSON", ".json"),
      kind("SARIF", ".sarif")),
  WORDS(
      Messages.of("file-question.import-words"),
      Way.OPEN,
      kind(Messages.of("file-question.words"), ".csv", ".tsv", ".xlf", ".xliff")),
  TRANSLATION(
      Messages.of("file-question.import-a-translation"),
      Way.OPEN,
      new Kind(Messages.of("file-question.translations"), XliffReader.ENDINGS)),
  SAVED_WORDS(
      Messages.of("file-question.export-words"),
      Way.SAVE,
      kind(Messages.of("file-question.tables"), ".csv"),
      kind(Messages.of("file-question.translations"), ".xlf")),
  SAVED_TRANSLATION(
      Messages.of("file-question.export-for-translation"),
      Way.SAVE,
      kind(Messages.of("file-question.translations"), ".xlf")),
  CAPTIONS(
      Messages.of("file-question.import-captions"),
      Way.OPEN,
      new Kind(Messages.of("file-question.captions"), CaptionFiles.ENDINGS)),
  SAVED_CAPTIONS(
      Messages.of("file-question.export-captions"),
      Way.SAVE,
      kind(Messages.of("file-question.webvtt"), ".vtt"),
      kind(Messages.of("file-question.subrip"), ".srt"),
      kind("TTML", ".ttml"),
      kind(Messages.of("file-question.substation"), ".ass"),
      kind(Messages.of("file-question.ebu-stl"), ".stl"),
      kind(Messages.of("file-question.scc"), ".scc")),
  TABLE(
      Messages.of("file-question.choose-a-table"),
      Way.OPEN,
      kind(Messages.of("file-question.tables"), ".csv", ".tsv", ".txt")),
  DATA(
      Messages.of("file-question.choose-a-table"),
      Way.OPEN,
      new Kind(Messages.of("file-question.tables"), TableReader.ENDINGS)),
  FOOTAGE(
      Messages.of("file-question.choose-footage"),
      Way.OPEN,
      kind(
          Messages.of("file-question.videos-and-images"),
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
      kind(Messages.of("file-question.all-files"), "")),
  FRAMES(Messages.of("file-question.a-folder-for-the-frames"), Way.FOLDER),
  EXPORT_FOLDER(Messages.of("file-question.a-folder-for-the-files"), Way.FOLDER);

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

  /** All that styles are read from. */
  private static Kind styleFiles() {
    return kind(
        Messages.of("file-question.kits-projects-tokens"),
        KitFile.ENDING,
        ProjectFile.ENDING,
        ".tokens",
        ".json");
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

  /**
   * The name with an ending that says what it is.
   *
   * @param chosen the kind that was chosen in the dialog; the first is chosen there by itself
   */
  public String ended(String name, Kind chosen) {
    if (kinds.isEmpty() || isOf(chosen, name)) {
      return name;
    }
    Kind first = kinds.getFirst();
    String ending = chosen.endings().getFirst();
    if (!chosen.equals(first) && isOf(first, name)) {
      // the name was proposed for the first kind, and another was chosen since
      return name.substring(0, name.lastIndexOf('.')) + ending;
    }
    return kinds.stream().anyMatch(kind -> isOf(kind, name)) ? name : name + ending;
  }

  private static boolean isOf(Kind kind, String name) {
    String lower = name.toLowerCase(Locale.ROOT);
    return kind.endings().stream().anyMatch(lower::endsWith);
  }
}
