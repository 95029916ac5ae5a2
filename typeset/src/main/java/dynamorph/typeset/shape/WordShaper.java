package dynamorph.typeset.shape;

import com.ibm.icu.lang.UScript;
import dynamorph.typeset.font.FontFace;
import dynamorph.typeset.harfbuzz.HarfBuzzShaper;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/**
 * Shapes runs word by word and remembers the words, since prose says the same ones again and again.
 * Only for runs where that gives the same as shaping the whole: left to right in a simple script,
 * in a face in which the space takes no part in shaping. Safe on any thread.
 */
final class WordShaper {
  /** Features that HarfBuzz applies by itself. */
  private static final Set<String> BY_ITSELF =
      Set.of(
          "rvrn", "ltra", "ltrm", "frac", "numr", "dnom", "rand", "trak", "ccmp", "locl", "mark",
          "mkmk", "rlig", "abvm", "blwm", "calt", "clig", "curs", "dist", "kern", "liga", "rclt");

  /** Those of {@link #BY_ITSELF} that it applies only where a fraction slash stands. */
  private static final Set<String> FOR_FRACTIONS = Set.of("frac", "numr", "dnom");

  private static final char FRACTION_SLASH = '\u2044';

  /** Words kept for each type before all are forgotten. */
  private static final int MOST_WORDS = 40_000;

  private static final int MOST_TYPES = 400;

  private record Type(
      FontFace face, String language, int script, List<HarfBuzzShaper.Feature> features) {}

  /** A shaped word; lengths in font units, units counted from its start. */
  private record Word(
      short[] glyphs, int[] units, int[] advances, int[] x, int[] y, boolean[] unsafe) {}

  private final Map<Type, Map<String, Word>> types = new ConcurrentHashMap<>();

  /** Whether a run can be shaped word by word. */
  boolean suits(String text, int start, Itemizer.Item item, List<HarfBuzzShaper.Feature> features) {
    boolean simple =
        item.direction() == HarfBuzzShaper.Direction.LEFT_TO_RIGHT
            && item.across() == 0
            && (item.script() == UScript.LATIN
                || item.script() == UScript.CYRILLIC
                || item.script() == UScript.GREEK);
    if (!simple || !item.face().covers(' ')) {
      return false;
    }
    Set<String> involved = item.face().featuresOfSpace();
    if (involved.isEmpty()) {
      return true;
    }
    int slash = text.indexOf(FRACTION_SLASH, start);
    boolean fractions = slash >= 0 && slash < item.end();
    for (String tag : involved) {
      boolean byItself = BY_ITSELF.contains(tag) && (fractions || !FOR_FRACTIONS.contains(tag));
      boolean off = false;
      boolean on = false;
      for (HarfBuzzShaper.Feature feature : features) {
        if (feature.tag().equals(tag)) {
          off = feature.value() == 0;
          on = !off;
        }
      }
      if (on || byItself && !off) {
        return false;
      }
    }
    return true;
  }

  /** Shapes a run of the text and hands it on as if it had been shaped as a whole. */
  void shape(
      HarfBuzzShaper shaper,
      String text,
      int start,
      Itemizer.Item item,
      String language,
      List<HarfBuzzShaper.Feature> features,
      HarfBuzzShaper.Sink sink) {
    Map<String, Word> words = words(new Type(item.face(), language, item.script(), features));
    List<Word> parts = new ArrayList<>((item.end() - start) / 3);
    List<Integer> places = new ArrayList<>((item.end() - start) / 3);
    int glyphs = 0;
    int at = start;
    while (at < item.end()) {
      int end = at + 1;
      if (text.charAt(at) != ' ') {
        while (end < item.end() && text.charAt(end) != ' ') {
          end++;
        }
      } else {
        // a mark behind a space stands on it
        while (end < item.end() && isMark(text.charAt(end))) {
          end++;
        }
      }
      String own = text.substring(at, end);
      Word word = words.get(own);
      if (word == null) {
        word = shape(shaper, at, end, item, language, features);
        words.put(own, word);
      }
      parts.add(word);
      places.add(at);
      glyphs += word.glyphs.length;
      at = end;
    }
    deliver(parts, places, glyphs, sink);
  }

  private static boolean isMark(char unit) {
    int type = unit < 0x300 ? Character.UNASSIGNED : Character.getType(unit);
    return unit == 0x200D
        || unit == 0x200C
        || type == Character.NON_SPACING_MARK
        || type == Character.ENCLOSING_MARK
        || type == Character.COMBINING_SPACING_MARK;
  }

  private Map<String, Word> words(Type type) {
    if (types.size() > MOST_TYPES) {
      types.clear();
    }
    Map<String, Word> words = types.computeIfAbsent(type, _ -> new ConcurrentHashMap<>());
    if (words.size() > MOST_WORDS) {
      words.clear();
    }
    return words;
  }

  private static Word shape(
      HarfBuzzShaper shaper,
      int start,
      int end,
      Itemizer.Item item,
      String language,
      List<HarfBuzzShaper.Feature> features) {
    Word[] shaped = new Word[1];
    shaper.shape(
        item.face().shaping(),
        start,
        end,
        HarfBuzzShaper.Direction.LEFT_TO_RIGHT,
        UScript.getShortName(item.script()),
        language,
        features,
        (count, infos, positions) -> shaped[0] = word(start, count, infos, positions));
    return shaped[0];
  }

  private static Word word(int start, int count, int[] infos, int[] positions) {
    short[] glyphs = new short[count];
    int[] units = new int[count];
    int[] advances = new int[count];
    int[] x = new int[count];
    int[] y = new int[count];
    boolean[] unsafe = new boolean[count];
    for (int glyph = 0; glyph < count; glyph++) {
      int at = glyph * HarfBuzzShaper.STRIDE;
      glyphs[glyph] = (short) infos[at];
      unsafe[glyph] = (infos[at + 1] & HarfBuzzShaper.UNSAFE_TO_BREAK) != 0;
      units[glyph] = infos[at + 2] - start;
      advances[glyph] = positions[at];
      x[glyph] = positions[at + 2];
      y[glyph] = positions[at + 3];
    }
    return new Word(glyphs, units, advances, x, y, unsafe);
  }

  private static void deliver(
      List<Word> parts, List<Integer> places, int glyphs, HarfBuzzShaper.Sink sink) {
    int[] infos = new int[glyphs * HarfBuzzShaper.STRIDE];
    int[] positions = new int[glyphs * HarfBuzzShaper.STRIDE];
    int at = 0;
    for (int part = 0; part < parts.size(); part++) {
      Word word = parts.get(part);
      int place = places.get(part);
      for (int glyph = 0; glyph < word.glyphs.length; glyph++) {
        infos[at] = word.glyphs[glyph] & 0xFFFF;
        infos[at + 1] = word.unsafe[glyph] ? HarfBuzzShaper.UNSAFE_TO_BREAK : 0;
        infos[at + 2] = place + word.units[glyph];
        positions[at] = word.advances[glyph];
        positions[at + 2] = word.x[glyph];
        positions[at + 3] = word.y[glyph];
        at += HarfBuzzShaper.STRIDE;
      }
    }
    sink.glyphs(glyphs, infos, positions);
  }
}
