package dynamorph.formats.tokens;

import java.util.Arrays;
import java.util.Optional;

/** What a token says, by the name that {@code $type} gives it (Format Module, 8 and 9). */
public enum TokenType {
  COLOR("color"),
  DIMENSION("dimension"),
  FONT_FAMILY("fontFamily"),
  FONT_WEIGHT("fontWeight"),
  DURATION("duration"),
  CUBIC_BEZIER("cubicBezier"),
  NUMBER("number"),
  STROKE_STYLE("strokeStyle"),
  BORDER("border"),
  TRANSITION("transition"),
  SHADOW("shadow"),
  GRADIENT("gradient"),
  TYPOGRAPHY("typography");

  private final String written;

  TokenType(String written) {
    this.written = written;
  }

  /** The name as files write it. */
  public String written() {
    return written;
  }

  static Optional<TokenType> named(String written) {
    return Arrays.stream(values()).filter(type -> type.written.equals(written)).findFirst();
  }
}
