package dynamorph.paint.film;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dynamorph.model.timeline.Media.Scenery;
import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.ColorAlphaType;
import io.github.humbleui.skija.ColorType;
import io.github.humbleui.skija.Image;
import io.github.humbleui.skija.ImageInfo;
import io.github.humbleui.skija.Paint;
import io.github.humbleui.skija.PaintMode;
import io.github.humbleui.skija.PaintStrokeCap;
import io.github.humbleui.skija.Path;
import io.github.humbleui.skija.PathBuilder;
import io.github.humbleui.skija.Pixmap;
import io.github.humbleui.skija.SamplingMode;
import io.github.humbleui.skija.Shader;
import io.github.humbleui.skija.Surface;
import io.github.humbleui.types.Point;
import io.github.humbleui.types.Rect;
import java.nio.ByteOrder;
import java.nio.IntBuffer;

/**
 * Moving pictures of a clockwork, drawn by code: the same second always gives the same picture, on
 * any machine and at any size.
 */
final class ClockworkFootage {
  private static final int BRASS = 0xFF8A5A2B;
  private static final int LIGHT_BRASS = 0xFFB07A3E;
  private static final int NIGHT = 0xFF1D3540;
  private static final int RUST = 0xFF6A4A35;
  private static final int DUSK = 0xFF22313F;
  private static final int MOSS = 0xFF2F5A4C;
  private static final int IVORY = 0xFFF0E6D2;
  private static final int SAND = 0xFFCDB891;
  private static final int INK = 0xFF2A2A2A;

  private ClockworkFootage() {}

  /**
   * Paints a scene into a frame that begins at the origin.
   *
   * @param seconds since it began
   */
  static void paint(Canvas canvas, Scenery scenery, double seconds, double width, double height) {
    // drawn in a frame 1000 wide; the middle is what counts
    double unit = Math.max(width / 1000, height / 562.5);
    try (Paint paint = new Paint().setAntiAlias(true)) {
      switch (scenery) {
        case GEARS -> {
          ground(canvas, paint, NIGHT, RUST, width, height);
          enter(canvas, width, height, unit);
          gears(canvas, paint, seconds);
        }
        case PENDULUM -> {
          ground(canvas, paint, DUSK, MOSS, width, height);
          enter(canvas, width, height, unit);
          pendulum(canvas, paint, seconds);
        }
        case DIAL -> {
          ground(canvas, paint, IVORY, SAND, width, height);
          enter(canvas, width, height, unit);
          dial(canvas, paint, seconds);
        }
      }
      canvas.restore();
    }
  }

  private static void enter(Canvas canvas, double width, double height, double unit) {
    canvas.save();
    canvas.translate((float) (width / 2), (float) (height / 2));
    canvas.scale((float) unit, (float) unit);
  }

  /** Pixels of all grounds that are kept: 64 MB, so that those in use stay. */
  private static final long MOST_PIXELS = 16L << 20;

  /** Grounds that were painted, by their pixels; a film has few sizes at a time. */
  private static final Cache<Ground, Image> GROUNDS =
      Caffeine.newBuilder()
          .maximumWeight(MOST_PIXELS)
          .weigher((Ground ground, Image _) -> ground.width * ground.height)
          .build();

  /** A ground, in device pixels. */
  private record Ground(int from, int to, int width, int height) {}

  /** The ground stands still, and mixing its colours anew costs more than all that moves. */
  private static void ground(
      Canvas canvas, Paint paint, int from, int to, double width, double height) {
    float[] matrix = canvas.getLocalToDeviceAsMatrix33().getMat();
    int across = (int) Math.max(1, Math.round(width * matrix[0]));
    int down = (int) Math.max(1, Math.round(height * matrix[4]));
    if ((long) across * down > LARGEST_GROUND) {
      mix(canvas, paint, from, to, width, height);
      return;
    }
    canvas.drawImageRect(
        GROUNDS.get(new Ground(from, to, across, down), ClockworkFootage::mixed),
        Rect.makeWH(across, down),
        Rect.makeWH((float) width, (float) height),
        SamplingMode.DEFAULT,
        null,
        true);
  }

