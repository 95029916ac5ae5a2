package dynamorph.cli;

import dynamorph.cli.message.Messages;
import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.FontRequest;
import dynamorph.model.cascade.ResolvedLayer;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.text.Story;
import dynamorph.model.value.BoxFit;
import dynamorph.model.value.NestedStyles;
import dynamorph.paint.export.ArtboardPicture;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.paint.scene.SceneMaker;
import dynamorph.typeset.compose.Breakpoints;
import dynamorph.typeset.compose.GlyphRun;
import dynamorph.typeset.compose.ParagraphKey;
import dynamorph.typeset.font.FontLibrary;
import dynamorph.typeset.language.TextBoundaries;
import dynamorph.typeset.layout.Line;
import dynamorph.typeset.layout.TextLayout;
import dynamorph.typeset.layout.Typesetter;
import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JsonGenerator;

/** Sets texts that the command line asks for; keeps fonts open between requests. */
final class TypesetService implements AutoCloseable {
  private static final double MARGIN = 12;

  /** Fonts, what sets with them, and what asks for the face of a font file. */
  private record Fonts(FontLibrary library, Typesetter typesetter, @Nullable FontRequest own) {}

  private final Map<String, Fonts> open = new HashMap<>();

  private record Set(TypesetRequest request, Story story, Layer layer, TextLayout layout) {}

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

  /** Writes everything about the lines, as one JSON object. */
  void answer(TypesetRequest request, JsonGenerator out) throws IOException {
    Set set = set(request);
    int[] offsets = offsets(request.text());
    Map<String, int[]> shown = new LinkedHashMap<>();
    for (String what : request.show()) {
      shown.put(what, shown(what, set, offsets));
    }
    out.writeStartObject();
    out.writeArrayPropertyStart("lines");
    for (Line line : set.layout.lines()) {
      write(out, line, offsets);
    }
    out.writeEndArray();
    out.writeBooleanProperty("overset", set.layout.overset().isPresent());
    out.writeArrayPropertyStart("missing");
    for (int letter : set.layout.missingGlyphs()) {
      out.writeString("U+%04X".formatted(letter));
    }
    out.writeEndArray();
    shown.forEach((what, numbers) -> {
      out.writeName(what);
      out.writeArray(numbers, 0, numbers.length);
    });
    out.writeEndObject();
  }

  /** A picture of the lines, with a small margin. */
  byte[] picture(TypesetRequest request, double scale) throws IOException {
    Set set = set(request);
    Fonts fonts = fonts(request);
    Layer placed =
        set.layer.withFrame(
            set.layer
                .frame()
                .with(Properties.POSITION_X, MARGIN)
                .with(Properties.POSITION_Y, MARGIN));
    Artboard board =
        Artboard.empty(
                "page",
                Messages.of("typeset-service.page"),
                Math.max(1, set.layout.width()) + 2 * MARGIN,
                Math.max(1, set.layout.height()) + 2 * MARGIN,
                LengthUnit.POINT)
            .plus(placed);
    LayerPainter painter = new LayerPainter();
    var scene =
        new SceneMaker(fonts.typesetter, painter)
            .make(Project.empty(Messages.of("typeset-service.page")).plus(board));
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
    Layer layer =
        Layer.of("text", Messages.of("typeset-service.text"), "")
            .withStory(story)
            // there are no styles that words could be in
            .withLocal(values.with(Properties.NESTED_STYLES, NestedStyles.NONE))
            .withFrame(frame);
    ResolvedLayer look =
        Cascade.of(Project.empty(Messages.of("typeset-service.page"))).resolve(layer);
    TextLayout layout = fonts.typesetter.layout(story, look, request.fallback());
    return new Set(request, story, layer, layout);
  }

  private Fonts fonts(TypesetRequest request) throws IOException {
    String file = request.font().filter(FontFile::isOne).orElse("");
    Fonts known = open.get(file);
    if (known == null) {
      known = file.isEmpty() ? machine() : withFile(file);
      open.put(file, known);
    }
    return known;
  }

