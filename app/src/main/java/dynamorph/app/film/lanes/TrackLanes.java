package dynamorph.app.film.lanes;

import dynamorph.app.artboards.stage.StageView;
import dynamorph.app.film.action.FilmActions;
import dynamorph.app.film.action.FootageActions;
import dynamorph.app.film.cues.CueWatch;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Playback;
import dynamorph.app.session.Selection;
import dynamorph.app.session.Workspace;
import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.timeline.Clip;
import dynamorph.model.timeline.Media;
import dynamorph.model.timeline.Timeline;
import dynamorph.model.timeline.Track;
import dynamorph.model.timeline.TrackId;
import java.io.File;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javafx.geometry.Point2D;
import javafx.scene.AccessibleRole;
import javafx.scene.Cursor;
import javafx.scene.Group;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.MenuItem;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.Region;
import javafx.scene.shape.Polygon;
import javafx.scene.shape.Rectangle;

/**
 * The tracks of a film from left to right: titles and cues as blocks that can be selected, moved
 * and trimmed, clips under them, and the playhead over all.
 */
public final class TrackLanes extends Region {
  private final Workspace workspace;
  private final Playback playback;
  private final StageView stage;
  private final Canvas canvas = new Canvas();
  private final Rectangle needle = new Rectangle(1.5, 10);
  private final Polygon needleHead = new Polygon(-5, 1, 5, 1, 0, 9);
  private final Group playhead = new Group(needle, needleHead);
  private LaneView view = new LaneView(0, 12);
  private boolean fitted;
  private Optional<LaneDrag> drag = Optional.empty();
  private Optional<String> pickedClip = Optional.empty();
  private Runnable scrolledDown = () -> {};
  private double top;

  private final LanePainter painter;
  private final FootageActions footage;
  private final Runnable deleted;
  private final ContextMenu menu = new ContextMenu();

  public TrackLanes(Workspace workspace, StageView stage, CueWatch watch, FilmActions actions) {
    this.footage = actions.footage();
    this.deleted = () -> actions.tracks().deleteClip();
    this.workspace = workspace;
    this.playback = workspace.playback();
    this.stage = stage;
    this.painter = new LanePainter(watch, this::draw);
    getStyleClass().add("track-lanes");
    setId("track-lanes");
    setFocusTraversable(true);
    setAccessibleRole(AccessibleRole.NODE);
    setAccessibleText(Messages.of("track-lanes.tracks-of-the-film"));
    canvas.setManaged(false);
    // the playhead moves with every frame, so it is no part of what is painted for that
    playhead.setManaged(false);
    playhead.setMouseTransparent(true);
    Rectangle clip = new Rectangle();
    clip.widthProperty().bind(widthProperty());
    clip.heightProperty().bind(heightProperty());
    setClip(clip);
    getChildren().addAll(canvas, playhead);
    setMinSize(0, 0);
    widthProperty().addListener((_, _, _) -> resized());
    heightProperty().addListener((_, _, _) -> resized());
    workspace
        .shownProperty()
        .addListener((_, _, _) -> {
          keepFull();
          draw();
        });
    workspace.selectionProperty().addListener((_, _, _) -> draw());
    playback.filmProperty().addListener((_, _, _) -> filmChanged());
    playback.playheadProperty().addListener((_, _, _) -> playheadMoved());
    playback.loopProperty().addListener((_, _, _) -> draw());
    playback.cueTrackProperty().addListener((_, _, track) -> track.ifPresent(this::scrollTo));
    watch.problemsProperty().addListener((_, _, _) -> draw());
    stage.themeProperty().addListener((_, _, _) -> draw());
    setOnMousePressed(this::pressed);
    setOnMouseDragged(this::dragged);
    setOnMouseReleased(this::released);
    setOnMouseMoved(this::moved);
    setOnScroll(this::scrolled);
    setOnDragOver(event -> {
      if (event.getDragboard().hasFiles() && playback.isOpen()) {
        event.acceptTransferModes(TransferMode.COPY);
      }
      event.consume();
    });
    setOnDragDropped(event -> {
      boolean files = event.getDragboard().hasFiles() && playback.isOpen();
      if (files) {
        var place =
            new FootageActions.Place(
                rows().trackAt(event.getY()).map(Track::id), view.time(Math.max(0, event.getX())));
        actions.takeIn(event.getDragboard().getFiles().stream().map(File::toPath).toList(), place);
      }
      event.setDropCompleted(files);
      event.consume();
    });
    setOnContextMenuRequested(event ->
        hit(event.getX(), event.getY())
            .flatMap(LaneHit::clip)
            .ifPresent(pressed -> {
              pickedClip = Optional.of(pressed.id());
              draw();
              menu.getItems().setAll(items(pressed));
              menu.show(this, event.getScreenX(), event.getScreenY());
            }));
  }

