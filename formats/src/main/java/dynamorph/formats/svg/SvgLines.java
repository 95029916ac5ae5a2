package dynamorph.formats.svg;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.Node;
import org.jsoup.nodes.TextNode;

/** The lines of a text element: each begins where a place is given anew (SVG 2, 11.4). */
final class SvgLines {
  /** So deep texts are nested by no program. */
  private static final int DEEPEST = 40;

  /**
   * Words of one look.
   *
   * @param lowered how far below the line they stand, in user units
   */
  record Run(String text, SvgStyle style, double lowered) {}

  /** A line while it is read, and its place in user units. */
  static final class Line {
    private final Element element;
    private final SvgStyle style;
    private final List<Run> runs = new ArrayList<>();
    private final double x;
    private double y;

    private Line(Element element, SvgStyle style, double x, double y) {
      this.element = element;
      this.style = style;
      this.x = x;
      this.y = y;
    }

    /** What began it. */
    Element element() {
      return element;
    }

    /** What holds where it begins. */
    SvgStyle style() {
      return style;
    }

    List<Run> runs() {
      return runs;
    }

    double x() {
      return x;
    }

    /** Where its baseline lies. */
    double y() {
      // the baseline of vertical lines runs through the middle of their letters
      return SvgLetters.mode(style).isVertical() ? y : y + raised() * style.size();
    }

    /** How far above the place that is given the baseline lies, in em; about so far in any font. */
    private double raised() {
      return switch (style.get("dominant-baseline", "auto")) {
        case "middle" -> 0.25;
        case "central" -> 0.35;
        case "hanging" -> 0.7;
        case "text-before-edge", "text-top" -> 0.9;
        case "text-after-edge", "text-bottom", "ideographic" -> -0.2;
        default -> 0;
      };
    }

    private void add(String words, SvgStyle look, double lowered) {
      if (!runs.isEmpty() && runs.getLast().style == look && runs.getLast().lowered == lowered) {
        runs.add(new Run(runs.removeLast().text + words, look, lowered));
      } else {
        runs.add(new Run(words, look, lowered));
      }
    }

    private boolean endsWithSpace() {
      return runs.isEmpty() || runs.getLast().text.endsWith(" ");
    }

    private void trim() {
      while (!runs.isEmpty()) {
        Run last = runs.removeLast();
        String words = last.text.stripTrailing();
        if (!words.isEmpty()) {
          runs.add(new Run(words, last.style, last.lowered));
          return;
        }
      }
    }

    boolean isEmpty() {
      return runs.stream().allMatch(run -> run.text.isBlank());
    }
  }

  private final SvgCascade cascade;
  private final Told told;
  private final SvgIndex index;
  private final List<Line> lines = new ArrayList<>();
  private double lowered;

  private SvgLines(SvgCascade cascade, SvgIndex index, Told told) {
    this.cascade = cascade;
    this.index = index;
    this.told = told;
  }

  /** The lines of a text that have words. */
  static List<Line> of(
      Element text, SvgStyle style, SvgCascade cascade, SvgIndex index, Told told) {
    SvgLines read = new SvgLines(cascade, index, told);
    read.begin(text, style, read.firstOf(text, "x", style).orElse(0.0), first(text, "y", style));
    read.walk(text, style, 0);
    read.lines.forEach(Line::trim);
    return read.lines.stream().filter(line -> !line.isEmpty()).toList();
  }

  private Optional<Double> firstOf(Element element, String attribute, SvgStyle style) {
    if (SvgNumbers.list(element.attr(attribute)).size() > 1) {
      told.add(NotDrawn.PLACES_OF_LETTERS);
    }
    return first(element, attribute, style);
  }

  private static Optional<Double> first(Element element, String attribute, SvgStyle style) {
    String list = element.attr(attribute).replaceFirst("^[\\s,]+", "");
    return SvgNumbers.length(list.split("[\\s,]", 2)[0], 0, style.size());
  }

  private void begin(Element element, SvgStyle style, double x, Optional<Double> y) {
    double above = lines.isEmpty() ? 0 : lines.getLast().y;
    lines.add(new Line(element, style, x, y.orElse(above)));
    lowered = 0;
  }

  private void walk(Element element, SvgStyle style, int depth) {
    for (Node node : element.childNodes()) {
      if (node instanceof TextNode words) {
        add(words.getWholeText(), style, isKept(element, style));
      } else if (node instanceof Element child && depth < DEEPEST) {
        child(child, style.with(cascade.of(child)), depth);
      }
    }
  }

  private void child(Element child, SvgStyle style, int depth) {
    String name = SvgIndex.name(child);
    if (style.get("display", "").equals("none")) {
      told.add(NotDrawn.HIDDEN);
      return;
    }
    switch (name) {
      case "tspan", "a" -> {
        double before = lowered;
        place(child, style);
        walk(child, style, depth + 1);
        if (child.attr("dy").isEmpty()) {
          lowered = before;
        }
      }
      case "textPath" -> {
        told.add(NotDrawn.TEXT_ON_A_PATH);
        index
            .referred(child)
            .map(path -> SvgNumbers.list(path.attr("d")))
            .filter(numbers -> numbers.size() > 1 && lines.getLast().runs.isEmpty())
            .ifPresent(numbers -> begin(child, style, numbers.get(0), Optional.of(numbers.get(1))));
        walk(child, style, depth + 1);
      }
      default -> {}
    }
  }

  private void place(Element span, SvgStyle style) {
    Optional<Double> x = firstOf(span, "x", style);
    Optional<Double> y = first(span, "y", style);
    double down = first(span, "dy", style).orElse(0.0);
    Line line = lines.getLast();
    if (x.isPresent() && line.runs.isEmpty()) {
      double top = y.orElse(line.y) + down;
      lines.removeLast();
      begin(span, style, x.get(), Optional.of(top));
    } else if (x.isPresent()) {
      begin(span, style, x.get(), Optional.of(y.orElse(line.y + lowered) + down));
    } else if (line.runs.isEmpty()) {
      line.y = y.orElse(line.y) + down;
    } else {
      lowered = y.map(one -> one - line.y).orElse(lowered) + down;
    }
  }

  private static boolean isKept(Element element, SvgStyle style) {
    if (style.says("white-space", "pre")) {
      return true;
    }
    for (Element around = element; around != null; around = around.parent()) {
      if (around.hasAttr("xml:space")) {
        return around.attr("xml:space").equals("preserve");
      }
    }
    return false;
  }

  private void add(String text, SvgStyle style, boolean kept) {
    Line line = lines.getLast();
    String words = text.replaceAll("[\\n\\r\\t]+", " ");
    if (!kept) {
      words = words.replaceAll(" {2,}", " ");
      if (line.endsWithSpace()) {
        words = words.stripLeading();
      }
    }
    if (!words.isEmpty()) {
      line.add(words, style, lowered + raised(style));
    }
  }

  /** How far words stand below the line for what {@code baseline-shift} says. */
  private static double raised(SvgStyle style) {
    String shift = style.get("baseline-shift", "");
    return switch (shift) {
      case "", "baseline", "0" -> 0;
      case "super" -> -0.33 * style.size();
      case "sub" -> 0.2 * style.size();
      default -> -SvgNumbers.length(shift, style.size(), style.size()).orElse(0.0);
    };
  }
}
