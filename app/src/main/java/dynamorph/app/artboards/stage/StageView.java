package dynamorph.app.artboards.stage;

import dynamorph.app.artboards.text.spelling.SpellingService;
import dynamorph.app.message.Messages;
import dynamorph.app.render.Frame;
import dynamorph.app.render.FrameService;
import dynamorph.app.render.Studio;
import dynamorph.app.session.Selection;
import dynamorph.app.session.Workspace;
import dynamorph.app.theme.Theme;
import dynamorph.model.Artboard;
import dynamorph.model.ArtboardId;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.shape.PathDraft;
import dynamorph.paint.scene.Scene;
import dynamorph.paint.stage.View;
import dynamorph.typeset.layout.Box;
import dynamorph.typeset.layout.Caret;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleObjectProperty;
import javafx.geometry.Point2D;
import javafx.scene.AccessibleRole;
import javafx.scene.control.ContextMenu;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.layout.Region;

/**
 * Shows the artboards. The pixels come from the frame service; what lies over them (names, marks,
 * caret) is drawn by {@link MarksCanvas}. Until a frame of the present view has come, the last one
 * is shown moved and scaled into place.
 */
public final class StageView extends Region {
  /** Pixels left free around the artboards when they are fitted. */
  private static final double FIT_MARGIN = 40;

  /** Pixels that the tools at the top and the name of an artboard below them take. */
  private static final double TOOLS = 72;

  private final Workspace workspace;
  private Optional<SpellingService> spelling = Optional.empty();
  private final Supplier<Studio> studio;
  private final FrameService frames;
  private final ImageView picture = new ImageView();
  private final StageMarks painter;
  private final MarksCanvas marks;
  private final ReadOnlyObjectWrapper<View> view =
      new ReadOnlyObjectWrapper<>(new View(1, 1, 1, 0, 0));
  private final ReadOnlyObjectWrapper<Optional<Frame>> frame =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private final ObjectProperty<Theme> theme = new SimpleObjectProperty<>(Theme.CHALK);
  private final List<Runnable> afterFrame = new ArrayList<>();
  private boolean fitWanted = true;

  public StageView(Workspace workspace, Supplier<Studio> studio) {
    this.workspace = workspace;
    this.frames = new FrameService(workspace.footage(), this::show);
    this.studio = studio;
    this.painter = new StageMarks(workspace, this);
    this.marks = new MarksCanvas(workspace, painter);
    getStyleClass().add("stage");
    setId("stage");
    setFocusTraversable(true);
    setAccessibleRole(AccessibleRole.NODE);
    setAccessibleText(Messages.of("stage-view.stage-with-all-artboards"));
    picture.setManaged(false);
    picture.setSmooth(false);
    picture.setMouseTransparent(true);
    getChildren().addAll(picture, marks);
    workspace.shownProperty().addListener((_, _, _) -> request());
    workspace.playback().playheadProperty().addListener((_, _, _) -> request());
    workspace.playback().filmProperty().addListener((_, was, now) -> sightChanged(was, now));
    workspace.playback().safeAreasShownProperty().addListener((_, _, _) -> marks.draw());
    workspace.playback().playingProperty().addListener((_, _, _) -> request());
    workspace.view().rulersProperty().addListener((_, _, _) -> marks.draw());
    workspace.playback().playingProperty().addListener((_, _, _) -> marks.draw());
    workspace.selectionProperty().addListener((_, _, _) -> marks.drawWithCaret());
    workspace.view().hiddenCharactersProperty().addListener((_, _, _) -> marks.drawWithCaret());
    workspace.view().outlinesProperty().addListener((_, _, _) -> request());
    workspace.gradientInHandProperty().addListener((_, _, _) -> marks.draw());
    // what is followed may change without any pixel changing, and then no frame comes
    workspace.historyProperty().addListener((_, _, _) -> marks.draw());
    theme.addListener((_, _, _) -> request());
    view.addListener((_, _, _) -> viewChanged());
    widthProperty().addListener((_, _, _) -> resized());
    heightProperty().addListener((_, _, _) -> resized());
    new StageGestures(workspace, this).install();
  }

  /** What is dropped onto an artboard from elsewhere. */
  public interface Arriving {
    /** Texts of another window, as bytes. */
    void texts(byte[] texts, Artboard board);

