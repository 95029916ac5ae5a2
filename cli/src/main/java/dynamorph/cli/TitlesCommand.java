package dynamorph.cli;

import dynamorph.cli.message.Messages;
import dynamorph.formats.table.TableReader;
import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.edit.importing.ImportTitles;
import dynamorph.model.fill.DataTable;
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
    description = "${bundle:titles-command.makes-a-title-of-each-row}",
    mixinStandardHelpOptions = true)
final class TitlesCommand implements Callable<Integer> {
  @Mixin private ProjectArgument file;

  @Option(
      names = "--table",
      required = true,
      paramLabel = "CSV",
      description = "${bundle:titles-command.rows-of-words-columns-called-in}")
  private Path table;

  @Option(
      names = "--pattern",
      required = true,
      paramLabel = "NAME",
      description = "${bundle:titles-command.name-or-id-of-the-title}")
  private String pattern;

  @Option(
      names = "--gap",
      paramLabel = "SECONDS",
      defaultValue = "0",
      description = "${bundle:titles-command.between-titles-of-which-the-table}")
  private double gap;

  @Option(
      names = {"-o", "--output"},
      required = true,
      paramLabel = "FILE",
      description = "${bundle:titles-command.the-project-to-write}")
  private Path output;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws IOException {
    Project project = file.read();
    Layer model = ProjectLookup.layer(project, pattern);
    Artboard film = project.artboardOf(model.id()).orElseThrow();
    if (model.timing().isEmpty()) {
      throw new IllegalArgumentException(
          Messages.of("titles-command.is-no-title-of-a-film", model.name()));
    }
    DataTable rows = TableReader.read(table);
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
    file.write(titles.applyTo(project), output);
    for (ImportTitles.Made one : made) {
      if (one.title().isEmpty()) {
        spec.commandLine()
            .getErr()
            .println(
                Messages.of(
                    "titles-command.dynamorph-line-is-refused", one.row().line(), one.why()));
      }
    }
    spec.commandLine()
        .getOut()
        .println(
            Messages.of(
                "titles-command.titles-made",
                made.stream().filter(one -> one.title().isPresent()).count()));
    return 0;
  }
}
