package dynamorph.app.artboards.menu;

import dynamorph.app.action.Actions;
import dynamorph.app.artboards.ArtboardActions;
import dynamorph.app.artboards.LayerActions;
import dynamorph.app.artboards.arrange.ArrangeActions;
import dynamorph.app.artboards.stage.Menus;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Workspace;
import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.paint.arrange.Alignment;
import dynamorph.paint.arrange.Axis;
import java.util.List;
import java.util.function.Predicate;
import java.util.stream.Stream;
import javafx.geometry.Point2D;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;

/** What can be done with what lies under the pointer, with the shortcuts of it. */
public final class StageMenus implements Menus {
  private final Workspace workspace;
  private final Actions actions;
  private final LayerActions layers;
  private final ArtboardActions artboards;

  public StageMenus(
      Workspace workspace, Actions actions, LayerActions layers, ArtboardActions artboards) {
    this.workspace = workspace;
    this.actions = actions;
    this.layers = layers;
    this.artboards = artboards;
  }

  @Override
  public ContextMenu ofTexts() {
    boolean several = workspace.selection().layers().size() > 1;
    ContextMenu menu =
        menu(
            "texts-menu",
            items("edit.cut", "edit.copy", "edit.paste", "edit.duplicate", "edit.delete"),
            Stream.of(followed(), item("styles.keep"), item("edit.select-alike")),
            items("edit.copy-look", "edit.paste-look", "styles.drop-local"),
            Stream.of(
                sub(
                    "stage-menus.order",
                    items(
                        "edit.bring-to-front",
                        "edit.bring-forward",
                        "edit.send-backward",
                        "edit.send-to-back")),
                sub(
                    several ? "stage-menus.align" : "stage-menus.align-to-artboard",
                    Stream.of(Alignment.values()).map(ArrangeActions::id).map(this::item)),
                gaps(),
                sub(
                    "stage-menus.boxes",
                    items("flow.new-box", "flow.link", "flow.end", "flow.select-boxes"))),
            Stream.of(item("edit.rename"), hide(), lock(), item("view.selection")));
    return menu;
  }

  @Override
  public ContextMenu ofOverset() {
    // titles of a film do not flow on
    return workspace.playback().isOpen()
        ? menu("overset-menu", items("flow.grow", "flow.shrink"))
        : menu("overset-menu", items("flow.new-box", "flow.grow", "flow.shrink"));
  }

  /** Two texts have one gap, which is equal to itself. */
  private MenuItem gaps() {
    Menu menu =
        sub("stage-menus.gaps", Stream.of(Axis.values()).map(ArrangeActions::id).map(this::item));
    menu.setDisable(workspace.selection().layers().size() < 3);
    return menu;
  }

  private MenuItem hide() {
    return all(layer -> layer.state().hidden())
        ? item(Messages.of("layers-pane.show"), () -> layers.setHidden(false))
        : item("edit.hide");
  }

  private MenuItem lock() {
    return all(layer -> layer.state().locked())
        ? item(Messages.of("layers-pane.unlock"), () -> layers.setLocked(false))
        : item("edit.lock");
  }

  private boolean all(Predicate<Layer> state) {
    return workspace.selection().layers().stream()
        .flatMap(id -> workspace.project().layer(id).stream())
        .allMatch(state);
  }

  /** The styles that the first of the texts follows, each to be edited. */
  private MenuItem followed() {
    Menu menu = new Menu(Messages.of("stage-menus.edit-style"));
    List<StyleId> follows =
        workspace.texts().stream()
            .flatMap(id -> workspace.project().layer(id).stream())
            .map(Layer::follows)
            .flatMap(List::stream)
            .distinct()
            .toList();
    for (StyleId id : follows) {
      workspace
          .project()
          .styles()
          .find(id)
          .map(Style::name)
          .ifPresent(
              name -> menu.getItems().add(item(name, () -> workspace.attempts().openDesk(id))));
    }
    menu.setDisable(menu.getItems().isEmpty());
    return menu;
  }

  @Override
  public ContextMenu ofWords(Menus.Words words) {
    boolean none = workspace.selection().cursor().filter(at -> !at.range().isEmpty()).isEmpty();
    MenuItem cut = item(Messages.of("stage-menus.cut"), words::cut);
    MenuItem copy = item(Messages.of("stage-menus.copy"), words::copy);
    cut.setDisable(none);
    copy.setDisable(none);
    return menu(
        "words-menu",
        Stream.of(
            cut,
            copy,
            item(Messages.of("stage-menus.paste"), () -> words.paste(false)),
            item(Messages.of("stage-menus.paste-plain"), () -> words.paste(true))),
        items("styles.keep", "edit.copy-look", "edit.paste-look", "styles.clear-formatting"),
        Stream.concat(
            items("text.ruby"),
            Stream.of(
                sub(
                    "stage-menus.insert",
                    items("text.line-break", "text.no-break-space", "text.soft-hyphen")))),
        items("text.find", "text.hidden-characters", "text.spelling"));
  }

  @Override
  public ContextMenu ofArtboard(Artboard board, Point2D place) {
    MenuItem paste =
        item(Messages.of("stage-menus.paste-here"), () -> layers.pasteAt(board, place));
    paste.setDisable(!layers.canPaste());
    MenuItem all =
        item(
            Messages.of("stage-menus.select-all-on", board.name()),
            () -> layers.selectAllOn(board));
    if (board.isFilm()) {
      return menu(
          "film-frame-menu",
          Stream.of(paste, all),
          items("film.add-title", "film.add-cue"),
          items("film.safe-areas", "film.export-frame", "film.settings"),
          items("edit.show-all", "edit.unlock-all"));
    }
    return menu(
        "artboard-menu",
        Stream.of(paste, all),
        items("edit.show-all", "edit.unlock-all"),
        Stream.of(
            item(Messages.of("stage-menus.settings"), () -> artboards.settings(board)),
            item(Messages.of("stage-menus.duplicate-artboard"), () -> artboards.duplicate(board)),
            item(Messages.of("stage-menus.delete-artboard"), () -> artboards.delete(board))),
        items("project.new-artboard", "project.export-artboards"));
  }

  @Override
  public void openSettings(Artboard board) {
    if (board.isFilm()) {
      actions.get("film.settings").run();
    } else {
      artboards.settings(board);
    }
  }

  @Override
  public ContextMenu ofStage() {
    return menu(
        "stage-menu",
        items("edit.paste", "edit.select-all", "edit.show-all", "edit.unlock-all"),
        items("project.new-artboard", "project.import-document", "project.place-image"),
        items("view.all-artboards", "view.rulers", "view.snapping", "view.outlines"));
  }

  // --- parts

  private MenuItem item(String id) {
    return actions.item(id);
  }

  private Stream<MenuItem> items(String... ids) {
    return Stream.of(ids).map(actions::item);
  }

  private static MenuItem item(String name, Runnable work) {
    MenuItem item = new MenuItem(name);
    item.setOnAction(_ -> work.run());
    return item;
  }

  private static Menu sub(String key, Stream<MenuItem> items) {
    Menu menu = new Menu(Messages.of(key));
    menu.getItems().addAll(items.toList());
    return menu;
  }

  @SafeVarargs
  private static ContextMenu menu(String id, Stream<MenuItem>... groups) {
    ContextMenu menu = new ContextMenu();
    menu.setId(id);
    for (Stream<MenuItem> group : groups) {
      if (!menu.getItems().isEmpty()) {
        menu.getItems().add(new SeparatorMenuItem());
      }
      menu.getItems().addAll(group.toList());
    }
    return menu;
  }
}
