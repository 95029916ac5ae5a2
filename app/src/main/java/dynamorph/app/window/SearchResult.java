package dynamorph.app.window;

import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Stream;
import javafx.scene.Node;

/**
 * Something that a search of the window found.
 *
 * @param text what it is called; all words that were typed are in it
 * @param kind what kind of thing it is, or its shortcut
 * @param picture what stands before it, made when it is seen
 */
public record SearchResult(
    String text, String kind, Optional<Supplier<Node>> picture, Runnable run) {
  public SearchResult(String text, String kind, Runnable run) {
    this(text, kind, Optional.empty(), run);
  }

  /** What can be found by words. */
  @FunctionalInterface
  public interface Source {
    /**
     * All there is, or what fits.
     *
     * @param words what was typed
     */
    Stream<SearchResult> results(String words);
  }
}
