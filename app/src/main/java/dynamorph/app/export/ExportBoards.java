package dynamorph.app.export;

import dynamorph.app.field.Controls;
import dynamorph.app.field.Tips;
import dynamorph.app.message.Messages;
import dynamorph.app.render.PictureFrame;
import dynamorph.app.render.PictureService;
import dynamorph.app.render.StatePictures;
import dynamorph.app.session.Workspace;
import dynamorph.model.Artboard;
import dynamorph.model.ArtboardId;
import dynamorph.model.Project;
import dynamorph.model.export.ExportPreset;
import dynamorph.model.timeline.Timeline;
import dynamorph.model.value.Numbers;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** The artboards or the films of the project as small pictures, each of which can be ticked. */
final class ExportBoards extends VBox {
  private static final PseudoClass PICKED = PseudoClass.getPseudoClass("picked");
  private static final int PICTURE_WIDTH = 108;
  private static final int PICTURE_HEIGHT = 72;
  private static final int FILM_WIDTH = 144;
  private static final int FILM_HEIGHT = 81;

  private final Workspace workspace;
  private final StatePictures states;
  private final PictureService pictures;
  private final Runnable changed;
  private final FlowPane tiles = new FlowPane(8, 8);
  private final Label count = new Label();
  private final Set<ArtboardId> picked = new HashSet<>();
  private List<Artboard> listed = List.of();
  private boolean isOfFilms;
  private Optional<ExportPreset> preset = Optional.empty();
  private final List<Label> sizes = new ArrayList<>();

  /**
   * @param changed is told when others are ticked
   */
  ExportBoards(
      Workspace workspace, StatePictures states, PictureService pictures, Runnable changed) {
    super(10);
    this.workspace = workspace;
    this.states = states;
    this.pictures = pictures;
    this.changed = changed;
    Button all = new Button(Messages.of("export-boards.all"));
    all.setId("export-all");
    all.setOnAction(_ -> pick(Set.copyOf(listed.stream().map(Artboard::id).toList())));
    Button none = new Button(Messages.of("export-boards.none"));
    none.setId("export-none");
    none.setOnAction(_ -> pick(Set.of()));
    Region gap = new Region();
    HBox.setHgrow(gap, Priority.ALWAYS);
    count.getStyleClass().add("quiet");
    for (Region one : new Region[] {count, all, none}) {
      one.setMinWidth(USE_PREF_SIZE);
    }
    HBox head = new HBox(8, count, gap, all, none);
    head.setAlignment(Pos.CENTER_LEFT);
    ScrollPane scroll = Controls.scrolled(tiles);
    getChildren().addAll(head, scroll);
  }

  /**
   * Lists the artboards, or the films, anew and ticks some of them.
   *
   * @param ofFilms which of the two
   */
  void list(boolean ofFilms, Set<ArtboardId> ticked) {
    isOfFilms = ofFilms;
    listed = offered();
    tiles.getChildren().clear();
    sizes.clear();
    Project project = workspace.project();
    listed.forEach(board -> tiles.getChildren().add(tile(project, board)));
    pick(ticked);
  }

  boolean isOfFilms() {
    return isOfFilms;
  }

  /** All that can be ticked. */
  List<Artboard> offered() {
    Project project = workspace.project();
    return (isOfFilms ? project.films() : project.still()).toList();
  }

  /** Lists the artboards of a changed project; those that were ticked stay so. */
  void refresh() {
    if (!listed.equals(offered())) {
      list(isOfFilms, Set.copyOf(picked));
    }
  }

  /** Those that are ticked, in the order of the project. */
  List<Artboard> ticked() {
    return listed.stream().filter(board -> picked.contains(board.id())).toList();
  }

  /** Tells how large each comes out. */
  void measure(Optional<ExportPreset> by) {
    preset = by;
    for (int index = 0; index < sizes.size(); index++) {
      sizes.get(index).setText(size(listed.get(index)));
    }
  }

  private String size(Artboard board) {
    Optional<ExportPreset> pixels =
        preset.filter(own -> own.format().isRaster() || own.format().isFilm());
    if (pixels.isPresent()) {
      int width = pixels.get().pixels(board.width());
      int height = pixels.get().pixels(board.height());
      Optional<Timeline> line = board.timeline();
      return line.isEmpty()
          ? Messages.of("export-boards.pixels", width, height)
          : Messages.of(
              "export-boards.pixels-for",
              width,
              height,
              Numbers.format(line.get().duration().seconds(), 1));
    }
    return Messages.of(
        "export-boards.in-unit",
        board.unit().format(board.width()),
        board.unit().format(board.height()),
        board.unit().symbol());
  }

  private Node tile(Project project, Artboard board) {
    int width = isOfFilms ? FILM_WIDTH : PICTURE_WIDTH;
    int height = isOfFilms ? FILM_HEIGHT : PICTURE_HEIGHT;
    PictureFrame frame = new PictureFrame(width, height);
    pictures.show(
        frame.view(),
        List.of("export", board, project.styles(), project.palette()),
        () -> states.draw(project, board, Optional.empty(), width, height));
    CheckBox box = new CheckBox(board.name());
    box.setId("export-board-" + board.id());
    box.setMaxWidth(width);
    Tips.on(box, board.name());
    Label size = new Label(size(board));
    size.getStyleClass().add("quiet");
    sizes.add(size);
    VBox tile = new VBox(5, frame, box, size);
    tile.getStyleClass().add("export-tile");
    box.selectedProperty()
        .addListener((_, _, on) -> {
          tile.pseudoClassStateChanged(PICKED, on);
          if (on ? picked.add(board.id()) : picked.remove(board.id())) {
            tell();
          }
        });
    frame.setOnMouseClicked(_ -> {
      box.setSelected(!box.isSelected());
      box.requestFocus();
    });
    return tile;
  }

  private void pick(Set<ArtboardId> wanted) {
    picked.retainAll(wanted);
    picked.addAll(wanted);
    picked.retainAll(Set.copyOf(listed.stream().map(Artboard::id).toList()));
    for (int index = 0; index < listed.size(); index++) {
      VBox tile = (VBox) tiles.getChildren().get(index);
      ((CheckBox) tile.getChildren().get(1)).setSelected(picked.contains(listed.get(index).id()));
    }
    tell();
  }

  private void tell() {
    count.setText(
        isOfFilms
            ? Messages.of("export-boards.of-films", picked.size(), listed.size())
            : Messages.of("export-boards.of", picked.size(), listed.size()));
    changed.run();
  }

  /** Gives the keyboard to the first artboard. */
  void focusFirst() {
    if (!tiles.getChildren().isEmpty()) {
      ((VBox) tiles.getChildren().getFirst()).getChildren().get(1).requestFocus();
    }
  }
}
