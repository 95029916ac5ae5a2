package dynamorph.app.files.template;

import java.util.List;
import java.util.Optional;
import javafx.beans.value.ObservableValue;
import javafx.scene.control.Toggle;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.FlowPane;

/** Cards of which one is chosen: Tab comes to that one and goes on, arrows go to others. */
final class ChoiceCards extends FlowPane {
  private final ToggleGroup group = new ToggleGroup();
  private List<? extends ToggleButton> cards = List.of();

  ChoiceCards() {
    super(8, 8);
    addEventHandler(KeyEvent.KEY_PRESSED, this::keyPressed);
    group
        .selectedToggleProperty()
        .addListener(
            (_, _, chosen) -> cards.forEach(card -> card.setFocusTraversable(card == chosen)));
  }

  /** The card that is chosen; null if there is none. */
  ObservableValue<Toggle> chosenProperty() {
    return group.selectedToggleProperty();
  }

  Optional<ToggleButton> chosen() {
    return Optional.ofNullable((ToggleButton) group.getSelectedToggle());
  }

  /** Shows these cards, of which one is chosen if there are any. */
  void show(List<? extends ToggleButton> shown, int chosen) {
    cards = List.copyOf(shown);
    group.getToggles().clear();
    cards.forEach(card -> {
      card.setToggleGroup(group);
      card.setFocusTraversable(false);
    });
    getChildren().setAll(cards);
    if (!cards.isEmpty()) {
      group.selectToggle(cards.get(chosen));
    }
  }

  private void keyPressed(KeyEvent event) {
    int at = cards.indexOf(group.getSelectedToggle());
    if (at < 0 || !cards.get(at).isFocused()) {
      return;
    }
    int wanted =
        switch (event.getCode()) {
          case LEFT -> at - 1;
          case RIGHT -> at + 1;
          case UP -> at - columns();
          case DOWN -> at + columns();
          case HOME -> 0;
          case END -> cards.size() - 1;
          default -> -1;
        };
    if (event.getCode().isNavigationKey()) {
      event.consume();
    }
    if (wanted >= 0 && wanted < cards.size()) {
      group.selectToggle(cards.get(wanted));
      cards.get(wanted).requestFocus();
    }
  }

  /** How many stand beside each other. */
  private int columns() {
    double first = cards.getFirst().getLayoutY();
    return (int) cards.stream().filter(card -> card.getLayoutY() == first).count();
  }
}
