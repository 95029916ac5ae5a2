package dynamorph.app.styles.column;

import dynamorph.app.field.NameQuestion;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Exported;
import dynamorph.app.session.Workspace;
import dynamorph.app.shelf.ShelfKeeper;
import dynamorph.app.shelf.ShelfLooks;
import dynamorph.model.edit.style.ArrangeStyles;
import dynamorph.model.edit.style.ChangeStyle;
import dynamorph.model.edit.style.DeleteStyles;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.shelf.Action;
import dynamorph.shelf.Change;
import dynamorph.shelf.Shelf;
import dynamorph.shelf.entry.Kept;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import java.util.function.Consumer;
import java.util.stream.Stream;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.TextInputDialog;

/** What can be done with a look on the shelf, or with a group of them. */
final class ShelfMenu {
  private final Workspace workspace;
  private final ShelfKeeper keeper;
  private final ShelfLooks looks;
  private final Consumer<String> history;

  /**
   * @param history shows the versions of an entry
   */
  ShelfMenu(Workspace workspace, ShelfKeeper keeper, ShelfLooks looks, Consumer<String> history) {
    this.workspace = workspace;
    this.keeper = keeper;
    this.looks = looks;
    this.history = history;
  }

  ContextMenu of(Kept.OfStyle kept) {
    boolean none = workspace.selection().isEmpty();
    boolean fixed = !keeper.isWritable();
    return new ContextMenu(
        item(Messages.of("shelf-menu.follow"), none, () -> looks.apply(kept)),
        item(Messages.of("shelf-menu.take"), false, () -> looks.take(List.of(kept.id()))),
        new SeparatorMenuItem(),
        item(Messages.of("shelf-menu.rename"), fixed, () -> rename(kept)),
        item(Messages.of("shelf-menu.tags"), fixed, () -> tags(kept)),
        groups(kept, fixed),
        item(Messages.of("shelf-menu.versions"), false, () -> history.accept(kept.id())),
        item(Messages.of("style-menu.export"), false, () -> export(kept.name(), List.of(kept))),
        new SeparatorMenuItem(),
        item(Messages.of("common.delete"), fixed, () -> delete(List.of(kept))));
  }

  /** Of a group. */
  ContextMenu of(String group) {
    List<Kept.OfStyle> all =
        keeper.shelf().styles().stream().filter(one -> one.style().group().equals(group)).toList();
    return new ContextMenu(
        item(
            Messages.of("shelf-menu.take-all", all.size()),
            false,
            () -> looks.take(all.stream().map(Kept::id).toList())),
        item(
            Messages.of("shelf-menu.rename-group"),
            group.isEmpty() || !keeper.isWritable(),
            () ->
                ask(Messages.of("shelf-menu.rename-group"), group)
                    .ifPresent(to ->
                        keeper.change(shelf ->
                            Change.of(
                                shelf,
                                Action.Kind.REGROUP,
                                new ArrangeStyles.RenameGroup(group, to))))),
        item(
            Messages.of("style-menu.export"),
            false,
            () -> export(group.isEmpty() ? keeper.shelf().name() : group.replace('/', '-'), all)),
        item(
            Messages.of("shelf-menu.delete-all", all.size()),
            !keeper.isWritable(),
            () -> delete(all)));
  }

  /** Writes looks of the shelf into a file, with what they need. */
  private void export(String name, List<Kept.OfStyle> kept) {
    workspace
        .exportedProperty()
        .set(
            Optional.of(
                new Exported.OfShelf(
                    name, keeper.shelf().bundle(kept.stream().map(Kept::id).toList()))));
  }

  /** Writes everything of the shelf into a file. */
  void exportAll() {
    Shelf shelf = keeper.shelf();
    workspace
        .exportedProperty()
        .set(
            Optional.of(
                new Exported.OfShelf(
                    shelf.name(),
                    shelf.bundle(
                        Stream.concat(shelf.styles().stream(), shelf.swatches().stream())
                            .map(Kept::id)
                            .toList()))));
  }

  private Menu groups(Kept.OfStyle kept, boolean disabled) {
    Menu menu = new Menu(Messages.of("style-menu.move-to-group"));
    menu.setDisable(disabled);
    keeper.shelf().styles().stream()
        .map(one -> one.style().group())
        .distinct()
        .filter(group -> !group.equals(kept.style().group()))
        .forEach(group ->
            menu.getItems()
                .add(
                    item(
                        group.isEmpty() ? Messages.of("common.without-a-group") : group,
                        false,
                        () -> move(kept, group))));
    if (!menu.getItems().isEmpty()) {
      menu.getItems().add(new SeparatorMenuItem());
    }
    menu.getItems()
        .add(
            item(
                Messages.of("shelf-menu.new-group"),
                false,
                () ->
                    ask(Messages.of("shelf-menu.new-group"), "")
                        .ifPresent(group -> move(kept, group))));
    return menu;
  }

  private void move(Kept.OfStyle kept, String group) {
    change(kept, Action.Kind.REGROUP, style -> style.withGroup(group));
  }

  private void change(
      Kept.OfStyle kept, Action.Kind kind, java.util.function.UnaryOperator<Style> changed) {
    keeper.change(shelf -> {
      Style now = shelf.asProject().styles().find(kept.style().id()).orElse(kept.style());
      return Change.of(shelf, kind, new ChangeStyle(changed.apply(now)));
    });
  }

  void rename(Kept.OfStyle kept) {
    ask(Messages.of("shelf-menu.rename"), kept.name())
        .ifPresent(name -> change(kept, Action.Kind.RENAME, style -> style.withName(name)));
  }

  private void tags(Kept.OfStyle kept) {
    TextInputDialog dialog = new TextInputDialog(String.join(", ", kept.tags()));
    dialog.setTitle(Messages.of("shelf-menu.tags"));
    dialog.setHeaderText(null);
    dialog.setContentText(Messages.of("shelf-menu.tags-separated"));
    dialog
        .showAndWait()
        .ifPresent(text -> {
          List<String> wanted =
              Arrays.stream(text.split(","))
                  .map(String::strip)
                  .filter(one -> !one.isEmpty())
                  .toList();
          keeper.change(shelf -> Change.tag(shelf, List.of(kept.id()), _ -> new TreeSet<>(wanted)));
        });
  }

  /** Deletes looks; the notice and the history bring them back. */
  void delete(List<Kept.OfStyle> kept) {
    LinkedHashSet<StyleId> ids = new LinkedHashSet<>();
    kept.forEach(one -> ids.add(one.style().id()));
    keeper.change(
        shelf -> Change.of(shelf, Action.Kind.DELETE, new DeleteStyles(ids, Optional.empty())));
  }

  private static Optional<String> ask(String title, String now) {
    return NameQuestion.ask(null, title, title, now).filter(name -> !name.equals(now));
  }

  private static MenuItem item(String label, boolean disabled, Runnable work) {
    MenuItem item = new MenuItem(label);
    item.setDisable(disabled);
    item.setOnAction(_ -> work.run());
    return item;
  }
}
