package dynamorph.app.survey;

import dynamorph.app.files.Dialogs;
import dynamorph.app.files.FileQuestion;
import dynamorph.app.message.Messages;
import dynamorph.app.render.Studio;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Workspace;
import dynamorph.formats.file.SafeFile;
import dynamorph.formats.project.ProjectReadException;
import dynamorph.formats.project.RuleSetFile;
import dynamorph.formats.survey.SarifLog;
import dynamorph.formats.survey.SurveyDocument;
import dynamorph.formats.survey.SurveyJson;
import dynamorph.formats.survey.SurveyPage;
import dynamorph.model.survey.rule.RuleSet;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.paint.scene.Scene;
import dynamorph.paint.scene.SceneMaker;
import dynamorph.paint.survey.SurveyReport;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.ZonedDateTime;
import java.time.temporal.ChronoUnit;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.application.Platform;

/** Reads and writes the files of a survey: rule sets and reports. */
public final class SurveyFiles {
  private final Workspace workspace;
  private final Dialogs dialogs;
  private final Supplier<Studio> studio;

  public SurveyFiles(Workspace workspace, Dialogs dialogs, Supplier<Studio> studio) {
    this.workspace = workspace;
    this.dialogs = dialogs;
    this.studio = studio;
  }

  /** Rules out of a file that the person chooses. */
  Optional<RuleSet> readRules() {
    Optional<Path> file = dialogs.choose(FileQuestion.RULES);
    if (file.isEmpty()) {
      return Optional.empty();
    }
    try {
      return Optional.of(RuleSetFile.read(file.get()));
    } catch (ProjectReadException wrong) {
      workspace.tell(Notice.problem(String.valueOf(wrong.getMessage())));
      return Optional.empty();
    }
  }

  /** Writes rules into a file that the person chooses. */
  void writeRules(RuleSet rules) {
    String name = rules.name().isEmpty() ? workspace.project().name() : rules.name();
    dialogs
        .choose(FileQuestion.SAVED_RULES, name + ".json")
        .ifPresent(file -> {
          try {
            RuleSetFile.write(rules, file);
            told(file);
          } catch (IOException failed) {
            failed(file, failed);
          }
        });
  }

  /** Writes a report into a file that the person chooses; its ending says what kind it is. */
  void writeReport(SurveyReport report, Scene scene) {
    String proposed = Messages.of("survey.report-name", report.project().name()) + ".html";
    dialogs
        .choose(FileQuestion.SURVEY_REPORT, proposed)
        .ifPresent(file ->
            Thread.ofVirtual()
                .start(() -> {
                  try {
                    byte[] bytes = written(report, scene, file);
                    SafeFile.write(file, out -> out.write(bytes));
                    Platform.runLater(() -> told(file));
                  } catch (IOException failed) {
                    Platform.runLater(() -> failed(file, failed));
                  }
                }));
  }

  private byte[] written(SurveyReport report, Scene scene, Path file) {
    String name = file.getFileName().toString().toLowerCase(Locale.ROOT);
    if (name.endsWith(".pdf")) {
      return SurveyDocument.of(
          report, scene, maker(), ZonedDateTime.now().truncatedTo(ChronoUnit.SECONDS));
    }
    return text(report, scene, file, name).getBytes(StandardCharsets.UTF_8);
  }

  private SceneMaker maker() {
    return new SceneMaker(studio.get().maker().typesetter(), new LayerPainter());
  }

  private String text(SurveyReport report, Scene scene, Path file, String name) {
    if (name.endsWith(".sarif")) {
      SarifLog log = new SarifLog();
      log.add(
          workspace.fileProperty().get().map(Path::getFileName).orElse(file.getFileName()), report);
      return log.text();
    }
    return name.endsWith(".json") ? SurveyJson.text(report) : SurveyPage.of(report, scene, maker());
  }

  private void told(Path file) {
    workspace.tell(Notice.info(Messages.of("survey.written", file.getFileName())));
  }

  private void failed(Path file, IOException why) {
    workspace.tell(
        Notice.problem(
            Messages.of(
                "survey.cannot-be-written", file.getFileName(), String.valueOf(why.getMessage()))));
  }
}
