package dynamorph.typeset.compose;

import dynamorph.model.cascade.ParagraphLook;
import dynamorph.model.text.RubyBase;
import dynamorph.typeset.language.Hyphenator;
import dynamorph.typeset.language.Hyphenators;
import dynamorph.typeset.shape.ShapeKey;
import dynamorph.typeset.shape.ShapedParagraph;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;

/**
 * The places where a paragraph's lines may end, in order; the last is its end.
 *
 * @param units first unit of the next line
 * @param inks one past the last unit that shows
 * @param hyphens whether a line that ends there gets a hyphen
 * @param forced whether a line must end there
 */
public record Breakpoints(int[] units, int[] inks, boolean[] hyphens, boolean[] forced) {
  private static final char SOFT_HYPHEN = '\u00AD';

  /** How many there are. */
  public int count() {
    return units.length;
  }

  /** Those behind a unit; letters that are dropped before it are on no line of their own. */
  Breakpoints behind(int unit) {
    int first = 0;
    while (first < units.length - 1 && units[first] <= unit) {
      first++;
    }
    return first == 0
        ? this
        : new Breakpoints(
            Arrays.copyOfRange(units, first, units.length),
            Arrays.copyOfRange(inks, first, inks.length),
            Arrays.copyOfRange(hyphens, first, hyphens.length),
            Arrays.copyOfRange(forced, first, forced.length));
  }

  static Breakpoints of(
      ShapedParagraph paragraph, ParagraphLook.Hyphenation settings, Hyphenators languages) {
    return of(paragraph, settings, languages, List.of());
  }

  /**
   * @param ruby whose bases stay together
   */
  static Breakpoints of(
      ShapedParagraph paragraph,
      ParagraphLook.Hyphenation settings,
      Hyphenators languages,
      List<RubyBase> ruby) {
    String text = paragraph.text();
    BitSet hyphens = settings.on() ? hyphens(paragraph.key(), settings, languages) : new BitSet();
    BitSet all = (BitSet) hyphens.clone();
    all.or(paragraph.breaks());
    Ruby.keepTogether(ruby, paragraph, all);
    all.clear(0);
    all.set(text.length());
    int[] units = all.stream().toArray();
    int[] inks = new int[units.length];
    boolean[] hyphenated = new boolean[units.length];
    boolean[] forced = new boolean[units.length];
    int before = 0;
    for (int index = 0; index < units.length; index++) {
      int unit = units[index];
      boolean soft = unit < text.length() && text.charAt(unit - 1) == SOFT_HYPHEN;
      hyphenated[index] = soft || hyphens.get(unit) && !paragraph.breaks().get(unit);
      forced[index] = paragraph.forced().get(unit);
      int ink = unit;
      while (ink > before && isTrailing(text.charAt(ink - 1))) {
        ink--;
      }
      inks[index] = ink;
      before = unit;
    }
    return new Breakpoints(units, inks, hyphenated, forced);
  }

  /**
   * What takes no room at the end of a line; of the spaces, those that lines break at (CSS Text 3).
   */
  private static boolean isTrailing(char unit) {
    return unit == ' '
        || unit >= '\u2000' && unit <= '\u200A' && unit != '\u2007'
        || unit == '\u205F'
        || unit == '\u1680'
        || unit == '\u2028'
        || unit == '\u000B'
        || unit == '\f'
        || unit == '\t'
        || unit == '\u3000';
  }

  /** The places inside words where a hyphen may be put, by the language of each word. */
  static BitSet hyphens(ShapeKey key, ParagraphLook.Hyphenation settings, Hyphenators languages) {
    String text = key.text();
    BitSet points = new BitSet();
    int lastWordEnd = text.length();
    while (lastWordEnd > 0 && !isWordLetter(text.charAt(lastWordEnd - 1))) {
      lastWordEnd--;
    }
    int span = 0;
    int spanEnd = key.spans().isEmpty() ? 0 : key.spans().getFirst().length();
    int at = 0;
    while (at < text.length()) {
      while (at >= spanEnd && span + 1 < key.spans().size()) {
        spanEnd += key.spans().get(++span).length();
      }
      if (!isWordLetter(text.charAt(at))) {
        at++;
        continue;
      }
      int end = at;
      int letters = 0;
      while (end < text.length() && isWordLetter(text.charAt(end))) {
        letters += Character.isLetter(text.charAt(end)) ? 1 : 0;
        end++;
      }
      boolean discretionary =
          end < text.length() && text.charAt(end) == SOFT_HYPHEN
              || at > 0 && text.charAt(at - 1) == SOFT_HYPHEN;
      boolean wanted =
          letters >= settings.shortest()
              && !discretionary
              && (settings.lastWord() || end < lastWordEnd);
      if (wanted) {
        Optional<Hyphenator> language = languages.of(key.spans().get(span).language());
        if (language.isPresent()) {
          language
              .get()
              .points(text.substring(at, end), at, settings.before(), settings.after(), points);
        }
      }
      at = end;
    }
    return points;
  }

  private static boolean isWordLetter(char unit) {
    if (unit < 0x80) {
      return unit >= 'a' && unit <= 'z' || unit >= 'A' && unit <= 'Z' || unit == '\'';
    }
    return Character.isLetter(unit)
        || unit == '\u2019'
        || Character.getType(unit) == Character.NON_SPACING_MARK;
  }
}
