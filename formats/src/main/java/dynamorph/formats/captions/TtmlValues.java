package dynamorph.formats.captions;

import dynamorph.formats.css.CssColours;
import dynamorph.formats.message.Messages;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.Alignment;
import dynamorph.model.value.Anchor;
import dynamorph.model.value.Colour;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Leading;
import dynamorph.model.value.Slant;
import dynamorph.model.value.WritingMode;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * What the attributes of TTML's styling namespace mean in our properties (Timed Text Markup
 * Language 2, 10.2). What we have nothing for is told in a remark.
 *
 * @param frame the frame that captions stand in
 * @param rows of the grid of cells
 * @param pixels width and height that lengths in pixels are parts of
 * @param remarks takes what is left out
 */
record TtmlValues(FrameBox frame, double rows, Optional<double[]> pixels, List<Remark> remarks) {
  /** The values of one attribute. */
  PropertySet of(String name, String text, int line) {
    PropertySet none = PropertySet.EMPTY;
    Optional<PropertySet> read =
        switch (name) {
          case "color" ->
              CssColours.parseTtml(text)
                  .map(rgba -> none.with(Properties.COAT_COLOUR.at(CueCss.FILL), Colour.of(rgba)));
          case "backgroundColor" ->
              CssColours.parseTtml(text)
                  .map(rgba -> rgba.alpha() == 0 ? none : CueCss.ground(rgba));
          case "fontFamily" -> {
            String family = text.split(",", 2)[0].replaceAll("[\"']", "").strip();
            boolean generic =
                family.matches(
                    "default|monospace|sansSerif|serif|monospaceSansSerif|monospaceSerif"
                        + "|proportionalSansSerif|proportionalSerif");
            yield Optional.of(generic ? none : none.with(Properties.FONT_FAMILY, family));
          }
          case "fontSize" -> size(text).map(size -> none.with(Properties.SIZE, size));
          case "fontWeight" ->
              Optional.of(none.with(Properties.FONT_WEIGHT, text.equals("bold") ? 700.0 : 400.0));
          case "fontStyle" ->
              Optional.of(
                  none.with(
                      Properties.SLANT, text.equals("normal") ? Slant.UPRIGHT : Slant.ITALIC));
          case "textDecoration" ->
              Optional.of(
                  none.with(Properties.UNDERLINE, List.of(text.split("\\s+")).contains("underline"))
                      .with(Properties.STRIKE, List.of(text.split("\\s+")).contains("lineThrough"))
                      .with(Properties.OVERLINE, List.of(text.split("\\s+")).contains("overline")));
          case "textAlign" ->
              switch (text) {
                case "left" -> Optional.of(none.with(Properties.ALIGNMENT, Alignment.LEFT));
                case "right" -> Optional.of(none.with(Properties.ALIGNMENT, Alignment.RIGHT));
                case "start" -> Optional.of(none.with(Properties.ALIGNMENT, Alignment.START));
                case "end" -> Optional.of(none.with(Properties.ALIGNMENT, Alignment.END));
                default -> Optional.of(none.with(Properties.ALIGNMENT, Alignment.CENTRE));
              };
          case "lineHeight" ->
              text.equals("normal")
                  ? Optional.of(none)
                  : text.matches("\\d{1,4}(\\.\\d{1,6})?%")
                      ? Optional.of(
                          none.with(
                              Properties.LEADING,
                              new Leading.Relative(
                                  Double.parseDouble(text.substring(0, text.length() - 1)) / 100)))
                      : Optional.empty();
          case "textShadow" -> CueCss.shadow(text);
          case "origin",
              "extent",
              "displayAlign",
              "position",
              "overflow",
              "showBackground",
              "unicodeBidi",
              "direction",
              "wrapOption",
              "visibility",
              "ruby",
              "rubyAlign",
              "display",
              "zIndex" ->
              Optional.of(none);
          default -> Optional.empty();
        };
    if (read.isEmpty()) {
      remarks.add(new Remark(line, Messages.of("ttml-reader.left-out", name, text)));
    }
    return read.orElse(none);
  }

