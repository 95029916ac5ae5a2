package dynamorph.app.reach;

import dynamorph.app.background.Frame;
import dynamorph.app.background.PictureService;
import dynamorph.app.background.Studio;
import dynamorph.app.stage.StageView;
import dynamorph.app.workspace.Desk;
import dynamorph.app.workspace.Workspace;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.reach.Followers;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.value.Rgba;
import dynamorph.paint.scene.PlacedLayer;
import dynamorph.paint.scene.Scene;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Tooltip;
import javafx.scene.image.ImageView;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/**
 * Draws what follows a style. While a style is on the desk each text that would change is drawn
 * before and after, those with a new problem first.
 */
public final class ReachStrip extends VBox {
  private static final int WIDTH = 104;
  private static final int HEIGHT = 60;
  private static final int LOW_HEIGHT = 46;

  /** Thumbnails drawn; the rest are counted. */
  private static final int MOST = 60;

  private final Workspace workspace;
  private final StageView stage;
  private final Supplier<Studio> studio;
  private final PictureService pictures;
  private final HBox words = new HBox(14);
  private final HBox row = new HBox(8);
  private final Map<LayerId, Thumbnail> thumbnails = new HashMap<>();
  private Optional<Scene> before = Optional.empty();

  public ReachStrip(
      Workspace workspace, StageView stage, Supplier<Studio> studio, PictureService pictures) {
    this.workspace = workspace;
    this.stage = stage;
    this.studio = studio;
    this.pictures = pictures;
    getStyleClass().add("reach-strip");
    setId("reach");
    ScrollPane scroll = new ScrollPane(row);
    scroll.setVbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    scroll.setFitToHeight(true);
    words.setAlignment(Pos.BASELINE_LEFT);
    getChildren().addAll(words, scroll);
    stage.frameProperty().addListener((_, _, frame) -> frame.ifPresent(this::framed));
    workspace.pickedStyleProperty().addListener((_, _, _) -> update());
    workspace.deskProperty().addListener((_, _, _) -> update());
    workspace.selectionProperty().addListener((_, _, _) -> markSelected());
    update();
  }

  private void framed(Frame frame) {
    if (frame.scene().project() == workspace.project()) {
      before = Optional.of(frame.scene());
    }
    update();
  }

  private Optional<StyleId> subject() {
    return workspace
        .deskProperty()
        .get()
        .map(desk -> desk.original().id())
        .or(() -> workspace.pickedStyleProperty().get());
  }

  private void update() {
    Optional<StyleId> id =
        subject().filter(style -> workspace.project().styles().find(style).isPresent());
    setVisible(id.isPresent());
    setManaged(id.isPresent());
    if (id.isPresent() && stage.scene().isPresent()) {
      Optional<Desk> desk = workspace.deskProperty().get().filter(Desk::isChanged);
      show(workspace.project().styles().get(id.get()), stage.scene().get(), desk.isPresent());
    }
  }

  /** A follower with what is told about it. */
  private record Item(
      Scene.Found found, int local, boolean overset, boolean newlyOverset, boolean changes) {
    int urgency() {
      return newlyOverset ? 0 : overset ? 1 : changes ? 2 : 3;
    }
  }

  private void show(Style style, Scene scene, boolean comparing) {
    Followers followers = Followers.of(workspace.project());
    List<Item> items = new ArrayList<>();
    for (Followers.Follower follower : followers.of(style.id())) {
      scene
          .find(follower.layer().id())
          .ifPresent(found -> items.add(item(found, follower.localChanges())));
    }
    if (comparing) {
      items.sort(java.util.Comparator.comparingInt(Item::urgency));
    }
    showWords(style, items, comparing, followers.direct(style.id()).size());
    List<Node> nodes = new ArrayList<>();
    items.stream().limit(MOST).forEach(item -> nodes.add(thumbnail(item, comparing)));
    if (items.size() > MOST) {
      Label more = new Label("and " + (items.size() - MOST) + " more");
      more.getStyleClass().add("quiet");
      nodes.add(more);
    }
    if (!row.getChildren().equals(nodes)) {
      row.getChildren().setAll(nodes);
    }
    markSelected();
  }

  private Item item(Scene.Found found, int local) {
    LayerId id = found.text().layer().id();
    boolean overset = found.text().layout().overset().isPresent();
    Optional<PlacedLayer> earlier = before.flatMap(scene -> scene.find(id)).map(Scene.Found::text);
    boolean was = earlier.map(text -> text.layout().overset().isPresent()).orElse(false);
    boolean changes = earlier.map(text -> !text.look().equals(found.text().look())).orElse(true);
    return new Item(found, local, overset, overset && !was, changes);
  }

