package dynamorph.app.styles.reach;

import dynamorph.app.field.Tips;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Review;
import dynamorph.app.session.Workspace;
import dynamorph.model.LayerId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/**
 * Draws what follows a style. While a change is pending each text that would change is drawn before
 * and after, those with a new problem first; any of them can be left out.
 */
public final class ReachStrip extends VBox {
  private static final int WIDTH = 104;
  private static final int HEIGHT = 60;
  private static final int LOW_HEIGHT = 46;

  /** Tiles drawn; the rest are counted. */
  private static final int MOST = 60;

  private final Workspace workspace;
  private final ReachSources sources;
  private final ReachWatch watch;
  private final ReachGestures gestures;
  private final HBox words = new HBox(14);
  private final HBox row = new HBox(8);
  private final PendingControls held;
  private final Map<LayerId, ReachTile> tiles = new HashMap<>();

  public ReachStrip(ReachSources sources) {
    this.sources = sources;
    this.workspace = sources.workspace();
    this.watch = sources.watch();
    this.gestures = sources.gestures(false);
    this.held = new PendingControls(workspace);
    getStyleClass().add("reach-strip");
    setId("reach");
    setMinWidth(0);
    words.setMinWidth(0);
    ScrollPane scroll = new ScrollPane(row);
    scroll.setVbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    scroll.setFitToHeight(true);
    words.setAlignment(Pos.CENTER_LEFT);
    words.setMinHeight(26);
    // the scroll bar lies over the foot of the row
    row.setPadding(new Insets(0, 0, 12, 0));
    getChildren().addAll(words, scroll);
    watch.reportProperty().addListener((_, _, report) -> show(report));
    workspace.selectionProperty().addListener((_, _, _) -> markSelected());
    workspace
        .attempts()
        .presentProperty()
        .addListener((_, _, _) -> show(watch.reportProperty().get()));
    workspace.view().reachProperty().addListener((_, _, _) -> show(watch.reportProperty().get()));
    show(watch.reportProperty().get());
  }

  private void show(Optional<ReachReport> report) {
    boolean shown =
        !workspace.view().reachProperty().get()
            && (report.isPresent() || workspace.attempts().present().review().isPresent());
    setVisible(shown);
    setManaged(shown);
    showWords(report);
    List<Node> nodes = new ArrayList<>();
    report.ifPresent(told -> {
      told.entries().stream().limit(MOST).forEach(entry -> nodes.add(tile(entry, told)));
      if (told.total() > MOST) {
        Hyperlink more = new Hyperlink(Messages.of("reach-strip.and-more", (told.total() - MOST)));
        more.setOnAction(_ -> workspace.view().reachProperty().set(true));
        nodes.add(more);
      }
    });
    if (!row.getChildren().equals(nodes)) {
      row.getChildren().setAll(nodes);
    }
    markSelected();
  }

  private void showWords(Optional<ReachReport> report) {
    List<Node> shown = new ArrayList<>();
    Optional<Review> review = workspace.attempts().present().review();
    boolean comparing = report.map(ReachReport::comparing).orElse(false);
    Label title =
        new Label(
            review
                .map(Review::title)
                .orElseGet(() ->
                    comparing
                        ? Messages.of("reach-strip.reach-of-this-change")
                        : Messages.of(
                            "reach-strip.reach-of", report.map(ReachReport::title).orElse(""))));
    title.getStyleClass().add("section-title");
    title.setMinWidth(Region.USE_PREF_SIZE);
    shown.add(title);
    report.ifPresent(told -> ReachWords.of(told).forEach(piece -> shown.add(words(piece))));
    if (report.isEmpty() && review.isPresent()) {
      shown.add(words(new ReachWords.Piece(Messages.of("reach-strip.looking"), "quiet-words")));
    }
    Region gap = new Region();
    HBox.setHgrow(gap, Priority.ALWAYS);
    shown.add(gap);
    if (comparing) {
      shown.addAll(held.nodes());
    }
    if (report.filter(told -> told.total() > 0).isPresent()) {
      shown.add(
          link(
              Messages.of("reach-strip.show-all"),
              Messages.of("reach-strip.everything-it-reaches-by-artboard-ctrl"),
              () -> workspace.view().reachProperty().set(true)));
    }
    shown.addAll(held.buttons());
    words.getChildren().setAll(shown);
  }

  private static Label words(ReachWords.Piece piece) {
    Label label = new Label(piece.text());
    label.getStyleClass().add(piece.styleClass());
    // what is wrong is never cut off; the rest gives way
    label.setMinWidth(piece.isProblem() ? Region.USE_PREF_SIZE : 0);
    return label;
  }

  private static Hyperlink link(String label, String help, Runnable work) {
    Hyperlink link = new Hyperlink(label);
    link.setMinWidth(Region.USE_PREF_SIZE);
    Tips.on(link, help);
    link.setOnAction(_ -> work.run());
    return link;
  }

  private Node tile(ReachReport.Entry entry, ReachReport report) {
    ReachTile tile =
        tiles.computeIfAbsent(
            entry.id(),
            id -> {
              ReachTile made = sources.tile(WIDTH);
              gestures.install(made, id);
              return made;
            });
    tile.show(entry, report.comparing(), report.comparing() ? LOW_HEIGHT : HEIGHT);
    return tile;
  }

  private void markSelected() {
    tiles.forEach((id, tile) -> tile.mark(workspace.selection().contains(id)));
    if (tiles.size() > MOST * 4) {
      tiles.values().removeIf(tile -> !row.getChildren().contains(tile));
    }
  }
}
