package dynamorph.paint.specimen;

import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.CharacterLook;
import dynamorph.model.cascade.ResolvedLayer;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.text.Story;
import dynamorph.model.value.Anchor;
import dynamorph.model.value.BoxFit;
import dynamorph.model.value.NestedStyles;
import dynamorph.model.value.Rgba;
import dynamorph.model.value.WritingMode;
import dynamorph.paint.Pixels;
import dynamorph.paint.scene.PlacedLayer;
import dynamorph.paint.scene.SceneMaker;
import dynamorph.typeset.layout.Box;
import dynamorph.typeset.layout.Line;
import dynamorph.typeset.layout.TextLayout;
import io.github.humbleui.skija.Canvas;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Stream;

/** Draws specimens of styles and thumbnails of texts. Safe on any thread. */
public final class SpecimenPainter {
  /**
   * Smallest and largest size that a specimen is drawn at, in its own points: between them sizes
   * are told apart.
   */
  private static final double SMALLEST = 13;

  private static final double LARGEST = 27;

  /** The part of a thumbnail that its text may fill. */
  private static final double THUMBNAIL_ROOM = 0.86;

  private final SceneMaker maker;

  public SpecimenPainter(SceneMaker maker) {
    this.maker = maker;
  }

  /**
   * A style drawn with words.
   *
   * @param width in points
   * @param height in points
   * @param scale pixels per point
   */
  public Pixels specimen(
      Cascade cascade,
      Style style,
      String words,
      Backdrop ground,
      int width,
      int height,
      double scale) {
    Layer layer = cascade.dressed(sample(style, words));
    ResolvedLayer look = cascade.resolve(layer);
    TextLayout layout = maker.typesetter().layout(layer.story(), look);
    Line line = layout.lines().getFirst();
    CharacterLook first = look.paragraphs().getFirst().spans().getFirst();
    double size = first.type().size();
    double factor = shownSize(size) / size;
    Box content = layout.content();
    double middle = (content.y() + content.bottom()) / 2;
    double left = look.plate().coats().isEmpty() ? 0 : look.plate().padding().left();
    Consumer<Canvas> drawing =
        canvas -> {
          canvas.translate(MARGIN, height / 2f);
          canvas.scale((float) factor, (float) factor);
          canvas.translate((float) (left - line.left()), (float) -middle);
          maker.painter().paint(canvas, layout, look);
        };
    return draw(width, height, scale, ground, drawing);
  }

  /**
   * A few letters in plain values, in the middle of a small picture, made smaller if they are too
   * wide for it.
   *
   * @param values of the letters, their size included
   */
  public Pixels letters(
      PropertySet values, String words, Rgba background, int width, int height, double scale) {
    Layer layer =
        Layer.of("letters", "letters", "")
            .withStory(Story.of(words))
            .withLocal(
                values
                    .with(Properties.BOX, BoxFit.POINT)
                    .with(Properties.NESTED_STYLES, NestedStyles.NONE)
                    .with(Properties.WRITING_MODE, WritingMode.HORIZONTAL));
    ResolvedLayer look = Cascade.of(Project.empty("letters")).resolve(layer);
    TextLayout layout = maker.typesetter().layout(layer.story(), look);
    double fit = Math.min(1, (width - 4) / Math.max(1, layout.width()));
    Line line = layout.lines().getFirst();
    double middle = (line.top() + line.bottom()) / 2;
    Consumer<Canvas> drawing =
        canvas -> {
          canvas.translate(2, height / 2f);
          canvas.scale((float) fit, (float) fit);
          canvas.translate(0, (float) -middle);
          maker.painter().paint(canvas, layout, look);
        };
    return draw(width, height, scale, background, drawing);
  }

  /**
   * Words in a look of their own, as large as there is room for.
   *
   * @param look all that is not as by default
   */
  public Pixels drawnWith(
      PropertySet look, String words, Rgba background, int width, int height, double scale) {
    PropertySet plain = look.with(Properties.NESTED_STYLES, NestedStyles.NONE);
    Layer layer = Layer.of("specimen", "specimen", words).withLocal(plain);
    ResolvedLayer resolved = Cascade.of(Project.empty("specimen")).resolve(layer);
    TextLayout layout = maker.typesetter().layout(layer.story(), resolved);
    Box ink = maker.painter().bounds(layout, resolved).with(layout.content());
    double fit = Math.min(1, Math.min(width * ROOM / ink.width(), height * ROOM / ink.height()));
    Consumer<Canvas> drawing =
        canvas -> {
          canvas.translate(width / 2f, height / 2f);
          canvas.scale((float) fit, (float) fit);
          canvas.translate(
              (float) -(ink.x() + ink.width() / 2), (float) -(ink.y() + ink.height() / 2));
          maker.painter().paint(canvas, layout, resolved);
        };
    return draw(width, height, scale, background, drawing);
  }

