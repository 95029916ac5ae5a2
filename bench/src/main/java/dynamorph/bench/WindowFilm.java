package dynamorph.bench;

import dynamorph.app.MainWindow;
import dynamorph.demo.LongHour;
import dynamorph.model.Project;
import dynamorph.model.timeline.Clip;
import dynamorph.model.timeline.Media;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Track;
import java.util.List;
import java.util.Locale;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.stage.Stage;

/**
 * Plays the film of the demo in the real window, its frames 1920 pixels wide, and tells how many of
 * the frames that the clock asked for were not seen; then goes to frames here and there and tells
 * how long each took to show. {@code -Dfilm.video=FILE} plays a video instead of what is drawn.
 */
public final class WindowFilm extends Application {
  private static final double SECONDS =
      Double.parseDouble(System.getProperty("film.seconds", "40"));

  public static void main(String[] arguments) {
    Application.launch(WindowFilm.class, arguments);
  }

  @Override
  public void start(Stage stage) throws Exception {
    stage.setWidth(Double.parseDouble(System.getProperty("film.width", "2560")));
    stage.setHeight(Double.parseDouble(System.getProperty("film.height", "1500")));
    MainWindow window = BenchWindow.open(stage, withVideo(LongHour.project()));
    window.workspace().playback().open();
    BenchWindow.after(
        3,
        () -> {
          window.stage().fitAll();
          if (Boolean.getBoolean("film.full")) window.stage().zoomTo(1);
          BenchWindow.after(3, () -> play(window));
        });
  }

  private static Project withVideo(Project project) {
    String file = System.getProperty("film.video", "");
    if (file.isEmpty()) {
      return project;
    }
    Media video = new Media.File(file);
    return project.mapArtboards(board ->
        board.timeline().isEmpty()
            ? board
            : board.mapTimeline(line ->
                line.mapTracks(track ->
                    track instanceof Track.Footage footage
                        ? footage.withClips(
                            List.of(
                                new Clip("v", "v", video, Time.ZERO, line.duration(), Time.ZERO)))
                        : track)));
  }

  private void play(MainWindow window) {
    window.workspace().playback().playingProperty().set(true);
    BenchWindow.after(
        SECONDS,
        () -> {
          long asked = window.timeline().framesAsked();
          long shown = window.timeline().framesShown();
          window.workspace().playback().playingProperty().set(false);
          System.out.printf(
              Locale.ROOT,
              "played %.0f s at 1920 x 1080: %d frames asked, %d seen, %.2f %% dropped%n",
              SECONDS,
              asked,
              shown,
              100.0 * Math.max(0, asked - shown) / asked);
          scrub(window, 0, 0, 0);
        });
  }

  private void scrub(MainWindow window, int count, double sum, double worst) {
    if (count == 40) {
      System.out.printf(
          Locale.ROOT,
          "scrubbed to 40 frames: %.1f ms on average, %.1f ms at most%n",
          sum / count,
          worst);
      Platform.exit();
      System.exit(0);
    }
    Time to = Time.ofMillis((count * 7919L) % 71_000);
    long start = System.nanoTime();
    window.workspace().playback().seek(to);
    window
        .stage()
        .afterNextFrame(() -> {
          double took = (System.nanoTime() - start) / 1e6;
          BenchWindow.after(
              0.15, () -> scrub(window, count + 1, sum + took, Math.max(worst, took)));
        });
  }
}
