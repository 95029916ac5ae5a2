package dynamorph.app.shelf;

import dynamorph.app.field.Controls;
import dynamorph.app.message.Messages;
import dynamorph.app.styles.specimen.Specimens;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.style.Style;
import dynamorph.shelf.Action;
import dynamorph.shelf.Change;
import dynamorph.shelf.Shelf;
import dynamorph.shelf.entry.Entry;
import dynamorph.shelf.entry.Kept;
import dynamorph.shelf.entry.Version;
import dynamorph.shelf.projects.ProjectUse;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.image.ImageView;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/**
 * What was done to the shelf in the last 90 days, each with a way back; or the versions of one
 * look, drawn, with the projects that have it.
 */
public final class HistoryPane extends VBox {
  private static final int WIDTH = 360;
  private static final int HEIGHT = 60;

  private final ShelfKeeper keeper;
  private final Specimens specimens;
  private final Runnable leave;
  private final VBox list = new VBox(8);
  private final Label title = new Label();
  private final Label words = new Label();
  private Optional<String> shown = Optional.empty();

  /**
   * @param leave gives the keyboard back
   */
  public HistoryPane(ShelfKeeper keeper, Specimens specimens, Runnable leave) {
    super(12);
    this.keeper = keeper;
    this.specimens = specimens;
    this.leave = leave;
    getStyleClass().add("recovery-pane");
    setId("shelf-history");
    title.getStyleClass().add("section-title");
    words.setWrapText(true);
    words.setMinHeight(USE_PREF_SIZE);
    ScrollPane scroll = Controls.scrolled(list);
    getChildren()
        .addAll(
            Controls.paneHead(
                Messages.of("history-pane.shelf-history"), "shelf#history", this::close),
            title,
            words,
            scroll);
    setVisible(false);
    managedProperty().bind(visibleProperty());
    Controls.closeOnEscape(this, this::close);
    keeper
        .shelfProperty()
        .addListener((_, _, _) -> {
          if (isVisible()) {
            fill();
          }
        });
  }

  /** Shows everything that was done. */
  public void open() {
    shown = Optional.empty();
    show();
  }

  /** Shows the versions of one look. */
  public void open(String entry) {
    shown = Optional.of(entry);
    show();
  }

  private void show() {
    setVisible(true);
    fill();
    requestFocus();
  }

  private void close() {
    setVisible(false);
    leave.run();
  }

  private void fill() {
    Shelf shelf = keeper.shelf();
    Optional<Entry> entry = shown.flatMap(shelf::find);
    list.getChildren().clear();
    if (entry.isPresent()) {
      versions(shelf, entry.get());
    } else {
      actions(shelf);
    }
  }

  private void actions(Shelf shelf) {
    title.setText(Messages.of("history-pane.what-was-done"));
    words.setText(
        shelf.actions().isEmpty()
            ? Messages.of("history-pane.nothing-yet")
            : Messages.of("history-pane.for-90-days"));
    for (Action action : shelf.actions().reversed()) {
      Label what = new Label(action.label(shelf));
      what.setMinWidth(0);
      Label when =
          new Label(Messages.of("history-pane.by", action.author(), Messages.time(action.time())));
      when.getStyleClass().add("quiet");
      when.setMinWidth(Region.USE_PREF_SIZE);
      HBox row = new HBox(8, what, Controls.gap(), when);
      if (shelf.canUndo(action)) {
        Hyperlink undo = new Hyperlink(Messages.of("common.undo"));
        undo.setId("undo-" + action.id());
        undo.setMinWidth(Region.USE_PREF_SIZE);
        undo.setOnAction(_ -> keeper.undo(action));
        row.getChildren().add(undo);
      } else if (action.undoes().isEmpty()) {
        Label undone = new Label(Messages.of("history-pane.undone"));
        undone.getStyleClass().add("quiet");
        undone.setMinWidth(Region.USE_PREF_SIZE);
        row.getChildren().add(undone);
      }
      row.setAlignment(Pos.CENTER_LEFT);
      row.getStyleClass().add("update-card");
      list.getChildren().add(row);
    }
  }

  private void versions(Shelf shelf, Entry entry) {
    title.setText(entry.name());
    List<ProjectUse> uses = keeper.index().using(shelf.id(), entry.id());
    words.setText(
        uses.isEmpty()
            ? Messages.of("history-pane.in-no-project")
            : Messages.of(
                "history-pane.in-projects",
                uses.size(),
                String.join(
                    "; ",
                    uses.stream()
                        .map(use ->
                            Messages.of(
                                "history-pane.project",
                                use.name(),
                                use.of(shelf.id(), entry.id()).orElseThrow().texts()))
                        .toList())));
    List<Version> versions = entry.versions();
    for (int number = versions.size(); number > 0; number--) {
      list.getChildren().add(version(shelf, entry, versions.get(number - 1), number));
    }
  }

  private Node version(Shelf shelf, Entry entry, Version version, int number) {
    Label name =
        new Label(
            Messages.of(
                "history-pane.version",
                number,
                Messages.of("history-pane.by", version.author(), Messages.time(version.time()))));
    HBox head = new HBox(8, name, Controls.gap());
    head.setAlignment(Pos.CENTER_LEFT);
    boolean isNow = version.kept().equals(entry.kept());
    if (isNow) {
      Label now = new Label(Messages.of("history-pane.as-it-is"));
      now.getStyleClass().add("quiet");
      head.getChildren().add(now);
    } else {
      Button restore = new Button(Messages.of("history-pane.restore"));
      restore.setId("restore-" + number);
      restore.setOnAction(
          _ -> keeper.change(seen -> Change.restore(seen, entry.id(), version.id())));
      head.getChildren().add(restore);
    }
    VBox card = new VBox(6, head);
    if (!version.note().isEmpty()) {
      Label note = new Label("\u201c" + version.note() + "\u201d");
      note.getStyleClass().add("quiet");
      note.setWrapText(true);
      card.getChildren().add(note);
    }
    card.getChildren().add(picture(shelf, version));
    card.getStyleClass().add("update-card");
    return card;
  }

  private Node picture(Shelf shelf, Version version) {
    return switch (version.kept().orElse(null)) {
      case Kept.OfStyle(Style style, var _, var _) -> {
        Project all = shelf.asProject();
        Style drawn =
            style.withBasedOn(style.basedOn().filter(base -> all.styles().find(base).isPresent()));
        Project then = all.withStyles(all.styles().with(drawn));
        ImageView view = new ImageView();
        view.setFitWidth(WIDTH);
        view.setFitHeight(HEIGHT);
        specimens.showAlone(view, then, Cascade.of(then), drawn, WIDTH, HEIGHT);
        yield view;
      }
      case Kept.OfSwatch(var swatch, var _) -> new Label(swatch.name() + "  " + swatch.colour());
      case null -> new Label(Messages.of("history-pane.deleted"));
    };
  }
}
