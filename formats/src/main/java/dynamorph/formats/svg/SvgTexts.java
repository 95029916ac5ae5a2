package dynamorph.formats.svg;

import dynamorph.formats.message.Messages;
import dynamorph.model.document.Role;
import dynamorph.model.document.WrittenDocument;
import dynamorph.model.document.WrittenParagraph;
import dynamorph.model.document.WrittenSpan;
import dynamorph.model.document.WrittenStyle;
import dynamorph.model.document.drawing.WrittenDrawing;
import dynamorph.model.property.Level;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.Alignment;
import dynamorph.model.value.Leading;
import dynamorph.model.value.Length;
import dynamorph.model.value.Numbers;
import dynamorph.model.value.Slant;
import dynamorph.model.value.WritingMode;
import dynamorph.paint.artwork.Affine;
import dynamorph.paint.artwork.PathData;
import dynamorph.typeset.layout.Box;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import org.jsoup.nodes.Element;

/**
 * The texts of a drawing. Lines at the same place one below the other are one text; texts of one
 * look have one style, which is called as their class is.
 */
final class SvgTexts {
  private static final int LONGEST_NAME = 40;

  /** Lines farther from each other than this many times their size are no lines of one text. */
  private static final double FARTHEST = 3.5;

  private static final double NEARLY = 0.03;

  /** Classes that programs count. */
  private static final Pattern COUNTED =
      Pattern.compile("(?i)(cls|st|s|c|t|text|style|fs|fil|str|fnt|font|ps|f)?[-_]?\\d+");

  /** A text before its style has a name. */
  private record Raw(
      PropertySet look,
      Optional<String> called,
      Alignment alignment,
      Optional<Double> leading,
      List<WrittenSpan> spans) {}

  private final SvgCascade cascade;
  private final SvgIndex index;
  private final SvgPaint paint;
  private final SvgEffects effects;
  private final Told told;
  private final List<Raw> raws = new ArrayList<>();

  SvgTexts(SvgCascade cascade, SvgIndex index, SvgPaint paint, SvgEffects effects, Told told) {
    this.cascade = cascade;
    this.index = index;
    this.paint = paint;
    this.effects = effects;
    this.told = told;
  }

  /** The texts that a text element holds. */
  List<WrittenDrawing.Text> add(
      Element element,
      SvgStyle style,
      Affine place,
      double opacity,
      Optional<PathData> clip,
      Optional<String> label) {
    if (place.determinant() < 0) {
      told.add(NotDrawn.MIRRORED_TEXT);
    }
    List<WrittenDrawing.Text> texts = new ArrayList<>();
    List<SvgLines.Line> lines = SvgLines.of(element, style, cascade, index, told);
    for (int from = 0; from < lines.size(); ) {
      int to = together(lines, from);
      texts.add(text(lines.subList(from, to), place, opacity, label));
      from = to;
    }
    if (clip.isPresent() && !texts.isEmpty()) {
      told.add(NotDrawn.CLIP);
    }
    return texts;
  }

  /** Behind the last line that belongs to one. */
  private static int together(List<SvgLines.Line> lines, int from) {
    SvgLines.Line first = lines.get(from);
    double size = first.style().size();
    double step = 0;
    int to = from + 1;
    while (to < lines.size()) {
      SvgLines.Line next = lines.get(to);
      WritingMode mode = SvgLetters.mode(first.style());
      double down = across(next, mode) - across(lines.get(to - 1), mode);
      boolean follows =
          anchor(next.style()).equals(anchor(first.style()))
              && SvgLetters.mode(next.style()) == mode
              && Math.abs(along(next, mode) - along(first, mode)) <= NEARLY * size
              && down > 0
              && down <= FARTHEST * size
              && (step == 0 || Math.abs(down - step) <= NEARLY * size);
      if (!follows) {
        break;
      }
      step = step == 0 ? down : step;
      to++;
    }
    return to;
  }

  /** How far along its lines one begins. */
  private static double along(SvgLines.Line line, WritingMode mode) {
    return mode.isVertical() ? line.y() : line.x();
  }

  /** How far across the lines one lies, in the direction in which they follow each other. */
  private static double across(SvgLines.Line line, WritingMode mode) {
    return switch (mode) {
      case HORIZONTAL -> line.y();
      case VERTICAL_RIGHT_TO_LEFT -> -line.x();
      case VERTICAL_LEFT_TO_RIGHT -> line.x();
    };
  }

