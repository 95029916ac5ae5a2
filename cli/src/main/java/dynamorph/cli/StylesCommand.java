package dynamorph.cli;

import dynamorph.cli.message.Messages;
import dynamorph.formats.styles.StyleFile;
import dynamorph.model.Project;
import dynamorph.model.edit.importing.ImportStyles;
import dynamorph.model.style.StyleId;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

/** Brings styles from kits, projects and design tokens, and writes kits, tokens, style sheets. */
@Command(
    name = "styles",
    description = "${bundle:styles-command.brings-and-hands-on}",
    mixinStandardHelpOptions = true)
final class StylesCommand implements Callable<Integer> {
  @Mixin private ProjectArgument file;
  @Mixin private KitOptions kit;

  @Option(
      names = "--export",
      paramLabel = "STYLES",
      description = "${bundle:styles-command.export}")
  private Path exported;

  @Option(names = "--style", paramLabel = "NAME", description = "${bundle:styles-command.style}")
  private List<String> names = new ArrayList<>();

  @Option(
      names = "--import",
      paramLabel = "STYLES",
      description = "${bundle:styles-command.import}")
  private Path imported;

  @Option(
      names = "--context",
      paramLabel = "MODIFIER=CONTEXT",
      description = "${bundle:styles-command.context}")
  private Map<String, String> contexts = new LinkedHashMap<>();

  @Option(
      names = "--same-name",
      paramLabel = "CHOICE",
      description = "${bundle:styles-command.same-name}")
  private ImportStyles.Choice sameName = ImportStyles.Choice.MINE;

  @Option(
      names = {"-o", "--output"},
      paramLabel = "OUT",
      description = "${bundle:styles-command.output}")
  private Path output;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws IOException {
    if (exported == null == (imported == null) || imported != null == (output == null)) {
      throw new IllegalArgumentException(Messages.of("styles-command.say-what"));
    }
    Project project = file.read();
    PrintWriter out = spec.commandLine().getOut();
    PrintWriter err = spec.commandLine().getErr();
    if (exported != null) {
      StyleFile.Read written = StyleFile.write(project, wanted(project), kit.about(), exported);
      written.remarks().forEach(err::println);
      out.println(
          Messages.of("styles-command.written", written.bundle().styles().size(), exported));
      return 0;
    }
    StyleFile.Read read = StyleFile.read(imported, contexts);
    read.remarks().forEach(err::println);
    Map<String, ImportStyles.Choice> swatches =
        ImportStyles.swatchCollisions(project, read.bundle()).stream()
            .filter(ImportStyles.SwatchCollision::isOwn)
            .collect(Collectors.toMap(collision -> collision.theirs().id(), _ -> sameName));
    Map<StyleId, ImportStyles.Choice> choices =
        ImportStyles.collisions(project, read.bundle(), swatches).stream()
            .collect(Collectors.toMap(collision -> collision.theirs().id(), _ -> sameName));
    file.write(new ImportStyles(read.bundle(), choices, swatches).applyTo(project), output);
    out.println(
        Messages.of(
            "styles-command.taken",
            read.bundle().styles().size(),
            read.bundle().swatches().size(),
            choices.size() + swatches.size()));
    return 0;
  }

  private List<StyleId> wanted(Project project) {
    return names.stream()
        .map(name ->
            project
                .styles()
                .named(name)
                .orElseThrow(() ->
                    new IllegalArgumentException(Messages.of("styles-command.no-such-style", name)))
                .id())
        .toList();
  }
}
