package dynamorph.app.film.lanes;

import dynamorph.app.film.cues.CueWatch;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Playback;
import dynamorph.app.session.Selection;
import dynamorph.footage.FootageFiles;
import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.reach.LocalChanges;
import dynamorph.model.timeline.Clip;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timeline;
import dynamorph.model.timeline.Timing;
import dynamorph.model.timeline.Track;
import dynamorph.model.timeline.TrackId;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.image.Image;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;

/** Paints the lanes of a film: its rows with their blocks, and the ruler above them. */
final class LanePainter {
  private static final Font WORDS = Font.font("Source Sans 3", 12);
  private static final Font NUMBERS = Font.font("Source Sans 3", 11);

  private final ClippedLabels labels = ClippedLabels.in(WORDS);
  private final ClipPictures pictures;
  private final CueWatch watch;

  /**
   * @param arrived told when the picture of a clip is there, so that all is painted again
   */
  LanePainter(CueWatch watch, Runnable arrived) {
    this.watch = watch;
    this.pictures = new ClipPictures(arrived);
  }

  /**
   * What is painted.
   *
   * @param film an artboard with a timeline
   * @param pickedClip the clip that was clicked last
   */
  record Subject(
      Project project,
      Artboard film,
      LaneRows rows,
      Selection selection,
      Optional<String> pickedClip,
      Optional<Playback.Loop> loop) {
    Timeline line() {
      return film.timeline().orElseThrow();
    }
  }

  /** A rounded rectangle for a text or a clip. */
  private record Block(
      Time in,
      Time out,
      String words,
      Optional<Image> picture,
      boolean selected,
      boolean hidden,
      Color edge,
      Color fill) {}

  /** Where it is painted, in pixels. */
  private record Area(GraphicsContext g, LaneColours colours, double width, double height) {}

  /** Fills all of the width and height, also where there is no film. */
  void paint(
      GraphicsContext g,
      LaneColours colours,
      double width,
      double height,
      Optional<Subject> subject) {
    g.setFill(colours.ground());
    g.fillRect(0, 0, width, height);
    Area area = new Area(g, colours, width, height);
    subject.ifPresent(shown -> {
      paintClips(area, shown);
      paintTexts(area, shown);
      paintRuler(area, shown);
    });
  }

  private void paintClips(Area area, Subject shown) {
    pictures.begin();
    LaneRows rows = shown.rows();
    for (int row = 0; row < rows.tracks().size(); row++) {
      double foot = Math.round(rows.y(row + 1)) - 0.5;
      area.g.setStroke(area.colours.line());
      area.g.strokeLine(0, foot, area.width, foot);
      if (rows.tracks().get(row) instanceof Track.Footage track) {
        for (Clip clip : track.clips()) {
          paintBlock(area, shown, rows.y(row), block(area, shown, track, clip));
        }
      }
    }
  }

  private Block block(Area area, Subject shown, Track.Footage track, Clip clip) {
    boolean there = FootageFiles.isThere(clip.media());
    boolean sound = there && !pictures.isUnreadable(clip, shown.film(), shown.project());
    LaneView view = shown.rows().view();
    boolean inSight = view.x(clip.out()) >= 0 && view.x(clip.in()) <= area.width;
    LaneColours colours = area.colours;
    return new Block(
        clip.in(),
        clip.out(),
        sound
            ? clip.name()
            : Messages.of(
                there ? "track-lanes.cannot-be-read" : "track-lanes.is-missing", clip.name()),
        there && inSight
            ? pictures.of(clip, shown.film(), shown.project())
            : Optional.<Image>empty(),
        shown.pickedClip().filter(clip.id()::equals).isPresent(),
        track.state().hidden(),
        sound ? colours.plain() : colours.problem(),
        sound ? colours.plainSoft() : colours.problemSoft());
  }

  private void paintTexts(Area area, Subject shown) {
    LaneRows rows = shown.rows();
    Map<TrackId, Integer> rowOf = new HashMap<>();
    for (int row = 0; row < rows.tracks().size(); row++) {
      rowOf.put(rows.tracks().get(row).id(), row);
    }
    Time from = rows.view().time(0);
    Time to = rows.view().time(area.width);
    for (Layer layer : shown.film().layers()) {
      Optional<Timing> timing = layer.timing();
      if (timing.isPresent()
          && timing.get().overlaps(from, to)
          && rowOf.containsKey(timing.get().track())) {
        int row = rowOf.get(timing.get().track());
        boolean hidden = rows.tracks().get(row).state().hidden();
        paintBlock(area, shown, rows.y(row), block(area, shown, layer, timing.get(), hidden));
      }
    }
  }

