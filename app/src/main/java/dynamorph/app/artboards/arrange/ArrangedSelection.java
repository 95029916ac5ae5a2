package dynamorph.app.artboards.arrange;

import dynamorph.app.artboards.stage.StageView;
import dynamorph.app.session.Workspace;
import dynamorph.paint.arrange.Arranged;
import dynamorph.paint.scene.Scene;
import dynamorph.typeset.layout.Box;
import java.util.List;

/**
 * What is selected on one artboard, as it was last set.
 *
 * @param frame of the artboard, at its own origin
 */
record ArrangedSelection(Box frame, List<Arranged> texts) {
  /** One for each artboard in sight on which something is selected. */
  static List<ArrangedSelection> of(Workspace workspace, StageView stage) {
    return stage.scene().map(Scene::boards).orElse(List.of()).stream()
        .map(board -> on(board, workspace))
        .filter(on -> !on.texts.isEmpty())
        .toList();
  }

  private static ArrangedSelection on(Scene.Board board, Workspace workspace) {
    return new ArrangedSelection(
        new Box(0, 0, board.artboard().width(), board.artboard().height()),
        board.texts().stream()
            .filter(text -> workspace.selection().contains(text.layer().id()))
            .map(Arranged::of)
            .toList());
  }

  /** The box around all of them. */
  Box bounds() {
    return texts.stream().map(Arranged::box).reduce(Box::with).orElse(frame);
  }
}
