package dynamorph.typeset.compose;

import dynamorph.model.cascade.ParagraphLook.Justification;
import dynamorph.model.cascade.TypeLook;
import dynamorph.typeset.shape.FullWidthSigns;
import dynamorph.typeset.shape.ShapedParagraph;
import dynamorph.typeset.shape.ShapedRun;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * Widths of a shaped paragraph at its sizes, as sums up to each unit, so that any stretch of it is
 * measured by one subtraction. In points.
 */
final class WidthSums {
  /**
   * What a stretch of text has at its best spacing.
   *
   * @param width in points
   * @param stretch how much wider the limits let it become
   * @param shrink how much narrower
   * @param spaces width of its spaces as the font has them
   * @param gaps em of its gaps between East Asian letters
   * @param signs how much narrower its full-width signs can become, part of {@code shrink}
   * @param joins em of its joins that can be lengthened
   */
  record Sums(
      double width,
      double stretch,
      double shrink,
      double spaces,
      double gaps,
      double signs,
      double joins) {
    Sums plus(Sums other) {
      return new Sums(
          width + other.width,
          stretch + other.stretch,
          shrink + other.shrink,
          spaces + other.spaces,
          gaps + other.gaps,
          signs + other.signs,
          joins + other.joins);
    }
  }

  private final ShapedParagraph shaped;
  private final List<TypeLook> looks;
  private final double[] widths;
  private final double[] stretches;
  private final double[] shrinks;
  private final double[] spaces;
  private final double @Nullable [] gaps;
  private final double @Nullable [] signs;
  private final double @Nullable [] joins;
  private final Map<Integer, Kashida.Place> kashidas;
  private final boolean spacedOut;

  /** Units whose letters join. */
  private final BitSet cursive;

  private final double scale;
  private final Justification limits;
  private final Ruby ruby;

  WidthSums(ShapedParagraph shaped, List<TypeLook> looks, Justification limits) {
    this(shaped, looks, limits, Ruby.NONE);
  }

  /**
   * @param ruby spreads the letters that it stands over
   */
  WidthSums(ShapedParagraph shaped, List<TypeLook> looks, Justification limits, Ruby ruby) {
    this.ruby = ruby;
    this.shaped = shaped;
    this.looks = looks;
    this.limits = limits;
    int units = shaped.text().length();
    this.widths = new double[units + 1];
    this.stretches = new double[units + 1];
    this.shrinks = new double[units + 1];
    this.spaces = new double[units + 1];
    boolean eastAsian = hasEastAsian(shaped.text());
    this.gaps = eastAsian ? new double[units + 1] : null;
    this.signs = eastAsian ? new double[units + 1] : null;
    this.kashidas = new HashMap<>();
    Kashida.places(shaped, looks).forEach(place -> kashidas.put(place.unit(), place));
    this.joins = kashidas.isEmpty() ? null : new double[units + 1];
    boolean extra = limits.letter().best() != 0;
    for (TypeLook look : looks) {
      extra |= look.spacing().letterExtra() != 0;
    }
    this.spacedOut = extra;
    this.cursive = new BitSet();
    shaped.runs().stream()
        .filter(ShapedRun::cursive)
        .forEach(run -> cursive.set(run.start(), run.end()));
    this.scale = 1;
    measure();
  }

  private WidthSums(WidthSums of, double scale, List<TypeLook> looks) {
    this.ruby = of.ruby;
    this.shaped = of.shaped;
    this.looks = looks;
    this.limits = of.limits;
    this.widths = of.widths;
    this.stretches = of.stretches;
    this.shrinks = of.shrinks;
    this.spaces = of.spaces;
    this.gaps = of.gaps;
    this.signs = of.signs;
    this.joins = of.joins;
    this.kashidas = of.kashidas;
    this.spacedOut = of.spacedOut;
    this.cursive = of.cursive;
    this.scale = of.scale * scale;
  }

  /**
   * The same text at another size; everything is proportional to it, so nothing is measured anew.
   *
   * @param looks at that size
   */
  WidthSums at(double factor, List<TypeLook> looks) {
    return new WidthSums(this, factor, looks);
  }

