package dynamorph.cli;

import dynamorph.model.Artboard;
import dynamorph.model.Asset;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.TextLayer;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.FontWish;
import dynamorph.model.cascade.ResolvedLayer;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.text.Story;
import dynamorph.model.value.BoxFit;
import dynamorph.paint.export.ArtboardPicture;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.paint.scene.SceneMaker;
import dynamorph.typeset.compose.Candidates;
import dynamorph.typeset.compose.GlyphRun;
import dynamorph.typeset.compose.ParagraphKey;
import dynamorph.typeset.font.FontLibrary;
import dynamorph.typeset.language.Boundaries;
import dynamorph.typeset.layout.Line;
import dynamorph.typeset.layout.TextLayout;
import dynamorph.typeset.layout.Typesetter;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Sets texts that the command line asks for; keeps fonts open between requests. */
final class TypesetService implements AutoCloseable {
  private static final double MARGIN = 12;

  /** Fonts, what sets with them, and what asks for the face of a font file. */
  private record Fonts(FontLibrary library, Typesetter typesetter, FontWish own) {}

  private final Map<String, Fonts> open = new HashMap<>();

  private record Set(TypesetRequest request, Story story, TextLayer layer, TextLayout layout) {}

  /** The lines as words. */
  List<String> lines(TypesetRequest request) throws IOException {
    Set set = set(request);
    String text = set.story.text();
    return set.layout.lines().stream()
        .map(line ->
            text.substring(line.start(), line.end()).stripTrailing()
                + (line.set().isHyphenated() ? "-" : ""))
        .toList();
  }

  /** Everything about the lines. */
  ObjectNode answer(TypesetRequest request) throws IOException {
    Set set = set(request);
    int[] offsets = offsets(request.text());
    ObjectNode answer = Json.NODES.objectNode();
    ArrayNode lines = answer.putArray("lines");
    for (Line line : set.layout.lines()) {
      put(lines.addObject(), line, offsets);
    }
    answer.put("overset", set.layout.overset().isPresent());
    ArrayNode missing = answer.putArray("missing");
    set.layout.missingGlyphs().forEach(letter -> missing.add("U+%04X".formatted(letter)));
    for (String shown : request.show()) {
      show(answer, shown, set, offsets);
    }
    return answer;
  }

  /** A picture of the lines, with a small margin. */
  byte[] picture(TypesetRequest request, double scale) throws IOException {
    Set set = set(request);
    Fonts fonts = fonts(request);
    TextLayer placed =
        set.layer.withFrame(
            set.layer
                .frame()
                .with(Properties.POSITION_X, MARGIN)
                .with(Properties.POSITION_Y, MARGIN));
    Artboard board =
        Artboard.empty(
                "page",
                "Page",
                Math.max(1, set.layout.width()) + 2 * MARGIN,
                Math.max(1, set.layout.height()) + 2 * MARGIN,
                LengthUnit.POINT)
            .plus(placed);
    LayerPainter painter = new LayerPainter();
    var scene = new SceneMaker(fonts.typesetter, painter).make(Project.empty("Page").plus(board));
    return new ArtboardPicture(painter).png(scene.boards().getFirst(), scale);
  }

  private Set set(TypesetRequest request) throws IOException {
    Fonts fonts = fonts(request);
    PropertySet values = request.values();
    if (fonts.own != null) {
      values =
          values
              .with(Properties.FONT_FAMILY, fonts.own.family())
              .with(Properties.FONT_WEIGHT, fonts.own.weight())
              .with(Properties.SLANT, fonts.own.slant());
    } else if (request.font().isPresent()) {
      values = values.with(Properties.FONT_FAMILY, request.font().get());
    }
    PropertySet frame = PropertySet.EMPTY;
    OptionalDouble width = request.width();
    if (width.isPresent()) {
      frame =
          frame.with(Properties.BOX, BoxFit.GROW).with(Properties.BOX_WIDTH, width.getAsDouble());
    }
    Story story = Story.of(request.text());
    TextLayer layer =
        TextLayer.of("text", "Text", "").withStory(story).withLocal(values).withFrame(frame);
    ResolvedLayer look = Cascade.of(Project.empty("Page")).resolve(layer);
    TextLayout layout = fonts.typesetter.layout(story, look, request.fallback());
    return new Set(request, story, layer, layout);
  }

  private Fonts fonts(TypesetRequest request) throws IOException {
    String file = request.font().filter(TypesetService::isFile).orElse("");
    Fonts known = open.get(file);
    if (known == null) {
      known = file.isEmpty() ? machine() : withFile(Path.of(file));
      open.put(file, known);
    }
    return known;
  }

