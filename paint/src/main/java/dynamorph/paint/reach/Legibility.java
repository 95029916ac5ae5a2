package dynamorph.paint.reach;

import dynamorph.model.Artboard;
import dynamorph.model.LengthUnit;
import dynamorph.model.cascade.CharacterLook;
import dynamorph.model.cascade.Coat;
import dynamorph.model.cascade.Finish;
import dynamorph.model.cascade.Paint;
import dynamorph.model.cascade.Plate;
import dynamorph.model.cascade.ResolvedLayer;
import dynamorph.model.cascade.TypeLook;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timeline;
import dynamorph.model.timeline.Track;
import dynamorph.model.timeline.TrackId;
import dynamorph.model.value.Rgba;
import dynamorph.paint.Pixels;
import dynamorph.paint.film.FootagePainter;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.paint.scene.PlacedLayer;
import dynamorph.paint.scene.Scene;
import dynamorph.typeset.layout.Box;
import dynamorph.typeset.layout.Line;
import io.github.humbleui.skija.Canvas;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * Measures how well letters stand out from what is really behind them: the artboard, the layers
 * below and their own plate are painted, then the letters alone, and the contrast (WCAG 2.2) is
 * taken pixel by pixel where a letter covers. Letters of one colour on nothing but the ground of
 * their artboard are not painted, since their contrast is that of two colours. Safe on any thread,
 * as far as the footage is.
 */
public final class Legibility {
  /** Pixels that an em has in the sample: enough for stems to cover whole pixels. */
  private static final double EM_PIXELS = 28;

  private static final int MOST_WIDTH = 320;
  private static final int MOST_HEIGHT = 64;

  /** Of 255; a pixel covered by less is an edge and says nothing about the letter's colour. */
  private static final int COVERED = 250;

  /** Fewer covered pixels than this are no letters. */
  private static final int LEAST_PIXELS = 12;

  /** Variation selector 16 (UTS #51). */
  private static final int EMOJI_SELECTOR = 0xFE0F;

  private static final double WANTED = 4.5;
  private static final double WANTED_LARGE = 3;
  private static final double LARGE = 18;
  private static final double LARGE_BOLD = 14;
  private static final double BOLD = 700;

  /** Pixels that make a CSS point, by which WCAG counts sizes on screens. */
  private static final double PIXELS_PER_POINT = 96.0 / 72;

  private final LayerPainter painter;
  private final FootagePainter footage;

  /**
   * @param footage paints what lies under the titles of films
   */
  public Legibility(LayerPainter painter, FootagePainter footage) {
    this.painter = painter;
    this.footage = footage;
  }

  /**
   * The contrast of a text with what is behind it.
   *
   * @param contrast 1 to 21, the one that three quarters of the letters' pixels reach; letters of
   *     several coats count by the quarter that stands out most, since a rim makes them legible
   * @param wanted the least that level AA asks for at that size
   */
  public record Reading(double contrast, double wanted) {
    public boolean isLow() {
      return contrast < wanted;
    }

    /** Whether the letters are large in the sense of WCAG, so that less contrast does. */
    public boolean ofLarge() {
      return wanted == WANTED_LARGE;
    }
  }

  /** Reads a title or cue at a moment of its film. */
  public Optional<Reading> of(Scene.Found found, Time at) {
    Scene.Board live = found.board().liveAt(at);
    Timeline timeline = live.artboard().timeline().orElseThrow();
    Optional<TrackId> own = found.text().layer().track();
    // captions in other languages are not shown together with these
    List<PlacedLayer> under =
        live.texts().stream()
            .filter(text ->
                text.layer().track().equals(own)
                    || text.layer()
                        .track()
                        .flatMap(timeline::track)
                        .filter(Track.Titles.class::isInstance)
                        .isPresent())
            .toList();
    Scene.Board ground =
        new Scene.Board(live.artboard(), live.background(), under, Optional.of(at));
    return of(new Scene.Found(ground, found.text()));
  }