  private void measure() {
    for (ShapedRun run : shaped.runs()) {
      measure(run, looks.get(run.span()));
    }
    kashidas.values().forEach(this::measure);
    sum(widths);
    sum(stretches);
    sum(shrinks);
    sum(spaces);
    if (gaps != null) {
      sum(gaps);
    }
    if (signs != null) {
      sum(signs);
    }
    if (joins != null) {
      sum(joins);
    }
  }

  /** A join counts with what stands before it, like a gap. */
  private void measure(Kashida.Place place) {
    TypeLook look = lookAt(place.unit());
    widths[place.unit()] += tracked(place, look);
    if (joins != null && limits.kashida()) {
      joins[place.unit()] += look.size();
    }
  }

  /** Tracking lengthens one join of a word by what all of them would get. */
  private static double tracked(Kashida.Place place, TypeLook look) {
    return look.spacing().joinExtra() * place.joins() * look.size();
  }

  /**
   * How much the join before a unit is lengthened, in points.
   *
   * @param glue what joins get in the line, in em
   */
  double kashida(int unit, double glue) {
    Kashida.Place place = kashidas.get(unit);
    if (place == null) {
      return 0;
    }
    TypeLook look = lookAt(unit);
    return tracked(place, look) + (limits.kashida() ? glue * look.size() : 0);
  }

  private void measure(ShapedRun run, TypeLook look) {
    String text = shaped.text();
    double size = look.size();
    double along = run.along(look.forms()) * size;
    double extra = look.spacing().letterExtra(run.cursive()) * size;
    // what joins is stretched between words alone
    double between = run.cursive() ? 0 : size;
    double words = look.spacing().wordSpacing() / 1000 * size;
    double letter = extra + limits.letter().best() * between;
    double glyphBest = limits.glyph().best();
    double letterStretch = (limits.letter().most() - limits.letter().best()) * between;
    double letterShrink = (limits.letter().best() - limits.letter().least()) * between;
    double glyphStretch = limits.glyph().most() - glyphBest;
    double glyphShrink = glyphBest - limits.glyph().least();
    double wordStretch = limits.word().most() - limits.word().best();
    double wordShrink = limits.word().best() - limits.word().least();
    int last = text.length();
    float[] advances = run.advances();
    int[] starts = run.starts();
    int[] ends = run.ends();
    for (int cluster = 0; cluster < advances.length; cluster++) {
      int start = starts[cluster];
      int end = ends[cluster];
      if (start >= last) {
        continue;
      }
      widths[start + 1] += ruby.pad(start);
      double drawn = advances[cluster] * along;
      char sign = text.charAt(start);
      if (sign == ' ' || sign == '\u00A0') {
        double space = drawn + words;
        widths[start + 1] += space * limits.word().best() + extra;
        stretches[start + 1] += space * wordStretch;
        shrinks[start + 1] += space * wordShrink;
        spaces[start + 1] += space;
      } else if (end - start <= 1) {
        widths[start + 1] += sign == '\t' ? 0 : drawn * glyphBest + letter;
        stretches[start + 1] += drawn * glyphStretch + letterStretch;
        shrinks[start + 1] += drawn * glyphShrink + letterShrink;
        if (signs != null) {
          double white = reducible(run, cluster, sign) * along;
          signs[start + 1] += white;
          shrinks[start + 1] += white;
        }
      } else {
        spreadOver(
            start, end, drawn, letter, glyphStretch, letterStretch, glyphShrink, letterShrink);
      }
      if (gaps != null && isGap(text, end)) {
        gaps[Math.min(end, last)] += size;
        stretches[Math.min(end, last)] += size * Glue.GAP_STRETCH;
      }
    }
  }

  /** What a tight line may take from a sign, in em of its span. */
  double reducible(ShapedRun run, int cluster, char sign) {
    String language = looks.get(run.span()).language();
    return FullWidthSigns.reducible(sign, language, run.advances()[cluster] / run.scale())
        * run.scale();
  }

