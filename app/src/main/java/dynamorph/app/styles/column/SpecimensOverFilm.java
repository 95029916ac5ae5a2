package dynamorph.app.styles.column;

import dynamorph.app.message.Messages;
import dynamorph.app.session.Playback;
import dynamorph.app.session.Workspace;
import dynamorph.app.styles.specimen.Specimens;
import dynamorph.model.Project;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timeline;
import dynamorph.paint.film.FootagePainter;
import dynamorph.paint.specimen.Backdrop;
import java.util.List;
import java.util.Optional;
import javafx.animation.PauseTransition;
import javafx.beans.binding.Bindings;
import javafx.scene.control.CheckMenuItem;
import javafx.util.Duration;

/** Specimens over the frame at the playhead, for those who choose it in the menu. */
final class SpecimensOverFilm {
  private final Workspace workspace;
  private final CheckMenuItem overFilm =
      new CheckMenuItem(Messages.of("styles-column.specimens-over-the-film"));
  private final PauseTransition film = new PauseTransition(Duration.millis(250));

  /**
   * @param changed told when specimens have to be drawn anew
   */
  SpecimensOverFilm(Workspace workspace, Runnable changed) {
    this.workspace = workspace;
    overFilm.setId("over-film");
    overFilm
        .disableProperty()
        .bind(
            Bindings.createBooleanBinding(
                () -> !workspace.playback().isOpen(), workspace.playback().filmProperty()));
    overFilm.selectedProperty().addListener((_, _, _) -> changed.run());
    // cards are drawn anew once the film rests
    film.setOnFinished(_ -> changed.run());
    workspace
        .playback()
        .filmProperty()
        .addListener((_, _, _) -> {
          if (overFilm.isSelected()) {
            changed.run();
          }
        });
    workspace
        .playback()
        .playheadProperty()
        .addListener((_, _, _) -> {
          if (overFilm.isSelected() && !workspace.playback().playingProperty().get()) {
            film.playFromStart();
          }
        });
  }

  /** Chooses it. */
  CheckMenuItem item() {
    return overFilm;
  }

  /** The frame that specimens are seen over; empty if they are seen on plain colours. */
  Optional<Specimens.Seen> frame() {
    Playback playback = workspace.playback();
    return playback
        .board()
        .filter(_ -> overFilm.isSelected())
        .map(board -> {
          Timeline line = board.timeline().orElseThrow();
          Time at = playback.playheadProperty().get();
          Project project = workspace.project();
          return new Specimens.Seen(
              List.of(line.footage().toList(), at, board.background(), project.assets()),
              new Backdrop.FilmFrame(
                  FootagePainter.of(project, workspace.footage()),
                  line,
                  at,
                  board.width() / board.height(),
                  project.palette().colour(board.background())));
        });
  }
}