  /** Reads a text where its first line stands. Empty if no letter is seen there. */
  public Optional<Reading> of(Scene.Found found) {
    return first(found)
        .flatMap(first ->
            plainly(found, first)
                .or(() -> painted(found, first))
                .map(contrast -> new Reading(contrast, wanted(found, first))));
  }

  /**
   * The same without painting anything, for letters of one colour on nothing but the ground of
   * their artboard; empty for all others.
   */
  public Optional<Reading> plain(Scene.Found found) {
    return first(found)
        .flatMap(first ->
            plainly(found, first).map(contrast -> new Reading(contrast, wanted(found, first))));
  }

  /**
   * What is read of a text.
   *
   * @param spans of the paragraph that the line belongs to
   * @param size of its first letters, in points as they are set
   */
  private record First(Line line, List<CharacterLook> spans, double size) {
    CharacterLook look() {
      return spans.getFirst();
    }
  }

  private static Optional<First> first(Scene.Found found) {
    PlacedLayer text = found.text();
    if (!text.layer().isText() || text.layout().shownLines().isEmpty()) {
      return Optional.empty();
    }
    Line line = text.layout().shownLines().getFirst();
    List<CharacterLook> spans = text.look().paragraphs().get(line.paragraph()).spans();
    double size = spans.getFirst().type().size() * text.layout().scale();
    return Optional.of(new First(line, spans, size))
        .filter(first -> !first.look().finish().coats().isEmpty());
  }

  private static Optional<Double> plainly(Scene.Found found, First first) {
    return plainColour(found.text(), first.spans())
        .filter(_ -> found.board().at().isEmpty() && liesAlone(found))
        .map(colour -> colour.contrast(found.board().background()));
  }

  /** The one colour that all letters of a paragraph are painted in and nothing else, if so. */
  private static Optional<Rgba> plainColour(PlacedLayer text, List<CharacterLook> spans) {
    Finish finish = spans.getFirst().finish();
    boolean plain =
        finish.isLoose()
            && finish.coats().size() == 1
            && text.look().plate().coats().isEmpty()
            && spans.stream().allMatch(span -> span.finish().equals(finish))
            && text.words().codePoints().noneMatch(Legibility::hasColours);
    return plain
            && finish.coats().getFirst() instanceof Coat coat
            && coat.shape() instanceof Coat.Fill(double offset, _)
            && offset == 0
            && coat.isOpaque()
            && coat.isInPlace()
            && coat.effects().isEmpty()
            && coat.paint() instanceof Paint.Solid(Rgba colour)
        ? Optional.of(colour)
        : Optional.empty();
  }

  /** Emoji bring their own colours. */
  private static boolean hasColours(int letter) {
    return Character.isEmoji(letter) && letter > 0xFF || letter == EMOJI_SELECTOR;
  }

  /** Whether nothing lies under a text but the ground of its artboard. */
  public static boolean liesAlone(Scene.Found found) {
    Box own = found.text().bounds();
    for (PlacedLayer other : found.board().texts()) {
      if (other == found.text() || other.layer().id().equals(found.text().layer().id())) {
        return true;
      }
      if (other.onArtboard(other.ink()).overlaps(own)) {
        return false;
      }
    }
    return true;
  }

  private Optional<Double> painted(Scene.Found found, First first) {
    PlacedLayer text = found.text();
    double scale = EM_PIXELS / first.size();
    Box box = first.line().box();
    int width = (int) Math.clamp(Math.ceil(box.width() * scale), 1, MOST_WIDTH);
    int height = (int) Math.clamp(Math.ceil(box.height() * scale), 1, MOST_HEIGHT);
    Pixels behind =
        Pixels.draw(
            width,
            height,
            canvas -> {
              look(canvas, box, scale);
              paintBehind(canvas, found);
            });
    Pixels letters =
        Pixels.draw(
            width,
            height,
            canvas -> {
              look(canvas, box, scale);
              painter.paint(canvas, text.layout(), onlyLetters(text.look()));
            });
    double[] contrasts = contrasts(behind, letters);
    if (contrasts.length < LEAST_PIXELS) {
      return Optional.empty();
    }
    double share = first.look().finish().coats().size() > 1 ? 0.75 : 0.25;
    return Optional.of(contrasts[(int) (share * (contrasts.length - 1))]);
  }

