package dynamorph.model.edit.flow;

import dynamorph.model.ArtboardId;
import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.layer.ArrangeLayers;
import dynamorph.model.message.Messages;
import java.util.List;

/**
 * Puts a new box on an artboard, in which a text goes on.
 *
 * @param from the box that it goes on from
 * @param box a layer without words, with its place
 * @param width of the new box, in points
 * @param height of the new box, in points
 */
public record FlowOn(
    LinkBoxes.Box from, ArtboardId artboard, Layer box, double width, double height)
    implements Edit {
  @Override
  public Project applyTo(Project before) {
    Project added = new ArrangeLayers.Add(artboard, List.of(box), "").applyTo(before);
    return new LinkBoxes(List.of(from, new LinkBoxes.Box(box.id(), width, height))).applyTo(added);
  }

  @Override
  public String label(Project before) {
    return Messages.of("flow-on.flow-on-in-a-new-box");
  }
}
