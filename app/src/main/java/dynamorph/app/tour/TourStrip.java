package dynamorph.app.tour;

import dynamorph.app.field.HelpRequest;
import dynamorph.app.files.UserFolder;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Workspace;
import dynamorph.app.tour.TourStep.Moment;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.application.Platform;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import org.jspecify.annotations.Nullable;

/**
 * Below the head of the window: offers the tour to whoever is here for the first time, and says
 * what to do while one is on it. Each step sees that it was done.
 */
public final class TourStrip extends HBox {
  private static final PseudoClass DONE = PseudoClass.getPseudoClass("done");
  private static final PseudoClass MEANT = PseudoClass.getPseudoClass("meant");

  private final Workspace workspace;
  private final UserFolder user;
  private final Runnable begin;
  private final HBox dots = new HBox(5);
  private final Label words = new Label();
  private Optional<Tour> tour = Optional.empty();
  private boolean looking;
  private @Nullable Node meant;

  /**
   * @param begin opens what the tour is on, and starts it
   */
  public TourStrip(Workspace workspace, UserFolder user, Runnable begin) {
    super(14);
    this.workspace = workspace;
    this.user = user;
    this.begin = begin;
    getStyleClass().add("welcome");
    setId("tour");
    setAlignment(Pos.CENTER_LEFT);
    dots.setAlignment(Pos.CENTER_LEFT);
    words.setId("tour-words");
    words.setWrapText(true);
    words.setMinHeight(Region.USE_PREF_SIZE);
    words.setMaxWidth(Double.MAX_VALUE);
    HBox.setHgrow(words, Priority.ALWAYS);
    for (int step = 0; step < Tour.STEPS; step++) {
      Region dot = new Region();
      dot.getStyleClass().add("tour-dot");
      dots.getChildren().add(dot);
    }
    workspace.selectionProperty().addListener((_, _, _) -> lookSoon());
    workspace.historyProperty().addListener((_, _, _) -> lookSoon());
    workspace.attempts().presentProperty().addListener((_, _, _) -> lookSoon());
    workspace.openedProperty().addListener((_, _, _) -> leave());
    if (user.isWelcomed()) {
      show(false);
    } else {
      offer();
    }
  }

  private void show(boolean shown) {
    setVisible(shown);
    setManaged(shown);
  }

  private void offer() {
    words.setText(Messages.of("tour.offer"));
    Button take = button("tour-begin", Messages.of("tour.begin"), begin);
    take.getStyleClass().add("commit");
    getChildren()
        .setAll(words, take, button("welcome-close", Messages.of("tour.not-now"), this::leave));
    show(true);
  }

  /** Begins with what is open now. */
  public void begin() {
    user.setWelcomed();
    tour = Optional.of(Tour.from(now()));
    getChildren().setAll(dots, words, button("tour-leave", Messages.of("tour.leave"), this::leave));
    show(true);
    update();
  }

  private void leave() {
    user.setWelcomed();
    tour = Optional.empty();
    mean(null);
    show(false);
  }

  private static Button button(String id, String label, Runnable work) {
    Button button = new Button(label);
    button.setId(id);
    button.setMinWidth(USE_PREF_SIZE);
    button.setOnAction(_ -> work.run());
    return button;
  }

  private Moment now() {
    return new Moment(
        workspace.project(), workspace.selection().layers(), workspace.attempts().present().desk());
  }

  /** Once all that belongs to a change has happened: what is committed leaves the desk first. */
  private void lookSoon() {
    if (tour.isPresent() && !looking) {
      looking = true;
      Platform.runLater(this::look);
    }
  }

  private void look() {
    looking = false;
    Optional<Tour> before = tour;
    tour = before.map(on -> on.seeing(now()));
    if (!before.equals(tour)) {
      update();
    }
  }

  private void update() {
    tour.ifPresent(on -> {
      List<Node> all = new ArrayList<>(dots.getChildren());
      for (int step = 0; step < all.size(); step++) {
        all.get(step).pseudoClassStateChanged(DONE, step < on.at());
      }
      dots.setAccessibleText(Messages.of("tour.progress", on.at(), Tour.STEPS));
      words.setText(
          on.step()
              .map(step -> Messages.of("tour.step", on.at() + 1, Tour.STEPS, step.words()))
              .orElseGet(() -> Messages.of("tour.done")));
      mean(
          on.step()
              .map(TourStep::shows)
              .filter(shows -> !shows.isEmpty() && getScene() != null)
              .map(shows -> getScene().lookup(shows))
              .orElse(null));
      if (on.isDone()) {
        Button read =
            button(
                "tour-guide",
                Messages.of("tour.read-on"),
                () -> fireEvent(new HelpRequest("guide")));
        getChildren()
            .setAll(
                dots, words, read, button("tour-leave", Messages.of("tour.close"), this::leave));
      }
    });
  }

  /** Marks the control that a step is about. */
  private void mean(@Nullable Node node) {
    if (meant != null) {
      meant.pseudoClassStateChanged(MEANT, false);
    }
    meant = node;
    if (node != null) {
      node.pseudoClassStateChanged(MEANT, true);
    }
  }
}