  private void filmChanged() {
    fitted = false;
    top = 0;
    resized();
  }

  private void resized() {
    canvas.setWidth(getWidth());
    canvas.setHeight(getHeight());
    if (!fitted && getWidth() > 10 && playback.timeline().isPresent()) {
      fitted = true;
      fitAll();
    }
    keepFull();
    draw();
  }

  /** No row stays above the edge while there is room for it below. */
  private void keepFull() {
    double most = Math.max(0, rows().height() - getHeight());
    if (top > most) {
      top = most;
      scrolledDown.run();
    }
  }

  /** Shows the whole film. */
  public void fitAll() {
    playback.timeline().ifPresent(line -> view = LaneView.fitting(line.duration(), getWidth()));
    draw();
  }

  public void zoom(double factor) {
    double x = view.x(playback.playheadProperty().get());
    view = view.zoomed(factor, x >= 0 && x <= getWidth() ? x : getWidth() / 2);
    draw();
  }

  /** How far the rows are scrolled up, in pixels. */
  double top() {
    return top;
  }

  /** Told when the rows are scrolled up or down. */
  void onScrolledDown(Runnable told) {
    scrolledDown = told;
  }

  private void playheadMoved() {
    double x = view.x(playback.playheadProperty().get());
    if (playback.playingProperty().get() && (x < 0 || x > getWidth() - 20)) {
      view = view.panned(x - 40);
      draw();
    } else {
      placePlayhead();
    }
  }

  private void placePlayhead() {
    needle.setX(-0.75);
    needle.setY(4);
    needle.setHeight(Math.max(0, getHeight() - 4));
    playhead.setLayoutX(Math.round(view.x(playback.playheadProperty().get())) + 0.5);
  }

  private List<MenuItem> items(Clip clip) {
    MenuItem find = new MenuItem(Messages.of("track-lanes.find-the-file"));
    find.setDisable(!(clip.media() instanceof Media.File));
    find.setOnAction(_ -> footage.findAgain(clip));
    MenuItem delete = new MenuItem(Messages.of("track-lanes.delete-the-clip"));
    delete.setOnAction(_ -> deleted.run());
    return List.of(find, delete);
  }

  private List<Track> tracks() {
    return playback.timeline().map(Timeline::tracks).orElse(List.of());
  }

  private void draw() {
    GraphicsContext g = canvas.getGraphicsContext2D();
    LaneColours colours = LaneColours.of(stage.themeProperty().get());
    painter.paint(g, colours, getWidth(), getHeight(), playback.board().map(this::subject));
    needle.setFill(colours.mark());
    needleHead.setFill(colours.mark());
    placePlayhead();
    drag.ifPresent(now -> now.paint(g, colours));
  }

  private LanePainter.Subject subject(Artboard film) {
    return new LanePainter.Subject(
        workspace.project(),
        film,
        rows(),
        workspace.selection(),
        pickedClip,
        playback.loopProperty().get());
  }

  /** Where the tracks lie now. */
  LaneRows rows() {
    return new LaneRows(view, top, tracks());
  }

  /** What dragged edges are drawn to. */
  Snapping snapping() {
    return new Snapping(playback.board().orElseThrow(), playback.playheadProperty().get(), view);
  }

  private Optional<LaneHit> hit(double x, double y) {
    return playback.board().flatMap(board -> rows().hit(board, x, y));
  }

  /** The track whose row lies at a height of this node. */
  Optional<Track> trackAt(double y) {
    return rows().trackAt(y);
  }

  /** The text at a point of this node. */
  Optional<LayerId> layerAt(Point2D at) {
    return contains(at)
        ? hit(at.getX(), at.getY()).flatMap(LaneHit::layer).map(Layer::id)
        : Optional.empty();
  }

  /** The clip that was clicked last, with its track. */
  public Optional<Map.Entry<TrackId, String>> pickedClip() {
    return tracks().stream()
        .filter(Track.Footage.class::isInstance)
        .map(Track.Footage.class::cast)
        .filter(track -> track.clips().stream().anyMatch(clip -> isPicked(clip)))
        .findFirst()
        .map(track -> Map.entry(track.id(), pickedClip.orElseThrow()));
  }

