package dynamorph.model.edit.text;

import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.message.Messages;
import java.util.SortedSet;
import java.util.TreeSet;

/**
 * Adds a word to those that are spelt right in the project, or takes it out.
 *
 * @param known whether it is right from now on
 */
public record LearnWord(String word, boolean known) implements Edit {
  @Override
  public Project applyTo(Project before) {
    SortedSet<String> words = new TreeSet<>(before.words());
    boolean changed = known ? words.add(word) : words.remove(word);
    return changed ? before.withWords(words) : before;
  }

  @Override
  public String label(Project before) {
    return Messages.of(known ? "learn-word.add" : "learn-word.take-out", word);
  }
}
