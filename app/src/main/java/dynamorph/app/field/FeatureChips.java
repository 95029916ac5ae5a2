package dynamorph.app.field;

import dynamorph.app.message.Messages;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.FeatureSettings;
import dynamorph.typeset.font.FeatureNames;
import dynamorph.typeset.font.FontFace;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.image.ImageView;
import javafx.scene.layout.VBox;

/**
 * Features of the face that shows, each a switch with its name and letters that show it. Only what
 * the font has is offered.
 *
 * @param <T> type of the value that holds which are on
 */
public final class FeatureChips<T> implements ValueEditor<T> {
  private static final int PREVIEW_WIDTH = 44;
  private static final int PREVIEW_HEIGHT = 22;

  private final Face face;
  private final Sink<T> sink;
  private final Function<FontFace, Collection<String>> offered;
  private final BiFunction<T, String, Boolean> isOn;
  private final BiFunction<T, String, T> toggled;
  private final T none;
  private final VBox box = new VBox(2);
  private Optional<FontFace> shownFace = Optional.empty();
  private Optional<T> shownValue = Optional.empty();
  private boolean built;

  /**
   * @param offered the tags to offer of a face
   * @param toggled the value with a tag switched to the other side
   */
  public FeatureChips(
      Face face,
      Sink<T> sink,
      Function<FontFace, Collection<String>> offered,
      BiFunction<T, String, Boolean> isOn,
      BiFunction<T, String, T> toggled,
      T none) {
    this.face = face;
    this.sink = sink;
    this.offered = offered;
    this.isOn = isOn;
    this.toggled = toggled;
    this.none = none;
    box.getStyleClass().add("feature-chips");
  }

  @Override
  public Node node() {
    return box;
  }

  @Override
  public void show(Shown<T> shown) {
    Optional<FontFace> now = face.current();
    boolean same = built && now.equals(shownFace) && shown.value().equals(shownValue);
    if (same) {
      return;
    }
    built = true;
    shownFace = now;
    shownValue = shown.value();
    box.getChildren().clear();
    Collection<String> tags = now.map(offered).orElse(List.of());
    tags.forEach(tag -> box.getChildren().add(chip(now.orElseThrow(), tag)));
    if (tags.isEmpty()) {
      Label nothing =
          new Label(
              now.isEmpty()
                  ? Messages.of("feature-chips.several-fonts-are-selected")
                  : Messages.of("feature-chips.this-font-has-none"));
      nothing.getStyleClass().add("quiet");
      box.getChildren().add(nothing);
    }
  }

  private ToggleButton chip(FontFace font, String tag) {
    T value = shownValue.orElse(none);
    String name = FeatureNames.of(tag, font.features().getOrDefault(tag, ""));
    ToggleButton chip = new ToggleButton(name);
    chip.getStyleClass().add("feature-chip");
    chip.setId("feature-" + tag);
    chip.setMaxWidth(Double.MAX_VALUE);
    chip.setSelected(isOn.apply(value, tag));
    Tips.on(chip, name + " (" + tag + ")");
    chip.setAccessibleText(name);
    ImageView preview = new ImageView();
    preview.setFitWidth(PREVIEW_WIDTH);
    preview.setFitHeight(PREVIEW_HEIGHT);
    chip.setGraphic(preview);
    font.example(tag)
        .ifPresent(letters ->
            face.show(
                preview,
                letters,
                PropertySet.EMPTY.with(Properties.FONT_FEATURES, FeatureSettings.NONE.with(tag, 1)),
                PREVIEW_WIDTH,
                PREVIEW_HEIGHT));
    chip.setOnAction(_ -> sink.set(toggled.apply(value, tag), Optional.empty()));
    return chip;
  }
}
