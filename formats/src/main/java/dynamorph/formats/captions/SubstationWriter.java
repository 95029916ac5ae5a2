package dynamorph.formats.captions;

import dynamorph.model.cascade.Coats;
import dynamorph.model.cascade.FontRequest;
import dynamorph.model.cascade.Placement;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.StyleId;
import dynamorph.model.timeline.Time;
import dynamorph.model.value.Anchor;
import dynamorph.model.value.Colour;
import dynamorph.model.value.Length;
import dynamorph.model.value.Numbers;
import dynamorph.model.value.Rgba;
import dynamorph.model.value.Slant;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Writes scripts of SubStation Alpha 4+: what a cue follows becomes a style, what its words look
 * like beyond that override codes. The picture of the script is the frame, so that its units are
 * points.
 */
final class SubstationWriter {
  private static final String STYLE_FORMAT =
      "Format: Name, Fontname, Fontsize, PrimaryColour, SecondaryColour, OutlineColour, BackColour,"
          + " Bold, Italic, Underline, StrikeOut, ScaleX, ScaleY, Spacing, Angle, BorderStyle,"
          + " Outline, Shadow, Alignment, MarginL, MarginR, MarginV, Encoding\n";

  private static final String EVENT_FORMAT =
      "Format: Layer, Start, End, Style, Name, MarginL, MarginR, MarginV, Effect, Text\n";

  /** The margin that the foot of captions keeps, as a share of the height, if none is set. */
  private static final double FOOT = 0.0833;

  /** What would end a name. */
  private static final String NO_NAME = "[\\s,\\\\{}()\\p{Cc}]+";

  private final CaptionExport captions;
  private final CellHeights cells;
  private final Map<Object, Row> rows = new LinkedHashMap<>();
  private final Set<String> names = new HashSet<>();

  /** A style as it is written. */
  private record Row(String name, SubstationLook look, SubstationPlace place) {}

  /** What a cue follows beside its track. */
  private record Followed(List<StyleId> styles, Optional<StyleId> ofSpeaker) {}

  private SubstationWriter(CaptionExport captions, CellHeights cells) {
    this.captions = captions;
    this.cells = cells;
  }

  static String write(CaptionExport captions, CellHeights cells) {
    return new SubstationWriter(captions, cells).text();
  }

  private String text() {
    StringBuilder events = new StringBuilder("\n[Events]\n").append(EVENT_FORMAT);
    List<StyleId> ofTrack = captions.track().follows();
    row(new Followed(List.of(), Optional.empty()), captions.plain(), captions.place(), ofTrack);
    captions.cues().forEach(cue -> event(events, cue));
    StringBuilder text =
        new StringBuilder("[Script Info]\nTitle: ")
            .append(captions.track().name().replaceAll("\\R", " "))
            .append("\nScriptType: v4.00+\nPlayResX: ")
            .append(Math.round(captions.frame().width()))
            .append("\nPlayResY: ")
            .append(Math.round(captions.frame().height()))
            .append("\nWrapStyle: 2\nScaledBorderAndShadow: yes\nYCbCr Matrix: None\n")
            .append("\n[V4+ Styles]\n")
            .append(STYLE_FORMAT);
    rows.values().forEach(row -> style(text, row));
    return text.append(events).toString();
  }

  // --- styles
  // ----------------------------------------------------------------------------------------------------

  private Row row(Object followed, PropertySet values, Placement placement, List<StyleId> named) {
    return rows.computeIfAbsent(
        followed,
        _ -> {
          String wanted =
              named.isEmpty()
                  ? "Default"
                  : captions.style(named.getLast()).name().replaceAll(NO_NAME, " ").strip();
          String free = wanted;
          for (int number = 2; !names.add(free.toLowerCase(Locale.ROOT)); number++) {
            free = wanted + " " + number;
          }
          return new Row(free, look(values), place(values, placement));
        });
  }

