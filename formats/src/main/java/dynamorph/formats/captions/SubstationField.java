package dynamorph.formats.captions;

import dynamorph.model.value.Numbers;
import dynamorph.model.value.Rgba;
import java.util.Locale;
import java.util.Optional;

/** A part of the look of words, as styles and override codes of SubStation Alpha tell it. */
enum SubstationField {
  FONT(Kind.NAME, "fontname", "fn", "Arial"),
  /** Height of the cell of letters, in units of the script. */
  SIZE(Kind.NUMBER, "fontsize", "fs", 18.0),
  FILL(Kind.COLOUR, "primarycolour", "1", Rgba.WHITE),
  BORDER_COLOUR(Kind.COLOUR, "outlinecolour", "3", Rgba.BLACK),
  SHADOW_COLOUR(Kind.COLOUR, "backcolour", "4", Rgba.BLACK),
  /** The weight of the face, from 1 to 1000. */
  WEIGHT(Kind.WEIGHT, "bold", "b", 400.0),
  ITALIC(Kind.FLAG, "italic", "i", false),
  UNDERLINE(Kind.FLAG, "underline", "u", false),
  STRIKE(Kind.FLAG, "strikeout", "s", false),
  SCALE_X(Kind.NUMBER, "scalex", "fscx", 100.0),
  SCALE_Y(Kind.NUMBER, "scaley", "fscy", 100.0),
  /** Behind each letter, in units of the script. */
  SPACING(Kind.NUMBER, "spacing", "fsp", 0.0),
  /** Whether the border is a box behind the words. */
  BOX(Kind.BOX, "borderstyle", "", false),
  BORDER(Kind.NUMBER, "outline", "bord", 2.0),
  SHADOW_X(Kind.NUMBER, "shadow", "xshad", 2.0),
  SHADOW_Y(Kind.NUMBER, "shadow", "yshad", 2.0);

  /** How values are written. */
  enum Kind {
    NAME,
    NUMBER,
    COLOUR,
    WEIGHT,
    FLAG,
    BOX
  }

  private static final double BOLD = 700;
  private static final double REGULAR = 400;

  private final Kind kind;
  private final String column;
  private final String code;
  private final Object usual;

  SubstationField(Kind kind, String column, String code, Object usual) {
    this.kind = kind;
    this.column = column;
    this.code = code;
    this.usual = usual;
  }

  Kind kind() {
    return kind;
  }

  /** Its column in the table of styles, in small letters. */
  String column() {
    return column;
  }

  /** Its override code; of a colour the number of the colour; empty if there is none. */
  String code() {
    return code;
  }

  /** What it is where nothing is said. */
  Object usual() {
    return usual;
  }

  /** A value of a style; empty if it cannot be read. */
  Optional<Object> inStyle(String text) {
    String plain = text.strip();
    return switch (kind) {
      case NAME -> Optional.of(plain).filter(name -> !name.isEmpty()).map(SubstationField::family);
      case NUMBER -> number(plain).map(Object.class::cast);
      case COLOUR -> colour(plain).map(Object.class::cast);
      case FLAG -> number(plain).map(value -> value != 0);
      case WEIGHT ->
          number(plain).flatMap(value -> weight(value == -1 ? 1 : value)).map(Object.class::cast);
      case BOX -> number(plain).map(value -> value >= 3);
    };
  }

  /** A weight: 0 and 1 say whether letters are bold, from 100 on how bold they are. */
  static Optional<Double> weight(double value) {
    return value == 0
        ? Optional.of(REGULAR)
        : value == 1
            ? Optional.of(BOLD)
            : Optional.of(value).filter(given -> given >= 100 && given <= 1000);
  }

  /** A family; an at sign before it turns its letters for vertical lines. */
  static String family(String name) {
    return name.startsWith("@") ? name.substring(1) : name;
  }

  static Optional<Double> number(String text) {
    return text.matches("[-+]?(\\d{1,9}(\\.\\d{0,9})?|\\.\\d{1,9})")
        ? Optional.of(Double.parseDouble(text))
        : Optional.empty();
  }

  /** A colour as {@code &HAABBGGRR} or as a number; an alpha of 0 lets nothing show through. */
  static Optional<Rgba> colour(String text) {
    String digits = text.strip().replaceAll("(?i)^&?H?|&$", "");
    boolean hex = text.strip().toUpperCase(Locale.ROOT).matches("&?H.*");
    if (!digits.matches(hex ? "[0-9A-Fa-f]{1,8}" : "-?\\d{1,10}")) {
      return Optional.empty();
    }
    long value = Long.parseLong(digits, hex ? 16 : 10) & 0xFFFFFFFFL;
    int alpha = 0xFF - (int) (value >> 24);
    int blue = (int) (value >> 16) & 0xFF;
    int green = (int) (value >> 8) & 0xFF;
    int red = (int) value & 0xFF;
    return Optional.of(new Rgba(alpha << 24 | red << 16 | green << 8 | blue));
  }

  /** A value as a style has it. */
  String written(Object value) {
    return switch (kind) {
      case NAME -> ((String) value).replace(',', ' ');
      case NUMBER -> Numbers.format((double) value);
      case COLOUR -> {
        Rgba colour = (Rgba) value;
        yield String.format(
            Locale.ROOT,
            "&H%02X%02X%02X%02X",
            0xFF - colour.alpha(),
            colour.blue(),
            colour.green(),
            colour.red());
      }
      case FLAG -> (boolean) value ? "-1" : "0";
      case WEIGHT -> {
        double weight = (double) value;
        yield weight == REGULAR ? "0" : weight == BOLD ? "-1" : Numbers.format(weight);
      }
      case BOX -> (boolean) value ? "3" : "1";
    };
  }
}