  private static boolean isFile(String font) {
    boolean named = font.toLowerCase(java.util.Locale.ROOT).matches(".*\\.(ttf|otf|ttc|otc)");
    if (named && !Files.isRegularFile(Path.of(font))) {
      throw new IllegalArgumentException("font: there is no file " + font);
    }
    return named;
  }

  private static Fonts machine() {
    FontLibrary library = FontLibrary.installed();
    return new Fonts(library, new Typesetter(library), null);
  }

  private static Fonts withFile(Path file) throws IOException {
    byte[] bytes = Files.readAllBytes(file);
    String name = "fonts/" + file.getFileName();
    FontWish own = FontLibrary.wishFor(name, bytes);
    FontLibrary library = FontLibrary.forProject(List.of(new Asset(name, bytes)));
    return new Fonts(library, new Typesetter(library), own);
  }

  /**
   * Where each unit of the story stands in the text as it was given: a pair of carriage return and
   * line feed is one break between paragraphs.
   */
  private static int[] offsets(String text) {
    int[] offsets = new int[text.length() + 1];
    int unit = 0;
    for (int at = 0; at < text.length(); at++) {
      offsets[unit++] = at;
      if (text.charAt(at) == '\r' && at + 1 < text.length() && text.charAt(at + 1) == '\n') {
        at++;
      }
    }
    offsets[unit] = text.length();
    return offsets;
  }

  private static void put(ObjectNode node, Line line, int[] offsets) {
    node.put("start", offsets[line.start()]);
    node.put("end", offsets[line.end()]);
    node.put("width", rounded(line.width()));
    node.put("ratio", rounded(line.set().ratio()));
    node.put("hyphenated", line.set().isHyphenated());
    ArrayNode runs = node.putArray("runs");
    for (GlyphRun run : line.runs()) {
      ObjectNode own = runs.addObject();
      own.put("font", run.face().toString());
      own.put("direction", run.rightToLeft() ? "rtl" : "ltr");
      ArrayNode glyphs = own.putArray("glyphs");
      for (int glyph = 0; glyph < run.glyphs().length; glyph++) {
        glyphs
            .addObject()
            .put("id", run.glyphs()[glyph] & 0xFFFF)
            .put("cluster", offsets[line.paragraphStart() + run.units()[glyph]])
            .put("x", rounded(line.x() + run.x()[glyph]))
            .put("y", rounded(run.y()[glyph]))
            .put("advance", rounded(run.advances()[glyph]));
      }
    }
  }

  /** A millionth of a point is far below what single precision holds. */
  private static double rounded(double points) {
    return Math.rint(points * 1e6) / 1e6 + 0.0;
  }

  private void show(ObjectNode answer, String what, Set set, int[] offsets) throws IOException {
    String text = set.request.text();
    ArrayNode array = answer.putArray(what);
    switch (what) {
      case "breaks" -> Boundaries.lines(text, set.request.language()).forEach(array::add);
      case "graphemes" -> Boundaries.graphemes(text).forEach(array::add);
      case "words" -> Boundaries.words(text, set.request.language()).forEach(array::add);
      case "levels" -> {
        for (byte level : Boundaries.levels(text, set.request.direction())) {
          array.add((int) level);
        }
      }
      case "hyphens" -> hyphens(array, set, offsets);
      default -> throw new IllegalArgumentException(what);
    }
  }

  /** Where words may be divided, whether or not the request divides them. */
  private void hyphens(ArrayNode array, Set set, int[] offsets) throws IOException {
    Typesetter typesetter = fonts(set.request).typesetter;
    TextLayer layer =
        set.layer.withLocal(
            set.layer
                .local()
                .with(Properties.HYPHENATE, true)
                .with(Properties.HYPHENATE_LAST, true));
    ResolvedLayer look = Cascade.of(Project.empty("Page")).resolve(layer);
    List<ParagraphKey> keys = Typesetter.paragraphs(set.story, look);
    int start = 0;
    for (ParagraphKey key : keys) {
      Candidates places = typesetter.composer().candidates(key);
      for (int place = 0; place < places.count(); place++) {
        if (places.hyphens()[place]) {
          array.add(offsets[start + places.units()[place]]);
        }
      }
      start += key.text().length() + 1;
    }
  }

  @Override
  public void close() {
    open.values().forEach(fonts -> fonts.library.close());
  }
}
