package dynamorph.app.shelf;

import dynamorph.app.field.Controls;
import dynamorph.app.field.Tips;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Attempt;
import dynamorph.app.session.Review;
import dynamorph.app.session.Workspace;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.Swatch;
import dynamorph.shelf.follow.Part;
import dynamorph.shelf.follow.TakeUpdates;
import dynamorph.shelf.follow.Update;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/**
 * What is newer on the shelf, value by value, while the stage and the reach strip show the project
 * with what is ticked; and, the other way, what the project changed and could put there.
 */
public final class UpdatesPane extends VBox {
  private final Workspace workspace;
  private final ShelfKeeper keeper;
  private final Runnable others;
  private final VBox list = new VBox(10);
  private final Label words = new Label();
  private final ToggleButton take = new ToggleButton();
  private final ToggleButton put = new ToggleButton();
  private final Button commit = new Button();
  private final Button leave = new Button(Messages.of("updates-pane.leave"));
  private final TextField note = new TextField();
  private final Hyperlink elsewhere = new Hyperlink();

  /** What is ticked, by entry; an entry that is not in it waits. */
  private final Map<String, Set<Part>> ticked = new LinkedHashMap<>();

  /**
   * @param others opens what updates other projects
   */
  public UpdatesPane(Workspace workspace, ShelfKeeper keeper, Runnable others) {
    super(10);
    this.workspace = workspace;
    this.keeper = keeper;
    this.others = others;
    getStyleClass().add("settle-pane");
    setId("updates-pane");
    words.setWrapText(true);
    words.setMinHeight(USE_PREF_SIZE);
    words.getStyleClass().add("quiet");
    commit.getStyleClass().add("commit");
    commit.setId("updates-commit");
    commit.setMinWidth(USE_PREF_SIZE);
    leave.setId("updates-leave");
    leave.setMinWidth(USE_PREF_SIZE);
    Tips.on(leave, Messages.of("updates-pane.leave-help"));
    leave.setOnAction(_ -> leave());
    Button cancel = new Button(Messages.of("common.cancel"));
    cancel.setOnAction(_ -> workspace.attempts().discardPending());
    note.setPromptText(Messages.of("updates-pane.note"));
    note.setAccessibleText(Messages.of("updates-pane.note"));
    note.setId("updates-note");
    note.managedProperty().bind(note.visibleProperty());
    elsewhere.setId("updates-elsewhere");
    elsewhere.setWrapText(true);
    elsewhere.setOnAction(_ -> elsewhere());
    elsewhere.managedProperty().bind(elsewhere.visibleProperty());
    leave.managedProperty().bind(leave.visibleProperty());
    ScrollPane scroll = Controls.scrolled(list);
    HBox buttons = new HBox(8, commit, leave, cancel);
    buttons.setAlignment(Pos.CENTER_LEFT);
    Label title = new Label(Messages.of("updates-pane.updates"));
    title.getStyleClass().add("section-title");
    getChildren()
        .addAll(
            Controls.titled(title, "shelf#when-a-look-changes"),
            sides(),
            words,
            scroll,
            elsewhere,
            note,
            buttons);
    Controls.closeOnEscape(this, () -> workspace.attempts().discardPending());
    workspace
        .attempts()
        .follow(
            Attempt::isUpdating,
            updating -> {
              if (updating) {
                open();
              }
            });
    keeper
        .followedProperty()
        .addListener((_, _, _) -> {
          if (workspace.attempts().present().isUpdating()) {
            // what is being written of a version stays
            fill();
          }
        });
  }

  private Node sides() {
    ToggleGroup sides = new ToggleGroup();
    take.setToggleGroup(sides);
    put.setToggleGroup(sides);
    take.setId("updates-take");
    put.setId("updates-put");
    for (ToggleButton side : List.of(take, put)) {
      side.getStyleClass().addAll("view", "scope");
      side.setMinWidth(0);
      side.setMaxWidth(Double.MAX_VALUE);
      HBox.setHgrow(side, Priority.ALWAYS);
      side.setOnAction(_ -> {
        side.setSelected(true);
        fill();
      });
    }
    HBox bar = new HBox(take, put);
    bar.getStyleClass().add("views");
    return bar;
  }

  private void open() {
    ticked.clear();
    take.setSelected(!keeper.newer().isEmpty() || toPut().isEmpty());
    put.setSelected(!take.isSelected());
    note.clear();
    fill();
  }

  private List<Update> toPut() {
    return keeper.followedProperty().get().stream()
        .filter(update -> !update.toPut().isEmpty() && !update.isDeleted())
        .toList();
  }

  private boolean isTaking() {
    return take.isSelected();
  }

