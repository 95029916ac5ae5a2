package dynamorph.formats.captions;

import dynamorph.formats.file.PlainText;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.timeline.Time;
import dynamorph.model.value.Alignment;
import dynamorph.model.value.Anchor;
import dynamorph.model.value.Slant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads WebVTT as the standard says (W3C, WebVTT: The Web Video Text Tracks Format): whatever is
 * malformed is passed over as it prescribes, with a remark, and nothing ever fails but a file
 * without the signature.
 */
final class WebVtt {
  /** The height of a line where lines are counted, in hundredths of the frame. */
  private static final double LINE = 5.33;

  private static final Pattern NUMBER = Pattern.compile("(\\d+(?:\\.\\d+)?)%");

  private final FrameBox frame;
  private final List<Remark> remarks;
  private final List<String> lines;
  private final Map<String, Region> regions = new LinkedHashMap<>();
  private final CueStyles styles;
  private int at;

  /** A region, in hundredths of the frame. */
  private record Region(double width, double x, double y) {}

  private WebVtt(List<String> lines, FrameBox frame, List<Remark> remarks) {
    this.lines = lines;
    this.frame = frame;
    this.remarks = remarks;
    this.styles = new CueStyles(remarks);
  }

  static boolean isOne(String text) {
    return text.equals("WEBVTT") || text.matches("(?s)WEBVTT[ \\t\\r\\n].*");
  }

  static CaptionSheet read(String text, FrameBox frame, List<Remark> remarks)
      throws CaptionsUnreadable {
    if (!isOne(text)) {
      throw new CaptionsUnreadable("line 1: a WebVTT file begins with the word WEBVTT");
    }
    String clean = text.replace('\u0000', '\ufffd');
    return new WebVtt(PlainText.lines(clean), frame, remarks).sheet();
  }

  private boolean ended() {
    return at >= lines.size();
  }

  private CaptionSheet sheet() {
    at = 1;
    // what follows the signature up to a blank line is a header that says nothing
    if (!ended() && !lines.get(at).isEmpty() && !lines.get(at).contains("-->")) {
      while (!ended() && !lines.get(at).isEmpty() && !lines.get(at).contains("-->")) {
        at++;
      }
    }
    List<CaptionSheet.Cue> cues = new ArrayList<>();
    while (!ended()) {
      if (lines.get(at).isEmpty()) {
        at++;
      } else {
        block(cues.isEmpty()).ifPresent(cues::add);
      }
    }
    List<Style> made = styles.styles();
    return new CaptionSheet(
        "", Optional.empty(), made, styles.ofAll().stream().toList(), PropertySet.EMPTY, cues);
  }

  /** One block: a cue, a style sheet, a region or a note. */
  private Optional<CaptionSheet.Cue> block(boolean beforeCues) {
    int from = at;
    String first = lines.get(at);
    if (!first.contains("-->")) {
      at++;
      boolean timesNext = !ended() && lines.get(at).contains("-->");
      if (!timesNext) {
        List<String> rest = restOfBlock();
        if (beforeCues && first.matches("STYLE[ \\t]*")) {
          styles.read(String.join("\n", rest), from + 1);
        } else if (beforeCues && first.matches("REGION[ \\t]*")) {
          region(rest);
        } else if (!first.matches("NOTE([ \\t].*)?")) {
          remarks.add(new Remark(from + 1, "passed over: no cue, style sheet or region"));
        }
        return Optional.empty();
      }
    }
    String name = first.contains("-->") ? "" : first;
    int timesLine = at;
    Optional<Times> times = times(lines.get(at));
    at++;
    List<String> words = restOfBlock();
    if (times.isEmpty()) {
      remarks.add(new Remark(timesLine + 1, "left out: the times cannot be read"));
      return Optional.empty();
    }
    Times read = times.get();
    if (!read.in.isBefore(read.out) || read.out.isAfter(Time.LONGEST)) {
      remarks.add(
          new Remark(
              timesLine + 1, "left out: it would be seen from " + read.in + " to " + read.out));
      return Optional.empty();
    }
    CueWords.Read told = CueWords.read(String.join("\n", words), styles);
    PropertySet local = settings(read.settings, timesLine + 1);
    return Optional.of(
        new CaptionSheet.Cue(
            name,
            read.in,
            read.out,
            told.speaker(),
            told.story(),
            styles.ofCue(name).stream().toList(),
            local));
  }

