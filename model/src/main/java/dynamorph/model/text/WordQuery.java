package dynamorph.model.text;

import dynamorph.model.message.Messages;
import java.util.ArrayList;
import java.util.List;

/**
 * Words to look for.
 *
 * @param words never empty
 * @param matchCase whether capitals count
 * @param wholeWords whether letters and figures may not go on at either side
 */
public record WordQuery(String words, boolean matchCase, boolean wholeWords) {
  public WordQuery {
    if (words.isEmpty()) {
      throw new IllegalArgumentException(Messages.of("word-query.there-is-nothing-to-look-for"));
    }
  }

  /** Where the words stand in a text, from left to right; none overlaps the one before. */
  public List<TextRange> in(String text) {
    List<TextRange> found = new ArrayList<>();
    int at = 0;
    while (at + words.length() <= text.length()) {
      boolean here = text.regionMatches(!matchCase, at, words, 0, words.length());
      if (here && (!wholeWords || isWhole(text, at, at + words.length()))) {
        found.add(new TextRange(at, at + words.length()));
        at += words.length();
      } else {
        at++;
      }
    }
    return found;
  }

  private static boolean isWhole(String text, int start, int end) {
    boolean before = start > 0 && Character.isLetterOrDigit(text.codePointBefore(start));
    boolean after = end < text.length() && Character.isLetterOrDigit(text.codePointAt(end));
    return !before && !after;
  }
}