    /**
     * A file.
     *
     * @param place on the artboard, in points
     */
    void file(Path file, Artboard board, Point2D place);
  }

  /** Lets texts be dragged in from other windows, and files from other programs. */
  public void onDropped(Arriving arriving) {
    new TextClipboard(workspace, this).install(arriving);
  }

  private Optional<Menus> menus = Optional.empty();

  public void setMenus(Menus wanted) {
    menus = Optional.of(wanted);
  }

  /** The menu of the selected texts, for where else they are listed. */
  public Optional<ContextMenu> menuOfTexts() {
    return menus.map(Menus::ofTexts);
  }

  Optional<Menus> menus() {
    return menus;
  }

  /** Something outside the stage that texts can be dragged onto. */
  public interface DropPlace {
    /** Whether texts can be dropped at a point of the window; shows it. */
    boolean over(Point2D inWindow);

    /** What is done with the selected texts when they are dropped there. */
    void drop(Point2D inWindow);
  }

  private Optional<DropPlace> dropPlace = Optional.empty();

  public void setDropPlace(DropPlace place) {
    dropPlace = Optional.of(place);
  }

  Optional<DropPlace> dropPlace() {
    return dropPlace;
  }

  /** Lets misspelt words be marked. */
  public void setSpelling(SpellingService service) {
    spelling = Optional.of(service);
    service.changesProperty().addListener((_, _, _) -> marks.drawWithCaret());
    workspace.view().spellingProperty().addListener((_, _, _) -> marks.drawWithCaret());
  }

  /** What checks spelling, while it is to be marked. */
  Optional<SpellingService> spelling() {
    return spelling.filter(_ -> workspace.view().spellingProperty().get());
  }

  /** Where the caret stands on the screen, at its foot; the middle of the stage without one. */
  public Point2D caretOnScreen() {
    Optional<Selection.Cursor> cursor = workspace.selection().cursor();
    Optional<Scene.Found> found = edited();
    if (cursor.isEmpty() || found.isEmpty()) {
      return localToScreen(getWidth() / 2, getHeight() / 2);
    }
    Caret caret = found.get().text().layout().caretAt(cursor.get().place());
    Box box = caret.box();
    var onBoard = found.get().text().toArtboard(box.x(), box.bottom());
    double x = view().toPixelX(found.get().board().artboard().x() + onBoard.x());
    double y = view().toPixelY(found.get().board().artboard().y() + onBoard.y());
    return localToScreen(x / pixelRatio(), y / pixelRatio());
  }

  // --- view
  // --------------------------------------------------------------------------------------------------------

  public ReadOnlyObjectProperty<View> viewProperty() {
    return view.getReadOnlyProperty();
  }

  public View view() {
    return view.get();
  }

  /** The last finished frame. */
  public ReadOnlyObjectProperty<Optional<Frame>> frameProperty() {
    return frame.getReadOnlyProperty();
  }

  /** The scene of the whole project in the last finished frame, whatever was in sight. */
  public Optional<Scene> whole() {
    return frame.get().map(Frame::whole);
  }

  /** The artboards and each film are looked at as they were left. */
  private void sightChanged(Optional<ArtboardId> was, Optional<ArtboardId> now) {
    left.put(was, view());
    View before = left.get(now);
    if (before == null) {
      fitAll();
      fitOnceLaidOut();
    } else {
      view.set(before.sized(view().width(), view().height()));
    }
    request();
  }

  private final Map<Optional<ArtboardId>, View> left = new HashMap<>();

  /** The scene in sight of the last finished frame, if any has come yet. */
  public Optional<Scene> scene() {
    return frame.get().map(Frame::scene);
  }

  public ObjectProperty<Theme> themeProperty() {
    return theme;
  }

  /** Device pixels for one unit of the window. */
  double pixelRatio() {
    boolean shown = getScene() != null && getScene().getWindow() != null;
    return shown ? getScene().getWindow().getOutputScaleX() : 1;
  }

  public void pan(double across, double down) {
    view.set(view().panned(across * pixelRatio(), down * pixelRatio()));
  }

  /** Zooms about a point of this node. */
  public void zoom(double factor, double x, double y) {
    view.set(view().zoomed(factor, x * pixelRatio(), y * pixelRatio()));
  }

  /** Zooms about the middle. */
  public void zoom(double factor) {
    zoom(factor, getWidth() / 2, getHeight() / 2);
  }

