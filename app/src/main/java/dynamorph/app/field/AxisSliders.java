package dynamorph.app.field;

import dynamorph.app.message.Messages;
import dynamorph.model.value.AxisSettings;
import dynamorph.model.value.Numbers;
import dynamorph.typeset.font.FontFace;
import dynamorph.typeset.harfbuzz.HarfBuzzFont;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.Slider;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** A slider for each axis of a variable font, from its least to its most, and its named places. */
public final class AxisSliders implements ValueEditor<AxisSettings> {
  private static final double NAME_WIDTH = 64;
  private static final double VALUE_WIDTH = 40;

  /** Axes that weight, width, slant and size set by themselves unless they are set here. */
  private static final Set<String> SET_BY_OTHERS = Set.of("wght", "wdth", "slnt", "ital", "opsz");

  private final Face face;
  private final Sink<AxisSettings> sink;
  private final VBox box = new VBox(4);
  private Optional<FontFace> shownFace = Optional.empty();
  private AxisSettings settings = AxisSettings.NONE;
  private boolean built;
  private boolean dragging;

  public AxisSliders(Face face, Sink<AxisSettings> sink) {
    this.face = face;
    this.sink = sink;
    box.getStyleClass().add("axis-sliders");
  }

  @Override
  public Node node() {
    return box;
  }

  @Override
  public void show(Shown<AxisSettings> shown) {
    AxisSettings now = shown.value().orElse(AxisSettings.NONE);
    Optional<FontFace> font = face.current();
    boolean sameFamily = font.map(FontFace::family).equals(shownFace.map(FontFace::family));
    if (built && (dragging || sameFamily && now.equals(settings))) {
      settings = now;
      return;
    }
    built = true;
    settings = now;
    shownFace = font;
    rebuild();
  }

  private void rebuild() {
    box.getChildren().clear();
    List<HarfBuzzFont.Axis> axes = shownFace.map(FontFace::axes).orElse(List.of());
    if (axes.isEmpty()) {
      Label none = new Label(Messages.of("axis-sliders.this-font-has-no-axes"));
      none.getStyleClass().add("quiet");
      box.getChildren().add(none);
      return;
    }
    axes.forEach(axis -> box.getChildren().add(row(axis)));
    List<HarfBuzzFont.Instance> instances = shownFace.orElseThrow().instances();
    if (!instances.isEmpty()) {
      MenuButton named = new MenuButton(Messages.of("axis-sliders.named-instances"));
      named.setId("axis-instances");
      instances.forEach(instance -> {
        MenuItem item = new MenuItem(instance.name());
        item.setOnAction(_ -> {
          sink.set(new AxisSettings(new TreeMap<>(instance.place())), Optional.empty());
        });
        named.getItems().add(item);
      });
      box.getChildren().add(named);
    }
  }

  private HBox row(HarfBuzzFont.Axis axis) {
    Label name = new Label(axis.name());
    name.getStyleClass().add("row-label");
    name.setMinWidth(NAME_WIDTH);
    name.setMaxWidth(NAME_WIDTH);
    Double own = settings.values().get(axis.tag());
    Slider slider = new Slider(axis.least(), axis.most(), own == null ? axis.normal() : own);
    slider.setId("axis-" + axis.tag());
    slider.setAccessibleText(axis.name());
    HBox.setHgrow(slider, Priority.ALWAYS);
    Label value = new Label(text(axis, own));
    value.setMinWidth(VALUE_WIDTH);
    value.getStyleClass().add("quiet");
    Object[] gesture = {new Object()};
    slider
        .valueChangingProperty()
        .addListener((_, _, changing) -> {
          dragging = changing;
          gesture[0] = changing ? new Object() : gesture[0];
        });
    slider
        .valueProperty()
        .addListener((_, _, place) -> {
          double rounded = Math.rint(place.doubleValue() * 10) / 10;
          value.setText(Numbers.format(rounded));
          sink.set(settings.with(axis.tag(), rounded), Optional.of(gesture[0]));
        });
    HBox row = new HBox(6, name, slider, value);
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }

  private static String text(HarfBuzzFont.Axis axis, @Nullable Double own) {
    if (own != null) {
      return Numbers.format(own);
    }
    return SET_BY_OTHERS.contains(axis.tag())
        ? Messages.of("axis-sliders.auto")
        : Numbers.format(axis.normal());
  }
}
