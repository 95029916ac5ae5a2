package dynamorph.paint.scene;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.typeset.layout.Typesetter;
import java.util.Optional;

/** Makes scenes, with the typesetter and the painter that everything shares. */
public record SceneMaker(Typesetter typesetter, LayerPainter painter) {
  public Scene make(Project project) {
    return Scene.of(project, Optional.empty(), this);
  }

  /** One text alone, in the values that it has in a project. */
  public PlacedLayer place(Artboard board, Layer layer, Cascade cascade) {
    return Scene.place(board, layer, cascade, this, null);
  }

  /** The scene of a project that came out of an earlier one; only what changed is done again. */
  public Scene make(Project project, Scene before) {
    return before.project() == project ? before : Scene.of(project, Optional.of(before), this);
  }
}
