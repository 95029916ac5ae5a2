package dynamorph.app.artboards.stage;

import dynamorph.app.theme.Theme;
import dynamorph.paint.stage.View;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;

/** Rulers along the edges of the stage, in the units of the artboard or film in the middle. */
final class StageRulers {
  /** How wide they are, in pixels of the window. */
  static final double WIDTH = 18;

  /** No numbers are closer than this, in pixels of the window. */
  private static final double LEAST_STEP = 56;

  private static final Font NUMBERS = Font.font("Source Sans 3", 10);
  private static final double[] ROUND = {1, 2, 5};

  private StageRulers() {}

  /**
   * How far apart numbers are, in points: 1, 2 or 5 times a power of ten.
   *
   * @param scale pixels of the window for a point
   */
  static double step(double scale) {
    double least = LEAST_STEP / scale;
    double power = Math.pow(10, Math.floor(Math.log10(least)));
    for (double round : ROUND) {
      if (round * power >= least * (1 - 1e-9)) {
        return round * power;
      }
    }
    return 10 * power;
  }

  /**
   * Draws both.
   *
   * @param originX of the artboard on the plane, in points
   * @param ratio pixels of the view for one of the window
   */
  static void draw(
      GraphicsContext g, View view, double ratio, double originX, double originY, Theme theme) {
    double width = g.getCanvas().getWidth();
    double height = g.getCanvas().getHeight();
    double scale = view.scale() / ratio;
    double zeroX = view.toPixelX(originX) / ratio;
    double zeroY = view.toPixelY(originY) / ratio;
    boolean light = theme.stage().red() > 128;
    Color ground = light ? Color.web("#F7F4ED", 0.94) : Color.web("#2A2724", 0.94);
    Color ink = light ? Color.web("#69757F") : Color.web("#B3A99C");
    g.setFill(ground);
    g.fillRect(0, 0, width, WIDTH);
    g.fillRect(0, WIDTH, WIDTH, height - WIDTH);
    g.setStroke(ink.deriveColor(0, 1, 1, 0.55));
    g.setFill(ink);
    g.setFont(NUMBERS);
    g.setLineWidth(1);
    g.setTextBaseline(VPos.TOP);
    double step = step(scale);
    for (double at = Math.ceil((WIDTH - zeroX) / scale / step) * step;
        zeroX + at * scale < width;
        at += step) {
      double x = Math.round(zeroX + at * scale) + 0.5;
      g.strokeLine(x, 4, x, WIDTH);
      g.fillText(number(at), x + 3, 2);
      small(g, x, step * scale, true);
    }
    for (double at = Math.ceil((WIDTH - zeroY) / scale / step) * step;
        zeroY + at * scale < height;
        at += step) {
      double y = Math.round(zeroY + at * scale) + 0.5;
      g.strokeLine(4, y, WIDTH, y);
      g.save();
      g.translate(2, y + 3);
      g.rotate(90);
      g.fillText(number(at), 0, -12);
      g.restore();
      small(g, y, step * scale, false);
    }
    g.setFill(ground);
    g.fillRect(0, 0, WIDTH, WIDTH);
  }

  /** Four lines between two numbers. */
  private static void small(GraphicsContext g, double from, double step, boolean across) {
    for (int part = 1; part < 5; part++) {
      double at = Math.round(from + step * part / 5) + 0.5;
      if (across) {
        g.strokeLine(at, WIDTH - 4, at, WIDTH);
      } else {
        g.strokeLine(WIDTH - 4, at, WIDTH, at);
      }
    }
  }

  private static String number(double value) {
    double rounded = Math.round(value * 100) / 100.0;
    return rounded == Math.rint(rounded) ? String.valueOf((long) rounded) : String.valueOf(rounded);
  }
}
