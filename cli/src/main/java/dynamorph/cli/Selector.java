package dynamorph.cli;

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
        "Which layers, such as \"style=Label title && artboard~Panel\".",
        "Fields: style, follows, artboard, name, id, text, kind, font, size, local;",
        "comparisons: = != ~ !~ < <= > >=; && || ! ( )."
      })
  private String query;

  Target.Layers in(Project project) {
    List<LayerId> layers = LayerQuery.parse(query).in(project);
    if (layers.isEmpty()) {
      throw new IllegalArgumentException("no layer matches \"" + query + "\"");
    }
    return new Target.Layers(layers);
  }
}
