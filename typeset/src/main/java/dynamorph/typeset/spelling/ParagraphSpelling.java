package dynamorph.typeset.spelling;

import dynamorph.model.cascade.ResolvedLayer;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.TextRange;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;

/** Checks the words of a paragraph, each in the language that it is in. */
public final class ParagraphSpelling {
  private ParagraphSpelling() {}

  /**
   * A word that is not in the dictionary of its language.
   *
   * @param range offsets in the paragraph
   */
  public record Misspelt(TextRange range, String word, String language) {}

  /** Finds the misspelt words of a text in one language. */
  @FunctionalInterface
  public interface Check {
    List<TextRange> misspelt(String text, String language);
  }

  /** The misspelt words of a paragraph, in the order of their languages. */
  public static List<Misspelt> of(
      Paragraph paragraph, ResolvedLayer.ResolvedParagraph look, Check check) {
    String text = paragraph.text();
    Set<String> languages = new TreeSet<>();
    look.spans().forEach(span -> languages.add(span.type().language()));
    List<Misspelt> wrong = new ArrayList<>();
    for (String language : languages) {
      for (TextRange range : check.misspelt(text, language)) {
        if (language.equals(look.languageAt(paragraph, range.start()))) {
          wrong.add(new Misspelt(range, text.substring(range.start(), range.end()), language));
        }
      }
    }
    return wrong;
  }
}
