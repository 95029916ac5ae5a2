package dynamorph.app.artboards.stage;

import dynamorph.app.artboards.text.spelling.SpellingService;
import dynamorph.app.session.Workspace;
import dynamorph.model.Layer;
import dynamorph.model.text.TextRange;
import dynamorph.paint.scene.PlacedLayer;
import dynamorph.paint.scene.Scene;
import dynamorph.typeset.layout.Box;
import dynamorph.typeset.layout.Line;
import java.util.List;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;

/** The waves below misspelt words of texts that are wholly seen. */
final class SpellingMarks {
  private static final Color PLUM = Color.web("#7C2A62");

  private final Workspace workspace;
  private final StagePoints points;

  SpellingMarks(Workspace workspace, StagePoints points) {
    this.workspace = workspace;
    this.points = points;
  }

  /** Smaller letters than this are not read on the stage, so not marked either. */
  private static final double SMALLEST_MARKED = 7;

  void draw(GraphicsContext g, Scene scene, SpellingService spelling) {
    for (Scene.Board board : scene.boards()) {
      for (PlacedLayer text : board.texts()) {
        if (!isWhollySeen(text.layer()) || isTiny(text)) {
          continue;
        }
        List<SpellingService.Misspelt> wrong = spelling.misspelt(text.story(), text.look());
        if (!wrong.isEmpty()) {
          points.enter(g, new Scene.Found(board, text));
          g.setStroke(PLUM);
          g.setLineWidth(1.3);
          wrong.stream()
              .filter(word -> !isBeingTyped(text, word))
              .forEach(word -> drawWave(g, text, word.range()));
          g.restore();
        }
      }
    }
  }

  /** Whether a text of a film has faded in and not begun to fade out. */
  private boolean isWhollySeen(Layer layer) {
    return layer
        .timing()
        .map(timing -> timing.visibility(workspace.playback().playheadProperty().get()) >= 1)
        .orElse(true);
  }

  /**
   * Whether all letters are far too small to be marked, told without setting them; of a large
   * project in sight as a whole thousands would be checked with each frame.
   */
  private boolean isTiny(PlacedLayer text) {
    double wanted = SMALLEST_MARKED / 2 / points.scale();
    return text.look().paragraphs().stream()
        .flatMap(paragraph -> paragraph.spans().stream())
        .allMatch(span -> span.type().size() < wanted);
  }

  /** A word is not wrong before it is finished. */
  private boolean isBeingTyped(PlacedLayer text, SpellingService.Misspelt word) {
    return workspace
        .selection()
        .cursor()
        .filter(cursor -> cursor.layer().equals(text.text()))
        .filter(cursor -> cursor.range().isEmpty() && cursor.caret() == word.range().end())
        .isPresent();
  }

  private void drawWave(GraphicsContext g, PlacedLayer text, TextRange range) {
    double scale = points.scale();
    int index = text.layout().lineAt(range.start());
    Line line = text.layout().lines().get(index);
    // words that find no room in their box are not to be seen, nor are their marks
    boolean hidden = index >= text.layout().shownLines().size();
    if (hidden || line.ascent() * scale < SMALLEST_MARKED) {
      return;
    }
    boolean vertical = line.axes().isVertical();
    for (Box box : text.layout().selection(range)) {
      double beside = vertical ? box.x() + box.width() * 0.12 : box.bottom() - box.height() * 0.12;
      double from = (vertical ? box.y() : box.x()) * scale;
      double to = (vertical ? box.bottom() : box.right()) * scale;
      int steps = Math.max(1, (int) Math.round((to - from) / 3));
      double[] xs = new double[steps + 1];
      double[] ys = new double[steps + 1];
      for (int step = 0; step <= steps; step++) {
        xs[step] = from + (to - from) * step / steps;
        ys[step] = beside * scale + (step % 2 == 0 ? -1.2 : 1.2);
      }
      g.strokePolyline(vertical ? ys : xs, vertical ? xs : ys, steps + 1);
    }
  }
}
