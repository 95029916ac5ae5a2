package dynamorph.formats.captions;

import dynamorph.formats.css.StyleSheet;
import dynamorph.formats.message.Messages;
import dynamorph.model.edit.importing.CaptionList;
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
 * What a WebVTT file means for a project: its cues with places, its style sheets as styles. What
 * the file says is read by {@link VttFile}; nothing ever fails but one without the signature.
 */
final class VttReader {
  /** The height of a line where lines are counted, in hundredths of the frame. */
  private static final double LINE = 5.33;

  private final FrameBox frame;
  private final List<Remark> remarks;
  private final CueStyles styles;

  private VttReader(FrameBox frame, List<Remark> remarks) {
    this.frame = frame;
    this.remarks = remarks;
    this.styles = new CueStyles(remarks);
  }

  static boolean isOne(String text) {
    return VttFile.isOne(text);
  }

  static CaptionList read(String text, FrameBox frame, List<Remark> remarks)
      throws CaptionException {
    if (!isOne(text)) {
      throw new CaptionException(Messages.of("vtt-reader.line-1-a-webvtt-file-begins"));
    }
    return new VttReader(frame, remarks).sheet(VttFile.read(text, remarks));
  }

  private CaptionList sheet(VttFile file) {
    file.sheets().forEach(sheet -> styles.read(sheet.css(), sheet.line()));
    List<CaptionList.Cue> cues = new ArrayList<>(file.cues().size());
    file.cues().forEach(cue -> cue(cue).ifPresent(cues::add));
    List<Style> made = styles.styles();
    return new CaptionList(
        "", Optional.empty(), made, styles.ofAll().stream().toList(), PropertySet.EMPTY, cues);
  }

  private Optional<CaptionList.Cue> cue(VttFile.Cue cue) {
    if (!cue.start().isBefore(cue.end()) || cue.end().isAfter(Time.LONGEST)) {
      remarks.add(
          new Remark(
              cue.line(), Messages.of("common.left-out-it-would-be-seen", cue.start(), cue.end())));
      return Optional.empty();
    }
    VttSpans.Read told = VttSpans.read(cue.text(), styles);
    return Optional.of(
        new CaptionList.Cue(
            cue.id(),
            cue.start(),
            cue.end(),
            told.speaker(),
            told.story(),
            styles.ofCue(cue.id()).stream().toList(),
            place(cue.settings())));
  }

  // --- places
  // ----------------------------------------------------------------------------------------------------

  private PropertySet place(VttSettings settings) {
    String align = settings.align();
    if (!settings.vertical().isEmpty()) {
      return VttVertical.place(frame, settings, LINE).overlaidBy(aligned(align));
    }
    Optional<Double> x = settings.position().map(VttSettings.Position::share);
    Optional<Double> y = settings.line().flatMap(VttReader::down);
    double size = settings.size();
    if (settings.region().isPresent()) {
      VttRegion region = settings.region().get();
      double left = region.frame().x() - region.anchor().x() / 100 * region.width();
      double height = region.lines() * LINE;
      x = Optional.of(left + x.orElse(50.0) / 100 * region.width());
      y = Optional.of(Math.clamp(region.frame().y() - region.anchor().y() / 100 * height, 0, 95));
      size = region.width() * size / 100;
    }
    boolean fromBelow = y.isPresent() && y.get() < 0;
    double side =
        fromBelow
            ? 1
            : settings
                .line()
                .filter(line -> !line.counted())
                .map(line -> side(line.align()))
                .orElse(0.0);
    Anchor anchor = anchor(align, side);
    PropertySet local =
        frame.place(anchor, x.or(() -> edge(align)), fromBelow ? y.map(share -> 100 + share) : y);
    if (size < 100) {
      local = local.overlaidBy(frame.width(size));
    }
    return local.overlaidBy(aligned(align));
  }

  /** Which side of a cue lies at its line: 0 for its top. */
  private static double side(String lineAlign) {
    return switch (lineAlign) {
      case "center" -> 0.5;
      case "end" -> 1;
      default -> 0;
    };
  }

  private static Anchor anchor(String align, double down) {
    double across =
        switch (align) {
          case "start", "left" -> 0;
          case "end", "right" -> 1;
          default -> 0.5;
        };
    return java.util.Arrays.stream(Anchor.values())
        .filter(one -> one.across() == across && one.down() == down)
        .findFirst()
        .orElse(Anchor.TOP);
  }

  /** Hundredths from the top; negative from the foot. A line number counts lines of the frame. */
  private static Optional<Double> down(VttSettings.Line line) {
    if (!line.counted()) {
      return Optional.of(line.at());
    }
    // the last line is where captions stand anyway
    return line.at() == -1 ? Optional.empty() : Optional.of(Math.clamp(line.at() * LINE, -95, 95));
  }

  /** Text that begins at an edge stands there even where nothing says so. */
  private static Optional<Double> edge(String align) {
    return switch (align) {
      case "start", "left" -> Optional.of(5.0);
      case "end", "right" -> Optional.of(95.0);
      default -> Optional.empty();
    };
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

  // --- styles
  // ----------------------------------------------------------------------------------------------------

  /** Styles out of style sheets, by what they select. */
  static final class CueStyles {
    private static final Pattern SELECTOR =
        Pattern.compile("(?:video)?::cue(?:\\((.*)\\))?", Pattern.DOTALL);

    private final List<Remark> remarks;
    private final Map<String, PropertySet> rules = new LinkedHashMap<>();

    CueStyles(List<Remark> remarks) {
      this.remarks = remarks;
    }

    void read(String sheet, int line) {
      for (StyleSheet.Rule rule : StyleSheet.rules(sheet)) {
        PropertySet values = CueCss.read(rule.declarations(), line, remarks);
        for (String selector : rule.selectors()) {
          Matcher cue = SELECTOR.matcher(selector.strip());
          if (cue.matches()) {
            String what = Optional.ofNullable(cue.group(1)).orElse("").strip();
            rules.merge(what, values, PropertySet::overlaidBy);
          } else {
            remarks.add(
                new Remark(
                    line, Messages.of("vtt-reader.the-selector-selects-no-cue", selector.strip())));
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
                Messages.of("vtt-reader.captions"),
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
        return Messages.of("vtt-reader.caption");
      }
      if (voice.matches()) {
        return voice.group(1);
      }
      String plain = selector.replaceAll("[.#]", " ").strip();
      return plain.isEmpty()
          ? Messages.of("vtt-reader.words")
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
