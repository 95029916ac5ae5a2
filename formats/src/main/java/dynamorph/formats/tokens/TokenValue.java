package dynamorph.formats.tokens;

import dynamorph.model.value.Rgba;
import dynamorph.model.value.StrokeCap;
import java.util.List;
import java.util.Optional;

/** The value of a token, with every alias followed. */
public sealed interface TokenValue {
  /**
   * A colour.
   *
   * @param token path of the token that an alias named, if the colour is not written out
   */
  record OfColour(Rgba rgba, Optional<String> token) implements TokenValue {
    static OfColour of(Rgba rgba) {
      return new OfColour(rgba, Optional.empty());
    }
  }

  /** A length on the screen, in CSS pixels; a {@code rem} is 16 of them. */
  record Dimension(double pixels) implements TokenValue {}

  /** Font families, the most wanted first; never empty. */
  record FontFamily(List<String> names) implements TokenValue {
    public FontFamily {
      names = List.copyOf(names);
    }
  }

  /** From 1 to 1000. */
  record FontWeight(double weight) implements TokenValue {}

  record Duration(double seconds) implements TokenValue {}

  /** The two inner points of a curve from (0, 0) to (1, 1). */
  record CubicBezier(double x1, double y1, double x2, double y2) implements TokenValue {}

  record Number(double number) implements TokenValue {}

  /**
   * How a line is drawn.
   *
   * @param keyword one of CSS's line styles, such as {@code dotted}; empty where dashes are given
   * @param dashes dashes and gaps in turn
   */
  record StrokeStyle(String keyword, List<Dimension> dashes, StrokeCap cap) implements TokenValue {
    static final StrokeStyle SOLID = new StrokeStyle("solid", List.of(), StrokeCap.BUTT);

    public StrokeStyle {
      dashes = List.copyOf(dashes);
    }
  }

  record Border(OfColour colour, Dimension width, StrokeStyle style) implements TokenValue {}

  record Transition(Duration duration, Duration delay, CubicBezier timing) implements TokenValue {}

  /** One shadow or several, the topmost first. */
  record Shadow(List<Layer> layers) implements TokenValue {
    public Shadow {
      layers = List.copyOf(layers);
    }

    record Layer(
        OfColour colour,
        Dimension x,
        Dimension y,
        Dimension blur,
        Dimension spread,
        boolean inset) {}
  }

  record Gradient(List<Stop> stops) implements TokenValue {
    public Gradient {
      stops = List.copyOf(stops);
    }

    /**
     * A colour and its place.
     *
     * @param position 0 to 1
     */
    record Stop(OfColour colour, double position) {}
  }

  /**
   * How letters are set.
   *
   * @param lineHeight as a multiple of the size
   */
  record Typography(
      FontFamily family,
      Dimension size,
      FontWeight weight,
      Dimension letterSpacing,
      Number lineHeight)
      implements TokenValue {}
}