  private void showWords(Style style, List<Item> items, boolean comparing, int direct) {
    words.getChildren().clear();
    Label title = new Label(comparing ? "Reach of this change" : "Reach of " + style.name());
    title.getStyleClass().add("section-title");
    words.getChildren().add(title);
    long boards = items.stream().map(item -> item.found.board().artboard().id()).distinct().count();
    long changes = items.stream().filter(item -> item.changes).count();
    long newly = items.stream().filter(item -> item.newlyOverset).count();
    long overset = items.stream().filter(item -> item.overset).count();
    long local = items.stream().filter(item -> item.local > 0).count();
    String texts = items.size() == 1 ? "1 text" : items.size() + " texts";
    if (comparing) {
      add(changes == 1 ? "1 text changes" : changes + " texts change", "quiet-words");
      if (newly > 0) {
        add(newly + " would be overset", "problem-text");
      }
    } else {
      String on = " on " + (boards == 1 ? "1 artboard" : boards + " artboards");
      String through =
          items.size() > direct && direct > 0
              ? ", " + (items.size() - direct) + " through derived styles"
              : "";
      add(items.isEmpty() ? "nothing follows it yet" : texts + on + through, "quiet-words");
      if (overset > 0) {
        add(overset + " overset", "problem-text");
      }
    }
    if (local > 0) {
      add(local + " with local changes", "local-text");
    }
    if (!items.isEmpty()) {
      Region gap = new Region();
      HBox.setHgrow(gap, javafx.scene.layout.Priority.ALWAYS);
      Hyperlink all = new Hyperlink("Select all");
      all.setOnAction(_ ->
          workspace.select(items.stream().map(item -> item.found.text().layer().id()).toList()));
      words.getChildren().addAll(gap, all);
    }
  }

  private void add(String text, String styleClass) {
    Label label = new Label(text);
    label.getStyleClass().add(styleClass);
    words.getChildren().add(label);
  }

  /** The nodes of one follower. */
  private static final class Thumbnail extends Button {
    private final ImageView earlier = new ImageView();
    private final ImageView now = new ImageView();
    private final Label badge = new Label();
    private final Label place = new Label();
    private final StackPane earlierFrame = new StackPane(earlier);
    private final StackPane nowFrame = new StackPane(now, badge);

    Thumbnail() {
      getStyleClass().add("thumbnail");
      earlierFrame.getStyleClass().add("thumbnail-picture");
      nowFrame.getStyleClass().add("thumbnail-picture");
      StackPane.setAlignment(badge, Pos.TOP_RIGHT);
      place.getStyleClass().add("thumbnail-place");
      place.setMaxWidth(WIDTH);
      VBox box = new VBox(3, earlierFrame, nowFrame, place);
      setGraphic(box);
    }
  }

  private Node thumbnail(Item item, boolean comparing) {
    LayerId id = item.found.text().layer().id();
    Thumbnail thumbnail = thumbnails.computeIfAbsent(id, this::newThumbnail);
    int height = comparing ? LOW_HEIGHT : HEIGHT;
    thumbnail.earlierFrame.setVisible(comparing);
    thumbnail.earlierFrame.setManaged(comparing);
    if (comparing) {
      before
          .flatMap(scene -> scene.find(id))
          .ifPresent(found -> draw(thumbnail.earlier, found, height));
    }
    draw(thumbnail.now, item.found, height);
    thumbnail.badge.setText(item.overset ? "overset" : item.local > 0 ? item.local + " local" : "");
    thumbnail.badge.setVisible(!thumbnail.badge.getText().isEmpty());
    thumbnail.badge.getStyleClass().setAll("label", item.overset ? "badge-problem" : "badge-local");
    String board = item.found.board().artboard().name();
    String name = item.found.text().layer().name();
    thumbnail.place.setText(board + " \u00b7 " + name.toLowerCase(java.util.Locale.ROOT));
    thumbnail.setTooltip(
        new Tooltip(
            board + ", " + name + ". Press to go there; with Shift to add it to the selection."));
    thumbnail.setAccessibleText(board + ", " + name);
    return thumbnail;
  }

  private Thumbnail newThumbnail(LayerId id) {
    Thumbnail thumbnail = new Thumbnail();
    thumbnail.setOnMouseReleased(event -> {
      if (event.isShiftDown()) {
        workspace.selectionProperty().set(workspace.selection().toggled(id));
        event.consume();
      }
    });
    thumbnail.setOnAction(_ -> {
      if (workspace.deskProperty().get().isEmpty()) {
        workspace.select(List.of(id));
      }
      stage.reveal(id);
    });
    return thumbnail;
  }

  /** What a thumbnail depends on. */
  private record PictureKey(
      Studio studio, Object layout, Object look, Rgba background, int height) {}

  private void draw(ImageView view, Scene.Found found, int height) {
    PlacedLayer text = found.text();
    Rgba background = found.board().background();
    Studio with = studio.get();
    double scale =
        getScene() == null || getScene().getWindow() == null
            ? 1
            : getScene().getWindow().getOutputScaleX();
    view.setFitWidth(WIDTH);
    view.setFitHeight(height);
    Object look = List.of(text.look().plate(), text.look().paragraphs());
    pictures.show(
        view,
        new PictureKey(with, text.layout(), look, background, height),
        () -> with.specimens().thumbnail(text, background, WIDTH, height, scale));
  }

  private void markSelected() {
    javafx.css.PseudoClass picked = javafx.css.PseudoClass.getPseudoClass("picked");
    thumbnails.forEach((id, thumbnail) ->
        thumbnail.pseudoClassStateChanged(picked, workspace.selection().contains(id)));
    Project project = workspace.project();
    if (thumbnails.size() > MOST * 4) {
      thumbnails.keySet().retainAll(project.layers().map(dynamorph.model.Layer::id).toList());
    }
  }
}