  /** How much of a small picture words may take up. */
  private static final double ROOM = 0.94;

  /** Space in front of a specimen, in points. */
  private static final float MARGIN = 10;

  /** Large sizes are shown larger, but not by as much: the logarithm of the size. */
  private static double shownSize(double size) {
    return Math.clamp(
        SMALLEST + 3 * Math.log(Math.max(size, 1) / 8) / Math.log(2), SMALLEST, LARGEST);
  }

  /** A text as it is, fitted into a small box. */
  public Pixels thumbnail(PlacedLayer text, Rgba background, int width, int height, double scale) {
    return thumbnail(text, List.of(), background, width, height, scale);
  }

  /**
   * A text as it is, fitted into a small box.
   *
   * @param beside texts that it is compared with: all are drawn at the same scale, so that a larger
   *     one looks larger
   */
  public Pixels thumbnail(
      PlacedLayer text,
      List<PlacedLayer> beside,
      Rgba background,
      int width,
      int height,
      double scale) {
    Box ink = inkAndContent(text);
    double factor =
        Stream.concat(Stream.of(text), beside.stream())
            .mapToDouble(one -> factor(one, width, height))
            .min()
            .orElseThrow();
    boolean cropped = factor > fit(ink, width, height);
    Consumer<Canvas> drawing =
        canvas -> {
          if (cropped) {
            boolean fromTheRight =
                text.layout().axes().mode() == WritingMode.VERTICAL_RIGHT_TO_LEFT;
            canvas.translate(fromTheRight ? width - 6 : 6, 5);
            canvas.scale((float) factor, (float) factor);
            canvas.translate((float) -(fromTheRight ? ink.right() : ink.x()), (float) -ink.y());
          } else {
            canvas.translate(width / 2f, height / 2f);
            canvas.scale((float) factor, (float) factor);
            canvas.translate(
                (float) -(ink.x() + ink.width() / 2), (float) -(ink.y() + ink.height() / 2));
          }
          maker.painter().paint(canvas, text.layout(), text.look());
        };
    return draw(width, height, scale, background, drawing);
  }

  private static Box inkAndContent(PlacedLayer text) {
    return text.ink().with(text.layout().content());
  }

  private static double fit(Box ink, int width, int height) {
    double room = THUMBNAIL_ROOM;
    return Math.min(
        width * room / Math.max(1, ink.width()), height * room / Math.max(1, ink.height()));
  }

  /** A long text shows its beginning at a size that can be read instead of shrinking to grey. */
  private static double factor(PlacedLayer text, int width, int height) {
    double size =
        text.layout().lines().stream()
            .mapToDouble(line -> line.ascent() + line.descent())
            .max()
            .orElse(12);
    // a small picture is low: of a vertical line more than a few letters have to show
    double least = text.layout().axes().isVertical() ? 7 : 11;
    return Math.max(
        fit(inkAndContent(text), width, height),
        Math.min(least / size, height * THUMBNAIL_ROOM / size));
  }

  private static Pixels draw(
      int width, int height, double scale, Rgba background, Consumer<Canvas> drawing) {
    return draw(width, height, scale, new Backdrop.Plain(background), drawing);
  }

  private static Pixels draw(
      int width, int height, double scale, Backdrop ground, Consumer<Canvas> drawing) {
    return Pixels.draw(
        (int) Math.ceil(width * scale),
        (int) Math.ceil(height * scale),
        canvas -> {
          canvas.scale((float) scale, (float) scale);
          ground.paint(canvas, width, height);
          drawing.accept(canvas);
        });
  }

  /** One line of plain text that follows the style at the style's own level. */
  private static Layer sample(Style style, String words) {
    PropertySet upright =
        PropertySet.EMPTY
            .with(Properties.ANCHOR, Anchor.TOP_LEFT)
            .with(Properties.ROTATION, 0.0)
            .with(Properties.BOX, BoxFit.POINT)
            .with(Properties.WRITING_MODE, WritingMode.HORIZONTAL);
    Layer plain = Layer.of("specimen", "specimen", "").withLocal(upright);
    Span span =
        Span.of(words.lines().findFirst().filter(line -> !line.isBlank()).orElse(style.name()));
    return switch (style.level()) {
      case TEXT -> plain.withStory(Story.of(Paragraph.of(span))).withFollows(List.of(style.id()));
      case PARAGRAPH ->
          plain.withStory(
              Story.of(
                  Paragraph.of(span)
                      .withFollows(Optional.of(style.id()))
                      .withLocal(PropertySet.EMPTY.with(Properties.DROP_LINES, 0.0))));
      case CHARACTER ->
          plain.withStory(Story.of(Paragraph.of(span.withFollows(List.of(style.id())))));
    };
  }
}
