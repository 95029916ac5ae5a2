package dynamorph.app.film.lanes;

import dynamorph.app.session.Playback;
import dynamorph.app.session.Workspace;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.TrackId;
import java.util.LinkedHashSet;
import java.util.Set;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseEvent;

/** Selects what a rectangle touches; without dragging, goes to the moment that was clicked. */
final class Marquee implements LaneDrag {
  private final TrackLanes lanes;
  private final Workspace workspace;
  private final Playback playback;
  private final Set<LayerId> before;
  private final double fromX;
  private final double fromY;
  private double toX;
  private double toY;
  private boolean moved;

  Marquee(TrackLanes lanes, Workspace workspace, Set<LayerId> before, double x, double y) {
    this.lanes = lanes;
    this.workspace = workspace;
    this.playback = workspace.playback();
    this.before = before;
    this.fromX = x;
    this.fromY = y;
    this.toX = x;
    this.toY = y;
  }

  @Override
  public void to(MouseEvent event) {
    toX = event.getX();
    toY = event.getY();
    moved |= Math.hypot(toX - fromX, toY - fromY) > 4;
    if (!moved) {
      return;
    }
    Time from = lanes.rows().view().time(Math.min(fromX, toX));
    Time to = lanes.rows().view().time(Math.max(fromX, toX));
    Set<TrackId> rows = lanes.rows().between(fromY, toY);
    Set<LayerId> touched = new LinkedHashSet<>(before);
    for (Layer layer : playback.board().orElseThrow().layers()) {
      if (layer.timing().filter(own -> rows.contains(own.track())).isPresent()
          && LaneRows.time(layer).overlaps(from, to)) {
        touched.add(layer.id());
      }
    }
    workspace.select(touched);
  }

  @Override
  public void end() {
    if (!moved) {
      playback.seek(lanes.rows().view().time(fromX));
    }
  }

  @Override
  public void paint(GraphicsContext g, LaneColours colours) {
    if (moved) {
      g.setStroke(colours.mark());
      g.strokeRect(
          Math.round(Math.min(fromX, toX)) + 0.5,
          Math.round(Math.min(fromY, toY)) + 0.5,
          Math.abs(toX - fromX),
          Math.abs(toY - fromY));
    }
  }
}