  /** Lines up to a blank one, or one with an arrow, which begins the next cue. */
  private List<String> restOfBlock() {
    List<String> rest = new ArrayList<>();
    while (!ended() && !lines.get(at).isEmpty() && !lines.get(at).contains("-->")) {
      rest.add(lines.get(at++));
    }
    return rest;
  }

  // --- times and settings
  // ----------------------------------------------------------------------------------------

  private record Times(Time in, Time out, String settings) {}

  private static final Pattern ARROW =
      Pattern.compile("[ \\t\\f]*(\\S+?)[ \\t\\f]*-->[ \\t\\f]*([0-9:.]+)(.*)", Pattern.DOTALL);

  private static Optional<Times> times(String line) {
    Matcher found = ARROW.matcher(line);
    if (!found.matches()) {
      return Optional.empty();
    }
    Optional<Time> in = time(found.group(1));
    Optional<Time> out = time(found.group(2));
    return in.isPresent() && out.isPresent()
        ? Optional.of(new Times(in.get(), out.get(), found.group(3)))
        : Optional.empty();
  }

  private static final Pattern TIME = Pattern.compile("(?:(\\d+):)?(\\d+):(\\d{2})\\.(\\d{3})");

  /** Collects a timestamp; minutes and seconds are two digits and at most 59. */
  static Optional<Time> time(String text) {
    Matcher found = TIME.matcher(text);
    if (!found.matches()) {
      return Optional.empty();
    }
    String first = found.group(2);
    boolean hours = found.group(1) != null;
    // a first number that is not two digits or beyond 59 counts hours, which then need all three
    boolean minutesWrong = first.length() != 2 || Integer.parseInt(first) > 59;
    if (minutesWrong || found.group(1) != null && found.group(1).length() > 9) {
      return Optional.empty();
    }
    long seconds = Long.parseLong(found.group(3));
    if (seconds > 59) {
      return Optional.empty();
    }
    long whole = hours ? Long.parseLong(found.group(1)) : 0;
    if (whole > 1_000_000) {
      return Optional.empty();
    }
    return Optional.of(
        Time.ofMillis(
            whole * 3_600_000
                + Long.parseLong(first) * 60_000
                + seconds * 1000
                + Long.parseLong(found.group(4))));
  }

  private PropertySet settings(String text, int line) {
    Map<String, String> settings = new LinkedHashMap<>();
    for (String part : text.strip().split("[ \\t\\f\\n]+")) {
      int colon = part.indexOf(':');
      if (colon > 0 && colon < part.length() - 1) {
        settings.put(part.substring(0, colon), part.substring(colon + 1));
      }
    }
    Region region = regions.get(settings.getOrDefault("region", ""));
    if (settings.containsKey("vertical")) {
      remarks.add(new Remark(line, "vertical text is set in lines from left to right"));
    }
    String align = settings.getOrDefault("align", "center");
    Anchor anchor =
        switch (align) {
          case "start", "left" -> Anchor.TOP_LEFT;
          case "end", "right" -> Anchor.TOP_RIGHT;
          default -> Anchor.TOP;
        };
    Optional<Double> x = percent(settings.get("position"));
    Optional<Double> y = lineOf(settings.get("line"));
    Optional<Double> size = percent(settings.get("size"));
    if (region != null) {
      x =
          x.map(share -> region.x + share / 100 * region.width)
              .or(() -> Optional.of(region.x + region.width / 2));
      y = Optional.of(region.y);
      size = Optional.of(region.width * size.orElse(100.0) / 100);
    }
    boolean fromBelow = y.isPresent() && y.get() < 0;
    PropertySet local =
        fromBelow
            ? frame.place(below(anchor), x, y.map(share -> 100 + share))
            : frame.place(anchor, x.or(() -> edge(align)), y);
    if (size.isPresent() && size.get() < 100) {
      local = local.overlaidBy(frame.width(size.get()));
    }
    return local.overlaidBy(aligned(align));
  }

