package dynamorph.paint.survey;

import dynamorph.model.Artboard;
import dynamorph.model.ArtboardId;
import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.cascade.ResolvedLayer;
import dynamorph.model.survey.Finding;
import dynamorph.model.survey.SurveyedText;
import dynamorph.model.survey.TextFindings;
import dynamorph.model.survey.rule.RuleSet;
import dynamorph.paint.scene.PlacedLayer;
import dynamorph.paint.scene.Scene;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What is found in each text by itself, for as long as the text and its look stay. One thread at a
 * time.
 */
final class KnownTexts {
  private record Read(ResolvedLayer look, List<Finding> findings) {}

  /** The texts of one artboard, by identity. */
  private record Board(Scene.Board board, Map<Layer, Read> texts, List<Finding> findings) {}

  private final List<TextFindings> kinds;
  private Map<ArtboardId, Board> known = new HashMap<>();
  private RuleSet rules = RuleSet.USUAL;
  private Set<String> words = Set.of();

  KnownTexts(List<TextFindings> kinds) {
    this.kinds = List.copyOf(kinds);
  }

  /** What is found in all texts, those that are hidden too, in the order of the project. */
  List<Finding> in(Scene scene, RuleSet asked) {
    Project project = scene.project();
    if (!asked.equals(rules) || !project.words().equals(words)) {
      known.clear();
      rules = asked;
      words = project.words();
    }
    List<Board> now =
        scene.boards().parallelStream()
            .map(board -> {
              Optional<Board> earlier = Optional.ofNullable(known.get(board.artboard().id()));
              return earlier
                  .filter(one -> one.board() == board)
                  .orElseGet(() -> read(scene, board, earlier));
            })
            .toList();
    known = new HashMap<>();
    List<Finding> found = new ArrayList<>();
    for (Board board : now) {
      known.put(board.board().artboard().id(), board);
      found.addAll(board.findings());
    }
    return found;
  }

  private Board read(Scene scene, Scene.Board board, Optional<Board> earlier) {
    Map<Layer, PlacedLayer> placed = new IdentityHashMap<>();
    board.texts().forEach(text -> placed.put(text.layer(), text));
    Map<Layer, Read> texts = new IdentityHashMap<>();
    List<Finding> found = new ArrayList<>();
    Artboard artboard = board.artboard();
    for (Layer layer : artboard.layers()) {
      if (layer.isText() && !layer.isFurtherBox() && !layer.story().text().isBlank()) {
        Read read =
            read(
                scene,
                layer,
                Optional.ofNullable(placed.get(layer)),
                earlier.map(one -> one.texts().get(layer)));
        texts.put(layer, read);
        found.addAll(read.findings());
      }
    }
    return new Board(board, texts, found);
  }

  private Read read(
      Scene scene, Layer layer, Optional<PlacedLayer> placed, Optional<Read> earlier) {
    ResolvedLayer look =
        placed.map(PlacedLayer::look).orElseGet(() -> scene.cascade().resolve(layer));
    return earlier
        .filter(read -> read.look() == look || read.look().equals(look))
        .orElseGet(() -> {
          SurveyedText text =
              new SurveyedText(
                  words,
                  layer.id(),
                  placed
                      .map(PlacedLayer::story)
                      .orElseGet(() -> scene.cascade().dressed(layer).story()),
                  look);
          return new Read(
              look, kinds.stream().flatMap(kind -> kind.in(text, rules).stream()).toList());
        });
  }
}