  private Block block(Area area, Subject shown, Layer layer, Timing timing, boolean hidden) {
    boolean problem = !watch.of(layer.id()).isEmpty();
    boolean local = LocalChanges.count(layer) > 0;
    LaneColours colours = area.colours;
    return new Block(
        timing.in(),
        timing.out(),
        layer.story().text().replaceAll("[\\n\\u2028\\u2029]+", " \u00b7 "),
        Optional.empty(),
        shown.selection().contains(layer.id()),
        hidden,
        problem ? colours.problem() : local ? colours.local() : colours.style(),
        problem ? colours.problemSoft() : local ? colours.localSoft() : colours.styleSoft());
  }

  private void paintBlock(Area area, Subject shown, double y, Block block) {
    GraphicsContext g = area.g;
    double x = shown.rows().view().x(block.in);
    double width = Math.max(2, shown.rows().view().x(block.out) - x - 1);
    if (x > area.width || x + width < 0) {
      return;
    }
    double height = LaneRows.ROW - 7;
    g.setGlobalAlpha(block.hidden ? 0.45 : 1);
    g.setFill(block.fill);
    g.fillRoundRect(x, y + 3, width, height, 5, 5);
    g.setFill(block.edge);
    g.fillRoundRect(x, y + 3, Math.min(3, width), height, 2, 2);
    double pictureWidth =
        block
            .picture
            .map(image -> paintPicture(g, shown.film(), image, x + 6, y + 3, width, height))
            .orElse(0.0);
    // a block that begins out of sight still says what it is
    double wordsX = Math.max(x + pictureWidth, 0) + 8;
    double wordsWidth = x + width - 3 - wordsX;
    if (wordsWidth > 10) {
      g.setFill(area.colours.words());
      g.setFont(WORDS);
      g.setTextBaseline(VPos.CENTER);
      g.fillText(labels.fitting(block.words, wordsWidth), wordsX, y + 3 + height / 2);
    }
    g.setGlobalAlpha(1);
    if (block.selected) {
      g.setStroke(area.colours.mark());
      g.setLineWidth(1.6);
      g.strokeRoundRect(x, y + 3, width, height, 5, 5);
      g.setLineWidth(1);
    }
  }

  /** Returns how wide it is; nothing is drawn where it does not fit. */
  private static double paintPicture(
      GraphicsContext g,
      Artboard film,
      Image image,
      double x,
      double y,
      double width,
      double height) {
    double wide = ClipPictures.width(film);
    if (width < wide + 12) {
      return 0;
    }
    double top = y + (height - ClipPictures.HEIGHT) / 2;
    g.drawImage(image, x, top, wide, ClipPictures.HEIGHT);
    return wide + 4;
  }

  private void paintRuler(Area area, Subject shown) {
    GraphicsContext g = area.g;
    LaneColours colours = area.colours;
    double foot = LaneRows.RULER - 1;
    g.setFill(colours.ground());
    g.fillRect(0, 0, area.width, foot);
    shown.loop().ifPresent(loop -> paintLoop(g, colours, shown.rows().view(), loop));
    g.setStroke(colours.line());
    g.strokeLine(0, foot + 0.5, area.width, foot + 0.5);
    paintNumbers(area, shown.rows().view(), shown.line());
    double end = shown.rows().view().x(shown.line().duration());
    if (end < area.width) {
      g.setFill(colours.line().deriveColor(0, 1, 1, 0.6));
      g.fillRect(end, 0, area.width - end, area.height);
    }
  }

  private static void paintLoop(
      GraphicsContext g, LaneColours colours, LaneView view, Playback.Loop loop) {
    double from = view.x(loop.from());
    double to = view.x(loop.to());
    double height = LaneRows.RULER - 1;
    g.setFill(colours.styleSoft());
    g.fillRect(from, 0, to - from, height);
    g.setFill(colours.style());
    g.fillRect(from, 0, 2, height);
    g.fillRect(to - 2, 0, 2, height);
  }

  private static void paintNumbers(Area area, LaneView view, Timeline line) {
    GraphicsContext g = area.g;
    g.setFont(NUMBERS);
    g.setTextBaseline(VPos.CENTER);
    double step = view.step();
    double last = view.start() + area.width / view.scale();
    for (double at = Math.floor(view.start() / step) * step; at < last; at += step) {
      Time time = line.rate().snap(Time.ofSeconds(at));
      if (time.isAfter(line.duration())) {
        break;
      }
      double x = Math.round(view.x(time)) + 0.5;
      g.setStroke(area.colours.plain());
      g.strokeLine(x, LaneRows.RULER - 7, x, LaneRows.RULER - 1);
      g.setFill(area.colours.quiet());
      String code = line.codeAt(time);
      // whole seconds need no frames
      g.fillText(step >= 1 ? code.substring(0, code.length() - 3) : code, x + 4, 10);
    }
  }
}
