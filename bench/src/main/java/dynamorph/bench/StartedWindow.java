package dynamorph.bench;

import dynamorph.app.HeadStart;
import dynamorph.app.MainWindow;
import dynamorph.app.Program;
import dynamorph.model.Artboard;
import dynamorph.model.LayerId;
import dynamorph.paint.scene.Scene;
import dynamorph.paint.stage.View;
import dynamorph.typeset.layout.Box;
import java.util.List;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.geometry.Point2D;

/**
 * The program as it starts, which tells when its artboards are there and when a click is answered.
 */
public final class StartedWindow {
  private static final LayerId TITLE = new LayerId("label-5-title");

  private StartedWindow() {}

  static void main(String[] arguments) {
    HeadStart.begin(List.of("demo"));
    Application.launch(Timed.class, "demo");
  }

  /** Starts like the program, and tells when its artboards show. */
  public static final class Timed extends Program {
    @Override
    protected void shown(MainWindow main) {
      main.stage()
          .afterNextFrame(() -> {
            // the frame that holds the picture is drawn with the next pulse
            main.scene()
                .addPostLayoutPulseListener(
                    new Runnable() {
                      @Override
                      public void run() {
                        main.scene().removePostLayoutPulseListener(this);
                        Platform.runLater(() -> painted(main));
                      }
                    });
            Platform.requestNextPulse();
          });
    }
  }

  private static void painted(MainWindow main) {
    System.out.println(StartTimes.PAINTED);
    Scene.Found title = main.stage().scene().orElseThrow().find(TITLE).orElseThrow();
    Box box = title.text().bounds();
    Artboard board = title.board().artboard();
    View view = main.stage().view();
    double x = view.toPixelX(board.x() + box.x() + box.width() / 2);
    double y = view.toPixelY(board.y() + box.y() + box.height() / 2);
    Point2D place = main.stage().localToScreen(x, y);
    StartTimes.click(
        place.getX(), place.getY(), () -> main.workspace().selection().layers().isEmpty());
  }
}
