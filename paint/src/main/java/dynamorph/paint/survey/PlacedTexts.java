package dynamorph.paint.survey;

import dynamorph.model.Artboard;
import dynamorph.model.ArtboardId;
import dynamorph.model.Asset;
import dynamorph.model.Layer;
import dynamorph.model.survey.Finding;
import dynamorph.model.survey.rule.RuleSet;
import dynamorph.paint.scene.PlacedLayer;
import dynamorph.paint.scene.Scene;
import dynamorph.typeset.layout.Box;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.stream.Stream;

/**
 * What is found in texts where they stand. A text is looked at again when it, its artboard or
 * something that lies on it or under it changed, and not otherwise. One thread at a time.
 */
final class PlacedTexts {
  /** Texts that are looked at between two reports. */
  private static final int CHUNK = 200;

  /** The texts of one artboard with what was found, by identity. */
  private record Board(Scene.Board board, Map<PlacedLayer, List<Finding>> found) {}

  private Map<ArtboardId, Board> known = new HashMap<>();
  private RuleSet rules = RuleSet.USUAL;
  private List<Asset> assets = List.of();

  /**
   * What is told on the way.
   *
   * @param findings so far
   * @param lookedAt how many texts have been looked at
   */
  record SoFar(List<Finding> findings, int lookedAt) {}

  /**
   * Looks at all texts.
   *
   * @param look looks at one text, on any thread
   * @param tell is told what is known now and then
   * @param isOver whether nobody waits for it any more; then what is known so far comes out
   */
  SoFar in(
      Scene scene,
      RuleSet asked,
      Function<Scene.Found, List<Finding>> look,
      Consumer<SoFar> tell,
      BooleanSupplier isOver) {
    if (!asked.equals(rules) || scene.project().assets() != assets) {
      known = new HashMap<>();
      rules = asked;
      assets = scene.project().assets();
    }
    List<Finding> found = new ArrayList<>();
    int looked = 0;
    Map<ArtboardId, Board> now = new HashMap<>();
    for (Scene.Board board : scene.boards()) {
      Board earlier = known.get(board.artboard().id());
      Board read =
          earlier != null && earlier.board() == board
              ? earlier
              : new Board(board, kept(board, Optional.ofNullable(earlier)));
      // what was looked at holds, even if nobody waits for the rest
      known.put(board.artboard().id(), read);
      now.put(board.artboard().id(), read);
      List<Scene.Found> left =
          board.texts().stream()
              .filter(text -> !read.found().containsKey(text))
              .map(text -> new Scene.Found(board, text))
              .toList();
      for (int from = 0; from < left.size(); from += CHUNK) {
        if (isOver.getAsBoolean()) {
          return new SoFar(found, looked);
        }
        List<Scene.Found> chunk = left.subList(from, Math.min(left.size(), from + CHUNK));
        // pictures of films come one after the other
        Stream<Scene.Found> texts =
            board.artboard().isFilm() ? chunk.stream() : chunk.parallelStream();
        List<List<Finding>> seen = texts.map(look).toList();
        for (int index = 0; index < seen.size(); index++) {
          read.found().put(chunk.get(index).text(), seen.get(index));
        }
        tell.accept(new SoFar(found, looked));
      }
      for (PlacedLayer text : board.texts()) {
        found.addAll(read.found().getOrDefault(text, List.of()));
        looked += text.layer().isText() ? 1 : 0;
      }
    }
    known = now;
    return new SoFar(found, looked);
  }

  /** What still holds of what was found on an artboard before. */
  private static Map<PlacedLayer, List<Finding>> kept(Scene.Board now, Optional<Board> earlier) {
    Map<PlacedLayer, List<Finding>> kept = new IdentityHashMap<>();
    if (earlier.filter(before -> isSameGround(before.board(), now)).isEmpty()) {
      return kept;
    }
    Map<Layer, PlacedLayer> gone = new IdentityHashMap<>();
    earlier.get().board().texts().forEach(text -> gone.put(text.layer(), text));
    List<PlacedLayer> same = new ArrayList<>();
    List<PlacedLayer> was = new ArrayList<>();
    List<Box> changed = new ArrayList<>();
    for (PlacedLayer text : now.texts()) {
      PlacedLayer before = gone.get(text.layer());
      if (before != null && text.isAs(before)) {
        gone.remove(text.layer());
        same.add(text);
        was.add(before);
      } else {
        changed.add(room(text));
      }
    }
    if (!areInOrder(earlier.get().board().texts(), was)) {
      return kept;
    }
    gone.values().forEach(text -> changed.add(room(text)));
    for (int index = 0; index < same.size(); index++) {
      List<Finding> found = earlier.get().found().get(was.get(index));
      Box own = changed.isEmpty() ? Box.EMPTY : same.get(index).bounds();
      if (found != null && changed.stream().noneMatch(own::overlaps)) {
        kept.put(same.get(index), found);
      }
    }
    return kept;
  }

  /** Whether some texts stand among all in the order that they are given in. */
  private static boolean areInOrder(List<PlacedLayer> all, List<PlacedLayer> some) {
    int at = 0;
    for (PlacedLayer text : all) {
      if (at < some.size() && some.get(at) == text) {
        at++;
      }
    }
    return at == some.size();
  }

  private static Box room(PlacedLayer text) {
    return text.bounds().with(text.onArtboard(text.ink()));
  }

  private static boolean isSameGround(Scene.Board before, Scene.Board now) {
    Artboard was = before.artboard();
    Artboard is = now.artboard();
    return before.background().equals(now.background())
        && was.width() == is.width()
        && was.height() == is.height()
        && was.unit() == is.unit()
        && was.timeline().equals(is.timeline());
  }
}
