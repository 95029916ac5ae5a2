package dynamorph.app.files.versions;

import dynamorph.app.field.Controls;
import dynamorph.app.message.Messages;
import dynamorph.app.render.PictureFrame;
import dynamorph.app.render.PictureService;
import dynamorph.app.render.StatePictures;
import dynamorph.app.session.Workspace;
import dynamorph.app.styles.specimen.Specimens;
import dynamorph.formats.versions.Versions.Version;
import dynamorph.model.Artboard;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.edit.Edit;
import dynamorph.model.merge.ProjectChanges;
import dynamorph.model.merge.ProjectChanges.Fate;
import dynamorph.model.merge.ProjectChanges.Pair;
import dynamorph.model.merge.TakeBack;
import dynamorph.model.reach.Followers;
import dynamorph.model.style.Style;
import dynamorph.model.style.Swatch;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** What differs between a saved version and what is open, each thing as it was and as it is. */
final class VersionComparison extends VBox {
  private static final int WIDTH = 216;
  private static final int BETWEEN = 12;
  private static final int STYLE_HEIGHT = 52;
  private static final int BOARD_HEIGHT = 136;
  private static final int SWATCH_HEIGHT = 30;

  private final Workspace workspace;
  private final StatePictures states;
  private final Specimens specimens;
  private final PictureService pictures;

  VersionComparison(
      Workspace workspace, StatePictures states, Specimens specimens, PictureService pictures) {
    super(10);
    this.workspace = workspace;
    this.states = states;
    this.specimens = specimens;
    this.pictures = pictures;
    getStyleClass().add("version-comparison");
  }

  void show(Version version) {
    Project then = version.project();
    Project now = workspace.project();
    getChildren().clear();
    List<Pair<Style>> styles = ProjectChanges.stylePairs(then, now);
    List<Pair<Artboard>> boards = ProjectChanges.artboardPairs(then, now);
    List<Pair<Swatch>> swatches = ProjectChanges.swatchPairs(then, now);
    if (styles.isEmpty() && boards.isEmpty() && swatches.isEmpty()) {
      Label same = new Label(Messages.of("version-comparison.nothing-differs"));
      same.getStyleClass().add("quiet");
      same.setWrapText(true);
      getChildren().add(same);
      return;
    }
    getChildren().add(heads());
    Of<Style> style =
        new Of<>(
            styleView(then), styleView(now), Style::name, one -> TakeBack.style(then, one.id()));
    Of<Artboard> board =
        new Of<>(
            boardView(then, now),
            boardView(now, then),
            Artboard::name,
            one -> TakeBack.artboard(then, one.id()));
    Of<Swatch> swatch =
        new Of<>(
            VersionComparison::swatchView,
            VersionComparison::swatchView,
            Swatch::name,
            one -> TakeBack.swatch(then, one.id()));
    section("version-comparison.styles", styles, style);
    section("version-comparison.artboards", boards, board);
    section("version-comparison.swatches", swatches, swatch);
  }

  /**
   * How things of a kind are shown and taken back.
   *
   * @param then shows one as it was
   * @param now shows one as it is
   */
  private record Of<T>(
      Function<T, Node> then,
      Function<T, Node> now,
      Function<T, String> name,
      Function<T, Edit> takeBack) {}

  private static HBox heads() {
    HBox heads = new HBox(BETWEEN, head("version-comparison.then"), head("version-comparison.now"));
    heads.getStyleClass().add("version-heads");
    return heads;
  }

  private static StackPane head(String key) {
    Label words = new Label(Messages.of(key));
    words.getStyleClass().add("quiet");
    StackPane head = new StackPane(words);
    head.setAlignment(Pos.CENTER_LEFT);
    head.setMinWidth(0);
    head.setPrefWidth(WIDTH + 2.0);
    head.setMaxWidth(WIDTH + 2.0);
    HBox.setHgrow(head, Priority.ALWAYS);
    return head;
  }

  private <T> void section(String title, List<Pair<T>> pairs, Of<T> of) {
    if (pairs.isEmpty()) {
      return;
    }
    Label head = new Label(Messages.of(title, pairs.size()));
    head.getStyleClass().add("sub-title");
    getChildren().add(head);
    pairs.forEach(pair -> getChildren().add(row(pair, of)));
  }

  private <T> Node row(Pair<T> pair, Of<T> of) {
    String named = of.name().apply(pair.any());
    Label name = new Label(named);
    name.setMinWidth(0);
    String fate = pair.fate().name().toLowerCase(Locale.ROOT);
    Label what = new Label(Messages.of("version-comparison." + fate));
    what.getStyleClass().add("quiet");
    what.setMinWidth(Region.USE_PREF_SIZE);
    HBox line = new HBox(8, new VBox(2, name, what));
    line.setAlignment(Pos.CENTER_LEFT);
    line.setMaxWidth(2.0 * WIDTH + BETWEEN + 4);
    if (pair.fate() != Fate.ADDED) {
      line.getChildren().addAll(Controls.gap(), takeBack(named, of.takeBack().apply(pair.any())));
    }
    HBox seen =
        new HBox(
            BETWEEN,
            pair.before().map(of.then()).orElseGet(VersionComparison::nothing),
            pair.after().map(of.now()).orElseGet(VersionComparison::nothing));
    seen.setAlignment(Pos.CENTER_LEFT);
    return new VBox(4, line, seen);
  }

  private Button takeBack(String named, Edit edit) {
    Button take = new Button(Messages.of("version-comparison.take-back"));
    take.setAccessibleText(Messages.of("version-comparison.take-back-named", named));
    take.setMinWidth(Region.USE_PREF_SIZE);
    take.setOnAction(_ -> workspace.apply(edit));
    return take;
  }

  private static Node nothing() {
    Label none = new Label(Messages.of("version-comparison.not-there"));
    none.getStyleClass().add("quiet");
    return frame(STYLE_HEIGHT).holding(none);
  }

  private static PictureFrame frame(int height) {
    PictureFrame frame = new PictureFrame(WIDTH, height).yielding();
    HBox.setHgrow(frame, Priority.ALWAYS);
    return frame;
  }

  private Function<Style, Node> styleView(Project project) {
    Cascade cascade = Cascade.of(project);
    Followers followers = Followers.of(project);
    return style -> {
      PictureFrame frame = frame(STYLE_HEIGHT);
      specimens.show(frame.view(), project, cascade, followers, style, WIDTH, STYLE_HEIGHT);
      return frame;
    };
  }

  private Function<Artboard, Node> boardView(Project project, Project other) {
    Object state = new Object();
    return board -> {
      PictureFrame frame = frame(BOARD_HEIGHT);
      pictures.show(
          frame.view(),
          List.of(state, board.id()),
          () -> states.draw(project, board, other.artboard(board.id()), WIDTH, BOARD_HEIGHT));
      return frame;
    };
  }

  private static Node swatchView(Swatch swatch) {
    Region colour = new Region();
    colour.setStyle("-fx-background-color: " + swatch.colour() + ";");
    return frame(SWATCH_HEIGHT).holding(colour);
  }

  /** The artboard that a version is known by: the first that differs from another state. */
  static Optional<Artboard> telling(Project version, Project other) {
    return ProjectChanges.artboardPairs(version, other).stream()
        .flatMap(pair -> pair.before().stream())
        .findFirst()
        .or(() -> version.artboards().stream().findFirst());
  }
}
