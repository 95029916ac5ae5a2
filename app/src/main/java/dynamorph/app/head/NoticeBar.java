package dynamorph.app.head;

import dynamorph.app.workspace.Notice;
import dynamorph.app.workspace.Workspace;
import java.util.Optional;
import javafx.animation.PauseTransition;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.AccessibleRole;
import javafx.scene.control.Button;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
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

  private final Label text = new Label();
  private final Hyperlink offer = new Hyperlink();
  private final PauseTransition leave = new PauseTransition(SHOWN);

  public NoticeBar(Workspace workspace) {
    getStyleClass().add("notice-bar");
    setId("notice");
    setAlignment(Pos.CENTER_LEFT);
    setSpacing(10);
    setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
    setAccessibleRole(AccessibleRole.TEXT);
    text.setWrapText(true);
    text.setMaxWidth(460);
    offer.setMinWidth(Region.USE_PREF_SIZE);
    Button close = new Button("", new FontIcon(Feather.X));
    close.getStyleClass().add("icon-button");
    close.setAccessibleText("Close");
    close.setOnAction(_ -> workspace.clearNotice());
    getChildren().addAll(text, offer, close);
    leave.setOnFinished(_ -> workspace.clearNotice());
    workspace.noticeProperty().addListener((_, _, notice) -> show(notice));
    show(workspace.noticeProperty().get());
  }

  private void show(Optional<Notice> notice) {
    leave.stop();
    setVisible(notice.isPresent());
    notice.ifPresent(told -> {
      text.setText(told.text());
      setAccessibleText(told.text());
      pseudoClassStateChanged(PROBLEM, told.problem());
      offer.setVisible(told.action().isPresent());
      offer.setManaged(told.action().isPresent());
      told.action()
          .ifPresent(action -> {
            offer.setText(action.label());
            offer.setVisited(false);
            offer.setOnAction(_ -> action.run().run());
          });
      if (!told.problem()) {
        leave.playFromStart();
      }
    });
  }
}