  /** Cells and hundredths are of what the root gives: a row of the grid. */
  private Optional<FontSize> size(String text) {
    String one = text.strip().split("\\s+")[0];
    Matcher found = Pattern.compile("(\\d{1,5}(?:\\.\\d{1,6})?)(%|px|c|em|rh)").matcher(one);
    if (!found.matches()) {
      return Optional.empty();
    }
    double number = Double.parseDouble(found.group(1));
    double scale = pixels.map(size -> frame.height() / size[1]).orElse(1.0);
    if (!(number > 0)) {
      return Optional.empty();
    }
    return Optional.of(
        switch (found.group(2)) {
          case "%" -> new FontSize.Times(number / 100);
          case "em" -> new FontSize.Times(number);
          case "c" -> FontSize.points(number * frame.height() / rows);
          case "rh" -> FontSize.points(number * frame.height() / 100);
          default -> FontSize.points(number * scale);
        });
  }

  /**
   * Where a region stands, by its origin, its extent and where its text gathers: {@code before},
   * {@code center} or {@code after}.
   *
   * @param mode in vertical regions text gathers across the frame
   */
  PropertySet placed(
      @Nullable String origin,
      @Nullable String extent,
      String gathers,
      String align,
      WritingMode mode) {
    double[] at = pair(origin, 0, 0);
    double[] size = pair(extent, 100, 100);
    double along =
        switch (align) {
          case "left", "start" -> 0;
          case "right", "end" -> 1;
          default -> 0.5;
        };
    double block = gathers.equals("after") ? 1 : gathers.equals("center") ? 0.5 : 0;
    double across =
        switch (mode) {
          // text that begins somewhere without saying where is centred
          case HORIZONTAL -> align.equals("left") ? 0 : align.equals("right") ? 1 : 0.5;
          case VERTICAL_RIGHT_TO_LEFT -> 1 - block;
          case VERTICAL_LEFT_TO_RIGHT -> block;
        };
    double down = mode.isVertical() ? along : block;
    Anchor anchor =
        Arrays.stream(Anchor.values())
            .filter(one -> one.across() == across && one.down() == down)
            .findFirst()
            .orElse(Anchor.TOP);
    PropertySet placed =
        frame.place(
            anchor, Optional.of(at[0] + across * size[0]), Optional.of(at[1] + down * size[1]));
    if (mode.isVertical()) {
      return placed.with(Properties.WRITING_MODE, mode).overlaidBy(frame.height(size[1]));
    }
    return size[0] < 100 ? placed.overlaidBy(frame.width(size[0])) : placed;
  }

  /** The writing mode of a region (TTML 2, 10.2.53); what is not known is horizontal. */
  static WritingMode mode(@Nullable String text) {
    return switch (text == null ? "" : text.strip()) {
      case "tbrl", "tb" -> WritingMode.VERTICAL_RIGHT_TO_LEFT;
      case "tblr" -> WritingMode.VERTICAL_LEFT_TO_RIGHT;
      default -> WritingMode.HORIZONTAL;
    };
  }

  private double[] pair(@Nullable String text, double x, double y) {
    if (text == null) {
      return new double[] {x, y};
    }
    String[] parts = text.strip().split("\\s+");
    if (parts.length != 2) {
      return new double[] {x, y};
    }
    return new double[] {share(parts[0], x, true), share(parts[1], y, false)};
  }

  private double share(String text, double usual, boolean across) {
    Matcher found = Pattern.compile("(-?[\\d.]{1,9})(%|px|c|rw|rh)").matcher(text);
    if (!found.matches() || !found.group(1).matches("-?\\d+(\\.\\d+)?")) {
      return usual;
    }
    double number = Double.parseDouble(found.group(1));
    double whole = pixels.map(size -> size[across ? 0 : 1]).orElse(across ? 1920.0 : 1080.0);
    return switch (found.group(2)) {
      case "px" -> number / whole * 100;
      case "c" -> across ? number / 32 * 100 : number / rows * 100;
      default -> number;
    };
  }
}
