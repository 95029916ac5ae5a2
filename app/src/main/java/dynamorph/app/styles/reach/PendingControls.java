package dynamorph.app.styles.reach;

import dynamorph.app.field.Tips;
import dynamorph.app.message.Messages;
import dynamorph.app.session.HeldAs;
import dynamorph.app.session.Review;
import dynamorph.app.session.Workspace;
import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.layout.Region;

/** What can be done about a pending change: how texts are left out of it, to do it or not. */
final class PendingControls {
  private final Workspace workspace;
  private final ComboBox<HeldAs> heldAs = new ComboBox<>();

  PendingControls(Workspace workspace) {
    this.workspace = workspace;
    heldAs.getItems().setAll(HeldAs.values());
    heldAs.setMinWidth(Region.USE_PREF_SIZE);
    heldAs.getStyleClass().add("held-as");
    heldAs.setAccessibleText(Messages.of("pending-controls.how-texts-that-are-left-out"));
    heldAs.valueProperty().bindBidirectional(workspace.attempts().heldAsProperty());
  }

  /** How many texts are left out, and how they keep their look. */
  List<Node> nodes() {
    int held = workspace.attempts().heldBackProperty().get().size();
    if (held == 0) {
      return List.of();
    }
    Label left = new Label(Messages.of("pending-controls.keeps-its-look", held));
    left.getStyleClass().add("quiet-words");
    left.setMinWidth(Region.USE_PREF_SIZE);
    return workspace.attempts().present().desk().isPresent()
        ? List.of(left, heldAs)
        : List.of(left);
  }

  /**
   * The buttons that do or discard what is under review; those of a style, a swatch or a deletion
   * are on their panes.
   */
  List<Node> buttons() {
    Optional<Review> review = workspace.attempts().present().review();
    if (review.isEmpty() || workspace.attempts().present().hasOwnButtons()) {
      return List.of();
    }
    Button commit = new Button(review.get().commitLabel());
    commit.getStyleClass().addAll("commit", "review-commit");
    commit.setMinWidth(Region.USE_PREF_SIZE);
    Tips.on(commit, Messages.of("pending-controls.do-it-as-one-step-ctrl"));
    commit.setOnAction(_ -> workspace.attempts().commitPending());
    Button discard = new Button(Messages.of("pending-controls.discard"));
    discard.getStyleClass().add("review-discard");
    discard.setMinWidth(Region.USE_PREF_SIZE);
    Tips.on(discard, Messages.of("pending-controls.leave-everything-as-it-was-esc"));
    discard.setOnAction(_ -> workspace.attempts().discardPending());
    return List.of(commit, discard);
  }
}
