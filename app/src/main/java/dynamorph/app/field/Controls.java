package dynamorph.app.field;

import dynamorph.app.message.Messages;
import dynamorph.model.property.Address;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.style.Style;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.StringConverter;
import org.jspecify.annotations.Nullable;
import org.kordamp.ikonli.feather.Feather;
import org.kordamp.ikonli.javafx.FontIcon;

/** Small controls that several views share. */
public final class Controls {
  private Controls() {}

  /** What people call a value: {@code Size}, {@code rim width}, {@code ground colour}. */
  public static String label(PropertyKey<?> key) {
    return key.address().coat().isEmpty()
        ? key.property().label()
        : coat(key.address())
            + (key.address().effect().isEmpty() ? "" : " " + key.address().effect())
            + " "
            + key.property().label().toLowerCase(Locale.ROOT);
  }

  private static String coat(Address address) {
    return address.coat().equals(Address.WHOLE)
        ? Messages.of("controls.all-coats")
        : address.coat();
  }

  /** The label in front of a row of fields. */
  public static Label rowLabel(String text) {
    Label label = new Label(text);
    label.getStyleClass().add("row-label");
    // what does not fit goes on below instead of being cut
    label.setWrapText(true);
    label.setMinHeight(Region.USE_PREF_SIZE);
    return label;
  }

  /**
   * A button with an icon only.
   *
   * @param help name and shortcut, for the tooltip and for those who cannot see the icon
   */
  public static Button icon(Feather code, String help, Runnable work) {
    Button button = new Button("", new FontIcon(code));
    button.getStyleClass().add("icon-button");
    Tips.on(button, help);
    button.setAccessibleText(Tips.withKeys(help));
    button.setOnAction(_ -> work.run());
    return button;
  }

  /**
   * Opens the guide.
   *
   * @param place in the guide, such as {@code typesetting#kashida}
   */
  public static Button help(String place) {
    return help(() -> place);
  }

  /**
   * Opens the guide.
   *
   * @param place in the guide, asked for when it is opened
   */
  public static Button help(Supplier<String> place) {
    Button button = icon(Feather.HELP_CIRCLE, Messages.of("controls.help"), () -> {});
    button.getStyleClass().add("help-button");
    button.setOnAction(_ -> button.fireEvent(new HelpRequest(place.get())));
    return button;
  }

  /**
   * A title with the guide about what is below it.
   *
   * @param place in the guide
   */
  public static HBox titled(Label title, String place) {
    title.setMaxWidth(Double.MAX_VALUE);
    HBox.setHgrow(title, Priority.ALWAYS);
    HBox row = new HBox(6, title, help(place));
    row.setAlignment(Pos.TOP_LEFT);
    return row;
  }

  /** A box with a list of values, as wide as there is room, written as people call them. */
  public static <V> ComboBox<V> choice(Function<V, String> format) {
    ComboBox<V> box = new ComboBox<>();
    box.setMaxWidth(Double.MAX_VALUE);
    box.setVisibleRowCount(14);
    box.setConverter(
        new StringConverter<>() {
          @Override
          public String toString(V value) {
            return value == null ? "" : format.apply(value);
          }

          @Override
          public @Nullable V fromString(String text) {
            return null;
          }
        });
    return box;
  }

  /**
   * The head of a pane: its title, the guide about it, and a cross that closes it.
   *
   * @param place in the guide
   */
  public static HBox paneHead(String title, String place, Runnable close) {
    Label words = new Label(title);
    words.getStyleClass().add("section-title");
    HBox head =
        new HBox(
            6, words, help(place), gap(), icon(Feather.X, Messages.of("common.close-esc"), close));
    head.setAlignment(Pos.CENTER_LEFT);
    return head;
  }

  /** A column that scrolls down only, and takes the room that is left. */
  public static ScrollPane scrolled(Node content) {
    ScrollPane scroll = new ScrollPane(content);
    scroll.setFitToWidth(true);
    scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    VBox.setVgrow(scroll, Priority.ALWAYS);
    return scroll;
  }

  /** Takes the room that is left in a row. */
  public static Region gap() {
    Region gap = new Region();
    HBox.setHgrow(gap, Priority.ALWAYS);
    return gap;
  }

  /** Takes what is typed into a field on Enter, and when the keyboard goes elsewhere. */
  public static void onTyped(TextField field, Runnable take) {
    field.setOnAction(_ -> take.run());
    field
        .focusedProperty()
        .addListener((_, _, focused) -> {
          if (!focused) {
            take.run();
          }
        });
  }

  /** Lets Escape close a pane, wherever in it the keyboard is. */
  public static void closeOnEscape(Node pane, Runnable close) {
    pane.addEventFilter(
        KeyEvent.KEY_PRESSED,
        event -> {
          if (event.getCode() == KeyCode.ESCAPE) {
            close.run();
            event.consume();
          }
        });
  }

  /** Words of less weight, on as many lines as they need. */
  public static Label quiet(String words) {
    Label quiet = new Label(words);
    quiet.getStyleClass().add("quiet");
    quiet.setWrapText(true);
    quiet.setMinHeight(Region.USE_PREF_SIZE);
    return quiet;
  }

  /** Shows a node or takes its room away. */
  public static void showOnly(Node node, boolean shown) {
    node.setVisible(shown);
    node.setManaged(shown);
  }

  /** A box to choose what a style is based on, or nothing. */
  public static ComboBox<Optional<Style>> baseStyles() {
    return styles(Messages.of("controls.nothing"));
  }

  /**
   * A box to choose a style.
   *
   * @param none what no style is called
   */
  public static ComboBox<Optional<Style>> styles(String none) {
    ComboBox<Optional<Style>> box = new ComboBox<>();
    box.setMaxWidth(Double.MAX_VALUE);
    box.setConverter(
        new StringConverter<>() {
          @Override
          public String toString(Optional<Style> style) {
            return style == null ? "" : style.map(Style::name).orElse(none);
          }

          @Override
          public Optional<Style> fromString(String text) {
            return Optional.empty();
          }
        });
    return box;
  }
}
