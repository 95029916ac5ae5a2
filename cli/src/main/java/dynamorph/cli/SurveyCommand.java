package dynamorph.cli;

import dynamorph.cli.message.Messages;
import dynamorph.footage.FootageFiles;
import dynamorph.formats.file.SafeFile;
import dynamorph.formats.project.ProjectFile;
import dynamorph.formats.project.RuleSetFile;
import dynamorph.formats.survey.SarifLog;
import dynamorph.formats.survey.SurveyDocument;
import dynamorph.formats.survey.SurveyJson;
import dynamorph.formats.survey.SurveyPage;
import dynamorph.model.Project;
import dynamorph.model.edit.style.AdoptStyles;
import dynamorph.model.survey.Finding;
import dynamorph.model.survey.hidden.HiddenStyle;
import dynamorph.model.survey.hidden.Tolerance;
import dynamorph.model.survey.rule.HouseRule;
import dynamorph.model.survey.rule.Rule;
import dynamorph.model.survey.rule.RuleSet;
import dynamorph.model.survey.rule.Severity;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.paint.scene.Scene;
import dynamorph.paint.scene.SceneMaker;
import dynamorph.paint.survey.Survey;
import dynamorph.paint.survey.SurveyReport;
import dynamorph.typeset.font.FontLibrary;
import dynamorph.typeset.layout.Typesetter;
import dynamorph.typeset.spelling.Speller;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.ZonedDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import tools.jackson.databind.node.ArrayNode;

/** Looks through projects for what could be in better order, and mends it when asked to. */
@Command(
    name = "survey",
    description = "${bundle:survey-command.looks-through-projects}",
    mixinStandardHelpOptions = true,
    exitCodeListHeading = "%n${bundle:survey-command.exit-codes}%n",
    exitCodeList = {
      "0:${bundle:survey-command.exit-clean}",
      "1:${bundle:survey-command.exit-failed}",
      "3:${bundle:survey-command.exit-findings}"
    })
final class SurveyCommand implements Callable<Integer> {
  /** The exit code when something was found that weighs as much as was asked for. */
  static final int FOUND = 3;

  @Parameters(
      arity = "1..*",
      paramLabel = "FILE",
      description = "${bundle:survey-command.the-project-files}")
  private List<Path> files;

  @Option(
      names = "--rules",
      paramLabel = "RULES",
      description = "${bundle:survey-command.a-rule-set}")
  private Path rulesFile;

  @Option(
      names = "--fail-on",
      paramLabel = "SEVERITY",
      description = "${bundle:survey-command.fail-on}")
  private String failOn = Severity.ERROR.id();

  @Option(
      names = "--tolerance",
      paramLabel = "STEP",
      description = "${bundle:survey-command.tolerance}")
  private Double tolerance;

  @Option(names = "--fix", paramLabel = "RULE", description = "${bundle:survey-command.fix}")
  private List<String> fixes = List.of();

  @Option(names = "--adopt", description = "${bundle:survey-command.adopt}")
  private boolean adopt;

  @Option(
      names = {"-o", "--output"},
      paramLabel = "OUT",
      description = "${bundle:survey-command.output}")
  private Path output;

  @Option(names = "--json", description = "${bundle:survey-command.json}")
  private boolean json;

  @Option(names = "--sarif", description = "${bundle:survey-command.sarif}")
  private boolean sarif;

  @Option(names = "--html", paramLabel = "PAGE", description = "${bundle:survey-command.html}")
  private Path html;

  @Option(names = "--pdf", paramLabel = "DOCUMENT", description = "${bundle:survey-command.pdf}")
  private Path pdf;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws IOException {
    Severity least = severity();
    Set<String> fixed = Set.copyOf(fixes);
    boolean mends = adopt || !fixed.isEmpty();
    if (mends != (output != null)) {
      throw new IllegalArgumentException(Messages.of("survey-command.mending-needs-an-output"));
    }
    if (files.size() > 1 && (output != null || html != null || pdf != null)) {
      throw new IllegalArgumentException(Messages.of("survey-command.one-file-at-a-time"));
    }
    Optional<RuleSet> rules =
        rulesFile == null ? Optional.empty() : Optional.of(RuleSetFile.read(rulesFile));
    PrintWriter out = spec.commandLine().getOut();
    ArrayNode nodes = Json.NODES.arrayNode();
    SarifLog log = new SarifLog();
    long grave = 0;
    for (Path file : files) {
      Project project = ProjectFile.read(file);
      try (Surveyor surveyor = new Surveyor(project, rules, tolerance)) {
        SurveyReport report = surveyor.of(project);
        checkFixes(report.rules());
        if (mends) {
          Project mended = mended(report, fixed);
          ProjectFile.write(mended, output, Optional.of(file));
          report = surveyor.of(mended);
        }
        if (html != null) {
          byte[] page = surveyor.page(report).getBytes(StandardCharsets.UTF_8);
          SafeFile.write(html, stream -> stream.write(page));
        }
        if (pdf != null) {
          byte[] document = surveyor.document(report);
          SafeFile.write(pdf, stream -> stream.write(document));
        }
        grave += report.count(least) + (weighs(report, least) ? report.hidden().size() : 0);
        nodes.add(SurveyJson.of(report).put("file", file.toString()));
        log.add(file, report);
        if (!json && !sarif) {
          print(file, report, out);
        }
      }
    }
    if (sarif) {
      out.println(log.text());
    } else if (json) {
      out.println((nodes.size() == 1 ? nodes.get(0) : nodes).toPrettyString());
    }
    return grave > 0 ? FOUND : 0;
  }