  /** Pixels of a ground that is kept, at most. */
  private static final long LARGEST_GROUND = 4096L * 2304;

  /**
   * Two colours from corner to corner. Every row is the one above it, some pixels further along, so
   * that one long row is mixed and the rest copied: fifteen times as fast as a shader here.
   */
  private static Image mixed(Ground ground) {
    double across = ground.width;
    double down = ground.height;
    double further = down / across;
    int[] row = new int[ground.width + (int) Math.ceil(down * further) + 1];
    double step = across / (across * across + down * down);
    for (int x = 0; x < row.length; x++) {
      row[x] = between(ground.from, ground.to, Math.min(1, (x + 0.5) * step));
    }
    ImageInfo info =
        new ImageInfo(ground.width, ground.height, ColorType.BGRA_8888, ColorAlphaType.OPAQUE);
    try (Surface surface = Surface.makeRaster(info);
        Pixmap pixels = new Pixmap()) {
      surface.peekPixels(pixels);
      IntBuffer into = pixels.getBuffer().order(ByteOrder.LITTLE_ENDIAN).asIntBuffer();
      for (int y = 0; y < ground.height; y++) {
        into.position((int) (y * (pixels.getRowBytes() / 4)));
        into.put(row, (int) Math.round((y + 0.5) * further), ground.width);
      }
      return surface.makeImageSnapshot();
    }
  }

  private static int between(int from, int to, double share) {
    int mixed = 0xFF << 24;
    for (int shift = 0; shift <= 16; shift += 8) {
      int one = from >> shift & 0xFF;
      int other = to >> shift & 0xFF;
      mixed |= (int) Math.round(one + (other - one) * share) << shift;
    }
    return mixed;
  }

  private static void mix(
      Canvas canvas, Paint paint, int from, int to, double width, double height) {
    try (Shader shader =
        Shader.makeLinearGradient(
            new Point(0, 0), new Point((float) width, (float) height), new int[] {from, to})) {
      paint.setShader(shader);
      canvas.drawRect(Rect.makeWH((float) width, (float) height), paint);
      paint.setShader(null);
    }
  }

  private static void gears(Canvas canvas, Paint paint, double seconds) {
    double turn = seconds * 12;
    gear(canvas, paint, -225, -40, 150, 24, turn);
    // half as many teeth turn twice as fast, the other way, half a tooth ahead
    gear(canvas, paint, -225 + 237, 24, 75, 12, -2 * turn + 15 + 30 * 0.5);
    gear(canvas, paint, 300, -150, 104, 16, 1.5 * turn);
  }

  private static void gear(
      Canvas canvas, Paint paint, double x, double y, double radius, int teeth, double degrees) {
    canvas.save();
    canvas.translate((float) x, (float) y);
    canvas.rotate((float) (degrees % 360));
    double deep = 19;
    try (PathBuilder builder = new PathBuilder()) {
      for (int tooth = 0; tooth < teeth; tooth++) {
        double middle = 2 * Math.PI * tooth / teeth;
        double step = 2 * Math.PI / teeth;
        corner(builder, radius - deep, middle - step * 0.32, tooth == 0);
        corner(builder, radius + deep / 2, middle - step * 0.18, false);
        corner(builder, radius + deep / 2, middle + step * 0.18, false);
        corner(builder, radius - deep, middle + step * 0.32, false);
      }
      builder.closePath();
      builder.addCircle(0, 0, (float) (radius * 0.66));
      builder.setFillMode(io.github.humbleui.skija.PathFillMode.EVEN_ODD);
      try (Path path = builder.build()) {
        paint.setMode(PaintMode.FILL).setColor(BRASS);
        canvas.drawPath(path, paint);
      }
    }
    paint.setMode(PaintMode.STROKE).setColor(LIGHT_BRASS).setStrokeWidth((float) (radius * 0.07));
    canvas.drawCircle(0, 0, (float) (radius * 0.7), paint);
    paint.setColor(BRASS).setStrokeWidth((float) (radius * 0.12));
    for (int spoke = 0; spoke < 5; spoke++) {
      double angle = 2 * Math.PI * spoke / 5;
      canvas.drawLine(
          0,
          0,
          (float) (Math.cos(angle) * radius * 0.68),
          (float) (Math.sin(angle) * radius * 0.68),
          paint);
    }
    paint.setMode(PaintMode.FILL).setColor(LIGHT_BRASS);
    canvas.drawCircle(0, 0, (float) (radius * 0.17), paint);
    canvas.restore();
  }

