package dynamorph.app.window;

import dynamorph.app.action.Actions;
import dynamorph.app.field.Controls;
import dynamorph.app.field.Tips;
import dynamorph.app.files.FileActions;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Workspace;
import dynamorph.model.edit.History;
import dynamorph.model.export.ExportPreset;
import java.nio.file.Path;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import org.kordamp.ikonli.feather.Feather;

/** Which project is open and whether it is saved; what can be done with it. */
public final class HeadBar extends HBox {
  private final Workspace workspace;
  private final Actions actions;
  private final FileActions files;
  private final Consumer<ExportPreset> withPreset;
  private final MenuButton project = new MenuButton();
  private final Label saved = new Label();
  private final Button undo = new Button(Messages.of("common.undo"));
  private final Button redo = new Button(Messages.of("head-bar.redo"));
  private final MenuButton export = new MenuButton(Messages.of("head-bar.export"));

  /**
   * @param withPreset shows what an export preset would write
   */
  public HeadBar(
      Workspace workspace,
      Actions actions,
      FileActions files,
      CommandSearch search,
      Consumer<ExportPreset> withPreset) {
    this.withPreset = withPreset;
    this.workspace = workspace;
    this.actions = actions;
    this.files = files;
    getStyleClass().add("head-bar");
    setAlignment(Pos.CENTER_LEFT);
    setSpacing(10);
    project.getStyleClass().add("project-menu");
    project.setId("project-menu");
    project.setOnShowing(_ -> fillProjectMenu());
    fillProjectMenu();
    saved.getStyleClass().add("quiet");
    undo.setId("undo");
    undo.setOnAction(_ -> workspace.undo());
    redo.setId("redo");
    redo.setOnAction(_ -> workspace.redo());
    export.getStyleClass().add("export");
    export.setId("export");
    export.setOnShowing(_ -> fillExportMenu());
    fillExportMenu();
    Region gap = new Region();
    HBox.setHgrow(gap, Priority.ALWAYS);
    Region before = new Region();
    HBox.setHgrow(before, Priority.ALWAYS);
    Button steps =
        Controls.icon(
            Feather.CLOCK, Messages.of("head-bar.steps"), () -> actions.get("edit.steps").run());
    steps.setId("show-steps");
    getChildren()
        .addAll(
            new Logo(), project, saved, before, views(), gap, search, undo, redo, steps, export);
    workspace.historyProperty().addListener((_, _, _) -> update());
    workspace.fileProperty().addListener((_, _, _) -> update());
    workspace.attempts().presentProperty().addListener((_, _, _) -> update());
    update();
  }

  /** Whether the artboards are looked at or a film. */
  private Node views() {
    ToggleButton artboards = view(Messages.of("head-bar.artboards"), "view-artboards");
    ToggleButton timeline = view(Messages.of("head-bar.timeline"), "view-timeline");
    ToggleButton sheet = view(Messages.of("head-bar.sheet"), "view-sheet");
    artboards.setOnAction(_ -> {
      workspace.view().sheetProperty().set(false);
      workspace.playback().close();
      show(artboards, timeline, sheet);
    });
    sheet.setOnAction(_ -> {
      workspace.view().sheetProperty().set(true);
      show(artboards, timeline, sheet);
    });
    timeline.setOnAction(_ -> {
      workspace.view().sheetProperty().set(false);
      if (workspace.project().films().findAny().isPresent()) {
        workspace.playback().open();
      } else {
        actions.get("film.new").run();
      }
      show(artboards, timeline, sheet);
    });
    workspace.playback().filmProperty().addListener((_, _, _) -> show(artboards, timeline, sheet));
    workspace.view().sheetProperty().addListener((_, _, _) -> show(artboards, timeline, sheet));
    show(artboards, timeline, sheet);
    HBox bar = new HBox(artboards, timeline, sheet);
    bar.getStyleClass().add("views");
    bar.setMaxHeight(Region.USE_PREF_SIZE);
    bar.setMinWidth(Region.USE_PREF_SIZE);
    return bar;
  }

  private void show(ToggleButton artboards, ToggleButton timeline, ToggleButton sheet) {
    boolean listed = workspace.view().sheetProperty().get();
    boolean film = workspace.playback().isOpen();
    artboards.setSelected(!film && !listed);
    timeline.setSelected(film && !listed);
    sheet.setSelected(listed);
  }