  private void style(StringBuilder text, Row row) {
    SubstationLook look = row.look;
    SubstationPlace place = row.place;
    text.append("Style: ").append(row.name);
    for (SubstationField field : SubstationField.values()) {
      switch (field) {
        case BORDER_COLOUR -> text.append(",&H000000FF,").append(field.written(look.get(field)));
        case BOX ->
            text.append(',')
                .append(Numbers.format(place.angle()))
                .append(',')
                .append(field.written(look.get(field)));
        case SHADOW_Y -> {}
        default -> text.append(',').append(field.written(look.get(field)));
      }
    }
    text.append(',')
        .append(place.key())
        .append(',')
        .append(Math.round(place.left()))
        .append(',')
        .append(Math.round(place.right()))
        .append(',')
        .append(Math.round(place.vertical()))
        .append(",1\n");
  }

  private SubstationLook look(PropertySet values) {
    SubstationCoats coats = SubstationCoats.of(values);
    double size = Coats.value(values, Properties.SIZE.key()).over(0);
    Slant slant = Coats.value(values, Properties.SLANT.key());
    double weight = Coats.value(values, Properties.FONT_WEIGHT.key());
    String family = Coats.value(values, Properties.FONT_FAMILY.key());
    double cell = cells.of(FontRequest.of(family, weight, slant));
    Rgba fill = coats.fill().map(coat -> colour(values, coat)).orElse(new Rgba(0));
    SubstationLook look =
        SubstationLook.USUAL
            .with(SubstationField.FONT, family)
            .with(SubstationField.SIZE, rounded(size * cell))
            .with(SubstationField.FILL, fill)
            .with(SubstationField.WEIGHT, weight < 100 ? 100.0 : weight)
            .with(SubstationField.ITALIC, slant == Slant.ITALIC)
            .with(SubstationField.UNDERLINE, Coats.value(values, Properties.UNDERLINE.key()))
            .with(SubstationField.STRIKE, Coats.value(values, Properties.STRIKE.key()))
            .with(SubstationField.SCALE_X, Coats.value(values, Properties.HORIZONTAL_SCALE.key()))
            .with(SubstationField.SCALE_Y, Coats.value(values, Properties.VERTICAL_SCALE.key()))
            .with(
                SubstationField.SPACING,
                rounded(
                    Coats.value(values, Properties.TRACKING.key())
                        * size
                        / 10
                        / Coats.value(values, Properties.HORIZONTAL_SCALE.key())))
            .with(SubstationField.BOX, coats.box().isPresent())
            .with(
                SubstationField.BORDER,
                coats
                    .border()
                    .map(coat -> rounded(SubstationCoats.outer(values, coat, size)))
                    .orElseGet(() -> coats.box().isPresent() ? padding(values, size) : 0.0));
    Optional<Address> edge = coats.border().or(coats::box);
    if (edge.isPresent()) {
      look = look.with(SubstationField.BORDER_COLOUR, colour(values, edge.get()));
    }
    return shadowed(look, values, coats.shadow(), size);
  }

  private static double padding(PropertySet values, double size) {
    return rounded(Coats.value(values, Properties.PLATE_PADDING.key()).first().toPoints(size));
  }

  private SubstationLook shadowed(
      SubstationLook look, PropertySet values, Optional<Address> shadow, double size) {
    if (shadow.isEmpty()) {
      return look.with(SubstationField.SHADOW_X, 0.0).with(SubstationField.SHADOW_Y, 0.0);
    }
    Address at = shadow.get();
    boolean effect = !at.effect().isEmpty();
    PropertyKey<Length> right = effect ? Properties.SHADOW_X.at(at) : Properties.COAT_X.at(at);
    PropertyKey<Length> down = effect ? Properties.SHADOW_Y.at(at) : Properties.COAT_Y.at(at);
    Rgba colour =
        effect
            ? captions
                .colour(Coats.value(values, Properties.EFFECT_COLOUR.at(at)))
                .faded(Coats.value(values, Properties.EFFECT_OPACITY.at(at)))
            : colour(values, at);
    return look.with(SubstationField.SHADOW_COLOUR, colour)
        .with(SubstationField.SHADOW_X, rounded(SubstationCoats.points(values, right, size)))
        .with(SubstationField.SHADOW_Y, rounded(SubstationCoats.points(values, down, size)));
  }

