package dynamorph.bench;

import dynamorph.model.Artboard;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.property.PropertySet;
import dynamorph.paint.scene.Scene;
import dynamorph.paint.stage.View;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.Level;
import org.openjdk.jmh.annotations.Setup;

/** Two hundred layers in the riveted finish, all in view at 1280 × 800. */
public class FinishViewBench extends FrameBench {
  private static final int ACROSS = 10;
  private static final int DOWN = 20;

  private Scene scene;
  private View view;
  private int turn;

  /** A window that shows them all. */
  @Setup(Level.Trial)
  public void open() {
    Artboard board = Artboard.empty("a", "A", 8600, 5200, LengthUnit.PIXEL);
    for (int index = 0; index < ACROSS * DOWN; index++) {
      board =
          board.plus(
              FinishBench.layer(
                  "t" + index,
                  60 + index % ACROSS * 850,
                  20 + index / ACROSS * 255,
                  PropertySet.EMPTY));
    }
    scene = maker.make(Project.empty("Bench").plus(board));
    view = new View(1280, 800, 0.148, 4, 4);
    render();
  }

  private boolean render() {
    return render(scene, view);
  }

  /** The view by a few pixels. */
  @Benchmark
  public boolean pan() {
    turn = (turn + 1) % 2;
    view = view.panned(turn == 0 ? -3 : 3, 0);
    return render();
  }

  /** Another scale, until everything is sharp again. */
  @Benchmark
  public boolean zoom() {
    turn++;
    // never a scale that was there before
    view = new View(1280, 800, 0.13 + 0.018 * (turn * 0.618 % 1), 4, 4);
    return render();
  }
}
