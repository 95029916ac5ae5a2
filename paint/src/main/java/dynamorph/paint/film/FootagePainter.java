package dynamorph.paint.film;

import dynamorph.model.Project;
import dynamorph.model.timeline.Clip;
import dynamorph.model.timeline.FrameRate;
import dynamorph.model.timeline.Media;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timeline;
import dynamorph.paint.Pixels;
import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.Image;
import io.github.humbleui.skija.Paint;
import io.github.humbleui.skija.PaintMode;
import io.github.humbleui.skija.SamplingMode;
import io.github.humbleui.types.Rect;

/** Paints what lies under the titles of a film. */
public final class FootagePainter {
  private static final int GAP_COLOUR = 0xFF3A3F44;
  private static final int GAP_STRIPE = 0xFF454B51;

  private final MediaSource media;

  public FootagePainter(MediaSource media) {
    this.media = media;
  }

  /**
   * Paints the footage of films of a project, with the pictures that it carries.
   *
   * @param others gives what the project does not carry
   */
  public static FootagePainter of(Project project, MediaSource others) {
    return new FootagePainter(new ProjectStills(project.assets(), others));
  }

  /**
   * Paints the footage at a moment over a frame that begins at the canvas's origin; nothing where
   * no clip is.
   *
   * @param width of the frame, in points
   * @param height of the frame, in points
   */
  public void paint(Canvas canvas, Timeline timeline, Time at, double width, double height) {
    timeline.tracks().reversed().stream()
        .filter(track -> !track.state().hidden())
        .forEach(track -> {
          if (track instanceof dynamorph.model.timeline.Track.Footage footage) {
            footage
                .at(at)
                .ifPresent(clip -> paint(canvas, clip, at, timeline.rate(), width, height));
          }
        });
  }

  /** Whether what is painted at a moment leaves nothing of what is below, as far as is known. */
  public boolean covers(Timeline timeline, Time at) {
    return timeline.tracks().stream()
        .filter(track -> !track.state().hidden())
        .anyMatch(track ->
            track instanceof dynamorph.model.timeline.Track.Footage footage
                && footage
                    .at(at)
                    .filter(
                        clip -> clip.media() instanceof Media.Drawn || media.isOpaque(clip.media()))
                    .isPresent());
  }

  /**
   * A small picture of how a clip begins.
   *
   * @param width of the frame, in points
   * @param height of the frame, in points
   * @param pixelWidth of the picture
   * @param pixelHeight of the picture
   */
  public Pixels beginning(
      Clip clip, FrameRate rate, double width, double height, int pixelWidth, int pixelHeight) {
    return Pixels.draw(
        pixelWidth,
        pixelHeight,
        canvas -> {
          canvas.scale((float) (pixelWidth / width), (float) (pixelHeight / height));
          paint(canvas, clip, clip.in(), rate, width, height);
        });
  }

  private void paint(
      Canvas canvas, Clip clip, Time at, FrameRate rate, double width, double height) {
    Time inside = clip.mediaTime(at);
    canvas.save();
    canvas.clipRect(Rect.makeWH((float) width, (float) height));
    if (clip.media() instanceof Media.Drawn(Media.Scenery scenery)) {
      ClockworkFootage.paint(canvas, scenery, inside.seconds(), width, height);
    } else {
      MediaSource.Room room = room(canvas, width, height);
      boolean seen =
          media.show(
              clip.media(),
              inside,
              rate,
              room,
              picture -> cover(canvas, picture, width, height, room));
      if (!seen) {
        paintGap(canvas, width, height);
      }
    }
    canvas.restore();
  }

  private static MediaSource.Room room(Canvas canvas, double width, double height) {
    float[] matrix = canvas.getLocalToDeviceAsMatrix33().getMat();
    boolean upright = matrix[1] == 0 && matrix[3] == 0 && matrix[0] > 0 && matrix[4] > 0;
    return upright
        ? new MediaSource.Room(
            (int) Math.round(width * matrix[0]), (int) Math.round(height * matrix[4]))
        : MediaSource.Room.ANY;
  }

  /** Fills the frame with a picture, cutting what is too much. */
  private static void cover(
      Canvas canvas, Image image, double width, double height, MediaSource.Room room) {
    double scale = Math.max(width / image.getWidth(), height / image.getHeight());
    double across = image.getWidth() * scale;
    double down = image.getHeight() * scale;
    // pixel on pixel there is nothing to be mixed, which takes most of the time
    boolean same =
        Math.abs(across / width * room.width() - image.getWidth()) <= 1
            && Math.abs(down / height * room.height() - image.getHeight()) <= 1;
    canvas.drawImageRect(
        image,
        Rect.makeWH(image.getWidth(), image.getHeight()),
        Rect.makeXYWH(
            (float) ((width - across) / 2),
            (float) ((height - down) / 2),
            (float) across,
            (float) down),
        same ? SamplingMode.DEFAULT : SamplingMode.LINEAR,
        null,
        true);
  }

  /** Stripes that stand in for media that is missing. */
  private static void paintGap(Canvas canvas, double width, double height) {
    double step = Math.max(4, width / 24);
    try (Paint paint = new Paint().setColor(GAP_COLOUR)) {
      canvas.drawRect(Rect.makeWH((float) width, (float) height), paint);
      paint.setColor(GAP_STRIPE).setMode(PaintMode.STROKE).setStrokeWidth((float) (step * 0.5));
      paint.setAntiAlias(true);
      for (double x = -height; x < width + step; x += step * 1.5) {
        canvas.drawLine((float) x, (float) height, (float) (x + height), 0, paint);
      }
    }
  }
}
