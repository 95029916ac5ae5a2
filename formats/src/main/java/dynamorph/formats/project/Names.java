package dynamorph.formats.project;

import java.util.List;

/** Every word of the file format. */
final class Names {
  static final String FORMAT = "dynamorph-project";
  static final String KIT_FORMAT = "dynamorph-kit";
  static final int VERSION = 1;

  static final String HEADER_ENTRY = "dynamorph.json";
  static final String PROJECT_ENTRY = "project.json";
  static final String STYLES_ENTRY = "styles.json";
  static final String ARTBOARD_FOLDER = "artboards/";
  static final String ASSET_FOLDER = "assets/";

  static final String FORMAT_NAME = "format";
  static final String FORMAT_VERSION = "version";

  static final String ID = "id";
  static final String NAME = "name";
  static final String LANGUAGE = "language";
  static final String WORDS = "words";
  static final String BASE_STYLE = "baseStyle";
  static final String PALETTE = "palette";
  static final String EXPORTS = "exports";
  static final String SURVEY = "survey";
  static final String DOCUMENTS = "documents";
  static final String SHEET_VIEWS = "sheetViews";
  static final String SORTED = "sorted";
  static final String FALLING = "falling";
  static final String ONLY_MATCHING = "onlyMatching";
  static final String COLUMNS = "columns";
  static final String IN_FRAMES = "inFrames";
  static final String PICTURE_WIDTH = "pictureWidth";
  static final String RULES = "rules";
  static final String HOUSE_RULES = "house";
  static final String SEVERITY = "severity";
  static final String LIMITS = "limits";
  static final String QUERY = "query";
  static final String MESSAGE = "message";
  static final String MENDING = "mending";
  static final String IGNORED = "ignored";
  static final String MARK = "mark";
  static final String FILE_FORMAT = "format";
  static final String RESOLUTION = "resolution";
  static final String QUALITY = "quality";
  static final String FILE_NAME = "fileName";
  static final String ONE_PER_ARTBOARD = "onePerArtboard";
  static final String BLEED = "bleed";
  static final String SOUND = "sound";
  static final String CAPTION_TRACKS = "captionTracks";
  static final String CHAPTERS = "chapters";
  static final String CROP_MARKS = "cropMarks";
  static final String COLOUR = "colour";
  static final String ARTBOARDS = "artboards";
  static final String STYLES = "styles";
  static final String GROUP = "group";
  static final String LEVEL = "level";
  static final String BASED_ON = "basedOn";
  static final String PROPERTIES = "properties";
  static final String SAMPLE = "sample";
  static final String LABEL = "label";
  static final String NOTE = "note";
  static final String ORIGIN = "origin";
  static final String SHELF = "shelf";
  static final String ENTRY = "entry";
  static final String AT_VERSION = "version";
  static final String MUTED = "muted";
  static final String WIDTH = "width";
  static final String HEIGHT = "height";
  static final String FILL_RULE = "fill-rule";
  static final String UNIT = "unit";
  static final String BACKGROUND = "background";
  static final String X = "x";
  static final String Y = "y";
  static final String LAYERS = "layers";
  static final String FRAME = "frame";
  static final String FOLLOWS = "follows";
  static final String LOCAL = "local";
  static final String PARAGRAPHS = "paragraphs";
  static final String SPANS = "spans";
  static final String TEXT = "text";
  static final String RUBY = "ruby";
  static final String SHAPE = "shape";
  static final String KIND = "kind";
  static final String RECTANGLE = "rectangle";
  static final String ELLIPSE = "ellipse";
  static final String LINE = "line";
  static final String POLYGON = "polygon";
  static final String PATH = "path";
  static final String IMAGE = "image";
  static final String CORNERS = "corners";
  static final String RISING = "rising";
  static final String DEPTH = "depth";
  static final String DATA = "data";
  static final String TIMELINE = "timeline";
  static final String FRAME_RATE = "frameRate";
  static final String DROP_FRAME = "dropFrame";
  static final String FIRST_FRAME = "firstFrame";
  static final String DURATION = "duration";
  static final String TRACKS = "tracks";
  static final String TRACK = "track";
  static final String TIMING = "timing";
  static final String IN = "in";
  static final String OUT = "out";
  static final String START = "start";
  static final String FADE_IN = "fadeIn";
  static final String FADE_OUT = "fadeOut";
  static final String SPEAKER = "speaker";
  static final String SPEAKERS = "speakers";
  static final String HIDDEN = "hidden";
  static final String LOCKED = "locked";
  static final String CONTINUES = "continues";
  static final String FOOTAGE = "footage";
  static final String TITLES = "titles";
  static final String CAPTIONS = "captions";
  static final String CLIPS = "clips";
  static final String DRAWN = "drawn";
  static final String FILE = "file";
  static final String LINES = "lines";
  static final String LINE_LENGTH = "lineLength";
  static final String READING_SPEED = "readingSpeed";
  static final String SHORTEST = "shortest";
  static final String LONGEST = "longest";
  static final String GAP = "gap";

  private Names() {}

  /** What a project's own document may have. */
  static final List<String> OF_PROJECT =
      List.of(
          NAME,
          LANGUAGE,
          WORDS,
          BASE_STYLE,
          PALETTE,
          ARTBOARDS,
          EXPORTS,
          SURVEY,
          DOCUMENTS,
          SHEET_VIEWS);

  /** What a view of the sheet may have. */
  static final List<String> OF_SHEET_VIEW =
      List.of(
          NAME,
          UNIT,
          GROUP,
          SORTED,
          FALLING,
          QUERY,
          ONLY_MATCHING,
          COLUMNS,
          IN_FRAMES,
          PICTURE_WIDTH);

  /** What an export preset may have. */
  static final List<String> OF_EXPORT =
      List.of(
          NAME,
          FILE_FORMAT,
          RESOLUTION,
          QUALITY,
          BACKGROUND,
          FILE_NAME,
          ONE_PER_ARTBOARD,
          BLEED,
          CROP_MARKS,
          SOUND,
          CAPTION_TRACKS,
          CHAPTERS);

  /** What every artboard has. */
  static final List<String> OF_ARTBOARD =
      List.of(ID, NAME, WIDTH, HEIGHT, UNIT, BACKGROUND, X, Y, LAYERS);
}
