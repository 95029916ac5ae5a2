package dynamorph.app.film;

import dynamorph.app.artboards.stage.StageView;
import dynamorph.app.session.Playback;
import dynamorph.model.timeline.FrameRate;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timeline;
import java.util.Optional;
import javafx.animation.AnimationTimer;

/**
 * Moves the playhead with the clock while the film plays. What is seen is always the frame that the
 * clock asks for: if the pictures do not keep up, some are left out and counted.
 */
final class Player {
  private final Playback playback;
  private final AnimationTimer timer;
  private long startedAt;
  private Time startedFrom = Time.ZERO;
  private long lastFrame;
  private long asked;
  private long shown;
  private Time lastShown = Time.ZERO;

  Player(Playback playback, StageView stage) {
    this.playback = playback;
    this.timer =
        new AnimationTimer() {
          @Override
          public void handle(long now) {
            tick(now);
          }
        };
    playback.playingProperty().addListener((_, _, playing) -> start(playing));
    // from where it is, at the other speed
    playback.speedProperty().addListener((_, _, _) -> startedAt = 0);
    stage
        .frameProperty()
        .addListener((_, _, frame) -> {
          boolean other =
              frame
                  .map(made -> made.sight())
                  .filter(dynamorph.paint.scene.Scene.Sight.Film.class::isInstance)
                  .map(dynamorph.paint.scene.Scene.Sight.Film.class::cast)
                  .filter(film -> !film.at().equals(lastShown))
                  .map(film -> {
                    lastShown = film.at();
                    return film;
                  })
                  .isPresent();
          shown += other && playback.playingProperty().get() ? 1 : 0;
        });
  }

  private void start(boolean playing) {
    if (!playing) {
      timer.stop();
      return;
    }
    Optional<Timeline> timeline = playback.timeline();
    if (timeline.isEmpty()) {
      playback.playingProperty().set(false);
      return;
    }
    Time last = timeline.get().rate().at(timeline.get().frames() - 1);
    Time from = playback.playheadProperty().get();
    if (isForward() && !from.isBefore(last)) {
      playback.seek(Time.ZERO);
    } else if (!isForward() && from.equals(Time.ZERO)) {
      playback.seek(last);
    }
    startedAt = 0;
    asked = 0;
    shown = 0;
    timer.start();
  }

  private void tick(long now) {
    Optional<Timeline> timeline = playback.timeline();
    if (timeline.isEmpty()) {
      playback.playingProperty().set(false);
      return;
    }
    FrameRate rate = timeline.get().rate();
    if (startedAt == 0) {
      startedAt = now;
      startedFrom = playback.playheadProperty().get();
      lastFrame = rate.frameAt(startedFrom);
    }
    double seconds = (now - startedAt) / 1e9 * playback.speedProperty().get();
    Time moment = startedFrom.plus(Time.ofSeconds(seconds));
    Optional<Playback.Loop> loop = playback.loopProperty().get();
    Time first = loop.map(Playback.Loop::from).orElse(Time.ZERO);
    Time end = loop.map(Playback.Loop::to).orElse(timeline.get().duration());
    boolean over = isForward() ? !moment.isBefore(end) : moment.isBefore(first);
    if (over) {
      if (loop.isEmpty()) {
        playback.seek(isForward() ? end : first);
        playback.playingProperty().set(false);
        return;
      }
      startedAt = now;
      startedFrom = isForward() ? first : end.minus(rate.frame());
      moment = startedFrom;
    }
    long frame = rate.frameAt(moment);
    if (frame != lastFrame) {
      asked += Math.max(1, Math.abs(frame - lastFrame));
      lastFrame = frame;
      playback.seek(moment);
    }
  }

  private boolean isForward() {
    return playback.speedProperty().get() > 0;
  }

  /** Frames that should have been seen since the film was started. */
  long asked() {
    return asked;
  }

  /** Frames of those that were seen. */
  long shown() {
    return shown;
  }
}