  private static ToggleButton view(String label, String id) {
    ToggleButton button = new ToggleButton(label);
    button.getStyleClass().add("view");
    button.setId(id);
    button.setFocusTraversable(false);
    return button;
  }

  private void update() {
    project.setText(workspace.project().name());
    boolean changed = !workspace.historyProperty().get().isSaved();
    boolean never = workspace.fileProperty().get().isEmpty();
    saved.setText(
        never
            ? Messages.of("head-bar.not-saved-yet")
            : changed ? Messages.of("head-bar.changed") : Messages.of("head-bar.saved"));
    History history = workspace.historyProperty().get();
    var desk = workspace.attempts().present().desk();
    undo.setDisable(desk.map(open -> !open.canUndo()).orElse(!history.canUndo()));
    redo.setDisable(desk.map(open -> !open.canRedo()).orElse(!history.canRedo()));
    Tips.on(
        undo,
        tip(
            Messages.of("common.undo"),
            desk.isPresent()
                ? Optional.of(Messages.of("head-bar.last-change-on-the-desk"))
                : history.undoLabel(),
            "Ctrl+Z"));
    Tips.on(
        redo,
        tip(
            Messages.of("head-bar.redo"),
            desk.isPresent()
                ? Optional.of(Messages.of("head-bar.change-on-the-desk"))
                : history.redoLabel(),
            "Ctrl+Shift+Z"));
  }

  private static String tip(String verb, Optional<String> step, String shortcut) {
    return verb + step.map(label -> " " + label).orElse("") + "  " + shortcut;
  }

  private void fillProjectMenu() {
    Menu recent = new Menu(Messages.of("head-bar.open-recent"));
    for (Path file : files.user().recent()) {
      MenuItem item = new MenuItem(file.getFileName().toString());
      item.setOnAction(_ -> files.open(file));
      recent.getItems().add(item);
    }
    recent.setDisable(recent.getItems().isEmpty());
    project
        .getItems()
        .setAll(
            actions.item("project.new"),
            actions.item("project.open"),
            recent,
            actions.item("project.versions"),
            actions.item("project.recovered-work"),
            new SeparatorMenuItem(),
            actions.item("project.save"),
            actions.item("project.save-as"),
            actions.item("project.save-as-template"),
            new SeparatorMenuItem(),
            actions.item("project.new-artboard"),
            actions.item("project.artboard-settings"),
            actions.item("project.delete-artboard"),
            actions.item("project.import-document"),
            actions.item("project.fill-artboard"),
            actions.item("project.import-font"),
            actions.item("project.add-image"),
            actions.item("project.place-image"),
            new SeparatorMenuItem(),
            actions.item("view.start"),
            actions.item("view.tour"),
            actions.item("view.guide"),
            actions.item("view.shortcuts"),
            actions.item("view.theme"));
  }

  private void fillExportMenu() {
    export.getItems().clear();
    if (workspace.project().still().findAny().isPresent()) {
      export.getItems().add(actions.item("project.export-artboards"));
      addPresets(false);
    }
    if (workspace.project().films().findAny().isPresent()) {
      if (!export.getItems().isEmpty()) {
        export.getItems().add(new SeparatorMenuItem());
      }
      export.getItems().add(actions.item("film.export-film"));
      addPresets(true);
      export
          .getItems()
          .addAll(
              actions.item("film.export-frame"),
              actions.item("film.export-frames"),
              actions.item("film.export-titles"),
              actions.item("film.export-captions"),
              actions.item("film.export-all-captions"));
    }
    if (export.getItems().isEmpty()) {
      MenuItem none = new MenuItem(Messages.of("head-bar.there-is-no-artboard-to-export"));
      none.setDisable(true);
      export.getItems().add(none);
    }
  }

  private void addPresets(boolean ofFilms) {
    for (ExportPreset preset : workspace.project().exports()) {
      if (preset.format().isFilm() == ofFilms) {
        MenuItem item = new MenuItem(Messages.of("head-bar.with-the-preset", preset.name()));
        item.setOnAction(_ -> withPreset.accept(preset));
        export.getItems().add(item);
      }
    }
  }
}
