package dynamorph.formats.captions;

import dynamorph.model.text.Story;
import dynamorph.model.timeline.Time;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import java.util.function.Consumer;

/** The words of a paragraph, of which some may be seen for a part of its time only. */
final class TimedWords {
  /**
   * Words for a stretch of time.
   *
   * @param end empty if it does not end by itself
   */
  private record Piece(Time begin, Optional<Time> end, Consumer<CueTextBuilder> words) {
    boolean isSeen(Time at) {
      return !begin.isAfter(at) && end.filter(over -> !at.isBefore(over)).isEmpty();
    }
  }

  /** What is seen between two moments. */
  record Part(Time in, Time out, Story story) {}

  /** More would take long, and say nothing: a paragraph has a line or two. */
  private static final int MOST_EDGES = 500;

  private final List<Piece> pieces = new ArrayList<>();

  /** Adds words, or what else makes words. */
  void add(Time begin, Optional<Time> end, Consumer<CueTextBuilder> words) {
    pieces.add(new Piece(begin, end, words));
  }

  /** When the last words end, if all do. */
  Optional<Time> end() {
    return pieces.stream().allMatch(piece -> piece.end.isPresent())
        ? pieces.stream().flatMap(piece -> piece.end.stream()).max(Comparator.naturalOrder())
        : Optional.empty();
  }

  /**
   * What is seen one after the other; one part if all words have the same time, or far more times
   * than anybody could read.
   */
  List<Part> parts(Time begin, Time end) {
    TreeSet<Time> edges = new TreeSet<>(List.of(begin, end));
    for (Piece piece : pieces) {
      edges.add(piece.begin);
      piece.end.ifPresent(edges::add);
    }
    if (edges.size() > MOST_EDGES) {
      return List.of(new Part(begin, end, story(pieces)));
    }
    List<Part> parts = new ArrayList<>();
    for (Time from : edges.subSet(begin, true, end, false)) {
      Story story = story(pieces.stream().filter(piece -> piece.isSeen(from)).toList());
      if (!story.text().isBlank() || edges.size() == 2) {
        parts.add(new Part(from, edges.higher(from), story));
      }
    }
    return parts;
  }

  private static Story story(List<Piece> pieces) {
    CueTextBuilder words = new CueTextBuilder();
    pieces.forEach(piece -> piece.words.accept(words));
    return words.story();
  }
}
