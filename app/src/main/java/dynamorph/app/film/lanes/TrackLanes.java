package dynamorph.app.film.lanes;

import dynamorph.app.artboards.stage.StageView;
import dynamorph.app.film.action.FilmActions;
import dynamorph.app.film.action.FootageActions;
import dynamorph.app.film.cues.CueWatch;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Playback;
import dynamorph.app.session.Selection;
import dynamorph.app.session.Workspace;
import dynamorph.footage.FootageFiles;
import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.edit.film.ChangeTimeline;
import dynamorph.model.edit.film.Retime;
import dynamorph.model.reach.LocalChanges;
import dynamorph.model.timeline.Clip;
import dynamorph.model.timeline.Media;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timeline;
import dynamorph.model.timeline.Timing;
import dynamorph.model.timeline.Track;
import dynamorph.model.timeline.TrackId;
import java.io.File;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import javafx.geometry.Point2D;
import javafx.geometry.VPos;
import javafx.scene.AccessibleRole;
import javafx.scene.Cursor;
import javafx.scene.Group;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.MenuItem;
import javafx.scene.image.Image;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.Region;
import javafx.scene.shape.Polygon;
import javafx.scene.shape.Rectangle;
import javafx.scene.text.Font;

/**
 * The tracks of a film from left to right: titles and cues as blocks that can be selected, moved
 * and trimmed, clips under them, and the playhead over all.
 */
public final class TrackLanes extends Region {
  static final double RULER = 24;
  static final double ROW = 28;
  private static final double EDGE = 6;
  private static final double SNAP = 7;
  private static final Font WORDS = Font.font("Source Sans 3", 12);
  private static final Font NUMBERS = Font.font("Source Sans 3", 11);

  private final Workspace workspace;
  private final Playback playback;
  private final StageView stage;
  private final CueWatch watch;
  private final Canvas canvas = new Canvas();
  private final Rectangle needle = new Rectangle(1.5, 10);
  private final Polygon needleHead = new Polygon(-5, 1, 5, 1, 0, 9);
  private final Group playhead = new Group(needle, needleHead);
  private LaneView view = new LaneView(0, 12);
  private boolean fitted;
  private Optional<Drag> drag = Optional.empty();
  private double top;

  private static final Optional<Image> NO_PICTURE = Optional.empty();
  private final ClippedLabels labels = ClippedLabels.in(WORDS);
  private final ClipPictures pictures = new ClipPictures(this::draw);
  private final FootageActions footage;
  private final Runnable deleted;
  private final ContextMenu menu = new ContextMenu();

