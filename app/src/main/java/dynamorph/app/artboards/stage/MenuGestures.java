package dynamorph.app.artboards.stage;

import dynamorph.app.artboards.text.spelling.SpellingMenu;
import dynamorph.app.artboards.text.spelling.SpellingService;
import dynamorph.app.session.Selection;
import dynamorph.app.session.Workspace;
import dynamorph.model.LayerId;
import dynamorph.paint.scene.PlacedLayer;
import dynamorph.paint.scene.Scene;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Point2D;
import javafx.scene.control.ContextMenu;
import javafx.scene.input.ContextMenuEvent;
import org.jspecify.annotations.Nullable;

/** Opens the menu of what lies under the pointer, or of what is selected by the menu key. */
final class MenuGestures {
  private final Workspace workspace;
  private final StageView stage;
  private final StagePoints points;
  private final TextKeys keys;
  private @Nullable ContextMenu open;

  MenuGestures(Workspace workspace, StageView stage, StagePoints points, TextKeys keys) {
    this.workspace = workspace;
    this.stage = stage;
    this.points = points;
    this.keys = keys;
  }

  void requested(ContextMenuEvent event) {
    close();
    boolean byKey = event.isKeyboardTrigger();
    Optional<Scene.Found> hit = byKey ? stage.edited() : points.hit(event.getX(), event.getY());
    if (hit.isPresent() && spelling(hit.get(), event)) {
      event.consume();
      return;
    }
    Optional<Menus> menus = stage.menus();
    if (menus.isEmpty()) {
      return;
    }
    Point2D at = byKey ? selected() : new Point2D(event.getScreenX(), event.getScreenY());
    show(byKey ? byKey(menus.get()) : under(menus.get(), hit, event), at);
    event.consume();
  }

  private ContextMenu byKey(Menus menus) {
    if (workspace.selection().cursor().isPresent()) {
      return menus.ofWords(words());
    }
    return workspace.selection().isEmpty() ? menus.ofStage() : menus.ofTexts();
  }

  private ContextMenu under(Menus menus, Optional<Scene.Found> hit, ContextMenuEvent event) {
    Optional<Selection.Cursor> cursor = workspace.selection().cursor();
    if (hit.isEmpty()) {
      workspace.select(List.of());
      return beside(menus, event);
    }
    LayerId id = hit.get().text().layer().id();
    LayerId text = hit.get().text().text();
    if (cursor.filter(at -> at.layer().equals(text)).isPresent()) {
      int offset = points.offsetAt(hit.get(), event.getX(), event.getY());
      boolean marked =
          cursor.get().range().start() <= offset && offset <= cursor.get().range().end();
      if (!marked) {
        workspace.selectionProperty().set(Selection.editing(text, offset, offset));
      }
      return menus.ofWords(words());
    }
    if (cursor.isPresent() || !workspace.selection().contains(id)) {
      workspace.select(List.of(id));
    }
    return menus.ofTexts();
  }

  private ContextMenu beside(Menus menus, ContextMenuEvent event) {
    Point2D plane = points.onPlane(event.getX(), event.getY());
    return stage
        .scene()
        .flatMap(scene -> scene.boardAt(plane.getX(), plane.getY()))
        .map(Scene.Board::artboard)
        .map(board -> menus.ofArtboard(board, plane.subtract(new Point2D(board.x(), board.y()))))
        .orElseGet(menus::ofStage);
  }

  private Menus.Words words() {
    return new Menus.Words() {
      @Override
      public void cut() {
        keys.cutWords();
      }

      @Override
      public void copy() {
        keys.copyWords();
      }

      @Override
      public void paste(boolean plain) {
        keys.pasteWords(plain);
      }
    };
  }

  /** Where what is selected stands on the screen; the middle of the stage if nothing is. */
  private Point2D selected() {
    if (workspace.selection().cursor().isPresent()) {
      return stage.caretOnScreen();
    }
    return workspace.selection().layers().stream()
        .flatMap(id -> stage.scene().flatMap(scene -> scene.find(id)).stream())
        .findFirst()
        .map(StageView::onPlane)
        .map(points::inNode)
        .map(box -> stage.localToScreen(box.x() + box.width() / 2, box.y() + box.height() / 2))
        .orElseGet(stage::caretOnScreen);
  }

  /** Offers what can be done about words that find no room. */
  void ofOverset(Scene.Found box, double screenX, double screenY) {
    close();
    workspace.select(List.of(box.text().layer().id()));
    stage.menus().ifPresent(menus -> show(menus.ofOverset(), new Point2D(screenX, screenY)));
  }

  private void show(ContextMenu menu, Point2D at) {
    open = menu;
    menu.show(stage.getScene().getWindow(), at.getX(), at.getY());
  }

  /** A click beside a menu closes it and does what it would do anyway. */
  void close() {
    ContextMenu shown = open;
    if (shown != null) {
      shown.hide();
      open = null;
    }
  }

  /** On a misspelt word: what may have been meant. */
  private boolean spelling(Scene.Found hit, ContextMenuEvent event) {
    Optional<SpellingService> spelling = stage.spelling();
    if (spelling.isEmpty()) {
      return false;
    }
    int offset =
        event.isKeyboardTrigger()
            ? workspace.selection().cursor().map(Selection.Cursor::caret).orElse(0)
            : points.offsetAt(hit, event.getX(), event.getY());
    PlacedLayer text = hit.text();
    Optional<SpellingService.Misspelt> wrong = spelling.get().at(text.story(), text.look(), offset);
    wrong.ifPresent(found ->
        new SpellingMenu(workspace, spelling.get())
            .open(stage, text.layer().id(), found, event.getScreenX(), event.getScreenY()));
    return wrong.isPresent();
  }
}