  private void fill() {
    List<Update> newer = keeper.newer();
    List<Update> mine = toPut();
    take.setText(Messages.of("updates-pane.to-take", newer.size()));
    put.setText(Messages.of("updates-pane.to-put", mine.size()));
    ticked.clear();
    for (Update update : isTaking() ? newer : mine) {
      ticked.put(update.entry().id(), atFirst(update));
    }
    words.setText(
        isTaking()
            ? Messages.of("updates-pane.newer-words", newer.size())
            : Messages.of("updates-pane.mine-words", mine.size()));
    leave.setVisible(isTaking() && !newer.isEmpty());
    note.setVisible(!isTaking() && !mine.isEmpty());
    list.getChildren()
        .setAll((isTaking() ? newer : mine).stream().map(update -> card(update)).toList());
    tellOthers();
    changed();
  }

  /** Where both sides changed a value, the project's stays unless the person says otherwise. */
  private Set<Part> atFirst(Update update) {
    Set<Part> parts = new LinkedHashSet<>();
    for (Update.Difference difference : isTaking() ? update.toTake() : update.toPut()) {
      if (!difference.isConflict()) {
        parts.add(difference.part());
      }
    }
    return parts;
  }

  private UpdateCard card(Update update) {
    return new UpdateCard(
        update,
        keeper.shelf(),
        isTaking(),
        ticked.getOrDefault(update.entry().id(), Set.of()),
        parts -> {
          parts.ifPresentOrElse(
              chosen -> ticked.put(update.entry().id(), chosen),
              () -> ticked.remove(update.entry().id()));
          changed();
        });
  }

  /** Shows what is ticked on the stage. */
  private void changed() {
    long count =
        isTaking()
            ? ticked.size()
            : ticked.values().stream().filter(parts -> !parts.isEmpty()).count();
    commit.setText(
        isTaking()
            ? Messages.of("updates-pane.take", count)
            : Messages.of("updates-pane.put", count));
    commit.setDisable(count == 0 || !isTaking() && !keeper.isWritable());
    if (isTaking()) {
      commit.setOnAction(_ -> workspace.attempts().commitPending());
      workspace
          .attempts()
          .review(
              new Review(
                  Messages.of("updates-pane.review"),
                  edit(),
                  Messages.of("updates-pane.take", count)));
    } else {
      commit.setOnAction(_ -> putThere());
      // nothing changes in the project
      workspace
          .attempts()
          .review(
              new Review(
                  Messages.of("updates-pane.put-review"),
                  new TakeUpdates(keeper.shelf(), Map.of(), Map.of()),
                  Messages.of("updates-pane.put", count)));
    }
  }

  private TakeUpdates edit() {
    Map<StyleId, Set<Part>> styles = new HashMap<>();
    Map<String, Set<Part>> swatches = new HashMap<>();
    for (Update update : keeper.newer()) {
      Optional.ofNullable(ticked.get(update.entry().id()))
          .ifPresent(parts -> {
            switch (update.mine()) {
              case Update.Thing.OfStyle(Style style) -> styles.put(style.id(), parts);
              case Update.Thing.OfSwatch(Swatch swatch) -> swatches.put(swatch.id(), parts);
            }
          });
    }
    return new TakeUpdates(keeper.shelf(), styles, swatches);
  }

  /** Leaves everything as it is in the project; it is not offered again. */
  private void leave() {
    keeper.newer().forEach(update -> ticked.put(update.entry().id(), Set.of()));
    workspace
        .attempts()
        .review(
            new Review(
                Messages.of("updates-pane.left"), edit(), Messages.of("updates-pane.leave")));
    workspace.attempts().commitPending();
  }

  private void putThere() {
    Map<String, Set<Part>> chosen = Map.copyOf(ticked);
    List<StyleId> styles = new ArrayList<>();
    List<String> swatches = new ArrayList<>();
    for (Update update : toPut()) {
      Set<Part> parts = chosen.getOrDefault(update.entry().id(), Set.of());
      if (parts.isEmpty()) {
        continue;
      }
      switch (update.mine()) {
        case Update.Thing.OfStyle(Style style) -> styles.add(style.id());
        case Update.Thing.OfSwatch(Swatch swatch) -> swatches.add(swatch.id());
      }
    }
    String said = note.getText().strip();
    workspace.attempts().discardPending();
    keeper.put(
        styles,
        swatches,
        (entry, part) -> chosen.getOrDefault(entry, Set.of()).contains(part),
        said);
  }

  private void tellOthers() {
    long count =
        isTaking()
            ? keeper.index().using(keeper.shelf().id()).stream()
                .filter(use ->
                    workspace
                        .fileProperty()
                        .get()
                        .filter(file -> file.toAbsolutePath().equals(use.file()))
                        .isEmpty())
                .count()
            : 0;
    elsewhere.setVisible(count > 0);
    elsewhere.setText(Messages.of("updates-pane.elsewhere", count));
  }

  private void elsewhere() {
    workspace.attempts().discardPending();
    others.run();
  }
}
