package dynamorph.formats.project;

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
  static final String MUTED = "muted";
  static final String WIDTH = "width";
  static final String HEIGHT = "height";
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

  private Names() {}
}