  private static void corner(PathBuilder builder, double radius, double angle, boolean first) {
    float x = (float) (Math.cos(angle) * radius);
    float y = (float) (Math.sin(angle) * radius);
    if (first) {
      builder.moveTo(x, y);
    } else {
      builder.lineTo(x, y);
    }
  }

  /** Swings once in two seconds, 14 degrees to each side. */
  private static void pendulum(Canvas canvas, Paint paint, double seconds) {
    double angle = 14 * Math.cos(Math.PI * seconds);
    // the wheel goes on by one tooth at each end of the swing
    double ticks = Math.floor(seconds);
    double since = seconds - ticks;
    double wheel = 12 * (ticks + Math.min(1, since * 8));
    gear(canvas, paint, 0, -215, 62, 30, wheel);
    canvas.save();
    canvas.translate(0, -240);
    canvas.rotate((float) angle);
    paint
        .setMode(PaintMode.STROKE)
        .setStrokeCap(PaintStrokeCap.ROUND)
        .setColor(LIGHT_BRASS)
        .setStrokeWidth(9);
    canvas.drawLine(0, 0, 0, 380, paint);
    paint.setMode(PaintMode.FILL).setColor(BRASS);
    canvas.drawCircle(0, 396, 62, paint);
    paint.setColor(LIGHT_BRASS);
    canvas.drawCircle(0, 396, 46, paint);
    paint.setColor(BRASS);
    canvas.drawCircle(0, 396, 12, paint);
    canvas.restore();
  }

  /** The long hand goes round in a minute, the short one in twelve. */
  private static void dial(Canvas canvas, Paint paint, double seconds) {
    paint.setMode(PaintMode.FILL).setColor(0xFFFBF6EA);
    canvas.drawCircle(0, 0, 236, paint);
    paint.setMode(PaintMode.STROKE).setColor(BRASS).setStrokeWidth(14);
    canvas.drawCircle(0, 0, 236, paint);
    for (int mark = 0; mark < 60; mark++) {
      double angle = 2 * Math.PI * mark / 60;
      boolean hour = mark % 5 == 0;
      double inner = hour ? 188 : 208;
      paint.setColor(INK).setStrokeWidth(hour ? 9 : 3);
      canvas.drawLine(
          (float) (Math.cos(angle) * inner),
          (float) (Math.sin(angle) * inner),
          (float) (Math.cos(angle) * 218),
          (float) (Math.sin(angle) * 218),
          paint);
    }
    hand(canvas, paint, 300 + seconds * 0.5, 122, 15);
    hand(canvas, paint, 40 + seconds * 6, 176, 9);
    paint.setMode(PaintMode.FILL).setColor(BRASS);
    canvas.drawCircle(0, 0, 15, paint);
  }

  private static void hand(
      Canvas canvas, Paint paint, double degrees, double length, double thick) {
    double angle = Math.toRadians(degrees - 90);
    paint.setMode(PaintMode.STROKE).setStrokeCap(PaintStrokeCap.ROUND).setColor(INK);
    paint.setStrokeWidth((float) thick);
    canvas.drawLine(
        (float) (-Math.cos(angle) * 26),
        (float) (-Math.sin(angle) * 26),
        (float) (Math.cos(angle) * length),
        (float) (Math.sin(angle) * length),
        paint);
  }
}
