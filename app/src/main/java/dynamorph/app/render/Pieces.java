package dynamorph.app.render;

import java.util.ArrayDeque;
import java.util.List;
import java.util.Queue;
import javafx.animation.AnimationTimer;

/** Long work of the interface thread, done a piece with each pulse: what is clicked is answered. */
public final class Pieces extends AnimationTimer {
  private final Queue<Runnable> pieces;

  private Pieces(List<Runnable> pieces) {
    this.pieces = new ArrayDeque<>(pieces);
  }

  /** Begins with the next pulse. */
  public static void begin(List<Runnable> pieces) {
    new Pieces(pieces).start();
  }

  /** Does something once the next pulse has shown what is there now. */
  public static void afterNextPulse(Runnable work) {
    begin(List.of(() -> {}, work));
  }

  @Override
  public void handle(long now) {
    Runnable next = pieces.poll();
    if (next == null) {
      stop();
    } else {
      next.run();
    }
  }
}