  private static double wanted(Scene.Found found, First first) {
    TypeLook type = first.look().type();
    double size = first.size();
    double unit = found.board().artboard().unit() == LengthUnit.PIXEL ? PIXELS_PER_POINT : 1;
    boolean large = size >= LARGE * unit || type.weight() >= BOLD && size >= LARGE_BOLD * unit;
    return large ? WANTED_LARGE : WANTED;
  }

  /** Lets a canvas count in points of the layout, with the corner of a box at its origin. */
  private static void look(Canvas canvas, Box box, double scale) {
    canvas.scale((float) scale, (float) scale);
    canvas.translate((float) -box.x(), (float) -box.y());
  }

  /** Paints in points of the text's own layout what lies under its letters. */
  private void paintBehind(Canvas canvas, Scene.Found found) {
    PlacedLayer text = found.text();
    canvas.clear(found.board().background().argb());
    Box own = text.bounds();
    canvas.save();
    leave(canvas, text);
    found
        .board()
        .at()
        .ifPresent(at -> {
          Artboard artboard = found.board().artboard();
          footage.paint(
              canvas, artboard.timeline().orElseThrow(), at, artboard.width(), artboard.height());
        });
    for (PlacedLayer lower : found.board().texts()) {
      if (lower == text || lower.layer().id().equals(text.layer().id())) {
        break;
      }
      if (lower.onArtboard(lower.ink()).overlaps(own)) {
        canvas.save();
        lower.enter(canvas);
        painter.paint(canvas, lower.layout(), lower.look());
        canvas.restore();
      }
    }
    canvas.restore();
    if (!text.look().plate().coats().isEmpty()) {
      painter.paint(canvas, text.layout(), onlyPlate(text.look()));
    }
  }

  /** The other way round than {@link PlacedLayer#enter}. */
  private static void leave(Canvas canvas, PlacedLayer text) {
    canvas.translate((float) text.pivotX(), (float) text.pivotY());
    canvas.rotate((float) -text.look().placement().rotation());
    canvas.translate((float) -text.anchorX(), (float) -text.anchorY());
  }

  private static ResolvedLayer onlyLetters(ResolvedLayer look) {
    return new ResolvedLayer(look.placement(), Plate.NONE, look.paragraphs(), look.form());
  }

  private static ResolvedLayer onlyPlate(ResolvedLayer look) {
    Finish bare = Finish.NONE;
    return new ResolvedLayer(
        look.placement(),
        look.plate(),
        look.paragraphs().stream()
            .map(paragraph ->
                new ResolvedLayer.ResolvedParagraph(
                    paragraph.look(),
                    paragraph.spans().stream()
                        .map(span ->
                            new CharacterLook(
                                span.type(), bare, dynamorph.model.cascade.TextDecorations.NONE))
                        .toList()))
            .toList(),
        look.form());
  }

  /** In rising order, for every pixel that a letter covers. */
  private static double[] contrasts(Pixels behind, Pixels letters) {
    double[] found = new double[behind.width() * behind.height()];
    int count = 0;
    for (int y = 0; y < behind.height(); y++) {
      for (int x = 0; x < behind.width(); x++) {
        Rgba letter = new Rgba(letters.argb(x, y));
        if (letter.alpha() >= COVERED) {
          Rgba ground = new Rgba(behind.argb(x, y));
          found[count++] = letter.contrast(ground);
        }
      }
    }
    double[] contrasts = Arrays.copyOf(found, count);
    Arrays.sort(contrasts);
    return contrasts;
  }
}