  /** Sets pixels per point, about the middle. */
  public void zoomTo(double scale) {
    zoom(scale * pixelRatio() / view().scale());
  }

  /** Shows all artboards. */
  public void fitAll() {
    Project project = workspace.project();
    Optional<ArtboardId> film = workspace.playback().filmProperty().get();
    Box bounds =
        project.artboards().stream()
            .filter(board -> film.isPresent() ? film.get().equals(board.id()) : !board.isFilm())
            .map(board -> new Box(board.x(), board.y(), board.width(), board.height()))
            .reduce(Box::with)
            .orElse(new Box(0, 0, 800, 600));
    fit(bounds);
    fitted = Optional.of(view());
  }

  /** Shows some artboards whole. */
  public void show(List<Artboard> artboards) {
    artboards.stream()
        .map(board -> new Box(board.x(), board.y(), board.width(), board.height()))
        .reduce(Box::with)
        .ifPresent(this::fit);
  }

  /** The view that shows everything, while it is kept: a stage of another size shows it all too. */
  private Optional<View> fitted = Optional.empty();

  /** Shows what is selected, or everything if nothing is. */
  public void fitSelection() {
    Optional<Box> bounds =
        scene().stream()
            .flatMap(scene ->
                workspace.selection().layers().stream().flatMap(id -> scene.find(id).stream()))
            .map(StageView::onPlane)
            .reduce(Box::with);
    bounds.ifPresentOrElse(this::fit, this::fitAll);
  }

  /** Shows a layer in the middle, without zooming unless it would not be seen. */
  public void reveal(LayerId id) {
    workspace.view().roomProperty().set(false);
    boolean elsewhere =
        workspace
            .shownProperty()
            .get()
            .layer(id)
            .filter(layer -> workspace.playback().bring(layer))
            .isPresent();
    if (elsewhere) {
      afterNextFrame(() -> revealInSight(id));
    } else {
      revealInSight(id);
    }
  }

  private void revealInSight(LayerId id) {
    scene().flatMap(scene -> scene.find(id)).map(StageView::onPlane).ifPresent(this::reveal);
  }

  private void reveal(Box plane) {
    Box box = view().toPixels(plane);
    boolean seen = new Box(0, 0, view().width(), view().height()).overlaps(box) && box.height() > 6;
    if (!seen) {
      fit(plane.grown(plane.width() * 0.5, plane.height() * 1.5));
    }
  }

  static Box onPlane(Scene.Found found) {
    return found.text().bounds().moved(found.board().artboard().x(), found.board().artboard().y());
  }

  private void fit(Box plane) {
    double ratio = pixelRatio();
    int width = (int) Math.max(1, getWidth() * ratio);
    int height = (int) Math.max(1, getHeight() * ratio);
    View fitted = View.fitting(plane, width, height, FIT_MARGIN * ratio);
    if (fitted.toPixelY(plane.y()) < TOOLS * ratio) {
      int taken = (int) Math.round((TOOLS - FIT_MARGIN) * ratio);
      View below = View.fitting(plane, width, Math.max(1, height - taken), FIT_MARGIN * ratio);
      fitted = new View(width, height, below.scale(), below.offsetX(), below.offsetY() + taken);
    }
    view.set(fitted);
  }

  /** Fits the artboards once the stage has its size. */
  public void fitWhenSized() {
    left.clear();
    fitWanted = true;
    resized();
    fitOnceLaidOut();
  }

  /** Fits once more when what lies around the stage has come or gone with what is shown. */
  private void fitOnceLaidOut() {
    javafx.scene.Scene window = getScene();
    if (window == null) {
      return;
    }
    Runnable[] once = new Runnable[1];
    once[0] =
        () -> {
          window.removePostLayoutPulseListener(once[0]);
          View now = view();
          boolean isFitted =
              fitted.filter(one -> one.sized(now.width(), now.height()).equals(now)).isPresent();
          if (isFitted && !fitted.get().equals(now)) {
            fitAll();
            request();
          }
        };
    window.addPostLayoutPulseListener(once[0]);
  }

  private double lastWindowHeight;

