package dynamorph.app.sheet;

import dynamorph.app.files.Dialogs;
import dynamorph.app.files.FileQuestion;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Workspace;
import dynamorph.formats.table.WordTable;
import java.io.IOException;
import java.util.List;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;

/** Hands the words of all texts to translators and proofreaders, and takes them back. */
public final class WordsMenu extends MenuButton {
  /** Remarks told one by one. */
  private static final int MOST_TOLD = 4;

  private final Workspace workspace;
  private final Dialogs dialogs;

  public WordsMenu(Workspace workspace, Dialogs dialogs) {
    super(Messages.of("sheet.words"));
    this.workspace = workspace;
    this.dialogs = dialogs;
    setId("sheet-words");
    setMinWidth(USE_PREF_SIZE);
    getItems()
        .addAll(
            item(Messages.of("sheet.export-words"), this::write),
            item(Messages.of("sheet.import-words"), this::read));
  }

  private static MenuItem item(String label, Runnable work) {
    MenuItem item = new MenuItem(label);
    item.setOnAction(_ -> work.run());
    return item;
  }

  private void write() {
    dialogs
        .choose(
            FileQuestion.SAVED_WORDS,
            Messages.of("sheet.words-of", workspace.project().name()) + ".csv")
        .ifPresent(file -> {
          try {
            WordTable.write(workspace.project(), file);
            workspace.tell(Notice.info(Messages.of("survey.written", file.getFileName())));
          } catch (IOException failed) {
            workspace.tell(
                Notice.problem(
                    Messages.of(
                        "survey.cannot-be-written",
                        file.getFileName(),
                        String.valueOf(failed.getMessage()))));
          }
        });
  }

  private void read() {
    dialogs
        .choose(FileQuestion.WORDS)
        .ifPresent(file -> {
          try {
            take(WordTable.read(file, workspace.project()));
          } catch (IOException wrong) {
            workspace.tell(Notice.problem(Messages.reason(wrong)));
          }
        });
  }

  private void take(WordTable.Imported imported) {
    List<String> remarks = imported.remarks();
    StringBuilder told =
        new StringBuilder(
            Messages.of("sheet.words-taken", imported.changed(), imported.unchanged()));
    remarks.stream().limit(MOST_TOLD).forEach(remark -> told.append("\n").append(remark));
    if (remarks.size() > MOST_TOLD) {
      told.append("\n").append(Messages.of("survey.and-more", remarks.size() - MOST_TOLD));
    }
    if (imported.changed() == 0) {
      workspace.tell(Notice.info(told.toString()));
    } else if (workspace.apply(imported.edit())) {
      workspace.tell(Notice.offering(told.toString(), Messages.of("common.undo"), workspace::undo));
    }
  }
}
