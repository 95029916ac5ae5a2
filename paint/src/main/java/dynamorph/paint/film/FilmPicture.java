package dynamorph.paint.film;

import static java.util.Objects.requireNonNull;

import dynamorph.model.Artboard;
import dynamorph.model.timeline.Time;
import dynamorph.paint.Pixels;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.paint.message.Messages;
import dynamorph.paint.scene.PlacedLayer;
import dynamorph.paint.scene.Scene;
import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.Data;
import io.github.humbleui.skija.EncoderPNG;
import io.github.humbleui.skija.Image;
import io.github.humbleui.skija.Paint;
import io.github.humbleui.skija.Surface;
import io.github.humbleui.types.Rect;

/** Draws frames of a film: footage, and over it the titles and captions that are seen. */
public final class FilmPicture {
  /** What lies under the titles. */
  public enum Under {
    /** The footage, over the colour of the artboard. */
    FOOTAGE,
    /** Nothing: the picture has an alpha channel. */
    NOTHING
  }

  private final LayerPainter painter;
  private final FootagePainter footage;

  public FilmPicture(LayerPainter painter, FootagePainter footage) {
    this.painter = painter;
    this.footage = footage;
  }

  /**
   * A frame as a PNG file.
   *
   * @param film the artboard of a film with all its texts
   * @param scale pixels per point, positive
   * @throws IllegalArgumentException if the artboard is no film or the picture would be empty
   */
  public byte[] png(Scene.Board film, Time at, double scale, Under under) {
    Artboard artboard = film.artboard();
    int width = (int) Math.round(artboard.width() * scale);
    int height = (int) Math.round(artboard.height() * scale);
    if (!(scale > 0) || width < 1 || height < 1 || (double) width * height > 256e6) {
      throw new IllegalArgumentException(
          Messages.of("film-picture.a-frame-at-scale-would-have", scale, width, height));
    }
    try (Surface surface = Surface.makeRasterN32Premul(width, height)) {
      Canvas canvas = surface.getCanvas();
      canvas.scale((float) (width / artboard.width()), (float) (height / artboard.height()));
      paint(canvas, film, at, under);
      try (Image image = surface.makeImageSnapshot();
          Data data = requireNonNull(EncoderPNG.encode(image))) {
        return data.getBytes();
      }
    }
  }

  /**
   * A frame as a small picture.
   *
   * @param scale pixels per point, positive; a side has one pixel at least
   */
  public Pixels pixels(Scene.Board film, Time at, double scale) {
    Artboard artboard = film.artboard();
    return Pixels.draw(
        artboard.width(),
        artboard.height(),
        scale,
        canvas -> paint(canvas, film, at, Under.FOOTAGE));
  }

  /** Paints in points of the frame. */
  public void paint(Canvas canvas, Scene.Board film, Time at, Under under) {
    Artboard artboard = film.artboard();
    if (under == Under.FOOTAGE) {
      canvas.clear(film.background().argb());
      paintFootage(canvas, film, at);
    } else {
      canvas.clear(0);
    }
    Rect frame = Rect.makeWH((float) artboard.width(), (float) artboard.height());
    for (PlacedLayer text : film.liveAt(at).texts()) {
      double visibility = text.layer().timing().map(timing -> timing.visibility(at)).orElse(1.0);
      canvas.save();
      canvas.clipRect(frame);
      if (visibility < 1) {
        try (Paint faded = new Paint().setAlphaf((float) visibility)) {
          canvas.saveLayer((Rect) null, faded);
        }
      }
      text.enter(canvas);
      painter.paint(canvas, text.layout(), text.look());
      if (visibility < 1) {
        canvas.restore();
      }
      canvas.restore();
    }
  }

  /** Paints the footage alone. */
  public void paintFootage(Canvas canvas, Scene.Board film, Time at) {
    Artboard artboard = film.artboard();
    artboard
        .timeline()
        .ifPresent(line -> footage.paint(canvas, line, at, artboard.width(), artboard.height()));
  }
}
