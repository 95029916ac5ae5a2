package dynamorph.model.value;

import dynamorph.model.message.Messages;
import java.util.Objects;

/** A colour as a project holds it: a literal, or a swatch of the palette that stays live. */
public sealed interface Colour {
  /** A colour of its own. */
  record Literal(Rgba value) implements Colour {
    public Literal {
      Objects.requireNonNull(value, "value");
    }

    @Override
    public String toString() {
      return value.toString();
    }
  }

  /** Whatever the swatch with this id is now. */
  record SwatchReference(String swatch) implements Colour {
    /** What stands before the id in files and on the command line. */
    public static final String PREFIX = "swatch:";

    public SwatchReference {
      if (!swatch.matches("[a-z0-9][a-z0-9-]*")) {
        throw new IllegalArgumentException(Messages.of("colour.a-swatch-id-is-made-of", swatch));
      }
    }

    @Override
    public String toString() {
      return PREFIX + swatch;
    }
  }

  static Colour of(Rgba value) {
    return new Literal(value);
  }

  static Colour hex(String text) {
    return new Literal(Rgba.parse(text));
  }

  static Colour swatch(String id) {
    return new SwatchReference(id);
  }

  /** Reads {@code #rrggbb}, {@code #rrggbbaa} or {@code swatch:id}. */
  static Colour parse(String text) {
    String plain = text.strip();
    return plain.startsWith(SwatchReference.PREFIX)
        ? swatch(plain.substring(SwatchReference.PREFIX.length()))
        : hex(plain);
  }
}
