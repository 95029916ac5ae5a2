package dynamorph.app.styles.reach;

import dynamorph.app.field.Tips;
import dynamorph.app.message.Messages;
import dynamorph.app.render.PictureService;
import dynamorph.app.render.Studio;
import dynamorph.model.LayerId;
import dynamorph.model.value.Rgba;
import dynamorph.paint.reach.Problem;
import dynamorph.paint.scene.PlacedLayer;
import dynamorph.paint.scene.Scene;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.image.ImageView;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** A text that a style or a change reaches: as it is, and before that as it was. */
final class ReachTile extends Button {
  private static final PseudoClass PICKED = PseudoClass.getPseudoClass("picked");
  private static final PseudoClass LEFT_OUT = PseudoClass.getPseudoClass("left-out");

  private final Supplier<Studio> studio;
  private final PictureService pictures;
  private final int width;
  private final ImageView earlier = new ImageView();
  private final ImageView now = new ImageView();
  private final Label badge = new Label();
  private final Label place = new Label();
  private final Button leaveOut = new Button();
  private final StackPane earlierFrame = new StackPane(earlier);
  private final StackPane nowFrame = new StackPane(now, leaveOut);

  /**
   * @param width of a picture
   */
  ReachTile(Supplier<Studio> studio, PictureService pictures, int width) {
    this.studio = studio;
    this.pictures = pictures;
    this.width = width;
    getStyleClass().add("thumbnail");
    earlierFrame.getStyleClass().addAll("thumbnail-picture", "thumbnail-before");
    nowFrame.getStyleClass().add("thumbnail-picture");
    earlierFrame.setMaxWidth(width + 2);
    nowFrame.setMaxWidth(width + 2);
    leaveOut.getStyleClass().add("leave-out");
    leaveOut.setFocusTraversable(false);
    StackPane.setAlignment(leaveOut, Pos.BOTTOM_RIGHT);
    place.getStyleClass().add("thumbnail-place");
    place.setMaxWidth(width);
    badge.setMaxWidth(width);
    VBox words = new VBox(-2, place, badge);
    setGraphic(new VBox(3, earlierFrame, nowFrame, words));
    leaveOut
        .visibleProperty()
        .bind(hoverProperty().or(focusedProperty()).and(leaveOut.managedProperty()));
  }

  /** What leaving it out, or putting it back, does. */
  void onLeaveOut(Runnable flip) {
    leaveOut.setOnAction(_ -> flip.run());
  }

  void show(ReachReport.Entry entry, boolean comparing, int height) {
    Scene.Found found = entry.text().after();
    earlierFrame.setVisible(comparing);
    earlierFrame.setManaged(comparing);
    if (comparing) {
      entry.text().before().ifPresent(was -> draw(earlier, was, Optional.of(found), height));
    }
    draw(now, found, entry.text().before().filter(_ -> comparing), height);
    showBadge(entry);
    leaveOut.setManaged(comparing);
    leaveOut.setText(
        entry.heldBack()
            ? Messages.of("reach-tile.put-back")
            : Messages.of("reach-tile.leave-out"));
    pseudoClassStateChanged(LEFT_OUT, entry.heldBack());
    String board = found.board().artboard().name();
    String name = found.text().layer().name();
    place.setText(board + " \u00b7 " + name);
    String problems =
        entry.text().problems().stream()
            .map(problem ->
                problem.isNew()
                    ? Messages.of("reach-tile.new", problem.detail())
                    : problem.detail())
            .collect(Collectors.joining("\n"));
    String local = entry.local() == 0 ? "" : Messages.of("reach-tile.local-change", entry.local());
    Tips.on(
        this,
        Messages.of(
            "reach-tile.press-to-go-there-with-shift",
            board,
            name,
            (problems.isEmpty() ? "" : "\n" + problems),
            local,
            (comparing ? Messages.of("reach-tile.x-leaves-it-out") : ".")));
    setAccessibleText(board + ", " + name + (problems.isEmpty() ? "" : ", " + problems) + local);
  }

  private void showBadge(ReachReport.Entry entry) {
    Optional<Problem> worst =
        entry.text().problems().stream()
            .filter(problem -> problem.kind() != Problem.Kind.LINES)
            .findFirst();
    String lines =
        entry.text().problems().stream()
            .filter(problem -> problem.kind() == Problem.Kind.LINES)
            .map(Problem::detail)
            .findFirst()
            .orElse("");
    String words =
        entry.heldBack()
            ? Messages.of("reach-tile.left-out")
            : worst
                .map(problem -> problem.kind().label())
                .orElse(
                    lines.isEmpty() && entry.local() > 0
                        ? Messages.of("common.local", entry.local())
                        : lines);
    badge.setText(words);
    String look =
        entry.heldBack() || !lines.isEmpty() && worst.isEmpty()
            ? "badge-plain"
            : worst.isPresent() ? "badge-problem" : "badge-local";
    badge.getStyleClass().setAll("label", look);
  }

  void mark(boolean picked) {
    pseudoClassStateChanged(PICKED, picked);
  }

  /** What a picture depends on. */
  private record PictureKey(
      Studio studio,
      Object layout,
      Object look,
      Object beside,
      Rgba background,
      int width,
      int height) {}

  /**
   * @param beside what it is compared with, at the same scale
   */
  private void draw(ImageView view, Scene.Found found, Optional<Scene.Found> beside, int height) {
    PlacedLayer text = found.text();
    List<PlacedLayer> others = beside.map(Scene.Found::text).stream().toList();
    Rgba background = found.board().background();
    Studio with = studio.get();
    double scale = PictureService.scaleOf(this);
    view.setFitWidth(width);
    view.setFitHeight(height);
    Object look = List.of(text.look().plate(), text.look().paragraphs());
    pictures.show(
        view,
        new PictureKey(
            with,
            text.layout(),
            look,
            others.stream().map(PlacedLayer::layout).toList(),
            background,
            width,
            height),
        () -> with.specimens().thumbnail(text, others, background, width, height, scale));
  }

  /** Which text a tile of the strip or the view stands for. */
  LayerId layer() {
    return (LayerId) getUserData();
  }
}