  private static boolean weighs(SurveyReport report, Severity least) {
    return report.rules().severity(Rule.HIDDEN_STYLE).compareTo(least) <= 0;
  }

  private Severity severity() {
    return Severity.of(failOn)
        .filter(one -> one != Severity.OFF)
        .orElseThrow(
            () -> new IllegalArgumentException(Messages.of("survey-command.no-severity", failOn)));
  }

  private void checkFixes(RuleSet rules) {
    for (String id : fixes) {
      boolean known =
          Rule.of(id).isPresent() || rules.house().stream().anyMatch(rule -> rule.id().equals(id));
      if (!known) {
        throw new IllegalArgumentException(Messages.of("survey-command.no-such-rule", id));
      }
    }
  }

  /** With the remedies of some rules, then with the styles that hide. */
  private Project mended(SurveyReport report, Set<String> fixed) {
    Project project = report.project();
    for (Finding finding : report.findings()) {
      String id = finding.house().isEmpty() ? finding.rule().id() : finding.house();
      if (fixed.contains(id) && finding.remedy().isPresent()) {
        project = finding.remedy().get().edit().applyTo(project);
      }
    }
    if (!adopt || report.hidden().isEmpty()) {
      return project;
    }
    List<AdoptStyles.Adoption> adoptions = new ArrayList<>();
    for (HiddenStyle hidden : report.hidden()) {
      adoptions.add(
          new AdoptStyles.Adoption(hidden.style(), Set.copyOf(hidden.members()), Set.of()));
    }
    return new AdoptStyles(adoptions).applyTo(project);
  }

  private static void print(Path file, SurveyReport report, PrintWriter out) {
    out.println(
        Messages.of(
            "survey-command.texts", file.getFileName(), report.texts(), report.ignored().size()));
    for (HiddenStyle hidden : report.hidden()) {
      out.println(
          Messages.of(
              "survey-command.hidden",
              Rule.HIDDEN_STYLE.id(),
              hidden.style().name(),
              hidden.size(),
              hidden.outliers().size()));
    }
    for (Map.Entry<SurveyReport.Kind, List<Finding>> entry : report.byRule().entrySet()) {
      for (Finding finding : entry.getValue()) {
        String id = entry.getKey().house().isEmpty() ? finding.rule().id() : entry.getKey().house();
        out.println(
            Messages.of(
                "survey-command.finding",
                finding.severity().label(),
                id,
                SurveyJson.where(report.project(), finding),
                finding.detail()));
      }
    }
  }

  /** What surveys the states of one file. */
  private static final class Surveyor implements AutoCloseable {
    private final FontLibrary fonts;
    private final FootageFiles footage = new FootageFiles();
    private final SceneMaker maker;
    private final Survey survey = new Survey(new Speller(), footage);
    private final Optional<RuleSet> rules;
    private final Optional<Tolerance> tolerance;

    Surveyor(Project project, Optional<RuleSet> rules, Double step) {
      this.fonts = FontLibrary.forProject(project.assets());
      this.maker = new SceneMaker(new Typesetter(fonts), new LayerPainter());
      this.rules = rules;
      this.tolerance = Optional.ofNullable(step).map(Tolerance::ofStep);
    }

    SurveyReport of(Project project) {
      return survey.of(
          maker.make(project),
          maker,
          rules.map(own -> joined(project.survey().rules(), own)).orElse(project.survey().rules()),
          tolerance,
          _ -> {},
          () -> false);
    }

    /** What a file of rules says counts before what the project says. */
    private static RuleSet joined(RuleSet project, RuleSet own) {
      RuleSet joined = new RuleSet(own.name(), project.settings(), project.house());
      for (var entry : own.settings().entrySet()) {
        joined = joined.with(entry.getKey(), entry.getValue());
      }
      for (HouseRule rule : own.house()) {
        joined = joined.with(rule);
      }
      return joined;
    }

    String page(SurveyReport report) {
      Scene scene = maker.make(report.project());
      return SurveyPage.of(report, scene, maker);
    }

    byte[] document(SurveyReport report) {
      return SurveyDocument.of(
          report,
          maker.make(report.project()),
          maker,
          ZonedDateTime.now().truncatedTo(ChronoUnit.SECONDS));
    }

    @Override
    public void close() {
      footage.close();
      fonts.close();
    }
  }
}
