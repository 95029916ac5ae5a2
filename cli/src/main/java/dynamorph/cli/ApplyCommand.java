package dynamorph.cli;

import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.style.ApplyOptions;
import dynamorph.model.edit.style.Follow;
import java.io.IOException;
import java.nio.file.Path;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

@Command(
    name = "apply",
    description = "${bundle:apply-command.lets-layers-follow-a-style}",
    mixinStandardHelpOptions = true)
final class ApplyCommand implements Callable<Integer> {
  @Mixin private ProjectArgument file;

  @Option(
      names = "--style",
      required = true,
      paramLabel = "NAME",
      description = "${bundle:apply-command.name-or-id-of-the-style}")
  private String styleName;

  @Option(
      names = "--to",
      required = true,
      split = ",",
      paramLabel = "NAME",
      description = "${bundle:apply-command.layers-by-name-id-or-artboard}")
  private List<String> layerNames;

  @Option(
      names = "--on-top",
      description = "${bundle:apply-command.adds-the-style-over-those-that}")
  private boolean onTop;

  @Option(
      names = "--drop-local",
      description = "${bundle:apply-command.drops-local-changes-of-the-layers}")
  private boolean dropLocal;

  @Option(
      names = {"-o", "--output"},
      required = true,
      paramLabel = "FILE",
      description = "${bundle:apply-command.the-project-to-write}")
  private Path output;

  @Override
  public Integer call() throws IOException {
    Project project = file.read();
    LinkedHashSet<LayerId> layers = new LinkedHashSet<>();
    layerNames.forEach(
        name -> ProjectLookup.layers(project, name).forEach(layer -> layers.add(layer.id())));
    ApplyOptions options = ApplyOptions.PLAIN.onTop(onTop);
    file.edit(
        new Follow(
            new Target.Layers(layers),
            ProjectLookup.style(project, styleName).id(),
            dropLocal ? options.droppingLocal() : options),
        output);
    return 0;
  }
}