  private static String anchor(SvgStyle style) {
    return style.get("text-anchor", "start");
  }

  private WrittenDrawing.Text text(
      List<SvgLines.Line> lines, Affine place, double opacity, Optional<String> label) {
    SvgLines.Line first = lines.getFirst();
    SvgStyle most = most(lines);
    PropertySet look = look(most, first, place, opacity);
    List<WrittenSpan> spans = new ArrayList<>();
    for (SvgLines.Line line : lines) {
      if (!spans.isEmpty()) {
        WrittenSpan last = spans.removeLast();
        spans.add(last.withText(last.text() + "\u2028"));
      }
      for (SvgLines.Run run : line.runs()) {
        spans.add(span(run, look, first, place, opacity));
      }
    }
    WritingMode mode = SvgLetters.mode(first.style());
    double step = lines.size() < 2 ? 0 : across(lines.get(1), mode) - across(first, mode);
    String anchor = anchor(first.style());
    raws.add(
        new Raw(
            look,
            called(first.element()),
            switch (anchor) {
              case "middle" -> Alignment.CENTRE;
              case "end" -> Alignment.END;
              default -> Alignment.START;
            },
            step == 0 ? Optional.empty() : Optional.of(Math.rint(step / most.size() * 1000) / 1000),
            spans));
    Affine.Place at = place.apply(first.x(), first.y());
    return new WrittenDrawing.Text(
        raws.size() - 1,
        label.orElseGet(() -> shortened(spans)),
        at.x(),
        at.y(),
        Math.rint(place.rotation() * 1000) / 1000,
        mode,
        switch (anchor) {
          case "middle" -> 0.5;
          case "end" -> 1;
          default -> 0;
        });
  }

  /** What most of the letters have. */
  private static SvgStyle most(List<SvgLines.Line> lines) {
    Map<SvgStyle, Integer> letters = new java.util.IdentityHashMap<>();
    SvgStyle most = lines.getFirst().runs().getFirst().style();
    for (SvgLines.Line line : lines) {
      for (SvgLines.Run run : line.runs()) {
        int count = letters.merge(run.style(), run.text().length(), Integer::sum);
        if (count > letters.getOrDefault(most, 0)) {
          most = run.style();
        }
      }
    }
    return most;
  }

  private PropertySet look(SvgStyle style, SvgLines.Line line, Affine place, double opacity) {
    double size = style.size();
    int letters = line.runs().stream().mapToInt(run -> run.text().length()).sum();
    // what gradients of texts are fitted to is known only when they are set; this is about right
    Box user = new Box(line.x(), line.y() - 0.75 * size, Math.max(1, 0.5 * size * letters), size);
    Affine scaled = Affine.scaling(place.scaleX(), Math.abs(place.scaleY()));
    Affine toLayer = scaled.after(Affine.translation(-user.x(), -user.y()));
    Box layer =
        new Box(0, 0, user.width() * place.scaleX(), user.height() * Math.abs(place.scaleY()));
    return SvgLetters.look(style, place)
        .overlaidBy(
            paint.coats(
                style,
                opacity * spanOpacity(style, line),
                new SvgPaint.Place(toLayer, user, layer, user.width())))
        .overlaidBy(effects.of(line.style(), place.scale()));
  }

  /** How opaque a part of a text is by itself. */
  private static double spanOpacity(SvgStyle style, SvgLines.Line line) {
    return style == line.style() ? 1 : style.share("opacity");
  }

  private WrittenSpan span(
      SvgLines.Run run, PropertySet look, SvgLines.Line line, Affine place, double opacity) {
    PropertySet own = look(run.style(), line, place, opacity);
    PropertySet local = PropertySet.EMPTY;
    Set<PropertyKey<?>> keys = new HashSet<>(own.keys());
    keys.addAll(look.keys());
    for (PropertyKey<?> key : keys) {
      if (key.property().countsOn(Level.SPAN) && !own.get(key).equals(look.get(key))) {
        local = own.has(key) ? local.withFrom(own, key) : withDefault(local, key);
      }
    }
    if (run.lowered() != 0) {
      local =
          local.with(
              Properties.BASELINE_SHIFT,
              Length.points(SvgLetters.cents(-run.lowered() * Math.abs(place.scaleY()))));
    }
    return new WrittenSpan(run.text(), List.of(), local);
  }

  private static <T> PropertySet withDefault(PropertySet local, PropertyKey<T> key) {
    return local.with(key, key.property().defaultValue());
  }

