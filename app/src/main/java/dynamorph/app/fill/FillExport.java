package dynamorph.app.fill;

import dynamorph.app.field.Tips;
import dynamorph.app.files.Dialogs;
import dynamorph.app.files.FileActions;
import dynamorph.app.files.FileQuestion;
import dynamorph.app.message.Messages;
import dynamorph.app.render.Studio;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Workspace;
import dynamorph.formats.export.ArtboardExport;
import dynamorph.formats.export.ExportOutcome;
import dynamorph.model.Artboard;
import dynamorph.model.Project;
import dynamorph.model.export.ExportFormat;
import dynamorph.model.export.ExportPreset;
import dynamorph.model.fill.FilledArtboard;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.paint.scene.Scene;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Supplier;
import javafx.application.Platform;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.util.StringConverter;

/** Exports filled artboards straight, without putting them into the project. */
final class FillExport extends VBox {
  private final Workspace workspace;
  private final Supplier<Studio> studio;
  private final FileActions files;
  private final Dialogs dialogs;
  private final ComboBox<ExportPreset> preset = new ComboBox<>();
  private final Button export = new Button(Messages.of("fill.export"));
  private final Label progress = new Label();
  private List<Artboard> artboards = List.of();
  private AtomicBoolean cancelled = new AtomicBoolean();

  FillExport(Workspace workspace, Supplier<Studio> studio, FileActions files, Dialogs dialogs) {
    this.workspace = workspace;
    this.studio = studio;
    this.files = files;
    this.dialogs = dialogs;
    setSpacing(4);
    preset.setId("fill-preset");
    preset.setMaxWidth(Double.MAX_VALUE);
    preset.setAccessibleText(Messages.of("fill.preset"));
    HBox.setHgrow(preset, Priority.ALWAYS);
    preset.setConverter(
        new StringConverter<>() {
          @Override
          public String toString(ExportPreset one) {
            return one == null ? "" : one.name();
          }

          @Override
          public ExportPreset fromString(String text) {
            throw new UnsupportedOperationException(text);
          }
        });
    export.setId("fill-export");
    export.setMinWidth(USE_PREF_SIZE);
    Tips.on(export, Messages.of("fill.export-help"));
    export.setOnAction(_ -> export());
    progress.getStyleClass().add("quiet");
    progress.setManaged(false);
    progress.visibleProperty().bind(progress.managedProperty());
    getChildren().addAll(new HBox(8, preset, export), progress);
  }

  void offer(List<FilledArtboard> filled) {
    artboards = filled.stream().map(FilledArtboard::artboard).toList();
    List<ExportPreset> presets = new ArrayList<>();
    presets.add(ExportPreset.of(ExportFormat.PDF).withName(Messages.of("fill.one-pdf")));
    workspace.project().exports().stream()
        .filter(one -> !one.format().isFilm())
        .forEach(presets::add);
    ExportPreset before = preset.getValue();
    preset.getItems().setAll(presets);
    preset.setValue(presets.contains(before) ? before : presets.getFirst());
    export.setDisable(artboards.isEmpty());
  }

  private void export() {
    dialogs.choose(FileQuestion.EXPORT_FOLDER).ifPresent(this::export);
  }

  private void export(Path folder) {
    AtomicBoolean own = new AtomicBoolean();
    cancelled = own;
    List<Artboard> wanted = artboards;
    Project project = workspace.project();
    Project alone =
        project.withArtboards(project.artboards().minusAll(project.artboards()).plusAll(wanted));
    ExportPreset as = preset.getValue();
    export.setDisable(true);
    progress.setManaged(true);
    progress.setText(Messages.of("fill.exporting", 0, wanted.size()));
    files.inBackground(
        () -> {
          try {
            Scene scene = studio.get().maker().make(alone);
            return new ArtboardExport(scene, new LayerPainter(), as, false)
                .write(
                    wanted,
                    folder,
                    done ->
                        Platform.runLater(() ->
                            progress.setText(Messages.of("fill.exporting", done, wanted.size()))),
                    own::get);
          } finally {
            Platform.runLater(() -> {
              export.setDisable(false);
              progress.setManaged(false);
            });
          }
        },
        outcome -> tell(outcome, folder));
  }

  private void tell(ExportOutcome outcome, Path folder) {
    workspace.tell(
        Notice.info(
            Messages.of(
                "fill.exported",
                outcome.written().size(),
                outcome.unchanged().size(),
                String.valueOf(folder.getFileName()))));
  }

  /** Stops an export that runs. */
  void cancel() {
    cancelled.set(true);
  }
}
