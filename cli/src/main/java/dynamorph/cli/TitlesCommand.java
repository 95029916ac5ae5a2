package dynamorph.cli;

import dynamorph.formats.project.ProjectFile;
import dynamorph.formats.table.TitleTableReader;
import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.edit.importing.ImportTitles;
import dynamorph.model.edit.importing.TitleTable;
import dynamorph.model.timeline.Time;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

@Command(
    name = "titles",
    description = "Makes a title of each row of a table, after a title that is there.",
    mixinStandardHelpOptions = true)
final class TitlesCommand implements Callable<Integer> {
  @Mixin private ProjectArgument file;

  @Option(
      names = "--table",
      required = true,
      paramLabel = "CSV",
      description = "Rows of words; columns called in, out or duration say when they are seen.")
  private Path table;

  @Option(
      names = "--pattern",
      required = true,
      paramLabel = "NAME",
      description = "Name or id of the title that the others shall look like.")
  private String pattern;

  @Option(
      names = "--gap",
      paramLabel = "SECONDS",
      defaultValue = "0",
      description = "Between titles of which the table does not tell when they are seen.")
  private double gap;

  @Option(
      names = {"-o", "--output"},
      required = true,
      paramLabel = "FILE",
      description = "The project to write.")
  private Path output;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws IOException {
    Project project = file.read();
    Layer model = ProjectLookup.layer(project, pattern);
    Artboard film = project.artboardOf(model.id()).orElseThrow();
    if (model.timing().isEmpty()) {
      throw new IllegalArgumentException(
          "\"" + model.name() + "\" is no title of a film; choose one that is");
    }
    TitleTable rows = TitleTableReader.read(table);
    ImportTitles titles =
        new ImportTitles(
            film.id(),
            model.id(),
            rows,
            ImportTitles.roles(rows),
            model.timing().get().out(),
            Time.ofSeconds(gap),
            "title-" + Integer.toUnsignedString(rows.hashCode(), 36));
    List<ImportTitles.Made> made = titles.made(project);
    ProjectFile.write(titles.applyTo(project), output);
    for (ImportTitles.Made one : made) {
      if (one.title().isEmpty()) {
        spec.commandLine()
            .getErr()
            .println("dynamorph: line " + one.row().line() + " is refused: " + one.why());
      }
    }
    spec.commandLine()
        .getOut()
        .println(made.stream().filter(one -> one.title().isPresent()).count() + " titles made");
    return 0;
  }
}
