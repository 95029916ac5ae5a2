package dynamorph.paint.specimen;

import dynamorph.model.Artboard;
import dynamorph.model.timeline.Time;
import dynamorph.paint.Pixels;
import dynamorph.paint.export.ArtboardPicture;
import dynamorph.paint.film.FilmPicture;
import dynamorph.paint.film.FootagePainter;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.paint.scene.Scene;
import dynamorph.typeset.layout.Box;
import java.util.Optional;

/**
 * Pictures of texts where they stand: a title in its frame of the film, a text of an artboard with
 * what is around it. Safe on any thread.
 */
public final class InPlace {
  /** So much of what is around a text is seen, as a share of the text. */
  private static final double AROUND = 0.6;

  /** A small text shows at least this share of its artboard. */
  private static final double LEAST = 0.25;

  private final LayerPainter painter;
  private final FootagePainter footage;

  public InPlace(LayerPainter painter, FootagePainter footage) {
    this.painter = painter;
    this.footage = footage;
  }

  /**
   * A text where it stands.
   *
   * @param width in points
   * @param height in points
   * @param scale pixels per point
   */
  public Pixels of(Scene.Found found, int width, int height, double scale) {
    return found.board().artboard().isFilm()
        ? frame(found, width, height, scale)
        : region(found, width, height, scale);
  }

  /** The moment at which a title is looked at: the middle of its time. */
  public static Time moment(Scene.Found found) {
    return found
        .text()
        .layer()
        .timing()
        .map(own -> own.in().plus(own.length().times(1, 2)))
        .orElse(Time.ZERO);
  }

  private Pixels frame(Scene.Found found, int width, int height, double scale) {
    Artboard film = found.board().artboard();
    double fit = Math.min(width / film.width(), height / film.height());
    return Pixels.draw(
        width,
        height,
        scale,
        canvas -> {
          canvas.translate(
              (float) ((width - film.width() * fit) / 2),
              (float) ((height - film.height() * fit) / 2));
          canvas.scale((float) fit, (float) fit);
          canvas.clipRect(
              io.github.humbleui.types.Rect.makeWH((float) film.width(), (float) film.height()));
          new FilmPicture(painter, footage)
              .paint(canvas, found.board(), moment(found), FilmPicture.Under.FOOTAGE);
        });
  }

  private Pixels region(Scene.Found found, int width, int height, double scale) {
    Box seen = seen(found, width / (double) height);
    double fit = width / seen.width();
    return Pixels.draw(
        width,
        height,
        scale,
        canvas -> {
          canvas.scale((float) fit, (float) fit);
          canvas.translate((float) -seen.x(), (float) -seen.y());
          new ArtboardPicture(painter)
              .paint(canvas, found.board(), Optional.of(found.board().background()));
        });
  }

  /** The part of the artboard that is seen, of the shape of the picture. */
  private static Box seen(Scene.Found found, double shape) {
    Artboard board = found.board().artboard();
    Box text = found.text().onArtboard(found.text().layout().content());
    double width =
        Math.max(
            Math.max(text.width() * (1 + 2 * AROUND), LEAST * board.width()),
            text.height() * (1 + 2 * AROUND) * shape);
    double height = width / shape;
    double x = inside(text.x() + text.width() / 2 - width / 2, width, board.width());
    double y = inside(text.y() + text.height() / 2 - height / 2, height, board.height());
    return new Box(x, y, width, height);
  }

  /** Moved so that as little as possible lies outside. */
  private static double inside(double at, double length, double room) {
    return length >= room ? (room - length) / 2 : Math.clamp(at, 0, room - length);
  }
}
