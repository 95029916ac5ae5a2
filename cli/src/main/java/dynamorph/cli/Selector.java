package dynamorph.cli;

import dynamorph.cli.message.Messages;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.edit.Target;
import dynamorph.model.reach.LayerQuery;
import java.util.List;
import picocli.CommandLine.Option;

/** The layers that a command is about. */
final class Selector {
  @Option(
      names = "--where",
      required = true,
      paramLabel = "QUERY",
      description = {
        "${bundle:selector.which-layers-such-as-style-label}",
        "${bundle:selector.fields-style-follows-artboard-name-id}",
        "comparisons: = != ~ !~ < <= > >=; && || ! ( )."
      })
  private String query;

  Target.Layers in(Project project) {
    List<LayerId> layers = LayerQuery.parse(query).in(project);
    if (layers.isEmpty()) {
      throw new IllegalArgumentException(Messages.of("selector.no-layer-matches", query));
    }
    return new Target.Layers(layers);
  }
}