  /** The class that somebody gave a text, as a name. */
  private static Optional<String> called(Element element) {
    for (Element at = element; at != null && !SvgIndex.name(at).equals("g"); at = at.parent()) {
      for (String one : at.classNames()) {
        if (!one.isBlank() && !COUNTED.matcher(one).matches()) {
          String words =
              one.replaceAll("(?<=\\p{Ll})(?=\\p{Lu})", " ").replaceAll("[-_]+", " ").strip();
          if (!words.isEmpty()) {
            return Optional.of(
                words.substring(0, 1).toUpperCase(Locale.ROOT)
                    + words.substring(1, Math.min(words.length(), LONGEST_NAME)));
          }
        }
      }
    }
    return Optional.empty();
  }

  private static String shortened(List<WrittenSpan> spans) {
    StringBuilder words = new StringBuilder();
    spans.forEach(span -> words.append(span.text()));
    String plain = words.toString().replace('\u2028', ' ').strip();
    return plain.length() <= LONGEST_NAME
        ? plain
        : plain.substring(0, LONGEST_NAME).strip() + "\u2026";
  }

  // --- styles

  /** The texts with their styles. */
  WrittenDocument document(String name, List<String> remarks) {
    Map<PropertySet, List<Raw>> byLook = new LinkedHashMap<>();
    raws.forEach(raw -> byLook.computeIfAbsent(raw.look(), _ -> new ArrayList<>()).add(raw));
    List<WrittenStyle> styles = new ArrayList<>();
    Map<PropertySet, WrittenStyle> styleOf = new LinkedHashMap<>();
    Set<String> taken = new HashSet<>();
    byLook.forEach((look, group) -> {
      Optional<String> called = group.stream().flatMap(raw -> raw.called().stream()).findFirst();
      String wanted = called.orElseGet(() -> described(look));
      String free = wanted;
      for (int number = 2; !taken.add(free); number++) {
        free = wanted + " " + number;
      }
      WrittenStyle style =
          new WrittenStyle(
              called.isPresent() ? "class:" + free : WrittenStyle.UNNAMED + free,
              free,
              Role.DRAWN,
              Optional.empty(),
              common(look, group));
      styles.add(style);
      styleOf.put(look, style);
    });
    List<WrittenParagraph> paragraphs =
        raws.stream()
            .map(raw -> paragraph(raw, Objects.requireNonNull(styleOf.get(raw.look()))))
            .toList();
    return new WrittenDocument(name, styles, paragraphs, remarks);
  }

  /** The look with what all texts of it say of their lines. */
  private static PropertySet common(PropertySet look, List<Raw> group) {
    PropertySet all = look;
    List<Alignment> alignments = group.stream().map(Raw::alignment).distinct().toList();
    if (alignments.size() == 1 && alignments.getFirst() != Alignment.START) {
      all = all.with(Properties.ALIGNMENT, alignments.getFirst());
    }
    List<Double> leadings =
        group.stream().flatMap(raw -> raw.leading().stream()).distinct().toList();
    return leadings.size() == 1
        ? all.with(Properties.LEADING, new Leading.Relative(leadings.getFirst()))
        : all;
  }

  private static WrittenParagraph paragraph(Raw raw, WrittenStyle style) {
    PropertySet local = PropertySet.EMPTY;
    Alignment common = style.look().get(Properties.ALIGNMENT.key()).orElse(Alignment.START);
    if (raw.alignment() != common) {
      local = local.with(Properties.ALIGNMENT, raw.alignment());
    }
    if (raw.leading().isPresent() && !style.look().has(Properties.LEADING.key())) {
      local = local.with(Properties.LEADING, new Leading.Relative(raw.leading().get()));
    }
    return new WrittenParagraph(style.key(), local, raw.spans());
  }

  /** What a look without a name is called: its font and its size. */
  private static String described(PropertySet look) {
    String family = look.get(Properties.FONT_FAMILY.key()).orElse(Messages.of("svg.plain-letters"));
    double weight = look.get(Properties.FONT_WEIGHT.key()).orElse(400.0);
    boolean italic = look.get(Properties.SLANT.key()).filter(Slant.ITALIC::equals).isPresent();
    double size = look.get(Properties.SIZE.key()).map(one -> one.over(0)).orElse(0.0);
    return family
        + (weight == 400 ? "" : " " + Numbers.format(weight))
        + (italic ? " " + Messages.of("svg.italic") : "")
        + " "
        + Numbers.format(size, 1);
  }
}