  private static Fonts machine() {
    FontLibrary library = FontLibrary.installed();
    return new Fonts(library, new Typesetter(library), null);
  }

  private static Fonts withFile(String file) throws IOException {
    FontFile own = FontFile.read(file);
    FontLibrary library = FontLibrary.forProject(List.of(own.asset()));
    return new Fonts(library, new Typesetter(library), own.wish());
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

  private static void write(JsonGenerator out, Line line, int[] offsets) {
    out.writeStartObject();
    out.writeNumberProperty("start", offsets[line.start()]);
    out.writeNumberProperty("end", offsets[line.end()]);
    out.writeNumberProperty("width", rounded(line.width()));
    out.writeNumberProperty("ratio", rounded(line.set().ratio()));
    out.writeBooleanProperty("hyphenated", line.set().isHyphenated());
    out.writeArrayPropertyStart("runs");
    for (GlyphRun run : line.runs()) {
      out.writeStartObject();
      out.writeStringProperty("font", run.face().toString());
      out.writeStringProperty("direction", run.rightToLeft() ? "rtl" : "ltr");
      if (line.axes().isVertical()) {
        out.writeBooleanProperty("upright", run.upright());
      }
      out.writeArrayPropertyStart("glyphs");
      for (int glyph = 0; glyph < run.glyphs().length; glyph++) {
        out.writeStartObject();
        out.writeNumberProperty("id", run.glyphs()[glyph] & 0xFFFF);
        out.writeNumberProperty("cluster", offsets[line.paragraphStart() + run.units()[glyph]]);
        out.writeNumberProperty("x", rounded(line.x() + run.x()[glyph]));
        out.writeNumberProperty("y", rounded(run.y()[glyph]));
        out.writeNumberProperty("advance", rounded(run.advances()[glyph]));
        out.writeEndObject();
      }
      out.writeEndArray();
      out.writeEndObject();
    }
    out.writeEndArray();
    out.writeEndObject();
  }

  /** A millionth of a point is far below what single precision holds. */
  private static double rounded(double points) {
    return Math.rint(points * 1e6) / 1e6 + 0.0;
  }

  private int[] shown(String what, Set set, int[] offsets) throws IOException {
    String text = set.request.text();
    return switch (what) {
      case "breaks" -> numbers(TextBoundaries.lines(text, set.request.language()));
      case "graphemes" -> numbers(TextBoundaries.graphemes(text));
      case "words" -> numbers(TextBoundaries.words(text, set.request.language()));
      case "levels" -> {
        byte[] levels = TextBoundaries.levels(text, set.request.direction());
        int[] numbers = new int[levels.length];
        java.util.Arrays.setAll(numbers, unit -> levels[unit]);
        yield numbers;
      }
      case "hyphens" -> hyphens(set, offsets);
      default -> throw new IllegalArgumentException(what);
    };
  }

  private static int[] numbers(List<Integer> list) {
    return list.stream().mapToInt(Integer::intValue).toArray();
  }

  /** Where words may be divided, whether or not the request divides them. */
  private int[] hyphens(Set set, int[] offsets) throws IOException {
    Typesetter typesetter = fonts(set.request).typesetter;
    Layer layer =
        set.layer.withLocal(
            set.layer
                .local()
                .with(Properties.HYPHENATE, true)
                .with(Properties.HYPHENATE_LAST, true));
    ResolvedLayer look =
        Cascade.of(Project.empty(Messages.of("typeset-service.page"))).resolve(layer);
    List<Integer> found = new ArrayList<>();
    int start = 0;
    for (ParagraphKey key : Typesetter.paragraphs(set.story, look)) {
      Breakpoints places = typesetter.composer().candidates(key);
      for (int place = 0; place < places.count(); place++) {
        if (places.hyphens()[place]) {
          found.add(offsets[start + places.units()[place]]);
        }
      }
      start += key.text().length() + 1;
    }
    return numbers(found);
  }

  @Override
  public void close() {
    open.values().forEach(fonts -> fonts.library.close());
  }
}
