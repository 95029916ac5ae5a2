package dynamorph.model.edit.flow;

import static java.util.Objects.requireNonNull;

import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.EditRefused;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.layer.LockedLayers;
import dynamorph.model.edit.layer.SetValues;
import dynamorph.model.flow.BoxWords;
import dynamorph.model.flow.LinkedBoxes;
import dynamorph.model.message.Messages;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Story;
import dynamorph.model.value.BoxFit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Lets a text flow on into other boxes, in their order: what finds no room in the first goes on in
 * the second, and what was in there already comes behind all of it. Words that they had become
 * paragraphs of the text, in its look. A box that was part of another text is taken out of that;
 * one that begins another text brings its further boxes.
 *
 * @param boxes the box that the text flows on from, then those that it flows into
 */
public record LinkBoxes(List<Box> boxes) implements Edit {
  /**
   * A box as it shows.
   *
   * @param width in points
   * @param height in points
   */
  public record Box(LayerId id, double width, double height) {}

  public LinkBoxes {
    boxes = List.copyOf(boxes);
  }

  @Override
  public Project applyTo(Project before) {
    List<LayerId> ids = boxes.stream().map(Box::id).distinct().toList();
    if (LockedLayers.free(before, ids).size() < ids.size()) {
      throw new EditRefused(Messages.of("link-boxes.unlock-them-first"));
    }
    Map<LayerId, Layer> layers = before.layersOf(new LinkedHashSet<>(ids));
    if (ids.size() < 2 || layers.size() < ids.size()) {
      throw new EditRefused(Messages.of("link-boxes.choose-two-or-more-texts"));
    }
    if (layers.values().stream().anyMatch(layer -> !layer.isText())) {
      throw new EditRefused(Messages.of("link-boxes.a-shape-holds-no-text"));
    }
    if (layers.values().stream().anyMatch(layer -> layer.timing().isPresent())) {
      throw new EditRefused(Messages.of("link-boxes.titles-do-not-flow"));
    }
    LinkedBoxes links = LinkedBoxes.of(before);
    List<LayerId> order = order(links, ids);
    Project withWords = withWords(before, links, order);
    return linked(boxed(withWords, order), links, order, ids);
  }

  /** All boxes of the text from now on. */
  private static List<LayerId> order(LinkedBoxes links, List<LayerId> ids) {
    Set<LayerId> arriving = new LinkedHashSet<>();
    for (LayerId id : ids.subList(1, ids.size())) {
      boolean elsewhere = !links.first(id).equals(links.first(ids.getFirst()));
      if (elsewhere && !links.continues(id)) {
        arriving.addAll(links.chain(id));
      } else {
        arriving.add(id);
      }
    }
    List<LayerId> order = new ArrayList<>(links.chain(ids.getFirst()));
    order.removeAll(arriving);
    order.addAll(order.indexOf(ids.getFirst()) + 1, arriving);
    return order;
  }

  private static Project withWords(Project before, LinkedBoxes links, List<LayerId> order) {
    LayerId first = order.getFirst();
    Map<LayerId, Layer> layers = before.layersOf(new LinkedHashSet<>(order));
    // a text whose first box comes later now keeps its words and what they follow
    Layer holder = before.layer(links.first(first)).orElseThrow();
    List<Paragraph> paragraphs = new ArrayList<>(holder.story().paragraphs());
    for (LayerId id : order) {
      Layer layer = requireNonNull(layers.get(id));
      if (layer != holder && layer.story().length() > 0) {
        paragraphs.addAll(layer.story().paragraphs());
      }
    }
    return before.mapLayers(
        new LinkedHashSet<>(order),
        layer ->
            layer.id().equals(first)
                ? BoxWords.moved(holder, layer, new Story(paragraphs))
                : BoxWords.without(layer));
  }

  /** With every box but the last as high as it is, so that text goes on from it. */
  private Project boxed(Project project, List<LayerId> order) {
    Project changed = project;
    for (Box box : boxes) {
      Layer layer = changed.layer(box.id).orElseThrow();
      PropertySet values = Cascade.of(changed).values(layer);
      BoxFit fit = values.get(Properties.BOX.key()).orElse(BoxFit.POINT);
      boolean last = order.getLast().equals(box.id);
      boolean has = fit == BoxFit.FIXED || fit == BoxFit.SHRINK || fit == BoxFit.GROW && last;
      if (!has) {
        PropertySet given =
            PropertySet.EMPTY
                .with(Properties.BOX, BoxFit.FIXED)
                .with(Properties.BOX_HEIGHT, Math.max(1, box.height));
        changed =
            SetValues.of(
                    new Target.Layers(List.of(box.id)),
                    fit == BoxFit.POINT
                        ? given.with(Properties.BOX_WIDTH, Math.max(1, box.width))
                        : given)
                .applyTo(changed);
      }
    }
    return changed;
  }

  private static Project linked(
      Project project, LinkedBoxes links, List<LayerId> order, List<LayerId> ids) {
    Map<LayerId, Optional<LayerId>> continued = new HashMap<>();
    for (LayerId id : ids) {
      // what was behind a box that leaves its text goes on from the one before it
      List<LayerId> left = new ArrayList<>(links.chain(id));
      left.removeAll(order);
      for (int index = 1; index < left.size(); index++) {
        continued.put(left.get(index), Optional.of(left.get(index - 1)));
      }
    }
    for (int index = 0; index < order.size(); index++) {
      continued.put(
          order.get(index), index == 0 ? Optional.empty() : Optional.of(order.get(index - 1)));
    }
    return project.mapLayers(
        continued.keySet(),
        layer -> layer.withContinues(requireNonNull(continued.get(layer.id()))));
  }

  @Override
  public String label(Project before) {
    return Messages.of("link-boxes.link", boxes.size());
  }
}