  public TrackLanes(Workspace workspace, StageView stage, CueWatch watch, FilmActions actions) {
    this.footage = actions.footage();
    this.deleted = () -> actions.tracks().deleteClip();
    this.workspace = workspace;
    this.playback = workspace.playback();
    this.stage = stage;
    this.watch = watch;
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
    workspace.shownProperty().addListener((_, _, _) -> draw());
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
                trackAt(event.getY()).map(Track::id), view.time(Math.max(0, event.getX())));
        actions.takeIn(event.getDragboard().getFiles().stream().map(File::toPath).toList(), place);
      }
      event.setDropCompleted(files);
      event.consume();
    });
    setOnContextMenuRequested(event ->
        hit(event.getX(), event.getY())
            .flatMap(Hit::clip)
            .ifPresent(pressed -> {
              pickedClip = Optional.of(pressed.id());
              draw();
              menu.getItems().setAll(items(pressed));
              menu.show(this, event.getScreenX(), event.getScreenY());
            }));
  }

  // --- what is seen
  // ----------------------------------------------------------------------------------------------

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
    draw();
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

  private Runnable scrolledDown = () -> {};

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

  private double y(int row) {
    return RULER + row * ROW - top;
  }

  /** The track whose row lies at a height of this node. */
  Optional<Track> trackAt(double y) {
    int row = (int) Math.floor((y - RULER + top) / ROW);
    return y < RULER || row < 0 || row >= tracks().size()
        ? Optional.empty()
        : Optional.of(tracks().get(row));
  }

  // --- drawing
  // ---------------------------------------------------------------------------------------------------

  private void draw() {
    GraphicsContext g = canvas.getGraphicsContext2D();
    LaneColours colours = LaneColours.of(stage.themeProperty().get());
    g.setFill(colours.ground());
    g.fillRect(0, 0, getWidth(), getHeight());
    Optional<Artboard> board = playback.board();
    if (board.isEmpty()) {
      return;
    }
    Timeline line = board.get().timeline().orElseThrow();
    drawRows(g, colours, board.get(), line);
    drawRuler(g, colours, line);
    needle.setFill(colours.mark());
    needleHead.setFill(colours.mark());
    placePlayhead();
    drag.ifPresent(now -> now.draw(g, colours));
  }

  private void drawRows(GraphicsContext g, LaneColours colours, Artboard board, Timeline line) {
    Map<TrackId, Integer> rows = new HashMap<>();
    pictures.begin();
    for (int row = 0; row < line.tracks().size(); row++) {
      rows.put(line.tracks().get(row).id(), row);
      g.setStroke(colours.line());
      double foot = Math.round(y(row + 1)) - 0.5;
      g.strokeLine(0, foot, getWidth(), foot);
      if (line.tracks().get(row) instanceof Track.Footage footage) {
        for (Clip clip : footage.clips()) {
          boolean picked = pickedClip.filter(clip.id()::equals).isPresent();
          boolean there = FootageFiles.isThere(clip.media());
          Optional<Image> picture =
              there && isInSight(clip) ? pictures.of(clip, board, workspace.project()) : NO_PICTURE;
          drawBlock(
              g,
              picture,
              y(row),
              clip.in(),
              clip.out(),
              there ? clip.name() : Messages.of("track-lanes.is-missing", clip.name()),
              picked,
              there ? colours.plain() : colours.problem(),
              there ? colours.plainSoft() : colours.problemSoft(),
              colours,
              footage.state().hidden());
        }
      }
    }
    Time from = view.time(0);
    Time to = view.time(getWidth());
    Selection selection = workspace.selection();
    for (Layer layer : board.layers()) {
      Optional<Timing> timing = layer.timing();
      if (timing.isEmpty()
          || !timing.get().overlaps(from, to)
          || !rows.containsKey(timing.get().track())) {
        continue;
      }
      int row = rows.get(timing.get().track());
      boolean problem = !watch.of(layer.id()).isEmpty();
      boolean local = LocalChanges.count(layer) > 0;
      boolean hidden = line.tracks().get(row).state().hidden();
      drawBlock(
          g,
          NO_PICTURE,
          y(row),
          timing.get().in(),
          timing.get().out(),
          layer.story().text().replaceAll("[\\n\\u2028\\u2029]+", " \u00b7 "),
          selection.contains(layer.id()),
          problem ? colours.problem() : local ? colours.local() : colours.style(),
          problem ? colours.problemSoft() : local ? colours.localSoft() : colours.styleSoft(),
          colours,
          hidden);
    }
  }

  private boolean isInSight(Clip clip) {
    return view.x(clip.out()) >= 0 && view.x(clip.in()) <= getWidth();
  }

  private void drawBlock(
      GraphicsContext g,
      Optional<Image> picture,
      double y,
      Time in,
      Time out,
      String words,
      boolean selected,
      javafx.scene.paint.Color edge,
      javafx.scene.paint.Color fill,
      LaneColours colours,
      boolean hidden) {
    double x = view.x(in);
    double width = Math.max(2, view.x(out) - x - 1);
    if (x > getWidth() || x + width < 0) {
      return;
    }
    double height = ROW - 7;
    g.setGlobalAlpha(hidden ? 0.45 : 1);
    g.setFill(fill);
    g.fillRoundRect(x, y + 3, width, height, 5, 5);
    g.setFill(edge);
    g.fillRoundRect(x, y + 3, Math.min(3, width), height, 2, 2);
    double picturesWidth =
        picture.map(image -> drawPicture(g, image, x + 6, y + 3, width, height)).orElse(0.0);
    // a block that begins out of sight still says what it is
    double wordsX = Math.max(x + picturesWidth, 0) + 8;
    double room = x + width - 3 - wordsX;
    if (room > 10) {
      g.setFill(colours.words());
      g.setFont(WORDS);
      g.setTextBaseline(VPos.CENTER);
      g.fillText(labels.fitting(words, room), wordsX, y + 3 + height / 2);
    }
    g.setGlobalAlpha(1);
    if (selected) {
      g.setStroke(colours.mark());
      g.setLineWidth(1.6);
      g.strokeRoundRect(x, y + 3, width, height, 5, 5);
      g.setLineWidth(1);
    }
  }

  /** Returns how much room it takes; nothing is drawn where there is none. */
  private double drawPicture(
      GraphicsContext g, Image image, double x, double y, double width, double height) {
    double wide = playback.board().map(ClipPictures::width).orElse(0.0);
    if (width < wide + 12) {
      return 0;
    }
    double top = y + (height - ClipPictures.HEIGHT) / 2;
    g.drawImage(image, x, top, wide, ClipPictures.HEIGHT);
    return wide + 4;
  }

  private void drawRuler(GraphicsContext g, LaneColours colours, Timeline line) {
    g.setFill(colours.ground());
    g.fillRect(0, 0, getWidth(), RULER - 1);
    playback
        .loopProperty()
        .get()
        .ifPresent(loop -> {
          g.setFill(colours.styleSoft());
          g.fillRect(view.x(loop.from()), 0, view.x(loop.to()) - view.x(loop.from()), RULER - 1);
          g.setFill(colours.style());
          g.fillRect(view.x(loop.from()), 0, 2, RULER - 1);
          g.fillRect(view.x(loop.to()) - 2, 0, 2, RULER - 1);
        });
    g.setStroke(colours.line());
    g.strokeLine(0, RULER - 0.5, getWidth(), RULER - 0.5);
    g.setFont(NUMBERS);
    g.setTextBaseline(VPos.CENTER);
    double step = view.step();
    for (double at = Math.floor(view.start() / step) * step;
        at < view.start() + getWidth() / view.scale();
        at += step) {
      Time time = line.rate().snap(Time.ofSeconds(at));
      if (time.isAfter(line.duration())) {
        break;
      }
      double x = Math.round(view.x(time)) + 0.5;
      g.setStroke(colours.plain());
      g.strokeLine(x, RULER - 7, x, RULER - 1);
      g.setFill(colours.quiet());
      String code = line.codeAt(time);
      // whole seconds need no frames
      g.fillText(step >= 1 ? code.substring(0, code.length() - 3) : code, x + 4, 10);
    }
    double end = view.x(line.duration());
    if (end < getWidth()) {
      g.setFill(colours.line().deriveColor(0, 1, 1, 0.6));
      g.fillRect(end, 0, getWidth() - end, getHeight());
    }
  }

  // --- finding things
  // --------------------------------------------------------------------------------------------

  private enum Part {
    IN,
    MIDDLE,
    OUT
  }

  /** A text or a clip under the pointer. */
  private record Hit(Track track, Optional<Layer> layer, Optional<Clip> clip, Part part) {}

  private Optional<Hit> hit(double x, double y) {
    Optional<Track> track = trackAt(y);
    Optional<Artboard> board = playback.board();
    if (track.isEmpty() || board.isEmpty()) {
      return Optional.empty();
    }
    if (track.get() instanceof Track.Footage footage) {
      return footage.clips().reversed().stream()
          .filter(clip -> isOver(x, clip.in(), clip.out()))
          .findFirst()
          .map(clip ->
              new Hit(
                  footage, Optional.empty(), Optional.of(clip), part(x, clip.in(), clip.out())));
    }
    return board.get().on(track.get().id()).reversed().stream()
        .filter(layer -> isOver(x, time(layer).in(), time(layer).out()))
        .findFirst()
        .map(layer ->
            new Hit(
                track.get(),
                Optional.of(layer),
                Optional.empty(),
                part(x, time(layer).in(), time(layer).out())));
  }

  /** The text at a point of this node. */
  Optional<LayerId> layerAt(Point2D at) {
    return contains(at)
        ? hit(at.getX(), at.getY()).flatMap(Hit::layer).map(Layer::id)
        : Optional.empty();
  }

  private static Timing time(Layer layer) {
    return layer.timing().orElseThrow();
  }

  private boolean isOver(double x, Time in, Time out) {
    return x >= view.x(in) - 1 && x <= Math.max(view.x(out), view.x(in) + 3);
  }

  private Part part(double x, Time in, Time out) {
    double edge = Math.min(EDGE, (view.x(out) - view.x(in)) / 4);
    return x < view.x(in) + edge ? Part.IN : x > view.x(out) - edge ? Part.OUT : Part.MIDDLE;
  }

  // --- gestures
  // --------------------------------------------------------------------------------------------------

  private Optional<String> pickedClip = Optional.empty();

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

  private interface Drag {
    void to(MouseEvent event);

    default void end() {}

    default void draw(GraphicsContext g, LaneColours colours) {}
  }

  private void moved(MouseEvent event) {
    Optional<Hit> hit = hit(event.getX(), event.getY());
    boolean edge =
        hit.filter(found -> found.part != Part.MIDDLE && !found.track.state().locked()).isPresent();
    boolean loop = event.getY() < RULER && loopEndAt(event.getX()).isPresent();
    setCursor(edge || loop ? Cursor.H_RESIZE : Cursor.DEFAULT);
  }

  private void pressed(MouseEvent event) {
    requestFocus();
    if (event.getButton() != MouseButton.PRIMARY) {
      return;
    }
    if (event.getY() < RULER) {
      playback.playingProperty().set(false);
      start(loopDrag(event).orElse(now -> playback.seek(view.time(now.getX()))), event);
      return;
    }
    Optional<Hit> hit = hit(event.getX(), event.getY());
    pickedClip = hit.flatMap(Hit::clip).map(Clip::id);
    if (hit.isEmpty()) {
      pressedNothing(event);
    } else if (hit.get().layer().isPresent()) {
      pressedText(event, hit.get());
    } else {
      workspace.select(List.of());
      if (!hit.get().track().state().locked()) {
        drag = Optional.of(new ClipDrag(hit.get(), event.getX()));
      }
    }
    draw();
  }

  /** Shift marks a part of the film to be played over and over; its ends are dragged. */
  private Optional<Drag> loopDrag(MouseEvent event) {
    if (event.isShiftDown()) {
      return Optional.of(loopFrom(view.time(event.getX())));
    }
    Optional<Time> end = loopEndAt(event.getX());
    return end.flatMap(near ->
        playback
            .loopProperty()
            .get()
            .map(loop -> loopFrom(near.equals(loop.from()) ? loop.to() : loop.from())));
  }

  private Drag loopFrom(Time fixed) {
    return now -> {
      Timeline line = playback.timeline().orElseThrow();
      Time one = line.rate().snap(fixed);
      Time other = line.rate().snap(Time.min(view.time(now.getX()), line.duration()));
      playback
          .loopProperty()
          .set(
              one.equals(other)
                  ? Optional.empty()
                  : Optional.of(new Playback.Loop(Time.min(one, other), Time.max(one, other))));
    };
  }

  /** The end of the part that is played over and over at a place on the ruler. */
  private Optional<Time> loopEndAt(double x) {
    return playback
        .loopProperty()
        .get()
        .flatMap(loop ->
            Stream.of(loop.from(), loop.to())
                .filter(end -> Math.abs(view.x(end) - x) <= EDGE)
                .findFirst());
  }

  private void start(Drag wanted, MouseEvent event) {
    drag = Optional.of(wanted);
    wanted.to(event);
  }

  private void pressedText(MouseEvent event, Hit hit) {
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
      drag = Optional.of(new TextDrag(hit, event.getX()));
    }
  }

  private void pressedNothing(MouseEvent event) {
    boolean more = event.isShiftDown() || event.isShortcutDown();
    Set<LayerId> before = more ? workspace.selection().layers() : Set.of();
    workspace.select(before);
    playback.playingProperty().set(false);
    drag = Optional.of(new Marquee(before, event.getX(), event.getY()));
  }

  private void dragged(MouseEvent event) {
    drag.ifPresent(now -> now.to(event));
    draw();
  }

  private void released(MouseEvent event) {
    drag.ifPresent(Drag::end);
    drag = Optional.empty();
    draw();
  }

  private void scrolled(ScrollEvent event) {
    if (event.isShortcutDown()) {
      view = view.zoomed(Math.exp(event.getDeltaY() * 0.004), event.getX());
    } else if (event.isShiftDown() || Math.abs(event.getDeltaX()) > Math.abs(event.getDeltaY())) {
      double by = event.getDeltaX() != 0 ? event.getDeltaX() : event.getDeltaY();
      view = view.panned(-by);
    } else if (rowsHeight() > getHeight()) {
      top = Math.clamp(top - event.getDeltaY(), 0, rowsHeight() - getHeight());
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
    double most = Math.max(0, rowsHeight() - getHeight());
    double above = row * ROW;
    double below = RULER + (row + 1) * ROW - getHeight();
    double wanted = Math.clamp(Math.clamp(top, Math.min(below, above), above), 0, most);
    if (wanted != top) {
      top = wanted;
      scrolledDown.run();
      draw();
    }
  }

  private double rowsHeight() {
    return RULER + tracks().size() * ROW;
  }

  /** Where edges are drawn to: the playhead, the edges of others, the ends. */
  private Time snapped(Time wanted, Set<LayerId> moving, Optional<String> clip) {
    Timeline line = playback.timeline().orElseThrow();
    List<Time> places = new ArrayList<>();
    places.add(playback.playheadProperty().get());
    places.add(Time.ZERO);
    places.add(line.duration());
    for (Layer layer : playback.board().orElseThrow().layers()) {
      if (!moving.contains(layer.id())) {
        layer.timing().ifPresent(timing -> places.addAll(List.of(timing.in(), timing.out())));
      }
    }
    line.footage()
        .flatMap(track -> track.clips().stream())
        .filter(other -> clip.filter(other.id()::equals).isEmpty())
        .forEach(other -> places.addAll(List.of(other.in(), other.out())));
    Time near = line.rate().snap(wanted);
    double least = SNAP;
    for (Time place : places) {
      double away = Math.abs(view.x(place) - view.x(wanted));
      if (away < least) {
        least = away;
        near = place;
      }
    }
    return near;
  }

  /** Moves or trims all selected texts by the same time. */
  private final class TextDrag implements Drag {
    private final Hit hit;
    private final double from;
    private final Object gesture = new Object();
    private final Map<LayerId, Timing> were = new LinkedHashMap<>();
    private boolean begun;

    TextDrag(Hit hit, double from) {
      this.hit = hit;
      this.from = from;
      Set<TrackId> open = new LinkedHashSet<>();
      tracks().stream()
          .filter(track -> !track.state().locked())
          .forEach(track -> open.add(track.id()));
      for (Layer layer : playback.board().orElseThrow().layers()) {
        if (workspace.selection().contains(layer.id())
            && layer.track().filter(open::contains).isPresent()) {
          were.put(layer.id(), time(layer));
        }
      }
    }

    @Override
    public void to(MouseEvent event) {
      if (!begun
          && Math.abs(event.getX() - from) < 4
          && trackAt(event.getY()).equals(Optional.of(hit.track()))) {
        return;
      }
      begun = true;
      Timing own = were.get(hit.layer().orElseThrow().id());
      if (own == null) {
        return;
      }
      Time by = view.length(event.getX() - from);
      boolean atOut = hit.part() == Part.OUT;
      Time edge = atOut ? own.out() : own.in();
      Time wanted = edge.plus(by);
      Time near = event.isAltDown() ? wanted : snapped(wanted, were.keySet(), Optional.empty());
      if (hit.part() == Part.MIDDLE
          && near.equals(playback.timeline().orElseThrow().rate().snap(wanted))) {
        // the end may lie nearer to something than the beginning
        Time end = snapped(own.out().plus(by), were.keySet(), Optional.empty());
        Time other = end.minus(own.length());
        near = isOnFrame(end) ? near : other;
      }
      change(near.minus(edge), event.getY());
    }

    private boolean isOnFrame(Time time) {
      return playback.timeline().orElseThrow().rate().snap(time).equals(time);
    }

    private void change(Time by, double y) {
      Time frame = playback.timeline().orElseThrow().rate().frame();
      Time earliest = were.values().stream().map(Timing::in).min(Time::compareTo).orElseThrow();
      Time possible = hit.part() == Part.OUT ? by : Time.max(by, Time.ZERO.minus(earliest));
      Map<LayerId, Timing> now = new LinkedHashMap<>();
      were.forEach((id, was) -> now.put(id, changed(was, possible, frame, y)));
      workspace.apply(
          new Retime(
              now,
              hit.part() == Part.MIDDLE
                  ? Messages.of("track-lanes.move")
                  : Messages.of("common.trim")),
          Optional.of(gesture));
    }

    private Timing changed(Timing was, Time by, Time frame, double y) {
      return switch (hit.part()) {
        case IN -> was.between(Time.min(was.in().plus(by), was.out().minus(frame)), was.out());
        case OUT -> was.between(was.in(), Time.max(was.out().plus(by), was.in().plus(frame)));
        case MIDDLE -> {
          Optional<Track> other = trackAt(y).filter(track -> takes(track));
          Timing moved = was.moved(by);
          yield were.size() == 1 && other.isPresent() ? moved.withTrack(other.get().id()) : moved;
        }
      };
    }

    private boolean takes(Track track) {
      return track.getClass() == hit.track().getClass() && !track.state().locked();
    }

    @Override
    public void end() {
      workspace.endGesture();
    }
  }

  /** Moves or trims a clip; trimming its beginning keeps its pictures where they are. */
  private final class ClipDrag implements Drag {
    private final Hit hit;
    private final Clip was;
    private final double from;
    private final Object gesture = new Object();

    ClipDrag(Hit hit, double from) {
      this.hit = hit;
      this.was = hit.clip().orElseThrow();
      this.from = from;
    }

    @Override
    public void to(MouseEvent event) {
      Time frame = playback.timeline().orElseThrow().rate().frame();
      Time edge = hit.part() == Part.OUT ? was.out() : was.in();
      Time wanted = edge.plus(view.length(event.getX() - from));
      Time near = Time.max(Time.ZERO, snapped(wanted, Set.of(), Optional.of(was.id())));
      Clip now =
          switch (hit.part()) {
            case MIDDLE -> was.moved(near.minus(was.in()));
            case OUT -> was.between(was.in(), Time.max(near, was.in().plus(frame)), was.start());
            case IN -> {
              Time least = Time.max(Time.ZERO, was.in().minus(was.start()));
              Time in = Time.max(least, Time.min(near, was.out().minus(frame)));
              yield was.between(in, was.out(), was.start().plus(in.minus(was.in())));
            }
          };
      if (!now.equals(was) || event.getX() != from) {
        workspace.apply(
            new ChangeTimeline.PutClip(playback.board().orElseThrow().id(), hit.track().id(), now),
            Optional.of(gesture));
      }
    }

    @Override
    public void end() {
      workspace.endGesture();
    }
  }

  /** Selects what a rectangle touches; without dragging, goes to the moment that was clicked. */
  private final class Marquee implements Drag {
    private final Set<LayerId> before;
    private final double fromX;
    private final double fromY;
    private double toX;
    private double toY;
    private boolean moved;

    Marquee(Set<LayerId> before, double x, double y) {
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
      Time from = view.time(Math.min(fromX, toX));
      Time to = view.time(Math.max(fromX, toX));
      Set<TrackId> rows = new LinkedHashSet<>();
      for (int row = 0; row < tracks().size(); row++) {
        if (y(row + 1) > Math.min(fromY, toY) && y(row) < Math.max(fromY, toY)) {
          rows.add(tracks().get(row).id());
        }
      }
      Set<LayerId> touched = new LinkedHashSet<>(before);
      for (Layer layer : playback.board().orElseThrow().layers()) {
        if (layer.timing().filter(own -> rows.contains(own.track())).isPresent()
            && time(layer).overlaps(from, to)) {
          touched.add(layer.id());
        }
      }
      workspace.select(touched);
    }

    @Override
    public void end() {
      if (!moved) {
        playback.seek(view.time(fromX));
      }
    }

    @Override
    public void draw(GraphicsContext g, LaneColours colours) {
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
}
