package dynamorph.model.edit.importing;

import dynamorph.model.ArtboardId;
import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.layer.ArrangeLayers;
import dynamorph.model.message.Messages;
import java.util.List;

/**
 * Puts texts of another project onto an artboard; their styles and swatches come with them.
 *
 * @param layers with ids that are free here
 */
public record ImportLayers(ImportStyles styles, ArtboardId artboard, List<Layer> layers)
    implements Edit {
  public ImportLayers {
    layers = List.copyOf(layers);
  }

  @Override
  public Project applyTo(Project before) {
    ImportStyles.Arrived arrived = styles.arrive(before);
    return new ArrangeLayers.Add(
            artboard,
            layers.stream().map(arrived::settled).toList(),
            Messages.of("import-layers.paste"))
        .applyTo(arrived.project());
  }

  @Override
  public String label(Project before) {
    return Messages.of("import-layers.paste-text", layers.size());
  }
}
