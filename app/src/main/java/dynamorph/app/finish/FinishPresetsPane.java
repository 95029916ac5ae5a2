package dynamorph.app.finish;

import dynamorph.app.artboards.stage.StageView;
import dynamorph.app.field.Controls;
import dynamorph.app.field.Tips;
import dynamorph.app.message.Messages;
import dynamorph.app.render.PictureService;
import dynamorph.app.render.Studio;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Workspace;
import dynamorph.formats.finish.FinishPreset;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.style.AddStyle;
import dynamorph.model.edit.style.ApplyFinish;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.value.FontSize;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.scene.control.Button;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.image.ImageView;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/**
 * The finishes that come with the program, in groups, drawn with the selected words in their own
 * face. Under the pointer the selection shows in one; a click lets it follow that one as a style.
 */
public final class FinishPresetsPane extends VBox {
  private static final int CARD_WIDTH = 132;
  private static final int CARD_HEIGHT = 58;
  private static final int MOST_LETTERS = 10;
  private static final double SIZE = 34;

  private final Workspace workspace;
  private final StageView stage;
  private final Supplier<Studio> studio;
  private final PictureService pictures;
  private final Map<FinishPreset, ImageView> cards = new LinkedHashMap<>();
  private final Label hint = new Label();

  public FinishPresetsPane(
      Workspace workspace, StageView stage, Supplier<Studio> studio, PictureService pictures) {
    super(8);
    this.workspace = workspace;
    this.stage = stage;
    this.studio = studio;
    this.pictures = pictures;
    getStyleClass().addAll("inspector", "preset-pane");
    setId("preset-pane");
    HBox head =
        Controls.paneHead(
            Messages.of("finish-presets-pane.finish-presets"),
            "finishes#finish-presets",
            this::close);
    hint.getStyleClass().add("quiet");
    hint.setWrapText(true);
    ScrollPane scroll = new ScrollPane(groups());
    scroll.setFitToWidth(true);
    scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    VBox.setVgrow(scroll, Priority.ALWAYS);
    getChildren().addAll(head, hint, scroll);
    workspace.selectionProperty().addListener((_, _, _) -> drawIfOpen());
    workspace.historyProperty().addListener((_, _, _) -> drawIfOpen());
    Controls.closeOnEscape(this, this::close);
    visibleProperty()
        .addListener((_, _, shown) -> {
          if (shown) {
            drawIfOpen();
            requestFocus();
          }
        });
  }

  private void close() {
    workspace.endPreview();
    workspace.view().finishPresetsProperty().set(false);
    stage.requestFocus();
  }

  private VBox groups() {
    VBox groups = new VBox(6);
    Map<String, FlowPane> byName = new LinkedHashMap<>();
    for (FinishPreset finish : FinishPreset.all()) {
      FlowPane group =
          byName.computeIfAbsent(
              finish.group(),
              name -> {
                Label title = new Label(name);
                title.getStyleClass().add("sub-title");
                FlowPane pane = new FlowPane(4, 6);
                pane.setPrefWrapLength(2 * CARD_WIDTH + 6);
                groups.getChildren().addAll(title, pane);
                return pane;
              });
      group.getChildren().add(card(finish));
    }
    return groups;
  }

  private Button card(FinishPreset finish) {
    ImageView picture = new ImageView();
    picture.setFitWidth(CARD_WIDTH - 4);
    picture.setFitHeight(CARD_HEIGHT);
    cards.put(finish, picture);
    Button card = new Button(finish.name(), picture);
    card.setId("preset-" + finish.id());
    card.setContentDisplay(ContentDisplay.TOP);
    card.setPrefWidth(CARD_WIDTH);
    card.getStyleClass().add("preset-card");
    Tips.on(card, finish.note());
    card.setAccessibleText(finish.name() + ": " + finish.note());
    card.setOnAction(_ -> apply(finish));
    card.setOnMouseEntered(_ -> tryOn(finish));
    card.setOnMouseExited(_ -> workspace.endPreview());
    card.focusedProperty()
        .addListener((_, _, focused) -> {
          if (focused) {
            tryOn(finish);
          } else {
            workspace.endPreview();
          }
        });
    return card;
  }

