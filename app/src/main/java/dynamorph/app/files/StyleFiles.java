package dynamorph.app.files;

import dynamorph.app.action.Actions;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Attempt;
import dynamorph.app.session.Exported;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Workspace;
import dynamorph.formats.project.KitAbout;
import dynamorph.formats.project.KitFile;
import dynamorph.formats.styles.StyleFile;
import dynamorph.model.Project;
import dynamorph.model.edit.importing.StyleBundle;
import dynamorph.model.style.StyleId;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Styles from and to files: kits, projects, design tokens, style sheets. */
final class StyleFiles {
  /** More remarks would cover the stage. */
  private static final int MOST_TOLD = 5;

  /** Where it is remembered who made the last kit. */
  private static final String ABOUT = "kits.txt";

  private final Workspace workspace;
  private final Dialogs dialogs;
  private final UserFolder user;
  private final FileActions files;

  StyleFiles(Workspace workspace, Dialogs dialogs, UserFolder user, FileActions files) {
    this.user = user;
    this.workspace = workspace;
    this.dialogs = dialogs;
    this.files = files;
    workspace
        .exportedProperty()
        .addListener((_, _, wanted) ->
            wanted.ifPresent(looks -> {
              workspace.exportedProperty().set(Optional.empty());
              export(looks);
            }));
  }

  void register(Actions actions) {
    actions.add("styles.import", "", this::importStyles);
    actions.add("styles.export", "", () -> export(new Exported.OfProject(List.of())));
  }

  /** Brings the styles of a file; names that are taken are settled first. */
  private void importStyles() {
    dialogs
        .choose(FileQuestion.STYLES)
        .ifPresent(
            file -> files.inBackground(() -> StyleFile.read(file), read -> arrive(file, read)));
  }

  private void arrive(Path file, StyleFile.Read read) {
    int styles = read.bundle().styles().size();
    int swatches = read.bundle().swatches().size();
    if (styles + swatches == 0) {
      workspace.tell(
          Notice.problem(
              with(Messages.of("style-files.nothing-in", file.getFileName()), read.remarks())));
      return;
    }
    workspace.attempts().importStyles(read.bundle(), edit -> edit);
    if (!read.remarks().isEmpty()) {
      String words =
          with(
              Messages.of("style-files.found-in", styles, swatches, file.getFileName()),
              read.remarks());
      boolean settled = !(workspace.attempts().present() instanceof Attempt.Importing);
      workspace.tell(
          settled
              ? Notice.offering(words, Messages.of("common.undo"), workspace::undo)
              : Notice.info(words));
    }
  }

  private void export(Exported looks) {
    Project project = workspace.project();
    String name =
        switch (looks) {
          case Exported.OfProject _ -> project.name();
          case Exported.OfShelf(String called, StyleBundle _) -> called;
        };
    dialogs
        .choose(FileQuestion.SAVED_STYLES, name + KitFile.ENDING)
        .ifPresent(file -> {
          if (!StyleFile.isKit(file)) {
            write(project, looks, KitAbout.NOTHING, file);
          } else {
            dialogs
                .askAboutKit(lastAbout())
                .ifPresent(about -> {
                  user.keepLines(ABOUT, List.of(about.author(), about.licence()));
                  write(project, looks, about, file);
                });
          }
        });
  }

  /** Who makes kits, and under which licence, seldom changes. */
  private KitAbout lastAbout() {
    List<String> lines = user.lines(ABOUT);
    return new KitAbout(
        lines.isEmpty() ? System.getProperty("user.name", "") : lines.getFirst(),
        lines.size() < 2 ? "" : lines.get(1),
        "",
        Optional.empty());
  }

  private void write(Project project, Exported looks, KitAbout about, Path file) {
    files.inBackground(
        () ->
            switch (looks) {
              case Exported.OfProject(List<StyleId> styles) ->
                  StyleFile.write(project, styles, about, file);
              case Exported.OfShelf(String name, StyleBundle bundle) ->
                  new StyleFile.Read(bundle, StyleFile.write(name, bundle, about, file));
            },
        written ->
            workspace.tell(
                Notice.info(
                    with(
                        Messages.of(
                            "file-actions.style-saved-in",
                            written.bundle().styles().size(),
                            file.getFileName()),
                        written.remarks()))));
  }

  private static String with(String first, List<String> remarks) {
    List<String> lines = new ArrayList<>(List.of(first));
    remarks.stream().limit(MOST_TOLD).forEach(lines::add);
    if (remarks.size() > MOST_TOLD) {
      lines.add(Messages.of("survey.and-more", remarks.size() - MOST_TOLD));
    }
    return String.join("\n", lines);
  }
}