  private boolean isPicked(Clip clip) {
    return pickedClip.filter(clip.id()::equals).isPresent();
  }

  private void moved(MouseEvent event) {
    Optional<LaneHit> hit = hit(event.getX(), event.getY());
    boolean edge =
        hit.filter(found -> found.part() != LaneHit.Part.MIDDLE && !found.track().state().locked())
            .isPresent();
    boolean loop =
        event.getY() < LaneRows.RULER && LoopDrag.endAt(event.getX(), this, playback).isPresent();
    setCursor(edge || loop ? Cursor.H_RESIZE : Cursor.DEFAULT);
  }

  private void pressed(MouseEvent event) {
    requestFocus();
    if (event.getButton() != MouseButton.PRIMARY) {
      return;
    }
    if (event.getY() < LaneRows.RULER) {
      playback.playingProperty().set(false);
      LaneDrag scrub = now -> playback.seek(view.time(now.getX()));
      start(LoopDrag.at(event, this, playback).<LaneDrag>map(loop -> loop).orElse(scrub), event);
      return;
    }
    Optional<LaneHit> hit = hit(event.getX(), event.getY());
    pickedClip = hit.flatMap(LaneHit::clip).map(Clip::id);
    if (hit.isEmpty()) {
      pressedNothing(event);
    } else if (hit.get().layer().isPresent()) {
      pressedText(event, hit.get());
    } else {
      workspace.select(List.of());
      if (!hit.get().track().state().locked()) {
        drag = Optional.of(new ClipDrag(this, workspace, hit.get(), event.getX()));
      }
    }
    draw();
  }

  private void start(LaneDrag wanted, MouseEvent event) {
    drag = Optional.of(wanted);
    wanted.to(event);
  }

  private void pressedText(MouseEvent event, LaneHit hit) {
    LayerId id = hit.layer().orElseThrow().id();
    if (event.isShiftDown() || event.isShortcutDown()) {
      workspace.selectionProperty().set(workspace.selection().toggled(id));
    } else if (!workspace.selection().contains(id)) {
      workspace.select(List.of(id));
    }
    if (event.getClickCount() == 2) {
      stage.reveal(id);
      int end = hit.layer().orElseThrow().story().length();
      workspace.selectionProperty().set(Selection.editing(id, 0, end));
      stage.requestFocus();
    } else if (!hit.track().state().locked()) {
      drag = Optional.of(new TextDrag(this, workspace, hit, event.getX()));
    }
  }

  private void pressedNothing(MouseEvent event) {
    boolean more = event.isShiftDown() || event.isShortcutDown();
    Set<LayerId> before = more ? workspace.selection().layers() : Set.of();
    workspace.select(before);
    playback.playingProperty().set(false);
    drag = Optional.of(new Marquee(this, workspace, before, event.getX(), event.getY()));
  }

  private void dragged(MouseEvent event) {
    drag.ifPresent(now -> now.to(event));
    draw();
  }

  private void released(MouseEvent event) {
    drag.ifPresent(LaneDrag::end);
    drag = Optional.empty();
    draw();
  }

  private void scrolled(ScrollEvent event) {
    if (event.isShortcutDown()) {
      view = view.zoomed(Math.exp(event.getDeltaY() * 0.004), event.getX());
    } else if (event.isShiftDown() || Math.abs(event.getDeltaX()) > Math.abs(event.getDeltaY())) {
      double by = event.getDeltaX() != 0 ? event.getDeltaX() : event.getDeltaY();
      view = view.panned(-by);
    } else if (rows().height() > getHeight()) {
      top = Math.clamp(top - event.getDeltaY(), 0, rows().height() - getHeight());
      scrolledDown.run();
    } else {
      view = view.panned(-event.getDeltaY());
    }
    event.consume();
    draw();
  }

  /** Scrolls the row of a track into sight. */
  private void scrollTo(TrackId id) {
    List<TrackId> rows = tracks().stream().map(Track::id).toList();
    int row = rows.indexOf(id);
    if (row < 0) {
      return;
    }
    double wanted = rows().topFor(row, getHeight());
    if (wanted != top) {
      top = wanted;
      scrolledDown.run();
      draw();
    }
  }
}
