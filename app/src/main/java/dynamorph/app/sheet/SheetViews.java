package dynamorph.app.sheet;

import dynamorph.app.field.NameQuestion;
import dynamorph.app.field.Tips;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Workspace;
import dynamorph.model.edit.sheet.DeleteSheetView;
import dynamorph.model.edit.sheet.KeepSheetView;
import dynamorph.model.edit.sheet.RenameSheetView;
import dynamorph.model.sheet.view.SheetView;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.RadioMenuItem;
import javafx.scene.control.SeparatorMenuItem;

/** The views of the sheet that the project keeps: shown by a click, kept, renamed and deleted. */
final class SheetViews extends MenuButton {
  private final Workspace workspace;
  private final Supplier<SheetView> shown;
  private final Consumer<SheetView> show;

  /** The name of the view that was shown last. */
  private String latest = "";

  /**
   * @param shown how the sheet is seen now, without a name
   * @param show lets it be seen in another way
   */
  SheetViews(Workspace workspace, Supplier<SheetView> shown, Consumer<SheetView> show) {
    this.workspace = workspace;
    this.shown = shown;
    this.show = show;
    setId("sheet-views");
    setMinWidth(84);
    setMaxWidth(176);
    Tips.on(this, Messages.of("sheet-views.help"));
    setOnShowing(_ -> fill());
    workspace.historyProperty().addListener((_, _, _) -> update());
  }

  /** Shows which view is seen, and whether it was changed since. */
  void update() {
    Optional<SheetView> view = current();
    String name = view.map(SheetViews::name).orElse(Messages.of("sheet-views.own"));
    setText(
        view.isPresent() && isChanged(view.get())
            ? Messages.of("sheet-views.changed", name)
            : name);
    setAccessibleText(Messages.of("sheet-views.view", getText()));
    if (getItems().isEmpty()) {
      fill();
    }
  }

  /** Lets a view be seen. */
  void open(SheetView view) {
    latest = view.name();
    show.accept(view);
    update();
  }

  /** The view that is seen or was changed since; empty if none was and the sheet is seen anyhow. */
  private Optional<SheetView> current() {
    SheetView now = shown.get();
    List<SheetView> kept = workspace.project().sheetViews();
    Optional<SheetView> named =
        kept.stream().filter(view -> view.name().equals(latest)).findFirst();
    return named
        .filter(view -> !isChanged(view))
        .or(() -> kept.stream().filter(view -> view.withName("").equals(now)).findFirst())
        .or(() -> Optional.of(SheetView.USUAL).filter(now::equals))
        .or(() -> named);
  }

  private boolean isChanged(SheetView view) {
    return !view.withName("").equals(shown.get());
  }

  private static String name(SheetView view) {
    return view.name().isEmpty() ? Messages.of("sheet-views.usual") : view.name();
  }

  private void fill() {
    getItems().clear();
    Optional<SheetView> current = current();
    getItems().add(choice(SheetView.USUAL, current));
    workspace.project().sheetViews().forEach(view -> getItems().add(choice(view, current)));
    getItems().add(new SeparatorMenuItem());
    Optional<SheetView> own = current.filter(view -> !view.name().isEmpty());
    own.filter(this::isChanged)
        .ifPresent(view ->
            getItems()
                .add(
                    item(
                        Messages.of("sheet-views.save-changes", view.name()),
                        () -> keep(view.name()))));
    getItems().add(item(Messages.of("sheet-views.keep"), this::keep));
    own.ifPresent(view -> {
      getItems()
          .add(item(Messages.of("sheet-views.rename", view.name()), () -> rename(view.name())));
      getItems()
          .add(item(Messages.of("sheet-views.delete", view.name()), () -> delete(view.name())));
    });
  }

  private MenuItem choice(SheetView view, Optional<SheetView> current) {
    RadioMenuItem item = new RadioMenuItem(name(view));
    // names may hold what menus take for a mnemonic
    item.setMnemonicParsing(false);
    item.setSelected(current.filter(view::equals).isPresent());
    item.setOnAction(_ -> open(view));
    return item;
  }

  private static MenuItem item(String label, Runnable work) {
    MenuItem item = new MenuItem(label);
    item.setMnemonicParsing(false);
    item.setOnAction(_ -> work.run());
    return item;
  }

  private void keep() {
    NameQuestion.ask(
            getScene().getWindow(),
            Messages.of("sheet-views.keep-title"),
            Messages.of("common.name"),
            proposal())
        .ifPresent(this::keep);
  }

  /** What is asked for, or by what it stands together. */
  private String proposal() {
    SheetView now = shown.get();
    return now.order().query().isBlank()
        ? Messages.of("sheet-views.by", now.order().unit().label(), now.order().grouping().label())
        : now.order().query();
  }

  private void keep(String name) {
    boolean replaces =
        workspace.project().sheetViews().stream().anyMatch(view -> view.name().equals(name));
    if (workspace.apply(new KeepSheetView(shown.get().withName(name)))) {
      latest = name;
      update();
      workspace.tell(
          Notice.offering(
              replaces
                  ? Messages.of("sheet-views.replaced", name)
                  : Messages.of("sheet-views.kept", name),
              Messages.of("common.undo"),
              workspace::undo));
    }
  }

  private void rename(String name) {
    NameQuestion.ask(
            getScene().getWindow(),
            Messages.of("sheet-views.rename-title"),
            Messages.of("common.name"),
            name)
        .ifPresent(to -> {
          if (workspace.apply(new RenameSheetView(name, to))) {
            latest = to;
            update();
          }
        });
  }

  private void delete(String name) {
    if (workspace.apply(new DeleteSheetView(name))) {
      workspace.tell(
          Notice.offering(
              Messages.of("sheet-views.deleted", name),
              Messages.of("common.undo"),
              workspace::undo));
    }
  }
}
