package dynamorph.model.text;

import java.text.BreakIterator;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * Letters of one paragraph and how they are read (W3C, Simple Ruby; JIS X 4051).
 *
 * @param start first unit of the paragraph
 * @param end one past the last unit
 * @param ruby what stands over them; not empty
 */
public record RubyBase(int start, int end, String ruby) {
  /** The bases of neighbouring spans, those with the same ruby as one. */
  static List<RubyBase> of(List<Span> spans) {
    List<RubyBase> bases = new ArrayList<>();
    int at = 0;
    for (Span span : spans) {
      int end = at + span.length();
      if (!span.ruby().isEmpty()) {
        boolean goesOn =
            !bases.isEmpty()
                && bases.getLast().end == at
                && bases.getLast().ruby.equals(span.ruby());
        int start = goesOn ? bases.removeLast().start : at;
        bases.add(new RubyBase(start, end, span.ruby()));
      }
      at = end;
    }
    return bases;
  }

  /** The ruby as it is kept: without spaces at its ends, and single ones between its parts. */
  public static String cleaned(String ruby) {
    return ruby.replace('\u3000', ' ').strip().replaceAll("\\s+", " ");
  }

  /**
   * Parts over a letter each, if there are as many as letters; else this base as a whole.
   *
   * @param paragraph text of the paragraph
   */
  public List<RubyBase> overLetters(String paragraph) {
    String[] parts = ruby.split(" ");
    if (parts.length < 2) {
      return List.of(this);
    }
    BreakIterator letters = BreakIterator.getCharacterInstance(Locale.ROOT);
    letters.setText(paragraph.substring(start, end));
    List<RubyBase> over = new ArrayList<>(parts.length);
    int from = letters.first();
    for (String part : parts) {
      int to = letters.next();
      if (to == BreakIterator.DONE) {
        return List.of(this);
      }
      over.add(new RubyBase(start + from, start + to, part));
      from = to;
    }
    return start + from == end ? over : List.of(this);
  }
}