  private Rgba colour(PropertySet values, Address coat) {
    Colour colour = Coats.value(values, Properties.COAT_COLOUR.at(coat));
    return captions.colour(colour).faded(Coats.value(values, Properties.COAT_OPACITY.at(coat)));
  }

  private static double rounded(double value) {
    return Math.round(value * 100) / 100.0;
  }

  // --- places
  // ----------------------------------------------------------------------------------------------------

  /** A place by the margins of its style where they can say it. */
  private SubstationPlace place(PropertySet values, Placement own) {
    double height = captions.frame().height();
    if (values.get(Properties.ANCHOR.key()).isEmpty()) {
      return new SubstationPlace(
          CaptionExport.key(Anchor.BOTTOM), 0, 0, FOOT * height, 0, Optional.empty());
    }
    double across = own.anchor().across();
    double down = own.anchor().down();
    double left = across == 0 ? own.x() : across == 1 ? 0 : Math.max(0, 2 * own.x());
    double right = across == 1 ? -own.x() : across == 0 ? 0 : Math.max(0, -2 * own.x());
    double vertical = down == 0 ? own.y() : down == 1 ? -own.y() : 0;
    boolean byMargins =
        isMargin(left) && isMargin(right) && isMargin(vertical) && (down != 0.5 || own.y() == 0);
    return new SubstationPlace(
        CaptionExport.key(own.anchor()),
        Math.max(0, left),
        Math.max(0, right),
        Math.max(0, vertical),
        -own.rotation() + 0.0,
        byMargins ? Optional.empty() : Optional.of(point(own)));
  }

  /** Margins of scripts are whole, and never negative. */
  private static boolean isMargin(double points) {
    return points >= 0 && Math.abs(points - Math.rint(points)) < 0.05;
  }

  private SubstationPlace.Point point(Placement own) {
    return new SubstationPlace.Point(
        own.anchor().across() * captions.frame().width() + own.x(),
        own.anchor().down() * captions.frame().height() + own.y());
  }

  /** What says where a cue stands, beyond its style. */
  private String placed(WrittenCue cue, SubstationPlace usual) {
    StringBuilder codes = new StringBuilder();
    Placement own = cue.place();
    int key = CaptionExport.key(own.anchor());
    boolean moved =
        own.anchor() != cue.basePlace().anchor()
            || own.x() != cue.basePlace().x()
            || own.y() != cue.basePlace().y();
    if (key != usual.key() && moved) {
      codes.append("\\an").append(key);
    }
    if (moved || usual.position().isPresent()) {
      SubstationPlace.Point at = point(own);
      codes
          .append("\\pos(")
          .append(Numbers.format(rounded(at.x())))
          .append(',')
          .append(Numbers.format(rounded(at.y())))
          .append(')');
    }
    if (-own.rotation() + 0.0 != usual.angle()) {
      codes.append("\\frz").append(Numbers.format(-own.rotation()));
    }
    if (!cue.timing().fadeIn().equals(Time.ZERO) || !cue.timing().fadeOut().equals(Time.ZERO)) {
      codes
          .append("\\fad(")
          .append(cue.timing().fadeIn().millis())
          .append(',')
          .append(cue.timing().fadeOut().millis())
          .append(')');
    }
    return codes.toString();
  }

  // --- words
  // -----------------------------------------------------------------------------------------------------

