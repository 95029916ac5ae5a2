package dynamorph.app.field;

import dynamorph.model.style.Style;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.util.StringConverter;
import org.kordamp.ikonli.feather.Feather;
import org.kordamp.ikonli.javafx.FontIcon;

/** Small controls that several views share. */
public final class Controls {
  private Controls() {}

  /** The label in front of a row of fields. */
  public static Label rowLabel(String text) {
    Label label = new Label(text);
    label.getStyleClass().add("row-label");
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
    button.setTooltip(new Tooltip(help));
    button.setAccessibleText(help);
    button.setOnAction(_ -> work.run());
    return button;
  }

  /** A box to choose what a style is based on, or nothing. */
  public static ComboBox<Optional<Style>> baseStyles() {
    return styles("nothing");
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