  /** Text that begins at an edge stands there even where nothing says so. */
  private static Optional<Double> edge(String align) {
    return switch (align) {
      case "start", "left" -> Optional.of(5.0);
      case "end", "right" -> Optional.of(95.0);
      default -> Optional.empty();
    };
  }

  private static Anchor below(Anchor anchor) {
    return anchor == Anchor.TOP_LEFT
        ? Anchor.BOTTOM_LEFT
        : anchor == Anchor.TOP_RIGHT ? Anchor.BOTTOM_RIGHT : Anchor.BOTTOM;
  }

  private static PropertySet aligned(String align) {
    return switch (align) {
      case "start" -> PropertySet.EMPTY.with(Properties.ALIGNMENT, Alignment.START);
      case "left" -> PropertySet.EMPTY.with(Properties.ALIGNMENT, Alignment.LEFT);
      case "end" -> PropertySet.EMPTY.with(Properties.ALIGNMENT, Alignment.END);
      case "right" -> PropertySet.EMPTY.with(Properties.ALIGNMENT, Alignment.RIGHT);
      default -> PropertySet.EMPTY;
    };
  }

  /** {@code 40%} or {@code 40%,line-left}; empty where it is none. */
  private static Optional<Double> percent(String text) {
    if (text == null) {
      return Optional.empty();
    }
    Matcher found = NUMBER.matcher(text.split(",", 2)[0]);
    return found.matches()
        ? Optional.of(Double.parseDouble(found.group(1))).filter(share -> share <= 100)
        : Optional.empty();
  }

  /** Hundredths from the top; negative from the foot. A line number counts lines of the frame. */
  private static Optional<Double> lineOf(String text) {
    if (text == null) {
      return Optional.empty();
    }
    String number = text.split(",", 2)[0];
    Optional<Double> share = percent(number);
    if (share.isPresent() || !number.matches("-?\\d{1,4}(\\.\\d{1,6})?")) {
      return share;
    }
    double line = Double.parseDouble(number);
    // the last line is where captions stand anyway
    return line == -1 ? Optional.empty() : Optional.of(Math.clamp(line * LINE, -95, 95));
  }

  private void region(List<String> rest) {
    Map<String, String> settings = new LinkedHashMap<>();
    for (String part : String.join(" ", rest).split("[ \\t]+")) {
      int colon = part.indexOf(':');
      if (colon > 0) {
        settings.put(part.substring(0, colon), part.substring(colon + 1));
      }
    }
    String id = settings.getOrDefault("id", "");
    if (id.isEmpty() || id.contains("-->")) {
      return;
    }
    double width = percent(settings.get("width")).orElse(100.0);
    double rows =
        settings.getOrDefault("lines", "3").matches("\\d{1,4}")
            ? Double.parseDouble(settings.getOrDefault("lines", "3"))
            : 3;
    double[] own = pair(settings.get("regionanchor"), 0, 100);
    double[] screen = pair(settings.get("viewportanchor"), 0, 100);
    double height = rows * LINE;
    regions.put(
        id,
        new Region(
            width,
            screen[0] - own[0] / 100 * width,
            Math.clamp(screen[1] - own[1] / 100 * height, 0, 95)));
  }

  private static double[] pair(String text, double x, double y) {
    if (text != null) {
      String[] parts = text.split(",", 2);
      Optional<Double> one = percent(parts[0]);
      Optional<Double> other = parts.length == 2 ? percent(parts[1]) : Optional.empty();
      if (one.isPresent() && other.isPresent()) {
        return new double[] {one.get(), other.get()};
      }
    }
    return new double[] {x, y};
  }

  // --- styles
  // ----------------------------------------------------------------------------------------------------

