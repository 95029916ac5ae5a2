package dynamorph.app.artboards.text.spelling;

import dynamorph.app.message.Messages;
import dynamorph.app.session.Selection;
import dynamorph.app.session.Workspace;
import dynamorph.model.LayerId;
import dynamorph.model.edit.text.EditText;
import dynamorph.model.edit.text.LearnWord;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;

/** What can be done about one misspelt word. */
public final class SpellingMenu {
  private final Workspace workspace;
  private final SpellingService spelling;

  public SpellingMenu(Workspace workspace, SpellingService spelling) {
    this.workspace = workspace;
    this.spelling = spelling;
  }

  /** Opens the menu at a place of the screen once the suggestions are known. */
  public void open(Node owner, LayerId layer, SpellingService.Misspelt wrong, double x, double y) {
    workspace
        .selectionProperty()
        .set(Selection.editing(layer, wrong.range().start(), wrong.range().end()));
    spelling.suggest(
        wrong, words -> menu(layer, wrong, words).show(owner.getScene().getWindow(), x, y));
  }

  private ContextMenu menu(LayerId layer, SpellingService.Misspelt wrong, List<String> words) {
    ContextMenu menu = new ContextMenu();
    menu.setId("spelling-menu");
    for (String word : words) {
      MenuItem item = new MenuItem(word);
      item.getStyleClass().add("suggestion");
      item.setOnAction(_ -> replace(layer, wrong, word));
      menu.getItems().add(item);
    }
    if (words.isEmpty()) {
      MenuItem none = new MenuItem(Messages.of("spelling-menu.no-suggestion"));
      none.setDisable(true);
      menu.getItems().add(none);
    }
    MenuItem learn = new MenuItem(Messages.of("spelling-menu.add-to-the-words-of-the"));
    learn.setOnAction(_ -> workspace.apply(new LearnWord(wrong.word(), true)));
    MenuItem ignore = new MenuItem(Messages.of("spelling-menu.ignore-until-the-window-closes"));
    ignore.setOnAction(_ -> spelling.ignore(wrong.word()));
    menu.getItems().addAll(new SeparatorMenuItem(), learn, ignore);
    return menu;
  }

  private void replace(LayerId layer, SpellingService.Misspelt wrong, String word) {
    if (workspace.apply(EditText.plain(layer, wrong.range(), word))) {
      int end = wrong.range().start() + word.length();
      workspace.selectionProperty().set(Selection.editing(layer, end, end));
    }
  }
}
