package dynamorph.bench;

import dynamorph.app.MainWindow;
import dynamorph.demo.LongHour;
import java.util.Arrays;
import java.util.Locale;
import javafx.animation.AnimationTimer;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.event.Event;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.control.ListView;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.PickResult;
import javafx.scene.input.ScrollEvent;
import javafx.stage.Stage;

/**
 * Scrolls through a list of 10,000 cues in the real window, a turn of the wheel a frame, then jumps
 * about in it, and tells how long frames took; at 60 frames a second each has 16.7 ms.
 */
public final class WindowCues extends Application {
  private static final int CUES = 10_000;
  private static final int FRAMES = 600;

  public static void main(String[] arguments) {
    Application.launch(WindowCues.class, arguments);
  }

  @Override
  public void start(Stage stage) throws Exception {
    stage.setWidth(1280);
    stage.setHeight(800);
    MainWindow window = BenchWindow.open(stage, ManyCues.in(LongHour.project(), CUES));
    window.workspace().playback().open();
    BenchWindow.after(
        2,
        () -> {
          ((ToggleButton) window.scene().lookup("#tab-cues")).setSelected(true);
          BenchWindow.after(4, () -> scroll(window, false));
        });
  }

  private void scroll(MainWindow window, boolean jumping) {
    ListView<?> list = (ListView<?>) window.scene().lookup("#cue-list");
    Node cell = list.lookup(".list-cell");
    double[] took = new double[FRAMES];
    new AnimationTimer() {
      private long last;
      private int frame;

      @Override
      public void handle(long now) {
        long real = System.nanoTime();
        if (last != 0) {
          took[frame++] = (real - last) / 1e6;
        }
        last = real;
        if (frame == FRAMES) {
          stop();
          tell(jumping ? "jumped about" : "scrolled", took);
          if (jumping) {
            Platform.exit();
            System.exit(0);
          }
          BenchWindow.after(1, () -> scroll(window, true));
        } else if (jumping) {
          list.scrollTo((int) (frame * 7919L % CUES));
        } else {
          turnWheel(cell, list);
        }
      }
    }.start();
  }

  private static void turnWheel(Node cell, ListView<?> list) {
    Point2D middle = list.localToScene(list.getWidth() / 2, list.getHeight() / 2);
    Event.fireEvent(
        cell,
        new ScrollEvent(
            ScrollEvent.SCROLL,
            middle.getX(),
            middle.getY(),
            middle.getX(),
            middle.getY(),
            false,
            false,
            false,
            false,
            false,
            false,
            0,
            -120,
            0,
            -120,
            ScrollEvent.HorizontalTextScrollUnits.NONE,
            0,
            ScrollEvent.VerticalTextScrollUnits.NONE,
            0,
            0,
            new PickResult(cell, middle.getX(), middle.getY())));
  }

  private static void tell(String what, double[] took) {
    Arrays.sort(took);
    System.out.printf(
        Locale.ROOT,
        "%s through %d cues, %d frames: median %.1f ms, of a hundred the slowest %.1f ms, slowest %.1f"
            + " ms%n",
        what,
        CUES,
        FRAMES,
        took[FRAMES / 2],
        took[FRAMES * 99 / 100],
        took[FRAMES - 1]);
  }
}
