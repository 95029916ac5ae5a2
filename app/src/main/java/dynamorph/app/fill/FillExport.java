package dynamorph.app.fill;

import dynamorph.app.export.ExportRun;
import dynamorph.app.field.Tips;
import dynamorph.app.files.Dialogs;
import dynamorph.app.files.FileQuestion;
import dynamorph.app.message.Messages;
import dynamorph.app.render.Studio;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Workspace;
import dynamorph.formats.export.ExportOutcome;
import dynamorph.model.Artboard;
import dynamorph.model.Project;
import dynamorph.model.export.ExportFormat;
import dynamorph.model.export.ExportPreset;
import dynamorph.model.fill.FilledArtboard;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.util.StringConverter;
import org.pcollections.TreePVector;

/** Exports filled artboards straight, without putting them into the project. */
final class FillExport extends VBox {
  /** More remarks would cover the stage. */
  private static final int MOST_REMARKS = 5;

  private final Workspace workspace;
  private final ExportRun run;
  private final Dialogs dialogs;
  private final ComboBox<ExportPreset> preset = new ComboBox<>();
  private final Button export = new Button(Messages.of("fill.export"));
  private final Label progress = new Label();
  private List<Artboard> artboards = List.of();

  FillExport(Workspace workspace, Supplier<Studio> studio, Dialogs dialogs) {
    this.workspace = workspace;
    this.run = new ExportRun(workspace, studio);
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
    export.setDisable(artboards.isEmpty() || run.isRunning());
  }

  private void export() {
    dialogs.choose(FileQuestion.EXPORT_FOLDER).ifPresent(this::export);
  }

  private void export(Path folder) {
    Project project = workspace.project();
    List<Artboard> wanted = artboards;
    export.setDisable(true);
    progress.setManaged(true);
    progress.setText(Messages.of("fill.exporting", 0, wanted.size()));
    run.start(
        project.withArtboards(TreePVector.from(wanted)),
        preset.getValue(),
        wanted,
        folder,
        (done, all) -> progress.setText(Messages.of("fill.exporting", done, all)),
        outcome -> ended(() -> tell(outcome, folder)),
        why -> ended(() -> workspace.tell(Notice.problem(why))));
  }

  private void ended(Runnable tell) {
    export.setDisable(artboards.isEmpty());
    progress.setManaged(false);
    tell.run();
  }

  private void tell(ExportOutcome outcome, Path folder) {
    List<String> lines = new ArrayList<>();
    lines.add(
        Messages.of(
            "fill.exported",
            outcome.written().size(),
            outcome.unchanged().size(),
            String.valueOf(folder.getFileName())));
    outcome.remarks().stream()
        .limit(MOST_REMARKS)
        .forEach(remark -> lines.add(String.valueOf(remark)));
    workspace.tell(Notice.info(String.join("\n", lines)));
  }

  /** Stops an export that runs. */
  void cancel() {
    run.cancel();
  }
}
