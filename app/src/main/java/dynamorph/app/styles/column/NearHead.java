package dynamorph.app.styles.column;

import dynamorph.app.field.Controls;
import dynamorph.app.field.Tips;
import dynamorph.app.message.Messages;
import dynamorph.shelf.entry.Kept;
import dynamorph.shelf.order.NearLooks;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;

/** Above looks that are nearly the same: what differs, and a way to make one of them. */
final class NearHead extends HBox {
  /**
   * @param merge makes one of them, and that one stays
   */
  NearHead(NearLooks near, boolean writable, Consumer<Kept.OfStyle> merge) {
    super(6);
    String differs =
        near.differences().stream()
            .map(Controls::label)
            .distinct()
            .collect(Collectors.joining(", "));
    Label words =
        new Label(
            differs.isEmpty()
                ? Messages.of("near-head.same", near.looks().size())
                : Messages.of("near-head.differ", near.looks().size(), differs));
    words.setMinWidth(0);
    words.setMaxWidth(Double.MAX_VALUE);
    setHgrow(words, javafx.scene.layout.Priority.ALWAYS);
    words.getStyleClass().add("quiet");
    Tips.on(words, words.getText());
    MenuButton menu = new MenuButton(Messages.of("near-head.merge"));
    menu.getStyleClass().add("quiet-menu");
    menu.setMinWidth(Region.USE_PREF_SIZE);
    menu.setDisable(!writable);
    for (Kept.OfStyle look : near.looks()) {
      MenuItem item = new MenuItem(Messages.of("near-head.into", look.name()));
      item.setOnAction(_ -> merge.accept(look));
      menu.getItems().add(item);
    }
    setAlignment(Pos.CENTER_LEFT);
    setMaxWidth(StyleCard.WIDTH);
    getChildren().addAll(words, menu);
  }
}
