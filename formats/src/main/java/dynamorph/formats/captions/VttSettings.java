package dynamorph.formats.captions;

import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Where a cue stands, by the settings behind its times (W3C, WebVTT, 6.3). Shares are in hundredths
 * of the frame, or of the region if there is one.
 *
 * @param vertical {@code rl} or {@code lr}; empty for lines from top to bottom
 * @param line the number of a line, from 0, negative from the foot, or a share; empty for automatic
 * @param lineAlign which side of the cue lies there: {@code start}, {@code center}, {@code end}
 * @param snapToLines whether {@code line} counts lines
 * @param position a share; empty for automatic
 * @param positionAlign {@code line-left}, {@code center}, {@code line-right}, {@code auto}
 * @param size a share
 * @param align {@code start}, {@code center}, {@code end}, {@code left}, {@code right}
 */
record VttSettings(
    String vertical,
    Optional<Double> line,
    String lineAlign,
    boolean snapToLines,
    Optional<Double> position,
    String positionAlign,
    double size,
    String align,
    Optional<VttRegion> region) {
  static final VttSettings NONE =
      new VttSettings(
          "",
          Optional.empty(),
          "start",
          true,
          Optional.empty(),
          "auto",
          100,
          "center",
          Optional.empty());

  private static final Pattern PERCENTAGE = Pattern.compile("([0-9]+(?:\\.[0-9]+)?)%");
  private static final Pattern LINE = Pattern.compile("-?[0-9]+(?:\\.[0-9]+)?");

  /** A share of 0 to 100 with its sign. */
  static Optional<Double> percentage(String text) {
    Matcher found = PERCENTAGE.matcher(text);
    return found.matches()
        ? Optional.of(Double.parseDouble(found.group(1))).filter(share -> share <= 100)
        : Optional.empty();
  }

  /** Settings that are not understood count for nothing; of two of a name the last counts. */
  static VttSettings parse(String text, List<VttRegion> regions) {
    VttSettings settings = NONE;
    for (String setting : text.split("[ \\t\\n\\f]+")) {
      int colon = setting.indexOf(':');
      if (colon > 0 && colon < setting.length() - 1) {
        settings =
            settings.with(setting.substring(0, colon), setting.substring(colon + 1), regions);
      }
    }
    return settings.inRegionOrNot();
  }

  private VttSettings with(String name, String value, List<VttRegion> regions) {
    return switch (name) {
      case "region" ->
          in(regions.stream().filter(one -> one.id().equals(value)).reduce((_, last) -> last));
      case "vertical" ->
          value.equals("rl") || value.equals("lr")
              ? new VttSettings(
                  value, line, lineAlign, snapToLines, position, positionAlign, size, align, region)
              : this;
      case "line" -> atLine(value);
      case "position" -> atPosition(value);
      case "size" ->
          percentage(value)
              .map(share ->
                  new VttSettings(
                      vertical,
                      line,
                      lineAlign,
                      snapToLines,
                      position,
                      positionAlign,
                      share,
                      align,
                      region))
              .orElse(this);
      case "align" ->
          List.of("start", "center", "end", "left", "right").contains(value)
              ? new VttSettings(
                  vertical,
                  line,
                  lineAlign,
                  snapToLines,
                  position,
                  positionAlign,
                  size,
                  value,
                  region)
              : this;
      default -> this;
    };
  }

  private VttSettings in(Optional<VttRegion> changed) {
    return new VttSettings(
        vertical, line, lineAlign, snapToLines, position, positionAlign, size, align, changed);
  }

  private VttSettings atLine(String value) {
    String[] parts = value.split(",", 2);
    boolean share = parts[0].endsWith("%");
    Optional<Double> number =
        share
            ? percentage(parts[0])
            : Optional.of(parts[0])
                .filter(text -> LINE.matcher(text).matches())
                .map(Double::parseDouble)
                .filter(Double::isFinite);
    String side = parts.length > 1 ? parts[1] : lineAlign;
    if (number.isEmpty() || !List.of("start", "center", "end").contains(side)) {
      return this;
    }
    return new VttSettings(
        vertical, number, side, !share, position, positionAlign, size, align, region);
  }

  private VttSettings atPosition(String value) {
    String[] parts = value.split(",", 2);
    Optional<Double> share = percentage(parts[0]);
    String side = parts.length > 1 ? parts[1] : positionAlign;
    boolean known = parts.length < 2 || List.of("line-left", "center", "line-right").contains(side);
    return share.isEmpty() || !known
        ? this
        : new VttSettings(vertical, line, lineAlign, snapToLines, share, side, size, align, region);
  }

  /** A cue that says itself where it stands, or how wide it is, stands in no region. */
  private VttSettings inRegionOrNot() {
    boolean own = line.isPresent() || size != 100 || !vertical.isEmpty();
    return own ? in(Optional.empty()) : this;
  }
}
