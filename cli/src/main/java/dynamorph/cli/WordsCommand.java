package dynamorph.cli;

import dynamorph.cli.message.Messages;
import dynamorph.formats.table.WordTable;
import dynamorph.model.Project;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

/** Hands the words of all texts to translators as a table, and takes them back. */
@Command(
    name = "words",
    description = "${bundle:words-command.hands-out-and-takes-back}",
    mixinStandardHelpOptions = true)
final class WordsCommand implements Callable<Integer> {
  @Mixin private ProjectArgument file;

  @Option(names = "--export", paramLabel = "TABLE", description = "${bundle:words-command.export}")
  private Path exported;

  @Option(names = "--import", paramLabel = "TABLE", description = "${bundle:words-command.import}")
  private Path imported;

  @Option(
      names = {"-o", "--output"},
      paramLabel = "OUT",
      description = "${bundle:words-command.output}")
  private Path output;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws IOException {
    if (exported == null == (imported == null) || imported != null == (output == null)) {
      throw new IllegalArgumentException(Messages.of("words-command.say-what"));
    }
    Project project = file.read();
    if (exported != null) {
      WordTable.write(project, exported);
      return 0;
    }
    WordTable.Imported words = WordTable.read(imported, project);
    file.write(words.edit().applyTo(project), output);
    PrintWriter out = spec.commandLine().getOut();
    out.println(Messages.of("words-command.taken", words.changed(), words.unchanged()));
    words.remarks().forEach(out::println);
    return 0;
  }
}
