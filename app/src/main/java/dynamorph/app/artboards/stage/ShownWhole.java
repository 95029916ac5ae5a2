package dynamorph.app.artboards.stage;

import dynamorph.model.Artboard;
import dynamorph.paint.stage.View;
import java.util.List;
import java.util.function.BooleanSupplier;

/**
 * Artboards that are shown whole while something is settled about them: also when what opens below
 * takes room from the stage, unless the person has looked elsewhere since.
 */
public final class ShownWhole {
  private final StageView stage;
  private List<Artboard> artboards = List.of();
  private View view;

  /**
   * Watches a stage.
   *
   * @param settling whether something is settled about them still
   */
  public ShownWhole(StageView stage, BooleanSupplier settling) {
    this.stage = stage;
    this.view = stage.view();
    stage
        .heightProperty()
        .addListener((_, _, _) -> {
          if (settling.getAsBoolean() && !artboards.isEmpty() && isWhereItWas()) {
            show(artboards);
          }
        });
  }

  private boolean isWhereItWas() {
    View now = stage.view();
    return now.scale() == view.scale()
        && now.offsetX() == view.offsetX()
        && now.offsetY() == view.offsetY();
  }

  /** Shows artboards. */
  public void show(List<Artboard> wanted) {
    artboards = List.copyOf(wanted);
    stage.show(wanted);
    view = stage.view();
  }
}
