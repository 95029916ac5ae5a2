package dynamorph.app.export;

import dynamorph.app.field.Controls;
import dynamorph.app.field.Tips;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Workspace;
import dynamorph.model.edit.export.DeleteExportPreset;
import dynamorph.model.edit.export.KeepExportPreset;
import dynamorph.model.export.ExportPreset;
import java.util.List;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.kordamp.ikonli.feather.Feather;

/** The presets that the project keeps, of artboards or of films, and where another is kept. */
final class ExportPresets extends VBox {
  private static final PseudoClass PICKED = PseudoClass.getPseudoClass("picked");

  private final Workspace workspace;
  private final ExportSettings settings;
  private final FlowPane presets = new FlowPane(6, 6);
  private final TextField presetName = new TextField();
  private final Button keep = new Button(Messages.of("export-pane.keep"));

  /**
   * @param settings shows the preset that is clicked
   */
  ExportPresets(Workspace workspace, ExportSettings settings) {
    super(8);
    this.workspace = workspace;
    this.settings = settings;
    Label title = new Label(Messages.of("export-pane.presets"));
    title.getStyleClass().add("sub-title");
    getChildren().addAll(title, presets);
    managedProperty().bind(visibleProperty());
  }

  /** Where the settings get a name. */
  Node keepRow() {
    presetName.setPromptText(Messages.of("export-pane.name-of-a-preset"));
    presetName.setAccessibleText(Messages.of("export-pane.name-of-a-preset"));
    presetName.setId("export-preset-name");
    presetName.setOnAction(_ -> keep());
    presetName.textProperty().addListener((_, _, _) -> update());
    HBox.setHgrow(presetName, Priority.ALWAYS);
    keep.setId("export-keep-preset");
    keep.setMinWidth(USE_PREF_SIZE);
    Tips.on(keep, Messages.of("export-pane.keeps-these-settings"));
    keep.setOnAction(_ -> keep());
    return new HBox(8, presetName, keep);
  }

  /** Shows which preset the settings are, and whether they can be kept. */
  void update() {
    keep.setDisable(settings.presetProperty().get().isEmpty() || presetName.getText().isBlank());
    int index = 0;
    for (ExportPreset one : listed()) {
      if (index < presets.getChildren().size()) {
        HBox both = (HBox) presets.getChildren().get(index++);
        both.getChildren().getFirst().pseudoClassStateChanged(PICKED, isShown(one));
      }
    }
  }

  /** The presets of artboards, or those of films. */
  private List<ExportPreset> listed() {
    return workspace.project().exports().stream()
        .filter(preset -> preset.format().isFilm() == settings.isOfFilms())
        .toList();
  }

  /** Lists them anew. */
  void list() {
    presets.getChildren().clear();
    for (ExportPreset preset : listed()) {
      Button use = new Button(preset.name());
      use.getStyleClass().add("export-preset");
      use.setId("export-preset-" + presets.getChildren().size());
      Tips.on(use, about(preset));
      use.pseudoClassStateChanged(PICKED, isShown(preset));
      use.setOnAction(_ -> {
        settings.show(preset);
        presetName.setText(preset.name());
      });
      Button drop =
          Controls.icon(
              Feather.X,
              Messages.of("export-pane.delete-the-preset", preset.name()),
              () -> workspace.apply(new DeleteExportPreset(preset.name())));
      HBox both = new HBox(use, drop);
      both.setAlignment(Pos.CENTER_LEFT);
      presets.getChildren().add(both);
    }
    setVisible(!presets.getChildren().isEmpty());
  }

  private static String about(ExportPreset preset) {
    if (preset.format().isFilm()) {
      return Messages.of(
          "export-pane.about-a-film-preset",
          preset.format().label(),
          Math.round(preset.scale() * 100),
          preset.fileName().text());
    }
    return Messages.of(
        "export-pane.about-a-preset",
        preset.format().label(),
        Math.round(preset.resolution()),
        preset.fileName().text());
  }

  private boolean isShown(ExportPreset preset) {
    return settings.presetProperty().get().filter(preset::equals).isPresent();
  }

  private void keep() {
    settings
        .presetProperty()
        .get()
        .filter(_ -> !presetName.getText().isBlank())
        .ifPresent(shown -> {
          ExportPreset named = shown.withName(presetName.getText().strip());
          workspace.apply(new KeepExportPreset(named));
          settings.show(named);
          list();
        });
  }
}
