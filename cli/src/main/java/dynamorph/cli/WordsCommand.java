package dynamorph.cli;

import dynamorph.cli.message.Messages;
import dynamorph.formats.table.WordTable;
import dynamorph.formats.xliff.Translation;
import dynamorph.formats.xliff.XliffReader;
import dynamorph.formats.xliff.XliffWriter;
import dynamorph.model.IdSource;
import dynamorph.model.Project;
import dynamorph.model.edit.importing.LanguageVersion;
import dynamorph.model.edit.text.ReplaceStories;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.security.SecureRandom;
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

  @Option(names = "--language-version", description = "${bundle:words-command.language-version}")
  private boolean languageVersion;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws IOException {
    if (exported == null == (imported == null) || imported != null == (output == null)) {
      throw new IllegalArgumentException(Messages.of("words-command.say-what"));
    }
    Project project = file.read();
    PrintWriter out = spec.commandLine().getOut();
    if (exported != null) {
      if (XliffReader.isXliff(exported)) {
        out.println(Messages.of("words-command.given", XliffWriter.write(project, exported)));
      } else {
        WordTable.write(project, exported);
      }
      return 0;
    }
    if (XliffReader.isXliff(imported)) {
      return translated(project, XliffReader.read(imported, project), out);
    }
    if (languageVersion) {
      throw new IllegalArgumentException(Messages.of("words-command.needs-xliff"));
    }
    WordTable.Imported words = WordTable.read(imported, project);
    file.write(words.edit().applyTo(project), output);
    out.println(Messages.of("words-command.taken", words.changed(), words.unchanged()));
    words.remarks().forEach(out::println);
    return 0;
  }

  private int translated(Project project, Translation translation, PrintWriter out)
      throws IOException {
    if (languageVersion) {
      LanguageVersion.Plan plan =
          LanguageVersion.of(
              project,
              translation.language(),
              translation.stories(),
              IdSource.random(new SecureRandom()));
      file.write(plan.edit().applyTo(project), output);
      out.println(
          Messages.of("words-command.version", plan.edit().artboards().size(), plan.cues()));
      if (plan.titles() > 0) {
        out.println(Messages.of("words-command.titles", plan.titles()));
      }
    } else {
      Project after = new ReplaceStories(translation.stories(), "").applyTo(project);
      file.write(after, output);
      out.println(Messages.of("words-command.translated", translation.translated()));
    }
    translation.remarks().forEach(out::println);
    return 0;
  }
}
