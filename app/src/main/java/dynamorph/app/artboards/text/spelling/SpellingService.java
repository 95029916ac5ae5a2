package dynamorph.app.artboards.text.spelling;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dynamorph.app.render.FrameService;
import dynamorph.app.session.Workspace;
import dynamorph.model.cascade.ResolvedLayer;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Story;
import dynamorph.model.text.TextRange;
import dynamorph.typeset.spelling.ParagraphSpelling;
import dynamorph.typeset.spelling.Speller;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Queue;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.beans.property.IntegerProperty;
import javafx.beans.property.ReadOnlyIntegerProperty;
import javafx.beans.property.SimpleIntegerProperty;

/**
 * Checks spelling beside the interface thread and remembers each paragraph that was checked.
 * Questions are asked on the interface thread; what is not known yet comes with {@link
 * #changesProperty}.
 */
public final class SpellingService implements AutoCloseable {
  private static final int KEPT = 5_000;

  private record Check(String text, String language) {}

  /** A misspelt word of a story. */
  public record Misspelt(TextRange range, String word, String language) {}

  private final Workspace workspace;
  private final Speller speller = new Speller();
  private final ExecutorService worker =
      Executors.newSingleThreadExecutor(FrameService.daemon("spelling"));
  private final Cache<Check, List<TextRange>> checked =
      Caffeine.newBuilder().maximumSize(KEPT).build();
  private final Set<Check> asked = ConcurrentHashMap.newKeySet();
  private final Queue<Check> done = new ConcurrentLinkedQueue<>();
  private final AtomicBoolean told = new AtomicBoolean();
  private final Set<String> ignored = new HashSet<>();
  private final IntegerProperty changes = new SimpleIntegerProperty();

  public SpellingService(Workspace workspace) {
    this.workspace = workspace;
  }

  /** Counts up when more is known. */
  public ReadOnlyIntegerProperty changesProperty() {
    return changes;
  }

  /** Whether nothing is being checked. */
  public boolean isIdle() {
    return asked.isEmpty();
  }

  /** The misspelt words of a story, as far as they are known. */
  public List<Misspelt> misspelt(Story story, ResolvedLayer look) {
    List<Misspelt> wrong = new ArrayList<>();
    int start = 0;
    for (int index = 0; index < story.paragraphs().size(); index++) {
      Paragraph paragraph = story.paragraphs().get(index);
      if (index < look.paragraphs().size()) {
        add(wrong, paragraph, look.paragraphs().get(index), start);
      }
      start += paragraph.length() + 1;
    }
    return wrong;
  }

  private void add(
      List<Misspelt> wrong, Paragraph paragraph, ResolvedLayer.ResolvedParagraph look, int start) {
    for (ParagraphSpelling.Misspelt found :
        ParagraphSpelling.of(
            paragraph, look, (text, language) -> known(new Check(text, language)))) {
      String word = found.word();
      if (!workspace.project().words().contains(word) && !ignored.contains(word)) {
        TextRange range = found.range();
        wrong.add(
            new Misspelt(
                new TextRange(start + range.start(), start + range.end()), word, found.language()));
      }
    }
  }

  private List<TextRange> known(Check check) {
    List<TextRange> result = checked.getIfPresent(check);
    // the last frame of a window may come after it was closed
    if (result == null && !worker.isShutdown() && asked.add(check)) {
      worker.execute(() -> {
        checked.put(check, speller.misspelt(check.text, check.language, Set.of()));
        done.add(check);
        // many short paragraphs are checked in the time of one frame
        if (!told.getAndSet(true)) {
          Platform.runLater(this::tell);
        }
      });
    }
    return result == null ? List.of() : result;
  }

  private void tell() {
    told.set(false);
    for (Check check = done.poll(); check != null; check = done.poll()) {
      asked.remove(check);
    }
    changes.set(changes.get() + 1);
  }

  /** The misspelt word at an offset. */
  public Optional<Misspelt> at(Story story, ResolvedLayer look, int offset) {
    return misspelt(story, look).stream()
        .filter(wrong -> wrong.range().start() <= offset && offset <= wrong.range().end())
        .findFirst();
  }

  /** Finds what may have been meant, and hands it over on the interface thread. */
  public void suggest(Misspelt wrong, Consumer<List<String>> take) {
    if (worker.isShutdown()) {
      return;
    }
    worker.execute(() -> {
      List<String> words = speller.suggestions(wrong.word(), wrong.language());
      Platform.runLater(() -> take.accept(words));
    });
  }

  /** Takes a word as right until the window closes. */
  public void ignore(String word) {
    ignored.add(word);
    changes.set(changes.get() + 1);
  }

  @Override
  public void close() {
    worker.shutdownNow();
  }
}
