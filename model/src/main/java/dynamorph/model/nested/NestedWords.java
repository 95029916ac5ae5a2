package dynamorph.model.nested;

import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import com.ibm.icu.text.BreakIterator;
import com.ibm.icu.util.ULocale;
import dynamorph.model.style.StyleId;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.value.NestedStyles;
import dynamorph.model.value.NestedStyles.Count;
import dynamorph.model.value.NestedStyles.Every;
import dynamorph.model.value.NestedStyles.Matching;
import dynamorph.model.value.NestedStyles.Rule;
import dynamorph.model.value.NestedStyles.Until;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import java.util.concurrent.ConcurrentHashMap;

/**
 * Finds the words of a paragraph that nested styles are about. Letters, words and sentences are
 * those of UAX #29 in the tailoring of ICU, which knows the words of languages without spaces.
 */
public final class NestedWords {
  /** Patterns of projects are few; beyond this all are forgotten. */
  private static final int MOST_PATTERNS = 500;

  private static final Map<String, Pattern> PATTERNS = new ConcurrentHashMap<>();

  private static final String NUMBER = "\\p{Nd}+(?:[.,:'\u2019\u00A0\u202F\u066B\u066C]\\p{Nd}+)*";
  private static final String CAPITALS = "\\p{Lu}[\\p{Lu}\\p{M}]+";
  private static final String QUOTATION =
      "\u201C[^\u201C\u201D]*\u201D|\u201E[^\u201C\u201E]*\u201C|\u00AB[^\u00AB\u00BB]*\u00BB"
          + "|\u00BB[^\u00AB\u00BB]*\u00AB|\u300C[^\u300C\u300D]*\u300D"
          + "|\u300E[^\u300E\u300F]*\u300F|\"[^\"]*\"";
  private static final String BRACKET =
      "\\([^()]*\\)|\\[[^\\[\\]]*\\]|\uFF08[^\uFF08\uFF09]*\uFF09|\u3010[^\u3010\u3011]*\u3011";
  private static final String LATIN =
      "\\p{Latin}(?:[\\p{Latin}\\p{M}\\p{Nd}'\u2019 -]*[\\p{Latin}\\p{Nd}])?";

  private NestedWords() {}

  /** A paragraph with its words in the nested styles, below the character styles that they have. */
  public static Paragraph dressed(Paragraph paragraph, NestedStyles nested) {
    if (nested.isEmpty() || paragraph.length() == 0) {
      return paragraph;
    }
    List<Stretch> stretches = stretches(paragraph.text(), nested);
    if (stretches.isEmpty()) {
      return paragraph;
    }
    TreeSet<Integer> cuts = new TreeSet<>();
    stretches.forEach(stretch -> {
      cuts.add(stretch.from);
      cuts.add(stretch.to);
    });
    List<Span> spans = new ArrayList<>();
    int at = 0;
    for (Span span : paragraph.spans()) {
      int end = at + span.length();
      for (int from = at; from < end; ) {
        Integer cut = cuts.higher(from);
        int to = cut == null ? end : Math.min(end, cut);
        List<StyleId> follows = new ArrayList<>();
        for (Stretch stretch : stretches) {
          if (stretch.from <= from && stretch.to >= to) {
            follows.add(new StyleId(stretch.style));
          }
        }
        follows.addAll(span.follows());
        spans.add(span.withText(span.text().substring(from - at, to - at)).withFollows(follows));
        from = to;
      }
      at = end;
    }
    return paragraph.withSpans(spans);
  }

  private record Stretch(String style, int from, int to) {}

  private static List<Stretch> stretches(String text, NestedStyles nested) {
    List<Stretch> stretches = new ArrayList<>();
    int at = 0;
    for (Rule rule : nested.rules()) {
      switch (rule.extent()) {
        case Count count -> {
          int end = behind(text, at, count);
          add(stretches, rule, at, end);
          at = end;
        }
        case Until until -> {
          int found = text.indexOf(until.signs(), at);
          if (found >= 0) {
            int end = until.included() ? found + until.signs().length() : found;
            add(stretches, rule, at, end);
            at = end;
          }
        }
        case Every every ->
            addAll(
                stretches,
                rule,
                text,
                switch (every.kind()) {
                  case NUMBER -> NUMBER;
                  case CAPITALS -> CAPITALS;
                  case QUOTATION -> QUOTATION;
                  case BRACKET -> BRACKET;
                  case LATIN -> LATIN;
                });
        case Matching matching -> addAll(stretches, rule, text, matching.pattern());
      }
    }
    return stretches;
  }

  private static void add(List<Stretch> stretches, Rule rule, int from, int to) {
    if (from < to && !rule.isSkipped()) {
      stretches.add(new Stretch(rule.style(), from, to));
    }
  }

  private static void addAll(List<Stretch> stretches, Rule rule, String text, String pattern) {
    if (PATTERNS.size() > MOST_PATTERNS) {
      PATTERNS.clear();
    }
    Matcher found = PATTERNS.computeIfAbsent(pattern, Pattern::compile).matcher(text);
    while (found.find()) {
      add(stretches, rule, found.start(), found.end());
    }
  }

  /** Where so many units end behind an offset; the end of the text if there are fewer. */
  private static int behind(String text, int from, Count count) {
    BreakIterator units =
        switch (count.unit()) {
          case LETTERS -> BreakIterator.getCharacterInstance(ULocale.ROOT);
          case WORDS -> BreakIterator.getWordInstance(ULocale.ROOT);
          case SENTENCES -> BreakIterator.getSentenceInstance(ULocale.ROOT);
        };
    units.setText(text);
    int left = count.count();
    int at = from == 0 ? units.first() : units.preceding(from + 1);
    int end = from;
    while (left > 0 && at != BreakIterator.DONE && end < text.length()) {
      int next = units.next();
      if (next == BreakIterator.DONE) {
        return text.length();
      }
      boolean counts = counts(count.unit(), units, text, Math.max(at, from), next);
      left -= counts ? 1 : 0;
      end = next;
      at = next;
    }
    return count.unit() == NestedStyles.Unit.SENTENCES ? withoutSpace(text, from, end) : end;
  }

  private static boolean counts(
      NestedStyles.Unit unit, BreakIterator units, String text, int from, int to) {
    return switch (unit) {
      case LETTERS, SENTENCES -> !text.substring(from, to).isBlank();
      case WORDS -> units.getRuleStatus() >= BreakIterator.WORD_NUMBER;
    };
  }

  private static int withoutSpace(String text, int from, int end) {
    int at = end;
    while (at > from && Character.isWhitespace(text.charAt(at - 1))) {
      at--;
    }
    return at;
  }
}