  private Edit edit(FinishPreset finish) {
    List<LayerId> layers = List.copyOf(workspace.texts());
    return new ApplyFinish(layers, finish.style(), FinishPreset::isOne);
  }

  private void tryOn(FinishPreset finish) {
    if (!workspace.selection().isEmpty()) {
      workspace.preview(edit(finish));
    }
  }

  /** Without a selection the style is put into the project, ready to be followed. */
  private void apply(FinishPreset finish) {
    workspace.endPreview();
    int count = workspace.texts().size();
    if (count > 0) {
      if (workspace.apply(edit(finish))) {
        workspace.tell(
            Notice.offering(
                Messages.of("finish-presets-pane.layers-follow", count, finish.name()),
                Messages.of("common.undo"),
                workspace::undo));
      }
      return;
    }
    Style style = finish.style();
    if (workspace.project().styles().find(style.id()).isPresent()) {
      workspace.tell(
          Notice.info(
              Messages.of("finish-presets-pane.is-among-the-styles-select-texts", style.name())));
    } else if (workspace.apply(new AddStyle(style, Messages.of("finish-presets-pane.import")))) {
      workspace.tell(
          Notice.info(
              Messages.of("finish-presets-pane.is-now-a-style-select-texts", style.name())));
    }
  }

  // --- pictures

  private void drawIfOpen() {
    if (!isVisible()) {
      return;
    }
    Optional<Layer> first =
        workspace.texts().stream()
            .findFirst()
            .flatMap(id -> workspace.project().layer(id))
            .filter(Layer::isText);
    hint.setText(
        workspace.selection().isEmpty()
            ? Messages.of("finish-presets-pane.click-one-to-add-it-to")
            : Messages.of("finish-presets-pane.click-one-to-apply-it-to"));
    String words =
        first.map(FinishPresetsPane::words).orElse(Messages.of("finish-presets-pane.hourglass"));
    PropertySet letters = letters(first);
    cards.forEach((finish, view) -> draw(finish, view, words, letters));
  }

  private static String words(Layer layer) {
    String line = layer.story().text().strip().lines().findFirst().orElse("");
    if (line.length() > MOST_LETTERS) {
      int space = line.lastIndexOf(' ', MOST_LETTERS);
      line = line.substring(0, space > 2 ? space : MOST_LETTERS);
    }
    return line.isBlank() ? Messages.of("finish-presets-pane.hourglass") : line;
  }

  private PropertySet letters(Optional<Layer> layer) {
    Project project = workspace.project();
    PropertySet values =
        layer
            .map(one -> Cascade.of(project).values(one))
            .orElse(PropertySet.EMPTY.with(Properties.FONT_FAMILY, "Anton"));
    PropertySet letters = PropertySet.EMPTY.with(Properties.SIZE, FontSize.points(SIZE));
    for (PropertyKey<?> key :
        List.of(
            Properties.FONT_FAMILY.key(),
            Properties.FONT_WEIGHT.key(),
            Properties.SLANT.key(),
            Properties.FONT_AXES.key(),
            Properties.CASE.key(),
            Properties.TRACKING.key())) {
      letters = copied(letters, values, key);
    }
    return letters;
  }

  private static <T> PropertySet copied(PropertySet into, PropertySet values, PropertyKey<T> key) {
    return values.get(key).map(value -> into.with(key, value)).orElse(into);
  }

  private void draw(FinishPreset finish, ImageView view, String words, PropertySet letters) {
    Studio with = studio.get();
    double ratio = PictureService.scaleOf(this);
    pictures.show(
        view,
        List.of("preset", finish.id(), words, letters, with, ratio),
        () ->
            with.specimens()
                .drawnWith(
                    letters.overlaidBy(finish.values()),
                    words,
                    finish.ground(),
                    CARD_WIDTH - 4,
                    CARD_HEIGHT,
                    ratio));
  }
}
