package dynamorph.app.artboards.stage;

import dynamorph.app.session.Selection;
import dynamorph.app.session.Workspace;
import dynamorph.model.LayerId;
import dynamorph.model.edit.Target;
import dynamorph.model.text.TextRange;
import dynamorph.paint.scene.Scene;
import dynamorph.typeset.layout.Box;
import java.util.List;
import java.util.Optional;
import javafx.scene.Cursor;
import javafx.scene.input.MouseEvent;

/** What the mouse does on the stage while the sampler is in hand. */
final class SamplerGestures {
  private final Workspace workspace;
  private final StageView stage;
  private final StagePoints points;
  private final SamplerTool sampler;
  private Optional<Scene.Found> sampledOn = Optional.empty();

  SamplerGestures(Workspace workspace, StageView stage, StagePoints points, SamplerTool sampler) {
    this.workspace = workspace;
    this.stage = stage;
    this.points = points;
    this.sampler = sampler;
  }

  /** What a press begins. */
  enum Begun {
    NOTHING,
    ON_A_TEXT,
    BESIDE_TEXTS
  }

  Begun pressed(MouseEvent event) {
    sampler.endPreview();
    sampledOn = points.hit(event.getX(), event.getY());
    if (sampledOn.isEmpty()) {
      return sampler.takes() ? Begun.NOTHING : Begun.BESIDE_TEXTS;
    }
    Scene.Found found = sampledOn.get();
    if (sampler.takes()) {
      sampler.take(
          found,
          StageGestures.isText(found) ? points.offsetAt(found, event.getX(), event.getY()) : 0);
      return Begun.NOTHING;
    }
    return Begun.ON_A_TEXT;
  }

  /** Whether the press was on words, so that a drag covers some of them. */
  boolean isOnWords() {
    return sampledOn.filter(StageGestures::isText).isPresent();
  }

  /** A click stamps the text, or with Shift the word; a drag stamps what it covered. */
  void stampText(MouseEvent event) {
    Scene.Found found = sampledOn.orElseThrow();
    LayerId id = found.text().text();
    if (event.isShiftDown() && StageGestures.isText(found)) {
      sampler.stamp(SamplerTool.word(found, points.offsetAt(found, event.getX(), event.getY())));
    } else {
      sampler.stampLayers(List.of(id));
    }
  }

  void stampWords(double pressX, double pressY, MouseEvent event) {
    Scene.Found found = sampledOn.orElseThrow();
    int from = points.offsetAt(found, pressX, pressY);
    int to = points.offsetAt(found, event.getX(), event.getY());
    workspace.select(List.of());
    if (from != to) {
      sampler.stamp(new Target.Words(found.text().text(), TextRange.between(from, to)));
    }
  }

  /** With Ctrl only what lies wholly inside is stamped. */
  void stampTexts(Box marquee, boolean dragged, MouseEvent event) {
    Box box = points.toPlane(marquee);
    stage.setMarquee(Optional.empty());
    if (!dragged) {
      return;
    }
    stage
        .scene()
        .map(scene ->
            scene.touching(box).stream()
                .filter(found -> !event.isShortcutDown() || encloses(box, found))
                .map(found -> found.text().text())
                .distinct()
                .toList())
        .filter(ids -> !ids.isEmpty())
        .ifPresent(sampler::stampLayers);
  }

  private static boolean encloses(Box box, Scene.Found found) {
    Box own = StageView.onPlane(found);
    return box.x() <= own.x()
        && box.y() <= own.y()
        && box.right() >= own.right()
        && box.bottom() >= own.bottom();
  }

  void showWords(double pressX, double pressY, MouseEvent event) {
    Scene.Found found = sampledOn.orElseThrow();
    workspace
        .selectionProperty()
        .set(
            Selection.editing(
                found.text().text(),
                points.offsetAt(found, pressX, pressY),
                points.offsetAt(found, event.getX(), event.getY())));
  }

  void moved(MouseEvent event, Optional<Scene.Found> hit) {
    stage.setHovered(hit.map(found -> found.text().layer().id()));
    stage.setCursor(Cursor.CROSSHAIR);
    boolean stamps = !sampler.takes();
    sampler.preview(
        hit.filter(_ -> stamps)
            .map(found ->
                event.isShiftDown() && StageGestures.isText(found)
                    ? SamplerTool.word(found, points.offsetAt(found, event.getX(), event.getY()))
                    : new Target.Layers(List.of(found.text().text()))));
  }
}
