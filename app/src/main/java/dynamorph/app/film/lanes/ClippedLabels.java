package dynamorph.app.film.lanes;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.function.ToDoubleFunction;
import javafx.scene.text.Font;
import javafx.scene.text.Text;

/**
 * Words cut to the room that there is. To draw them clipped would take a picture of all lanes for
 * each block.
 */
final class ClippedLabels {
  private static final int KNOWN = 4000;

  /**
   * In less room than this, in pixels, a sign that there are more letters would take their place.
   */
  private static final double ROOM_FOR_SIGN = 64;

  private final ToDoubleFunction<String> measure;
  private final Cache<String, Double> widths =
      Caffeine.newBuilder().executor(Runnable::run).maximumSize(KNOWN).build();

  /**
   * @param measure how wide words are, in pixels
   */
  ClippedLabels(ToDoubleFunction<String> measure) {
    this.measure = measure;
  }

  /** In a font; to be used where the window is. */
  static ClippedLabels in(Font font) {
    Text text = new Text();
    text.setFont(font);
    return new ClippedLabels(words -> {
      text.setText(words);
      return text.getLayoutBounds().getWidth();
    });
  }

  /**
   * The words, or as many letters of them as fit, where there is room with a sign that there are
   * more; nothing if not even one fits.
   *
   * @param room pixels
   */
  String fitting(String words, double room) {
    // longer words than this are never seen whole
    String shown = words.length() > 200 ? words.substring(0, 200) : words;
    if (width(shown) <= room) {
      return shown;
    }
    String sign = room < ROOM_FOR_SIGN ? "" : "\u2026";
    int fits = 0;
    int tooMany = shown.length();
    while (fits + 1 < tooMany) {
      int middle = (fits + tooMany) / 2;
      if (width(cut(shown, middle) + sign) <= room) {
        fits = middle;
      } else {
        tooMany = middle;
      }
    }
    return fits == 0 ? "" : cut(shown, fits) + sign;
  }

  private static String cut(String words, int length) {
    int end = Character.isHighSurrogate(words.charAt(length - 1)) ? length - 1 : length;
    return words.substring(0, end).stripTrailing();
  }

  private double width(String words) {
    return widths.get(words, measure::applyAsDouble);
  }
}
