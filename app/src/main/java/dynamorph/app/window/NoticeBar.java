package dynamorph.app.window;

import dynamorph.app.message.Messages;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Notice.Offer;
import dynamorph.app.session.Notice.Tick;
import dynamorph.app.session.Workspace;
import java.util.List;
import java.util.Optional;
import javafx.animation.Animation;
import javafx.animation.PauseTransition;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.AccessibleRole;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckMenuItem;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.util.Duration;
import org.kordamp.ikonli.feather.Feather;
import org.kordamp.ikonli.javafx.FontIcon;

/**
 * Tells what happened and offers what can be done about it. Goes by itself, unless something went
 * wrong.
 */
public final class NoticeBar extends HBox {
  private static final PseudoClass PROBLEM = PseudoClass.getPseudoClass("problem");
  private static final Duration SHOWN = Duration.seconds(7);

  /** What a line of the bar is wide, in units of the window. */
  private static final double LINE = 460;

  /** Longer texts are scrolled in five lines, so that they cover nothing that waits for a click. */
  private static final int LONG = 260;

  private static final double FIVE_LINES = 98;

  /** Letters that are read in a second. */
  private static final double READ = 25;

  private final Label text = new Label();
  private final StackPane words = new StackPane(text);
  private final ScrollPane scrolled = new ScrollPane();
  private final HBox offers = new HBox(10);
  private final PauseTransition leave = new PauseTransition(SHOWN);

  public NoticeBar(Workspace workspace) {
    getStyleClass().add("notice-bar");
    setId("notice");
    setAlignment(Pos.CENTER_LEFT);
    setSpacing(10);
    setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
    setAccessibleRole(AccessibleRole.TEXT);
    text.getStyleClass().add("notice-text");
    text.setWrapText(true);
    text.setMaxWidth(LINE);
    scrolled.setFitToWidth(true);
    scrolled.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    scrolled.setPrefSize(LINE + 14, FIVE_LINES);
    scrolled.setMinHeight(FIVE_LINES);
    offers.setAlignment(Pos.CENTER_LEFT);
    offers.setMinWidth(Region.USE_PREF_SIZE);
    Button close = new Button("", new FontIcon(Feather.X));
    close.getStyleClass().add("icon-button");
    close.setAccessibleText(Messages.of("common.close"));
    close.setOnAction(_ -> workspace.clearNotice());
    getChildren().addAll(words, offers, close);
    leave.setOnFinished(_ -> workspace.clearNotice());
    // what is being read does not go
    setOnMouseEntered(_ -> leave.pause());
    setOnMouseExited(_ -> resume());
    workspace.noticeProperty().addListener((_, _, notice) -> show(notice));
    show(workspace.noticeProperty().get());
  }

  private void show(Optional<Notice> notice) {
    leave.stop();
    setVisible(notice.isPresent());
    notice.ifPresent(told -> {
      text.setText(told.text());
      fit(told.text().length() > LONG);
      setAccessibleText(told.text());
      pseudoClassStateChanged(PROBLEM, told.problem());
      offers.getChildren().setAll(told.offers().stream().map(NoticeBar::button).toList());
      offers.setManaged(!told.offers().isEmpty());
      if (!told.problem()) {
        leave.setDuration(SHOWN.add(Duration.seconds(told.text().length() / READ)));
        leave.playFromStart();
      }
    });
  }

  private void fit(boolean isLong) {
    words.getChildren().clear();
    scrolled.setContent(isLong ? text : null);
    scrolled.setVvalue(0);
    words.getChildren().add(isLong ? scrolled : text);
  }

  private void resume() {
    if (leave.getStatus() == Animation.Status.PAUSED) {
      leave.play();
    }
  }

  private static Node button(Offer offer) {
    return switch (offer) {
      case Offer.Press(String label, Runnable run) -> {
        Hyperlink link = new Hyperlink(label);
        link.setMinWidth(Region.USE_PREF_SIZE);
        link.setOnAction(_ -> run.run());
        yield link;
      }
      case Offer.Ticks(String label, List<Tick> ticks) -> {
        MenuButton menu = new MenuButton(label);
        menu.setMinWidth(Region.USE_PREF_SIZE);
        menu.getStyleClass().add("quiet-menu");
        for (Tick tick : ticks) {
          CheckMenuItem item = new CheckMenuItem(tick.label());
          item.setSelected(tick.on());
          item.setOnAction(_ -> tick.flip().run());
          menu.getItems().add(item);
        }
        yield menu;
      }
    };
  }
}
