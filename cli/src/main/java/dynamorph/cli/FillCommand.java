package dynamorph.cli;

import dynamorph.cli.message.Messages;
import dynamorph.formats.export.ArtboardExport;
import dynamorph.formats.export.ExportOutcome;
import dynamorph.formats.table.TableReader;
import dynamorph.model.Artboard;
import dynamorph.model.ArtboardId;
import dynamorph.model.Project;
import dynamorph.model.edit.importing.FillArtboards;
import dynamorph.model.export.ExportFormat;
import dynamorph.model.export.ExportPreset;
import dynamorph.model.fill.DataTable;
import dynamorph.model.fill.FilledArtboard;
import dynamorph.model.fill.RowRanges;
import dynamorph.paint.fill.RowProblem;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.paint.scene.Scene;
import dynamorph.paint.scene.SceneMaker;
import dynamorph.typeset.font.FontLibrary;
import dynamorph.typeset.layout.Typesetter;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.SequencedSet;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;
import org.pcollections.TreePVector;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Makes an artboard of each row of a table after a pattern, or exports them straight. */
@Command(
    name = "fill",
    description = "${bundle:fill-command.makes-an-artboard}",
    mixinStandardHelpOptions = true)
final class FillCommand implements Callable<Integer> {
  @Mixin private ProjectArgument file;

  @Parameters(index = "1", paramLabel = "TABLE", description = "${bundle:fill-command.table}")
  private Path table;

  @Option(
      names = "--artboard",
      required = true,
      paramLabel = "NAME",
      description = "${bundle:fill-command.artboard}")
  private String artboard;

  @Option(names = "--name", paramLabel = "WORDS", description = "${bundle:fill-command.name}")
  private @Nullable String name;

  @Option(names = "--rows", paramLabel = "ROWS", description = "${bundle:fill-command.rows}")
  private @Nullable String wanted;

  @Option(
      names = {"-o", "--output"},
      paramLabel = "FILE",
      description = "${bundle:edit-output.the-project-to-write}")
  private @Nullable Path output;

  @Option(names = "--export", paramLabel = "DIR", description = "${bundle:fill-command.export}")
  private @Nullable Path exported;

  @Option(names = "--preset", paramLabel = "NAME", description = "${bundle:fill-command.preset}")
  private @Nullable String preset;

  @Option(names = "--format", paramLabel = "FORMAT", description = "${bundle:fill-command.format}")
  private @Nullable String format;

  @Option(names = "--keep-going", description = "${bundle:fill-command.keep-going}")
  private boolean keepGoing;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws IOException {
    if (output == null && exported == null) {
      throw new IllegalArgumentException(Messages.of("fill-command.say-where-to"));
    }
    Project project = file.read();
    Artboard pattern = ProjectLookup.artboard(project, artboard);
    DataTable data = TableReader.withHeader(table);
    SequencedSet<String> missing = FilledArtboard.missing(pattern, data);
    if (!missing.isEmpty() && !keepGoing) {
      throw new IllegalArgumentException(
          Messages.of(
              "fill-command.missing-columns",
              String.join(", ", missing),
              String.join(", ", data.columns())));
    }
    if (FilledArtboard.columns(pattern).isEmpty()) {
      throw new IllegalArgumentException(
          Messages.of("fill-command.no-fields", pattern.name(), data.columns().getFirst()));
    }
    FillArtboards fill =
        new FillArtboards(
            pattern.id(),
            data,
            RowRanges.parse(wanted == null ? "" : wanted, data.rows().size()),
            name == null ? "{" + data.columns().getFirst() + "}" : name,
            freePrefix(project));
    List<FilledArtboard> filled = fill.filled(project);
    Project alone =
        project.withArtboards(
            TreePVector.from(filled.stream().map(FilledArtboard::artboard).toList()));
    try (FontLibrary fonts = FontLibrary.forProject(project.assets())) {
      LayerPainter painter = new LayerPainter();
      Scene scene = new SceneMaker(new Typesetter(fonts), painter).make(alone);
      boolean sound = tellProblems(fill, filled, scene);
      if (!sound && !keepGoing) {
        return CommandLine.ExitCode.SOFTWARE;
      }
      if (exported != null) {
        tell(
            new ArtboardExport(scene, painter, preset(project), false)
                .write(alone.artboards(), exported, _ -> {}, () -> false));
      }
    }
    if (output != null) {
      file.write(fill.applyTo(project), output);
    }
    spec.commandLine().getOut().println(Messages.of("fill-command.made", filled.size()));
    return 0;
  }

  private static String freePrefix(Project project) {
    String prefix = "filled";
    for (int number = 2; isTaken(project, prefix); number++) {
      prefix = "filled-" + number;
    }
    return prefix;
  }

  private static boolean isTaken(Project project, String prefix) {
    return project.artboards().stream()
        .map(Artboard::id)
        .map(ArtboardId::value)
        .anyMatch(id -> id.startsWith(prefix + "-"));
  }

  /** Tells what is wrong with each row, and whether nothing is. */
  private boolean tellProblems(FillArtboards fill, List<FilledArtboard> filled, Scene scene) {
    List<RowProblem> problems = RowProblem.of(fill, filled, scene);
    problems.forEach(problem ->
        spec.commandLine()
            .getErr()
            .println(Messages.of("fill-command.row", problem.row() + 1, problem.what())));
    return problems.isEmpty();
  }

  private ExportPreset preset(Project project) {
    if (preset == null) {
      return ExportPreset.of(ExportFormat.of(format == null ? "pdf" : format));
    }
    return ExportCommand.kept(project, preset);
  }

  private void tell(ExportOutcome outcome) {
    outcome.remarks().forEach(remark -> spec.commandLine().getErr().println(remark));
    outcome.written().forEach(spec.commandLine().getOut()::println);
  }
}