  /** Styles out of style sheets, by what they select. */
  static final class CueStyles {
    private static final Pattern RULE =
        Pattern.compile("([^{}]{1,2000})\\{([^{}]{0,20000})\\}", Pattern.DOTALL);
    private static final Pattern SELECTOR =
        Pattern.compile("(?:video)?::cue(?:\\((.*)\\))?", Pattern.DOTALL);

    private final List<Remark> remarks;
    private final Map<String, PropertySet> rules = new LinkedHashMap<>();

    CueStyles(List<Remark> remarks) {
      this.remarks = remarks;
    }

    void read(String sheet, int line) {
      String plain = sheet.replaceAll("(?s)/\\*.*?\\*/", "");
      Matcher rule = RULE.matcher(plain);
      while (rule.find()) {
        PropertySet values = CueCss.read(rule.group(2), line, remarks);
        for (String selector : rule.group(1).split(",(?![^(]*\\))")) {
          Matcher cue = SELECTOR.matcher(selector.strip());
          if (cue.matches()) {
            String what = Optional.ofNullable(cue.group(1)).orElse("").strip();
            rules.merge(what, values, PropertySet::overlaidBy);
          } else {
            remarks.add(
                new Remark(line, "the selector \"" + selector.strip() + "\" selects no cue"));
          }
        }
      }
    }

    /** The style for a selector that is written inside {@code ::cue(…)}, if there is a rule. */
    Optional<StyleId> style(String selector) {
      return rules.containsKey(selector) ? Optional.of(id(selector)) : Optional.empty();
    }

    /** A style for a class, with values or without. */
    StyleId ofClass(String name) {
      rules.computeIfAbsent("." + name, _ -> CueCss.ofClass(name));
      return id("." + name);
    }

    Optional<StyleId> ofAll() {
      return style("");
    }

    Optional<StyleId> ofCue(String name) {
      return name.isEmpty() ? Optional.empty() : style("#" + name);
    }

    /** Values of a voice, by selectors such as {@code v[voice="Archive"]}. */
    Optional<StyleId> ofVoice(String name) {
      return rules.keySet().stream()
          .filter(
              selector -> selector.matches("v?\\[voice=[\"']?" + Pattern.quote(name) + "[\"']?\\]"))
          .findFirst()
          .map(CueStyles::id);
    }

    private static StyleId id(String selector) {
      String plain = selector.replaceAll("[^A-Za-z0-9]+", "-").replaceAll("^-|-$", "");
      return new StyleId(plain.isEmpty() ? "cue" : "cue-" + plain);
    }

    List<Style> styles() {
      Map<StyleId, Style> styles = new LinkedHashMap<>();
      rules.forEach((selector, values) -> {
        boolean whole = selector.isEmpty() || selector.startsWith("#");
        Style style =
            new Style(
                id(selector),
                name(selector),
                "Captions",
                whole ? StyleLevel.TEXT : StyleLevel.CHARACTER,
                Optional.empty(),
                values,
                "");
        styles.merge(
            style.id(),
            style,
            (one, other) -> one.withProperties(one.properties().overlaidBy(other.properties())));
      });
      return List.copyOf(styles.values());
    }

    private static String name(String selector) {
      Matcher voice = Pattern.compile("v?\\[voice=[\"']?(.*?)[\"']?\\]").matcher(selector);
      if (selector.isEmpty()) {
        return "Caption";
      }
      if (voice.matches()) {
        return voice.group(1);
      }
      String plain = selector.replaceAll("[.#]", " ").strip();
      return plain.isEmpty()
          ? "Words"
          : Character.toUpperCase(plain.charAt(0)) + plain.substring(1);
    }
  }

  static final Address FILL = Address.coat("fill");

  /** What the elements of cue text look like without any style sheet. */
  static PropertySet element(String name) {
    return switch (name) {
      case "b" -> PropertySet.EMPTY.with(Properties.FONT_WEIGHT, 700.0);
      case "i" -> PropertySet.EMPTY.with(Properties.SLANT, Slant.ITALIC);
      case "u" -> PropertySet.EMPTY.with(Properties.UNDERLINE, true);
      default -> PropertySet.EMPTY;
    };
  }
}