  /** A ligature's width is shared by its letters, for a break inside of it. */
  private void spreadOver(
      int start,
      int end,
      double drawn,
      double letter,
      double glyphStretch,
      double letterStretch,
      double glyphShrink,
      double letterShrink) {
    double share = 1.0 / (end - start);
    for (int unit = start; unit < end; unit++) {
      widths[unit + 1] += (drawn * limits.glyph().best() + letter) * share;
      stretches[unit + 1] += (drawn * glyphStretch + letterStretch) * share;
      shrinks[unit + 1] += (drawn * glyphShrink + letterShrink) * share;
    }
  }

  private static void sum(double[] values) {
    double sum = 0;
    for (int index = 0; index < values.length; index++) {
      sum += values[index];
      values[index] = sum;
    }
  }

  private static boolean hasEastAsian(String text) {
    for (int unit = 0; unit < text.length(); unit++) {
      if (text.charAt(unit) >= 0x2E80 && isEastAsian(text.charAt(unit))) {
        return true;
      }
    }
    return false;
  }

  static boolean isEastAsian(char unit) {
    return unit >= 0x2E80 && unit <= 0x9FFF
        || unit >= 0xF900 && unit <= 0xFAFF
        || unit >= 0xFF00 && unit <= 0xFFEF
        || unit >= 0xD840 && unit <= 0xD888;
  }

  /** Whether a line of East Asian text may be stretched before a unit. */
  boolean isGap(String text, int unit) {
    return unit > 0
        && unit < text.length()
        && isEastAsian(text.charAt(unit))
        && isEastAsian(text.charAt(unit - 1))
        && shaped.breaks().get(unit);
  }

  Ruby ruby() {
    return ruby;
  }

  /** White that a ruby wants around the letter at a unit, half of it at each side. */
  double pad(int unit) {
    return ruby.pad(unit) * scale;
  }

  /** Ruby of a stretch that is measured on its own. */
  Ruby rubyOf(int start, int end) {
    return ruby.part(start, end, scale);
  }

  ShapedParagraph shaped() {
    return shaped;
  }

  /** Width from one unit to another at best spacing, everything included. */
  double width(int start, int end) {
    return (widths[end] - widths[start]) * scale;
  }

  /**
   * Width of a line's content: without the space that letter spacing puts behind its last letter.
   */
  double lineWidth(int start, int ink) {
    double width = (widths[ink] - widths[start]) * scale;
    return spacedOut && ink > start ? width - behind(ink) : width;
  }

  double stretch(int start, int ink) {
    return (stretches[ink] - stretches[start]) * scale;
  }

  double shrink(int start, int ink) {
    return (shrinks[ink] - shrinks[start]) * scale;
  }

  /** Width of the spaces as the font has them. */
  double spaces(int start, int ink) {
    return (spaces[ink] - spaces[start]) * scale;
  }

  /**
   * Everything about a stretch of a line; {@code ends} takes away the space behind its last letter.
   */
  Sums sums(int start, int ink, boolean ends) {
    return new Sums(
        ends ? lineWidth(start, ink) : width(start, ink),
        stretch(start, ink),
        shrink(start, ink),
        spaces(start, ink),
        gaps == null ? 0 : (gaps[ink] - gaps[start]) * scale,
        signs == null ? 0 : (signs[ink] - signs[start]) * scale,
        joins == null ? 0 : (joins[ink] - joins[start]) * scale);
  }

  private double behind(int ink) {
    TypeLook look = lookAt(ink - 1);
    boolean joined = cursive.get(ink - 1);
    double between = joined ? 0 : limits.letter().best();
    return (look.spacing().letterExtra(joined) + between) * look.size();
  }

  /** Whether the letter at a unit joins others. */
  boolean isCursive(int unit) {
    return cursive.get(unit);
  }

  /** The look of the letter at a unit. */
  TypeLook lookAt(int unit) {
    if (looks.size() == 1) {
      return looks.getFirst();
    }
    return looks.get(spanAt(unit));
  }

  int spanAt(int unit) {
    int end = 0;
    int span = 0;
    for (var type : shaped.key().spans()) {
      end += type.length();
      if (unit < end) {
        return span;
      }
      span++;
    }
    return looks.size() - 1;
  }
}
