package dynamorph.paint.specimen;

import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timeline;
import dynamorph.model.value.Rgba;
import dynamorph.paint.film.FootagePainter;
import io.github.humbleui.skija.Canvas;

/** What a specimen is painted on. */
public sealed interface Backdrop {
  /** One colour. */
  record Plain(Rgba colour) implements Backdrop {
    @Override
    public void paint(Canvas canvas, double width, double height) {
      canvas.clear(colour.argb());
    }
  }

  /**
   * A frame of a film: as wide as the specimen, and of it the part where titles mostly stand.
   *
   * @param shape width of the frame over its height
   * @param under the colour where no footage is
   */
  record FilmFrame(FootagePainter footage, Timeline timeline, Time at, double shape, Rgba under)
      implements Backdrop {
    /** How far down titles mostly stand, as a share of the height. */
    private static final double LOWER = 0.72;

    @Override
    public void paint(Canvas canvas, double width, double height) {
      canvas.clear(under.argb());
      double all = Math.max(height, width / shape);
      double hidden = Math.clamp(all * LOWER - height / 2, 0, all - height);
      canvas.save();
      canvas.translate(0, (float) -hidden);
      footage.paint(canvas, timeline, at, width, all);
      canvas.restore();
    }
  }

  /** Covers a canvas that counts in points. */
  void paint(Canvas canvas, double width, double height);
}
