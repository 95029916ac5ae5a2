package dynamorph.app.styles.reach;

import dynamorph.app.artboards.stage.StageView;
import dynamorph.app.render.PictureService;
import dynamorph.app.render.Studio;
import dynamorph.app.session.Workspace;
import java.util.function.Supplier;

/**
 * What both views of reach, the strip and the large one, read and show.
 *
 * @param studio what pictures are made with now
 * @param pictures makes them in the background
 */
public record ReachSources(
    Workspace workspace,
    StageView stage,
    Supplier<Studio> studio,
    PictureService pictures,
    ReachWatch watch) {
  /** A tile for one text, so many units of the window wide. */
  ReachTile tile(int width) {
    return new ReachTile(studio, pictures, width);
  }

  /** What is done with tiles. */
  ReachGestures gestures(boolean large) {
    return new ReachGestures(workspace, stage, large);
  }
}