  private void event(StringBuilder text, WrittenCue cue) {
    Optional<StyleId> ofSpeaker =
        Optional.ofNullable(captions.track().speakers().get(cue.speaker()));
    List<StyleId> named =
        !cue.follows().isEmpty()
            ? cue.follows()
            : ofSpeaker.map(List::of).orElse(captions.track().follows());
    Row row = row(new Followed(cue.follows(), ofSpeaker), cue.base(), cue.basePlace(), named);
    Time in = hundredths(cue.in());
    Time out = Time.max(hundredths(cue.out()), in.plus(SubstationReader.GRAIN));
    text.append("Dialogue: 0,")
        .append(clock(in))
        .append(',')
        .append(clock(out))
        .append(',')
        .append(row.name)
        .append(',')
        .append(cue.speaker().replaceAll("[,\\p{Cc}]", " ").strip())
        .append(",0,0,0,,");
    Words words = new Words(row);
    StringBuilder line = new StringBuilder();
    words.codes.append(placed(cue, row.place));
    for (WrittenCue.Base base : cue.bases()) {
      base.runs().forEach(run -> words.add(line, run));
      line.append(base.ruby().isEmpty() ? "" : "(" + escaped(base.ruby()) + ")");
    }
    text.append(line).append('\n');
  }

  /** Words of an event, one run after the other. */
  private final class Words {
    private final Row event;
    private final StringBuilder codes = new StringBuilder();
    private Row base;
    private SubstationLook look;

    Words(Row event) {
      this.event = event;
      this.base = event;
      this.look = event.look;
    }

    void add(StringBuilder line, WrittenCue.Run run) {
      Row wanted = run.follows().isEmpty() ? event : ofWords(run.follows());
      if (wanted != base) {
        codes.append("\\r").append(wanted == event ? "" : wanted.name);
        base = wanted;
        look = wanted.look;
      }
      SubstationLook own = look(run.values());
      for (SubstationField field : SubstationField.values()) {
        if (!own.get(field).equals(look.get(field))) {
          code(field, look.get(field), own.get(field));
        }
      }
      look = own;
      if (!codes.isEmpty()) {
        line.append('{').append(codes).append('}');
        codes.setLength(0);
      }
      line.append(escaped(run.text()));
    }

    private void code(SubstationField field, Object before, Object now) {
      switch (field.kind()) {
        case BOX -> {}
        case NAME -> codes.append('\\').append(field.code()).append(field.written(now));
        case NUMBER -> codes.append('\\').append(field.code()).append(Numbers.format((double) now));
        case FLAG -> codes.append('\\').append(field.code()).append((boolean) now ? '1' : '0');
        case WEIGHT ->
            codes.append('\\').append(field.code()).append(field.written(now).replace("-1", "1"));
        case COLOUR -> {
          Rgba one = (Rgba) before;
          Rgba other = (Rgba) now;
          if ((one.argb() ^ other.argb()) << 8 != 0) {
            codes.append(
                String.format(
                    Locale.ROOT,
                    "\\%sc&H%02X%02X%02X&",
                    field.code(),
                    other.blue(),
                    other.green(),
                    other.red()));
          }
          if (one.alpha() != other.alpha()) {
            codes.append(
                String.format(Locale.ROOT, "\\%sa&H%02X&", field.code(), 0xFF - other.alpha()));
          }
        }
      }
    }
  }

  /** A character style as it looks in words that set nothing else. */
  private Row ofWords(List<StyleId> follows) {
    return row(follows, captions.ofWords(follows), captions.place(), follows);
  }

  private static String escaped(String words) {
    String safe =
        words
            .replaceAll("\\\\(?=[Nnh{}])", "\\\\" + SubstationWords.WORD_JOINER)
            .replace("{", "\\{")
            .replace("}", "\\}");
    return safe.replace("\u2028", "\\N").replace("\u00a0", "\\h").replaceAll("[\\r\\n]", " ");
  }

  private static Time hundredths(Time time) {
    long grain = SubstationReader.GRAIN.ticks();
    return new Time(Math.floorDiv(time.ticks(), grain) * grain);
  }

  private static String clock(Time time) {
    long hundredths = time.millis() / 10;
    return String.format(
        Locale.ROOT,
        "%d:%02d:%02d.%02d",
        hundredths / 360_000,
        hundredths / 6000 % 60,
        hundredths / 100 % 60,
        hundredths % 100);
  }
}
