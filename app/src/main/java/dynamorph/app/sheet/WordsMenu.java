package dynamorph.app.sheet;

import dynamorph.app.files.Dialogs;
import dynamorph.app.files.FileQuestion;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Workspace;
import dynamorph.formats.table.WordTable;
import dynamorph.formats.xliff.Translation;
import dynamorph.formats.xliff.XliffReader;
import dynamorph.formats.xliff.XliffWriter;
import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.EditRefused;
import dynamorph.model.edit.importing.LanguageVersion;
import dynamorph.model.edit.text.ReplaceStories;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;

/** Hands the words of all texts to translators and proofreaders, and takes them back. */
public final class WordsMenu extends MenuButton {
  /** Remarks told one by one. */
  private static final int MOST_TOLD = 4;

  private final Workspace workspace;
  private final Dialogs dialogs;

  /**
   * @param replace opens what finds and replaces words
   */
  public WordsMenu(Workspace workspace, Dialogs dialogs, Runnable replace) {
    super(Messages.of("sheet.words"));
    this.workspace = workspace;
    this.dialogs = dialogs;
    setId("sheet-words");
    setMinWidth(USE_PREF_SIZE);
    getItems()
        .addAll(
            item(Messages.of("sheet.find-and-replace"), replace),
            new SeparatorMenuItem(),
            item(Messages.of("sheet.export-words"), this::write),
            item(Messages.of("sheet.import-words"), this::read),
            new SeparatorMenuItem(),
            item(Messages.of("sheet.export-for-translation"), this::writeForTranslation),
            item(Messages.of("sheet.import-language-version"), this::addVersion));
  }

  private static MenuItem item(String label, Runnable work) {
    MenuItem item = new MenuItem(label);
    item.setOnAction(_ -> work.run());
    return item;
  }

  private void write() {
    write(".csv");
  }

  private void writeForTranslation() {
    write(XliffReader.ENDINGS.getFirst());
  }

  private void write(String ending) {
    Project project = workspace.project();
    dialogs
        .choose(
            XliffReader.ENDINGS.contains(ending)
                ? FileQuestion.SAVED_TRANSLATION
                : FileQuestion.SAVED_WORDS,
            Messages.of("sheet.words-of", project.name()) + ending)
        .ifPresent(file -> {
          try {
            if (XliffReader.isXliff(file)) {
              int count = XliffWriter.write(project, file);
              workspace.tell(
                  Notice.info(
                      Messages.of("sheet.given-for-translation", count, file.getFileName())));
            } else {
              WordTable.write(project, file);
              workspace.tell(Notice.info(Messages.of("survey.written", file.getFileName())));
            }
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
            if (XliffReader.isXliff(file)) {
              take(XliffReader.read(file, workspace.project()));
            } else {
              take(WordTable.read(file, workspace.project()));
            }
          } catch (IOException wrong) {
            workspace.tell(Notice.problem(Messages.reason(wrong)));
          }
        });
  }

  private void take(WordTable.Imported imported) {
    String told =
        told(
            Messages.of("sheet.words-taken", imported.changed(), imported.unchanged()),
            imported.remarks());
    if (imported.changed() == 0) {
      workspace.tell(Notice.info(told));
    } else {
      apply(imported.edit(), told);
    }
  }

  /** The words of a translation in place of those that are there. */
  private void take(Translation translation) {
    String told =
        told(Messages.of("sheet.translated", translation.translated()), translation.remarks());
    if (translation.stories().isEmpty()) {
      workspace.tell(Notice.info(told));
    } else {
      apply(
          new ReplaceStories(translation.stories(), Messages.of("sheet.translate-words-of")), told);
    }
  }

  private void addVersion() {
    dialogs
        .choose(FileQuestion.TRANSLATION)
        .ifPresent(file -> {
          try {
            Project project = workspace.project();
            Translation translation = XliffReader.read(file, project);
            LanguageVersion.Plan plan =
                LanguageVersion.of(
                    project, translation.language(), translation.stories(), workspace.ids());
            String made =
                Messages.of("sheet.version-made", plan.edit().artboards().size(), plan.cues());
            List<String> remarks = new ArrayList<>(translation.remarks());
            if (plan.titles() > 0) {
              remarks.addFirst(Messages.of("sheet.titles-stay", plan.titles()));
            }
            apply(plan.edit(), told(made, remarks));
          } catch (IOException | EditRefused wrong) {
            workspace.tell(Notice.problem(Messages.reason(wrong)));
          }
        });
  }

  private void apply(Edit edit, String told) {
    if (workspace.apply(edit)) {
      workspace.tell(Notice.offering(told, Messages.of("common.undo"), workspace::undo));
    }
  }

  private static String told(String first, List<String> remarks) {
    StringBuilder told = new StringBuilder(first);
    remarks.stream().limit(MOST_TOLD).forEach(remark -> told.append("\n").append(remark));
    if (remarks.size() > MOST_TOLD) {
      told.append("\n").append(Messages.of("survey.and-more", remarks.size() - MOST_TOLD));
    }
    return told.toString();
  }
}
