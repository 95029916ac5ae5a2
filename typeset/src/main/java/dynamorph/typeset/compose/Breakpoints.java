package dynamorph.typeset.compose;

import dynamorph.model.cascade.ParagraphLook;
import dynamorph.model.text.RubyBase;
import dynamorph.model.value.HyphenationExceptions;
import dynamorph.model.value.TextCase;
import dynamorph.typeset.language.Hyphenator;
import dynamorph.typeset.language.Hyphenators;
import dynamorph.typeset.shape.ShapeKey;
import dynamorph.typeset.shape.ShapedParagraph;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * The places where a paragraph's lines may end, in order; the last is its end.
 *
 * @param units first unit of the next line
 * @param inks one past the last unit that shows
 * @param hyphens whether a line that ends there gets a hyphen
 * @param forced whether a line must end there
 * @param emergency places inside of words that are longer than a line
 */
public record Breakpoints(
    int[] units, int[] inks, boolean[] hyphens, boolean[] forced, BitSet emergency) {
  static final Breakpoints NONE =
      new Breakpoints(new int[0], new int[0], new boolean[0], new boolean[0], new BitSet());

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
            Arrays.copyOfRange(forced, first, forced.length),
            emergency.get(first, units.length));
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
    return new Breakpoints(units, inks, hyphenated, forced, new BitSet());
  }

  /** These and others, inside of words, where lines end only if they cannot end elsewhere. */
  Breakpoints with(BitSet inWords) {
    int count = count() + inWords.cardinality();
    Breakpoints all =
        new Breakpoints(
            new int[count], new int[count], new boolean[count], new boolean[count], new BitSet());
    int own = 0;
    int word = inWords.nextSetBit(0);
    for (int index = 0; index < count; index++) {
      if (word >= 0 && (own == count() || word < units[own])) {
        all.units[index] = word;
        all.inks[index] = word;
        all.emergency.set(index);
        word = inWords.nextSetBit(word + 1);
      } else {
        all.units[index] = units[own];
        all.inks[index] = inks[own];
        all.hyphens[index] = hyphens[own];
        all.forced[index] = forced[own];
        own++;
      }
    }
    return all;
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
      boolean wanted = !discretionary && (settings.lastWord() || end < lastWordEnd);
      if (wanted) {
        divide(key, span, at, end, letters, settings, languages, points);
      }
      at = end;
    }
    return points;
  }

  private static void divide(
      ShapeKey key,
      int span,
      int from,
      int to,
      int letters,
      ParagraphLook.Hyphenation settings,
      Hyphenators languages,
      BitSet points) {
    String word = key.text().substring(from, to);
    List<Integer> exception = exception(settings.exceptions(), word);
    if (exception != null) {
      exception.forEach(place -> points.set(from + place));
      return;
    }
    boolean capitals =
        key.spans().get(span).textCase() == TextCase.UPPER
            || word.equals(word.toUpperCase(Locale.ROOT));
    if (letters >= settings.shortest() && (settings.capitals() || !capitals)) {
      Optional<Hyphenator> language = languages.of(key.spans().get(span).language());
      language.ifPresent(
          known -> known.points(word, from, settings.before(), settings.after(), points));
    }
  }

  private static @Nullable List<Integer> exception(HyphenationExceptions all, String word) {
    return all.words().isEmpty()
        ? null
        : all.words().get(word.toLowerCase(Locale.ROOT).replace('\u2019', '\''));
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