  private void resized() {
    if (getWidth() < 2 || getHeight() < 2) {
      return;
    }
    marks.setWidth(getWidth());
    marks.setHeight(getHeight());
    double windowHeight = getScene() == null ? 0 : getScene().getHeight();
    // what opens below artboards takes room from them, but changes nothing about how large they
    // are;
    // the frame of a film is always seen whole
    boolean fits = workspace.playback().isOpen() || windowHeight != lastWindowHeight;
    lastWindowHeight = windowHeight;
    if (fitWanted || fits && fitted.filter(view()::equals).isPresent()) {
      fitWanted = false;
      fitAll();
      request();
    } else {
      int width = (int) Math.ceil(getWidth() * pixelRatio());
      int height = (int) Math.ceil(getHeight() * pixelRatio());
      view.set(view().sized(width, height));
    }
  }

  private void viewChanged() {
    placePicture();
    marks.draw();
    request();
  }

  // --- frames
  // ------------------------------------------------------------------------------------------------------

  private void request() {
    if (view().width() > 1) {
      frames.request(
          studio.get(),
          workspace.shownProperty().get(),
          workspace.playback().sight(),
          asked(),
          theme.get().stage(),
          workspace.view().outlinesProperty().get(),
          workspace.playback().playingProperty().get());
    }
  }

  /** The view, with half of its pixels each way while a film plays and that is wanted. */
  private View asked() {
    boolean coarse =
        workspace.playback().coarseProperty().get() && workspace.playback().playingProperty().get();
    return coarse
        ? new View(
            Math.ceilDiv(view().width(), 2),
            Math.ceilDiv(view().height(), 2),
            view().scale() / 2,
            view().offsetX() / 2,
            view().offsetY() / 2)
        : view();
  }

  private void show(Frame finished) {
    frame.set(Optional.of(finished));
    picture.setImage(finished.image());
    placePicture();
    // marks do not move with the film; painting them for every frame would cost more than the frame
    if (!workspace.playback().playingProperty().get()) {
      marks.draw();
    }
    List<Runnable> waiting = List.copyOf(afterFrame);
    afterFrame.clear();
    waiting.forEach(Runnable::run);
  }

  /** The pixels of the last frame, without the marks over it. */
  public Optional<Image> pixels() {
    return frame.get().map(Frame::image);
  }

  /** Runs something when the next frame shows. */
  public void afterNextFrame(Runnable work) {
    afterFrame.add(work);
  }

  /** Whether the last frame shows the project and the view as they are now. */
  public boolean isUpToDate() {
    return frames.isIdle()
        && frame
            .get()
            .filter(last -> last.scene().project().equals(workspace.shownProperty().get()))
            .filter(last -> last.view().equals(view()))
            .filter(last -> last.sight().equals(workspace.playback().sight()))
            .isPresent();
  }

  private void placePicture() {
    frame
        .get()
        .ifPresent(last -> {
          double ratio = pixelRatio();
          double zoom = view().scale() / last.view().scale();
          picture.setFitWidth(last.view().width() * zoom / ratio);
          picture.setFitHeight(last.view().height() * zoom / ratio);
          picture.setX((view().offsetX() - last.view().offsetX() * zoom) / ratio);
          picture.setY((view().offsetY() - last.view().offsetY() * zoom) / ratio);
        });
  }

  @Override
  protected void layoutChildren() {
    // the picture and the marks place themselves
  }

  // --- marks
  // -------------------------------------------------------------------------------------------------------

  /**
   * Shows a path that is being drawn.
   *
   * @param next where the pointer is, on the plane: the next point would be there
   */
  void setPen(PathDraft draft, Optional<double[]> next) {
    painter.setPen(draft, next);
    marks.draw();
  }

  /** Shows what a drag snaps to. */
  void setSnap(Optional<SnapMarks.Shown> snap) {
    painter.setSnap(snap);
    marks.draw();
  }

  void setMarquee(Optional<Box> box) {
    marks.setMarquee(box);
  }

  /** The text whose overset tag lies at a point of this node. */
  Optional<Scene.Found> oversetTagAt(double x, double y) {
    return marks.oversetTagAt(x, y);
  }

  void setHovered(Optional<LayerId> layer) {
    marks.setHovered(layer);
  }

  /** The text being edited, with the scene it is laid out in. */
  Optional<Scene.Found> edited() {
    Optional<Selection.Cursor> cursor = workspace.selection().cursor();
    return cursor.flatMap(at -> scene().flatMap(scene -> scene.showing(at.layer(), at.place())));
  }

  public void close() {
    marks.close();
    frames.close();
  }
}
